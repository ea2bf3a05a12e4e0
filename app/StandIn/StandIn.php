<?php

namespace App\StandIn;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Person;
use App\Models\PurchaseOrder;
use KeepPace\Core\Refused;

/**
 * Who stands in for the suppliers where the demo was played: a person who never logs in, and does by hand or by the
 * clock what suppliers do, through the deeds of everybody. No other shop has one.
 */
final readonly class StandIn
{
    private const NAME = 'The suppliers (stand-in)';

    public function __construct(
        private Bookings $bookings,
        private Answering $answering,
        private Bringing $bringing,
        private Billing $billing,
    ) {
    }

    public static function make(): Person
    {
        return self::person() ?? Person::query()->create(['name' => self::NAME, 'stands_in' => 'hand']);
    }

    public static function person(): ?Person
    {
        return Person::query()->whereNotNull('stands_in')->first();
    }

    public static function goesByClock(): bool
    {
        return Person::query()->where('stands_in', 'clock')->exists();
    }

    /**
     * @param  Signed  $signed  whoever sends it; the booking is the stand-in's
     *
     * @throws Refused as the deed is refused to anybody, and where the demo was not played
     */
    public function turn(PurchaseOrder $order, Turn $turn, Signed $signed): Booking
    {
        $person = self::person() ?? throw self::nobody();
        $theirs = new Signed($signed->token, $person, fingerprint: $signed->fingerprint);

        return match (true) {
            $turn->isAnswer() => $this->answering->handle($order, $turn, $theirs),
            $turn->isDelivery() => $this->bringing->handle($order, $turn, $theirs),
            default => $this->billing->handle($order, $turn, $theirs),
        };
    }

    /** @throws Refused when it goes so already */
    public function goBy(bool $clock, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Person, $signed, Part::writing(
            function (Ledger $ledger) use ($clock): void {
                $person = Person::query()->whereNotNull('stands_in')->lockForUpdate()->first()
                    ?? throw self::nobody();
                $goes = $clock ? 'clock' : 'hand';
                if ($person->stands_in === $goes) {
                    $how = $clock ? 'by the clock' : 'by hand';
                    throw Refused::because("They go {$how} already.", 'go_by');
                }
                $person->fill(['stands_in' => $goes])->save();
                $ledger->says($clock
                    ? 'The suppliers answer, bring and bill by the clock now.'
                    : 'The suppliers do only what somebody makes them do now.');
            },
        ));
    }

    private static function nobody(): Refused
    {
        return Refused::because('Nobody stands in for the suppliers here: that belongs to the demo.');
    }
}

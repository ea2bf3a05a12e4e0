<?php

namespace App\StandIn;

use App\Books\Signed;
use App\Models\Booking;
use App\Models\Person;
use App\Models\PurchaseOrder;
use KeepPace\Core\Purchasing\PurchaseKind;
use KeepPace\Core\Refused;

/**
 * Who stands in for the suppliers where the demo was played: a person who never logs in, and does by hand or by the
 * clock what suppliers do, through the deeds of everybody. No other shop has one.
 */
final readonly class StandIn
{
    private const NAME = 'The suppliers (stand-in)';

    public function __construct(
        private Answering $answering,
        private Bringing $bringing,
        private GivingBack $givingBack,
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
        $person = self::person()
            ?? throw Refused::because('Nobody stands in for the suppliers here: that belongs to the demo.');
        $theirs = new Signed($signed->token, $person, fingerprint: $signed->fingerprint);

        return match (true) {
            $turn->isAnswer() => $this->answering->handle($order, $turn, $theirs),
            $turn->isDelivery() && $order->kind === PurchaseKind::Service => $this->givingBack
                ->handle($order, $turn, $theirs),
            $turn->isDelivery() => $this->bringing->handle($order, $turn, $theirs),
            default => $this->billing->handle($order, $turn, $theirs),
        };
    }
}

<?php

namespace App\Actions\People;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Person;
use KeepPace\Core\Refused;

/** Who stands in for the suppliers of the demo goes by the clock, or does only what somebody makes them do. */
final class LetSuppliersGo
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused when they go so already, or nobody stands in for them */
    public function handle(bool $byClock, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Person, $signed, Part::writing(
            function (Ledger $ledger) use ($byClock): void {
                $person = Person::query()->whereNotNull('stands_in')->lockForUpdate()->first()
                    ?? throw Refused::because('Nobody stands in for the suppliers here: that belongs to the demo.');
                $goes = $byClock ? 'clock' : 'hand';
                if ($person->stands_in === $goes) {
                    $how = $byClock ? 'by the clock' : 'by hand';
                    throw Refused::because("They go {$how} already.", 'go_by');
                }
                $person->fill(['stands_in' => $goes])->save();
                $ledger->says($byClock
                    ? 'The suppliers answer, bring and bill by the clock now.'
                    : 'The suppliers do only what somebody makes them do now.');
            },
        ));
    }
}

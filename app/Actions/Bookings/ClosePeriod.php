<?php

namespace App\Actions\Bookings;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\PeriodLock;
use App\Books\Said;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/** Closes the books up to a day: later entries and reversals go into the open period. */
final class ClosePeriod
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused when the day lies ahead, or before what is closed already */
    public function handle(string $endsOn, Signed $signed): Booking
    {
        return $this->bookings->under(
            PeriodLock::Closing,
            BookingKind::PeriodClosed,
            $signed,
            Part::writing(function (Ledger $ledger) use ($endsOn, $signed): void {
                $closed = DB::table('periods')->max('ends_on');
                if ($closed !== null && $endsOn <= $closed) {
                    throw Refused::because('The books are closed up to '.Said::day($closed).' already.', 'ends_on');
                }
                if ($endsOn >= now(config()->string('pace.zone'))->toDateString()) {
                    throw Refused::because('A period is closed when its last day is over.', 'ends_on');
                }
                DB::table('periods')->insert([
                    'booking_id' => $ledger->booking->id,
                    'ends_on' => $endsOn,
                    'last_booking_id' => (int) DB::table('bookings')->max('id'),
                    'closed_at' => now(),
                    'person_id' => $signed->person->id,
                ]);
                $ledger->says('The books are closed up to '.Said::day($endsOn).'.');
            }),
        );
    }
}

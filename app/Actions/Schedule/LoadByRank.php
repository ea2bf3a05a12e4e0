<?php

namespace App\Actions\Schedule;

use App\Actions\Bookings\Bookings;
use App\Actions\Bookings\Ledger;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Plan;
use App\Models\User;
use KeepPace\Core\Refused;

/** Gives up every machine's sequence and loads all open orders anew, by rank and due date. Only a person does this. */
final class LoadByRank
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused when the plan stands so already */
    public function handle(string $token, User $by): Booking
    {
        return $this->bookings->once(BookingKind::LoadedByRank, $token, $by, function (Ledger $ledger): void {
            $last = Booking::query()->find(Plan::query()->lockForUpdate()->findOrFail(Plan::LIVE)->booking_id);
            if ($last?->kind === BookingKind::LoadedByRank) {
                throw Refused::because('The plan was loaded by rank already, and nothing was booked since.');
            }
            $ledger->says('All open orders loaded by rank and due date; what runs kept its machine.');
        });
    }
}

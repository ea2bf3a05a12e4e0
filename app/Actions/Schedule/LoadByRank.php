<?php

namespace App\Actions\Schedule;

use App\Books\Ledger;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Plan;
use App\Shop\StandingPlan;
use KeepPace\Core\Refused;
use KeepPace\Core\Scheduling\Plan\ForwardLoading;
use KeepPace\Core\Scheduling\Plan\PlanRefused;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;

/** Gives up every machine's sequence and loads all open orders anew, by rank and due date. Only a person does this. */
final class LoadByRank
{
    public function __construct(private readonly PlanChanges $changes)
    {
    }

    /** @throws Refused when the plan stands so already */
    public function handle(Signed $signed): Booking
    {
        return $this->changes->make(BookingKind::LoadedByRank, Plan::LIVE, null, $signed, function (
            Ledger $ledger,
            StandingPlan $standing,
        ): \Closure {
            if (Booking::query()->find($standing->plan->booking_id)?->kind === BookingKind::LoadedByRank) {
                throw PlanRefused::loadedAlready();
            }
            $ledger->says('All open orders loaded by rank and due date; what runs kept its machine.');
            $was = $standing->steps();

            return static fn (Problem $problem): Schedule => ForwardLoading::load($problem, $was);
        });
    }
}

<?php

namespace App\Planner;

use App\Models\Plan;
use App\Settings\Settings;
use Illuminate\Support\Facades\DB;

/**
 * One planning beside the bookings: the facts of one moment are read, what they come to is worked out while nothing is
 * locked, and it is written only if nobody wrote the plan meanwhile.
 */
final class PlanRound
{
    /** After so many in vain it takes the plan's lock before it reads: nobody who arranges the board starves it. */
    private const TRIES = 3;

    public function __construct(private readonly KeepUp $keepUp, private readonly PlannerState $state)
    {
    }

    public function handle(): void
    {
        for ($try = 1; $try <= self::TRIES; $try++) {
            if ($this->once()) {
                $this->state->wentWell();

                return;
            }
        }
        $this->keepUp->handle();
    }

    /** @return bool whether it stands; not when somebody else wrote the plan after it was read */
    private function once(): bool
    {
        $began = microtime(true);
        Settings::readAnew();
        if (DB::transactionLevel() === 0) {
            DB::statement('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ, READ ONLY'); // one snapshot of all facts
        }
        [$bookings, $draft] = DB::transaction(fn (): array => [
            Unplanned::ids(),
            $this->keepUp->draft(Plan::query()->findOrFail(Plan::LIVE)),
        ]);

        return DB::transaction(function () use ($bookings, $draft, $began): bool {
            $plan = Plan::lockLive();
            if ($plan->stamp !== $draft->stamp) {
                return false;
            }
            $this->keepUp->finish($plan, $draft, $bookings, $began);

            return true;
        }, attempts: 5);
    }
}

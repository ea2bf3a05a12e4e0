<?php

namespace App\Console;

use App\Models\Plan;
use App\Planner\LiveFile;
use App\Planner\PlannerState;
use App\Planner\PlanRound;
use Illuminate\Console\Command;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Follows the bookings with the live plan, for as long as it runs; one at a time by a lease. Many bookings cost one
 * planning. It leaves after a while, and the supervisor begins it anew.
 */
class Planner extends Command
{
    /** Seconds between the beginnings of two plannings. */
    private const PACE = 1.0;

    /** Seconds between two looks at what is not planned yet. */
    private const LOOK = 0.1;

    /** Seconds after which pages are told how far it is. */
    private const TELL = 0.5;

    /** Seconds after which the lease is held on. */
    private const HOLD = 2.0;

    private const LIFE = 600;

    private const MEMORY = 200 * 1024 * 1024;

    /** What should have begun and has not, and promises that lapse, move the plan without any booking. */
    private const CLOCK_MINUTES = 5;

    private const LONGEST_PAUSE = 60;

    protected $signature = 'pace:planner {--once : one planning if there is anything to plan, then leave}';

    protected $description = 'Follow what is booked with the live plan';

    private bool $isOver = false;

    private int $pause = 0;

    private float $next = 0.0;

    /** When the lease was asked for last, and whether it was to be had. */
    private float $held = 0.0;

    private bool $isMine = false;

    /** When pages were told last, and the clock looked at. */
    private float $told = 0.0;

    private float $clock = 0.0;

    public function handle(PlanRound $round, PlannerState $state, LiveFile $live): int
    {
        $owner = mb_strimwidth((string) gethostname(), 0, 20).'/'.getmypid().'/'.Str::random(6);
        $this->trap([SIGTERM, SIGINT], function (): void {
            $this->isOver = true;
        });
        [$this->isOver, $this->pause] = [false, 0];
        [$this->next, $this->held, $this->told, $this->clock] = [0.0, 0.0, 0.0, 0.0];
        $until = microtime(true) + self::LIFE;
        do {
            if ($this->holds($state, $owner)) {
                $this->look($round, $state);
                $this->tell($live);
            }
            $this->isOver = $this->isOver
                || $this->option('once')
                || microtime(true) > $until
                || memory_get_usage() > self::MEMORY;
            $this->isOver ?: usleep((int) (self::LOOK * 1e6));
        } while (! $this->isOver);
        $state->leave($owner);

        return self::SUCCESS;
    }

    private function holds(PlannerState $state, string $owner): bool
    {
        $now = microtime(true);
        if ($now - $this->held > ($this->isMine ? self::HOLD : self::PACE)) {
            $this->isMine = $state->hold($owner);
            $this->held = $now;
        }

        return $this->isMine;
    }

    private function look(PlanRound $round, PlannerState $state): void
    {
        $now = microtime(true);
        if ($now < $this->next || ! (DB::table('unplanned')->exists() || $this->clockIsDue())) {
            return;
        }
        try {
            $round->handle();
            $this->pause = 0;
            $this->next = $now + self::PACE;
            $this->told = 0.0; // pages hear of it at once
        } catch (\Throwable $failure) {
            if ($failure instanceof QueryException && DB::connection()->getRawPdo() === null) {
                throw $failure; // the database is gone: begun anew, it waits for it
            }
            report($failure);
            $state->failed($failure);
            $this->pause = min(max(1, $this->pause * 2), self::LONGEST_PAUSE);
            $this->next = microtime(true) + $this->pause;
        }
    }

    private function tell(LiveFile $live): void
    {
        if (microtime(true) - $this->told > self::TELL) {
            $live->tell();
            $this->told = microtime(true);
        }
    }

    private function clockIsDue(): bool
    {
        if (microtime(true) - $this->clock < self::PACE) {
            return false;
        }
        $this->clock = microtime(true);
        $at = Plan::query()->find(Plan::LIVE)?->computed_at;

        return $at === null || $at->diffInMinutes(now()) >= self::CLOCK_MINUTES;
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Lever;

use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\Plan\ScheduleSearch;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;

/**
 * Levers tried on one shop: the shop as it is and the shop with a lever are searched from the same plan with the same
 * seed and iterations. The plan stays a candidate on both sides, for more capacity can make a list of jobs loaded one
 * by one worse (Graham, SIAM Journal on Applied Mathematics 17 (1969)).
 */
final class LeverTrials
{
    /**
     * Starts of each search, and operations in all of them, as in all that is loaded to move fewer: one waits for it,
     * and with few moves behind them more would only take time.
     */
    private const STARTS = 60;

    private const STARTED = 9_000;

    private ?Schedule $before = null;

    /** @param  array<int, PlannedStep>  $plan  by step id */
    public function __construct(
        private readonly Problem $problem,
        private readonly array $plan,
        private readonly int $job,
        private readonly int $seed,
        private readonly int $iterations,
    ) {
    }

    public function with(Problem $with): LeverEffect
    {
        $before = $this->before ??= $this->best($this->problem, [$this->plan], false);
        // what was found without the lever is a candidate with it: the lever never looks worse than doing nothing
        $after = $this->best($with, [$this->plan, $before->steps], true);

        return new LeverEffect(
            $before->finish[$this->job] ?? null,
            $after->finish[$this->job] ?? null,
            self::late($this->problem, $before),
            self::late($this->problem, $after),
            $after,
        );
    }

    /** @param  non-empty-list<array<int, PlannedStep>>  $plans  sequences to keep; the search begins from the first */
    private function best(Problem $problem, array $plans, bool $forJob): Schedule
    {
        $left = min(self::STARTS, intdiv(self::STARTED, max(1, Net::of($problem)->count)));
        $searched = ScheduleSearch::solve(
            $problem,
            $plans[0],
            $this->seed,
            $this->iterations,
            static fn (): bool => true,
            mayBegin: function () use (&$left): bool {
                return --$left > 0;
            },
            calmed: self::STARTED,
        )->schedule;
        $candidates = [
            ...array_map(static fn (array $plan): Schedule => KeptSequence::load($problem, $plan), $plans),
            $searched,
        ];
        if ($forJob) {
            // the order taken out of the plan and put in again where its rank and the lever let it go
            $steps = array_merge(
                ...array_map(fn (Job $one): array => $one->id === $this->job ? $one->steps : [], $problem->jobs),
            );
            $candidates[] = KeptSequence::load(
                $problem,
                array_diff_key($plans[0], array_flip(array_map(static fn ($step): int => $step->id, $steps))),
            );
        }
        $weight = fn (Schedule $of): array => [
            $forJob ? self::jobLate($this->problem, $of, $this->job) : 0,
            self::late($this->problem, $of),
        ];
        usort($candidates, static fn (Schedule $a, Schedule $b): int => $weight($a) <=> $weight($b));

        return $candidates[0];
    }

    private static function jobLate(Problem $problem, Schedule $schedule, int $job): int
    {
        foreach ($problem->jobs as $one) {
            if ($one->id === $job) {
                return isset($schedule->finish[$job])
                    ? max(0, $schedule->finish[$job] - ($one->due ?? 0))
                    : PHP_INT_MAX;
            }
        }

        return PHP_INT_MAX;
    }

    private static function late(Problem $problem, Schedule $schedule): int
    {
        $late = 0;
        foreach ($problem->jobs as $job) {
            $finish = $schedule->finish[$job->id] ?? null;
            $late += $finish === null || $job->due === null || $finish <= $job->due ? 0
                : $job->weight * ($problem->lateIn?->minutesBetween($job->due, $finish) ?? $finish - $job->due);
        }

        return $late;
    }
}

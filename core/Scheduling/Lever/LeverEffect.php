<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Lever;

use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\Plan\ScheduleSearch;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;

/**
 * What a lever does: the shop as it is and the shop with the lever are searched from the same plan with the same seed
 * and iterations.
 * The plan stays a candidate on both sides, for more capacity can make a list of jobs loaded one by one worse (Graham,
 * SIAM Journal on Applied Mathematics 17 (1969)).
 */
final readonly class LeverEffect
{
    /**
     * @param  int|null  $finish  of the order, without the lever
     * @param  int|null  $finishWith  with it; null = it has no place
     * @param  int  $late  weighted minutes late of all orders, without the lever
     */
    private function __construct(
        public ?int $finish,
        public ?int $finishWith,
        public int $late,
        public int $lateWith,
        public Schedule $schedule,
    ) {
    }

    /** @param  array<int, PlannedStep>  $plan  by step id */
    public static function of(Problem $problem, Problem $with, array $plan, int $job, int $seed, int $iterations): self
    {
        $before = self::best($problem, $problem, [$plan], $job, $seed, $iterations, false);
        // what was found without the lever is a candidate with it: the lever never looks worse than doing nothing
        $after = self::best($with, $problem, [$plan, $before->steps], $job, $seed, $iterations, true);

        return new self(
            $before->finish[$job] ?? null,
            $after->finish[$job] ?? null,
            self::late($problem, $before),
            self::late($problem, $after),
            $after,
        );
    }

    /** @param  non-empty-list<array<int, PlannedStep>>  $plans  sequences to keep; the search begins from the first */
    private static function best(
        Problem $problem,
        Problem $judge,
        array $plans,
        int $job,
        int $seed,
        int $iterations,
        bool $forJob,
    ): Schedule {
        $goOn = static fn (): bool => true;
        $searched = ScheduleSearch::solve($problem, $plans[0], $seed, $iterations, $goOn)->schedule;
        $candidates = [
            ...array_map(static fn (array $plan): Schedule => KeptSequence::load($problem, $plan), $plans),
            $searched,
        ];
        if ($forJob) {
            // the order taken out of the plan and put in again where its rank and the lever let it go
            $steps = array_merge(
                ...array_map(static fn (Job $one): array => $one->id === $job ? $one->steps : [], $problem->jobs),
            );
            $candidates[] = KeptSequence::load(
                $problem,
                array_diff_key($plans[0], array_flip(array_map(static fn ($step): int => $step->id, $steps))),
            );
        }
        $weight = static fn (Schedule $of): array => [
            $forJob ? self::jobLate($judge, $of, $job) : 0,
            self::late($judge, $of),
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

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;

/**
 * What one plan does to the dates of another: who becomes late, who is saved, what moves. Lateness is in open minutes.
 */
final readonly class Comparison
{
    /**
     * @param  array<int, int>  $lateBefore  minutes late by job id, only those late
     * @param  array<int, int>  $lateAfter
     * @param  list<int>  $moved  steps that start at another minute or stand on another machine
     * @param  list<int>  $lost  jobs that had a finish and have none now
     */
    private function __construct(
        public array $lateBefore,
        public array $lateAfter,
        public array $moved,
        public array $lost,
    ) {
    }

    public static function between(Problem $problem, Schedule $before, Schedule $after): self
    {
        return self::of(
            $problem->jobs,
            $before->finish,
            $after->finish,
            $before->steps,
            $after->steps,
            $problem->lateIn,
        );
    }

    /**
     * @param  list<Job>  $jobs
     * @param  array<int, int>  $before  finish by job id
     * @param  array<int, int>  $after
     * @param  array<int, PlannedStep>  $stepsBefore
     * @param  array<int, PlannedStep>  $stepsAfter
     */
    public static function of(
        array $jobs,
        array $before,
        array $after,
        array $stepsBefore,
        array $stepsAfter,
        ?OpenWindows $open,
    ): self {
        $late = static function (Job $job, ?int $finish) use ($open): int {
            if ($finish === null || $job->due === null || $finish <= $job->due) {
                return 0;
            }

            return $open?->minutesBetween($job->due, $finish) ?? $finish - $job->due;
        };
        $lateBefore = $lateAfter = $lost = [];
        foreach ($jobs as $job) {
            $lateBefore[$job->id] = $late($job, $before[$job->id] ?? null);
            $lateAfter[$job->id] = $late($job, $after[$job->id] ?? null);
            if (isset($before[$job->id]) && ! isset($after[$job->id])) {
                $lost[] = $job->id;
            }
        }
        $moved = [];
        foreach ($stepsAfter as $id => $at) {
            $was = $stepsBefore[$id] ?? null;
            if (
                $was !== null
                && [$was->start, $was->machine, $was->workCentre] !== [$at->start, $at->machine, $at->workCentre]
            ) {
                $moved[] = $id;
            }
        }

        $isLate = static fn (int $minutes): bool => $minutes > 0;

        return new self(array_filter($lateBefore, $isLate), array_filter($lateAfter, $isLate), $moved, $lost);
    }

    /** @return array<int, int> minutes late by job that was in time */
    public function becomeLate(): array
    {
        return array_diff_key($this->lateAfter, $this->lateBefore);
    }

    /** @return list<int> jobs that were late and are in time; one that lost its place is not saved */
    public function saved(): array
    {
        return array_values(array_diff(array_keys(array_diff_key($this->lateBefore, $this->lateAfter)), $this->lost));
    }

    /** @return array<int, int> minutes more (less: negative) by job that is late before and after */
    public function otherwise(): array
    {
        $other = [];
        foreach (array_intersect_key($this->lateAfter, $this->lateBefore) as $job => $minutes) {
            if ($minutes !== $this->lateBefore[$job]) {
                $other[$job] = $minutes - $this->lateBefore[$job];
            }
        }

        return $other;
    }

    public function totalBefore(): int
    {
        return array_sum($this->lateBefore);
    }

    public function totalAfter(): int
    {
        return array_sum($this->lateAfter);
    }
}

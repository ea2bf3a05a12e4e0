<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;

/**
 * Every step as late as its order's date allows, as if each machine could do any number at once: where the demand on a
 * work centre lies,
 * whatever its capacity. What should have begun before now, and what nobody waits for, lies from now on (infinite
 * loading, common practice).
 */
final class Wanted
{
    /** @var array<int, PlannedStep> */
    private array $steps = [];

    private function __construct(private readonly Problem $problem)
    {
    }

    /** @return array<int, PlannedStep> by step id, without a machine */
    public static function of(Problem $problem): array
    {
        $self = new self($problem);
        $due = [];
        // users of parts come before the parts: each gives what it needs the minute it needs it
        foreach (array_reverse(self::partsFirst($problem->jobs)) as $job) {
            $self->job($job, min([$job->due ?? PHP_INT_MAX, ...$due[$job->id] ?? []]));
            foreach ($job->steps as $step) {
                foreach ($step->afterJobs as $part) {
                    $due[$part][] = $self->steps[$step->id]->start;
                }
            }
        }

        return $self->steps;
    }

    private function job(Job $job, int $due): void
    {
        $end = $due;
        $starts = [];
        foreach (array_reverse($job->steps) as $step) {
            $start = $end === PHP_INT_MAX ? null : $this->start($step, $end);
            if ($start === null || $start < $this->problem->now) {
                $starts = [];
                break;
            }
            $starts[$step->id] = [$start, $end];
            $end = $start - $step->wait;
        }
        $at = $this->problem->now;
        foreach ($job->steps as $step) {
            if (isset($starts[$step->id])) {
                [$start, $stop] = $starts[$step->id];
                $this->steps[$step->id] = new PlannedStep($start, $stop, null, $step->workCentre);

                continue;
            }
            $stop = $this->finish($step, $at);
            $this->steps[$step->id] = new PlannedStep($at, $stop, null, $step->workCentre);
            $at = $stop + $step->wait;
        }
    }

    private function start(Step $step, int $end): ?int
    {
        $open = $step->workCentre === null ? $step->lead : $this->problem->workCentres[$step->workCentre]->open;

        return $open === null ? $end - $step->minutes : $open->startFor($end, $step->setup + $step->minutes);
    }

    private function finish(Step $step, int $start): int
    {
        $open = $step->workCentre === null ? $step->lead : $this->problem->workCentres[$step->workCentre]->open;

        return $open === null
            ? $start + $step->minutes
            : $open->finish($start, $step->setup + $step->minutes) ?? $start + $step->setup + $step->minutes;
    }

    /**
     * @param  list<Job>  $jobs
     * @return list<Job> each behind the jobs it needs; a loop is broken where it is met
     */
    private static function partsFirst(array $jobs): array
    {
        $byId = $order = $seen = [];
        foreach ($jobs as $job) {
            $byId[$job->id] = $job;
        }
        $take = static function (Job $job) use (&$take, &$order, &$seen, $byId): void {
            if (isset($seen[$job->id])) {
                return;
            }
            $seen[$job->id] = true;
            foreach ($job->steps as $step) {
                foreach ($step->afterJobs as $part) {
                    if (isset($byId[$part])) {
                        $take($byId[$part]);
                    }
                }
            }
            $order[] = $job;
        };
        array_map($take, $jobs);

        return $order;
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;
use KeepPace\Core\Scheduling\WorkCentre;

/**
 * The latest a step can start for its job to keep its date, all other jobs where they stand in the plan.
 *
 * Worked out backward from the date, step by step into the gaps between the others, each on its own work centre. Crews
 * and passing on before a step is done are left out: with few people the true answer can be earlier, with passing on
 * later.
 */
final class LatestStart
{
    /**
     * @var array<string, list<array{int, int, int}>> start, end and job of what is planned, by work centre and machine
     */
    private array $planned = [];

    /** @param  array<int, WorkCentre>  $centres  with open time looked up as far as the dates */
    public function __construct(private readonly Problem $problem, Schedule $schedule, private readonly array $centres)
    {
        foreach ($problem->jobs as $job) {
            foreach ($job->steps as $step) {
                $at = $schedule->steps[$step->id] ?? null;
                if ($at?->workCentre !== null) {
                    $this->planned["{$at->workCentre}-{$at->machine}"][] = [$at->start, $at->end, $job->id];
                }
            }
        }
        array_walk($this->planned, static fn (array &$on) => rsort($on));
    }

    /** UTC minute, which may be one that has passed; null when the job has no date or no such step. */
    public function of(Job $job, int $stepId): ?int
    {
        $limit = $job->due;
        for ($at = count($job->steps) - 1; $limit !== null && $at >= 0; $at--) {
            $step = $job->steps[$at];
            $limit -= $step->wait + $step->move;
            $limit = $step->workCentre === null
                ? $limit - $step->minutes
                : $this->on($step->workCentre, $step->setup + $step->minutes, $limit, $job->id);
            if ($step->id === $stepId) {
                return $limit;
            }
        }

        return null;
    }

    private function on(int $centre, int $minutes, int $limit, int $job): int
    {
        $of = $this->centres[$centre];
        $starts = [];
        for ($machine = 1; $machine <= $of->machines; $machine++) {
            $planned = $this->planned["{$centre}-{$machine}"] ?? [];
            $starts[] = $this->inGaps($of->ownOpen[$machine] ?? $of->open, $planned, $minutes, $limit, $job);
        }

        return $starts === [] ? $limit - $minutes : max($starts);
    }

    /** @param  list<array{int, int, int}>  $planned  latest first */
    private function inGaps(OpenWindows $open, array $planned, int $minutes, int $limit, int $job): int
    {
        $end = $limit;
        for ($at = self::firstBefore($planned, $limit), $all = count($planned); $at < $all; $at++) {
            [$from, $to, $of] = $planned[$at];
            if ($of === $job) {
                continue;
            }
            // no more of a gap can be open than goes by in it
            $start = $end - $to >= max(1, $minutes) ? $open->startFor($end, $minutes) : null;
            if ($start !== null && $start >= $to) {
                return $start;
            }
            $end = min($end, $from);
        }

        // before all open time that was looked up: too late in any case
        return $open->startFor($end, $minutes) ?? min($end - $minutes, $this->problem->now - 1);
    }

    /** @param  list<array{int, int, int}>  $planned  latest first */
    private static function firstBefore(array $planned, int $limit): int
    {
        [$low, $high] = [0, count($planned)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $planned[$middle][0] >= $limit ? $low = $middle + 1 : $high = $middle;
        }

        return $low;
    }
}

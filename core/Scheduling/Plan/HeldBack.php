<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;

/**
 * A job that begins as late as its date allows: no step before the minute at which it would have to begin if its work
 * centre did nothing else, worked out backward from the date less a margin (backward scheduling, common practice).
 *
 * What else stands on the machines is not looked at: the margin is for that. What is begun or was put somewhere by a
 * person is left alone.
 */
final readonly class HeldBack
{
    /**
     * @param  array<int, WorkCentre>  $centres
     * @param  OpenWindows|null  $plant  in whose open time the margin counts; null = elapsed time
     * @param  int  $margin  minutes before the date by which all is to be done
     */
    public function __construct(private array $centres, private ?OpenWindows $plant, private int $margin)
    {
    }

    /** Without a date nothing is held back. */
    public function job(Job $job): Job
    {
        if ($job->due === null) {
            return $job;
        }
        $limit = self::back($this->plant, $job->due, $this->margin);
        $steps = [];
        foreach (array_reverse($job->steps) as $step) {
            $limit = $this->start($step, $limit);
            $steps[] = $step->started || $step->pin !== null ? $step : $step->heldBack(max(0, $limit));
        }

        return new Job($job->id, $job->name, $job->rank, $job->due, array_reverse($steps), $job->weight);
    }

    /** The latest minute a step can begin to be done, waited for and moved by a minute. */
    private function start(Step $step, int $limit): int
    {
        $open = $step->workCentre === null ? $step->lead : $this->centres[$step->workCentre]->open;
        $here = $step->workCentre === null ? null : $open;
        $end = self::back($here, $limit, $step->move) - $step->wait;

        return self::back($open, $end, $step->setup + $step->minutes);
    }

    private static function back(?OpenWindows $open, int $end, int $minutes): int
    {
        return $open?->startFor($end, $minutes) ?? $end - $minutes;
    }
}

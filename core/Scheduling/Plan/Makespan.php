<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;
use KeepPace\Core\Scheduling\Step;

/**
 * The end of all work as an objective: a last job that waits for all others is the only one that can be late, and was
 * due now.
 */
final class Makespan
{
    /** No job or step of a shop has this number. */
    private const END = PHP_INT_MIN;

    public static function only(Problem $problem): Problem
    {
        $jobs = array_map(
            static fn (Job $job): Job => new Job($job->id, $job->name, $job->rank, $job->due, $job->steps, 0),
            $problem->jobs,
        );
        $all = array_map(static fn (Job $job): int => $job->id, $problem->jobs);
        // the last minute is its own
        $jobs[] = new Job(self::END, 'the end', PHP_INT_MAX >> 1, $problem->now + 1, [
            new Step(self::END, null, 1, afterJobs: $all),
        ]);

        return new Problem($problem->now, $problem->workCentres, $jobs, $problem->crews);
    }

    /** The schedule without that job. */
    public static function without(Schedule $schedule): Schedule
    {
        return new Schedule(
            array_diff_key($schedule->steps, [self::END => 0]),
            array_diff_key($schedule->finish, [self::END => 0]),
            $schedule->unplaced,
            $schedule->notes,
        );
    }
}

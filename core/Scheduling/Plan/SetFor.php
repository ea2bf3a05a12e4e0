<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;

/** Steps whose tools are set: the next on each machine that is set up for the family of that step already. */
final class SetFor
{
    /**
     * @param  array<int, PlannedStep>  $plan  by step id
     * @return list<int> ids of steps
     */
    public static function steps(Problem $problem, array $plan): array
    {
        $set = [];
        foreach (self::next($problem, $plan) as $centre => $machines) {
            $now = ($problem->workCentres[$centre] ?? null)->familyNow ?? [];
            foreach ($machines as $number => $step) {
                if ($step->family !== null && $step->family === ($now[$number] ?? null)) {
                    $set[] = $step->id;
                }
            }
        }

        return $set;
    }

    /**
     * @param  array<int, PlannedStep>  $plan
     * @return array<int, array<int, Step>> by work centre and machine: what comes next there, behind what runs
     */
    private static function next(Problem $problem, array $plan): array
    {
        $next = [];
        foreach ($problem->jobs as $job) {
            foreach ($job->steps as $step) {
                $at = $plan[$step->id] ?? null;
                $centre = $at->workCentre ?? $step->workCentre;
                if ($at === null || $at->machine === null || $centre === null || $step->started) {
                    continue;
                }
                $first = $next[$centre][$at->machine] ?? null;
                if ($first === null || $at->start < $plan[$first->id]->start) {
                    $next[$centre][$at->machine] = $step;
                }
            }
        }

        return $next;
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;

/** Steps whose tools are set: the next on each machine that is set up for the family of that step already. */
final class SetFor
{
    /**
     * @param  array<int, PlannedStep>  $plan  by step id
     * @return list<int> ids of steps
     */
    public static function steps(Problem $problem, array $plan): array
    {
        $next = $family = [];
        foreach ($problem->jobs as $job) {
            foreach ($job->steps as $step) {
                $at = $plan[$step->id] ?? null;
                if ($at === null || $at->machine === null || $step->started) {
                    continue;
                }
                $machine = ($at->workCentre ?? $step->workCentre)."/{$at->machine}";
                if (! isset($next[$machine]) || $at->start < $plan[$next[$machine]]->start) {
                    $next[$machine] = $step->id;
                    $family[$machine] = $step->family;
                }
            }
        }
        $set = [];
        foreach ($next as $machine => $step) {
            [$centre, $number] = array_map(intval(...), explode('/', $machine));
            $now = ($problem->workCentres[$centre] ?? null)?->familyNow[$number] ?? null;
            if ($now !== null && $now === $family[$machine]) {
                $set[] = $step;
            }
        }

        return $set;
    }
}

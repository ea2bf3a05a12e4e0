<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;

/** Load against capacity: machine minutes by work centre and day. */
final class DailyLoad
{
    /**
     * Open minutes the steps take.
     *
     * @param  array<int, PlannedStep>  $steps
     * @param  list<int>  $days  where each day begins, and where the last ends, in UTC minutes
     * @return array<int, list<int>> by work centre, a figure for each day
     */
    public static function of(Problem $problem, array $steps, array $days): array
    {
        $load = array_map(static fn (): array => array_fill(0, count($days) - 1, 0), $problem->workCentres);
        foreach ($steps as $step) {
            if ($step->workCentre === null || ! isset($load[$step->workCentre])) {
                continue;
            }
            $centre = $problem->workCentres[$step->workCentre];
            $open = $centre->ownOpen[$step->machine ?? 0] ?? $centre->open;
            $own = $load[$step->workCentre];
            for ($day = self::dayOf($days, $step->start); $day < count($days) - 1 && $days[$day] < $step->end; $day++) {
                $own[$day] += max(
                    0,
                    $open->minutesBetween(max($step->start, $days[$day]), min($step->end, $days[$day + 1])),
                );
            }
            $load[$step->workCentre] = array_values($own);
        }

        return $load;
    }

    /**
     * Open minutes of all machines.
     *
     * @param  list<int>  $days
     * @return array<int, list<int>> by work centre, a figure for each day
     */
    public static function capacity(Problem $problem, array $days): array
    {
        $capacity = [];
        foreach ($problem->workCentres as $key => $centre) {
            for ($day = 0; $day < count($days) - 1; $day++) {
                $common = $centre->machines - count($centre->ownOpen);
                $minutes = $common * $centre->open->minutesBetween($days[$day], $days[$day + 1]);
                foreach ($centre->ownOpen as $own) {
                    $minutes += $own->minutesBetween($days[$day], $days[$day + 1]);
                }
                $capacity[$key][] = $minutes;
            }
        }

        return $capacity;
    }

    /** @param  list<int>  $days */
    private static function dayOf(array $days, int $minute): int
    {
        $low = 0;
        $high = count($days) - 1;
        while ($low < $high) {
            $mid = intdiv($low + $high + 1, 2);
            $days[$mid] <= $minute ? $low = $mid : $high = $mid - 1;
        }

        return $low;
    }
}

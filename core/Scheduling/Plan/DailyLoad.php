<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\WorkCentre;

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
        $share = self::shares($problem, $steps);
        foreach ($steps as $id => $step) {
            if ($step->workCentre === null || ! isset($load[$step->workCentre]) || ($share[$id] ?? 1.0) === 0.0) {
                continue;
            }
            $centre = $problem->workCentres[$step->workCentre];
            $open = $centre->ownOpen[$step->machine ?? 0] ?? $centre->open;
            $own = $load[$step->workCentre];
            for ($day = self::dayOf($days, $step->start); $day < count($days) - 1 && $days[$day] < $step->end; $day++) {
                $minutes = max(
                    0,
                    $open->minutesBetween(max($step->start, $days[$day]), min($step->end, $days[$day + 1])),
                );
                $own[$day] += isset($share[$id]) ? (int) round($minutes * $share[$id]) : $minutes;
            }
            $load[$step->workCentre] = array_values($own);
        }

        return $load;
    }

    /**
     * Of steps that go into loads together: planned, the longest of a load counts for all of it; only wanted, each by
     * what it takes of a load.
     *
     * @param  array<int, PlannedStep>  $steps
     * @return array<int, float> by step id; those that have a machine to themselves are not in it
     */
    private static function shares(Problem $problem, array $steps): array
    {
        $batches = array_filter($problem->workCentres, static fn (WorkCentre $centre): bool => $centre->batch > 0);
        $size = [];
        foreach ($batches === [] ? [] : $problem->jobs as $job) {
            foreach ($job->steps as $step) {
                $size[$step->id] = $step->size;
            }
        }
        $share = $longest = [];
        foreach ($steps as $id => $step) {
            $centre = $batches[$step->workCentre ?? -1] ?? null;
            if ($centre === null) {
                continue;
            }
            if ($step->machine === null) {
                $share[$id] = min(1.0, ($size[$id] ?? $centre->batch) / $centre->batch);

                continue;
            }
            $load = "{$step->workCentre}/{$step->machine}/{$step->start}";
            $other = $longest[$load] ?? null;
            $isLongest = $other === null || $step->end > $steps[$other]->end;
            $share[$id] = $isLongest ? 1.0 : 0.0;
            if ($isLongest) {
                $other === null ?: $share[$other] = 0.0;
                $longest[$load] = $id;
            }
        }

        return $share;
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

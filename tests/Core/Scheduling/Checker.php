<?php

namespace Tests\Core\Scheduling;

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;

/** Judges a schedule minute by minute, with none of the engine's code: windows are read as plain lists. */
final class Checker
{
    /** @return list<string> */
    public static function faults(Problem $problem, Schedule $schedule): array
    {
        $faults = [];
        $taken = $minutes = [];
        $known = array_map(fn (Job $job): int => $job->id, $problem->jobs);
        foreach ($problem->jobs as $job) {
            if (isset($schedule->unplaced[$job->id])) {
                continue;
            }
            $ready = $problem->now;
            foreach ($job->steps as $step) {
                $at = $schedule->steps[$step->id] ?? null;
                if ($at === null) {
                    $faults[] = "step {$step->id} not placed";

                    continue 2;
                }
                foreach ($step->afterJobs as $other) {
                    if (in_array($other, $known, true) && ($schedule->finish[$other] ?? PHP_INT_MAX) > $at->start) {
                        $faults[] = "step {$step->id} starts before job {$other} is finished";
                    }
                }
                if ($at->start < $ready && ! $step->started) {
                    $faults[] = "step {$step->id} starts at {$at->start}, before {$ready}";
                }
                if ($at->start < $step->materialAt && ! $step->started) {
                    $faults[] = "step {$step->id} starts before its material";
                }
                $end = $at->end;
                if ($step->workCentre === null) {
                    if ($at->end - $at->start !== max(1, $step->minutes)) {
                        $faults[] = "outside step {$step->id} takes another time";
                    }
                    $ready = $end + $step->wait + $step->move;
                } else {
                    $open = $minutes[$step->workCentre] ??= array_flip(
                        self::minutes($problem->workCentres[$step->workCentre]->open),
                    );
                    $during = range($at->start, $at->end - 1);
                    $works = count(array_filter($during, fn (int $minute): bool => isset($open[$minute])));
                    if ($works !== max(1, $step->setup + $step->minutes)) {
                        $faults[] = "step {$step->id} works {$works}";
                    }
                    if (! isset($open[$at->start], $open[$at->end - 1])) {
                        $faults[] = "step {$step->id} starts or ends in closed time";
                    }
                    if ($at->machine < 1 || $at->machine > $problem->workCentres[$step->workCentre]->machines) {
                        $faults[] = "step {$step->id} on machine {$at->machine}";
                    }
                    $taken[$step->workCentre][$at->machine][] = [$at->start, $at->end, $step->id];
                    $ready = $end + $step->wait;
                    $moving = $step->move === 0
                            ? []
                            : array_values(array_filter(array_keys($open), fn (int $m): bool => $m >= $ready));
                    $ready = $step->move === 0
                            ? $ready
                            : (isset($moving[$step->move - 1])
                                ? $moving[$step->move - 1] + 1
                                : $ready + $step->move);
                }
            }
            if (($schedule->finish[$job->id] ?? null) !== $ready) {
                $faults[] = "job {$job->id} is said to finish at "
                    .($schedule->finish[$job->id] ?? 'never')
                    .", its steps say {$ready}";
            }
        }
        foreach ($taken as $machines) {
            foreach ($machines as $spans) {
                sort($spans);
                foreach ($spans as $i => [$start, , $id]) {
                    if ($i > 0 && $start < $spans[$i - 1][1]) {
                        $faults[] = "step {$id} starts before {$spans[$i - 1][2]} has left the machine";
                    }
                }
            }
        }

        return $faults;
    }

    /**
     * A case of the calendar-job-shop-1 format as a problem.
     *
     * @param  array<string, mixed>  $instance
     * @return array{Problem, array<string, int>} and job ids by order name
     */
    public static function problem(array $instance): array
    {
        $centres = $keys = $names = $jobs = [];
        foreach ($instance['work_centres'] as $i => $centre) {
            $spans = [];
            for ($week = 0; $week < 4; $week++) {
                foreach ($centre['shifts'] as $shift) {
                    $spans[] = [$week * 10080 + $shift['from'], $week * 10080 + $shift['to']];
                }
            }
            $keys[$centre['id']] = $i;
            $centres[$i] = new WorkCentre($centre['id'], $centre['machines'], OpenWindows::of($spans, [], 0, 40320));
        }
        foreach ($instance['orders'] as $i => $order) {
            $names[$order['id']] = $i;
        }
        $id = 0;
        foreach ($instance['orders'] as $i => $order) {
            $steps = [];
            foreach ($order['operations'] as $n => $operation) {
                $steps[] = isset($operation['outside'])
                    ? new Step(
                        ++$id,
                        null,
                        $operation['lead_min'],
                        materialAt: $n === 0 ? $order['release'] : 0,
                        afterJobs: $n === 0
                            ? array_map(fn (string $name): int => $names[$name], $order['predecessors'])
                            : [],
                    )
                    : new Step(
                        ++$id,
                        $keys[$operation['work_centre']],
                        (int) ceil($operation['setup_min'] + $operation['run_min_per_unit'] * $operation['quantity']),
                        materialAt: $n === 0 ? $order['release'] : 0, afterJobs: $n === 0
                            ? array_map(fn (string $name): int => $names[$name], $order['predecessors']) : []);
            }
            $jobs[] = new Job($i, $order['id'], 1, $order['due'], $steps);
        }

        return [new Problem(0, $centres, $jobs), $names];
    }

    public static function random(): Problem
    {
        $centres = [];
        for ($c = mt_rand(1, 3); $c > 0; $c--) {
            $spans = [];
            for ($t = mt_rand(0, 60); $t < 3000; $t += mt_rand(20, 200)) {
                $spans[] = [$t, $t += mt_rand(5, 120)];
            }
            $centres[$c] = new WorkCentre("centre {$c}", mt_rand(1, 3), OpenWindows::of($spans, [], 0, 3400));
        }
        $jobs = [];
        $id = 0;
        $started = [];
        for ($j = 1, $n = mt_rand(1, 7); $j <= $n; $j++) {
            $steps = [];
            for ($s = mt_rand(1, 4); $s > 0; $s--) {
                $centre = mt_rand(0, 4) === 0 ? null : mt_rand(1, count($centres));
                $start = $steps === [] && $centre !== null && mt_rand(0, 5) === 0 && ! isset($started[$centre]);
                if ($start) {
                    $started[$centre] = true;
                }
                $steps[] = new Step(
                    ++$id,
                    $centre,
                    mt_rand(1, 90),
                    mt_rand(0, 3) === 0 ? mt_rand(1, 80) : 0,
                    mt_rand(0, 3) === 0 ? mt_rand(1, 15) : 0,
                    ! $start && mt_rand(0, 4) === 0 ? mt_rand(1, 600) : 0,
                    ! $start && $steps === [] && $j > 1 && mt_rand(0, 3) === 0 ? [mt_rand(1, $j - 1)] : [],
                    $start,
                );
            }
            $jobs[] = new Job($j, "job {$j}", mt_rand(1, 3), mt_rand(0, 3000), $steps);
        }

        return new Problem(0, $centres, $jobs);
    }

    /** @return list<int> */
    private static function minutes(OpenWindows $open): array
    {
        $minutes = [];
        foreach ($open->starts as $i => $start) {
            array_push($minutes, ...range($start, $open->ends[$i] - 1));
        }

        return $minutes;
    }
}

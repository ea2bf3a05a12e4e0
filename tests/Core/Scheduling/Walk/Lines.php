<?php

namespace Tests\Core\Scheduling\Walk;

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Loading\Loading;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\Walk\Facts;
use KeepPace\Core\Scheduling\Walk\Line;
use KeepPace\Core\Scheduling\Walk\Shop;
use KeepPace\Core\Scheduling\Walk\Stands;
use KeepPace\Core\Scheduling\Walk\Stretch;
use KeepPace\Core\Scheduling\WorkCentre;

/** An order of operations as a walk has it, made by loading it; and what a move makes of one. */
final class Lines
{
    /**
     * Places, neighbours at the work centre, times as loaded, each in the way its routing says.
     *
     * @param  list<int>  $at
     */
    public static function of(Net $net, array $at): Line
    {
        $firstWays = array_fill(0, $net->count, 0);
        $schedule = Loading::load($net, $at, only: $firstWays);
        $prior = $behind = $end = $out = array_fill(0, $net->count, -1);
        $last = [];
        foreach ($at as $x) {
            $end[$x] = $schedule->steps[$net->step[$x]->id]->end - $net->origin;
            $out[$x] = $net->out($x, $end[$x]);
            if (($c = $net->centre[$x]) >= 0) {
                if (isset($last[$c])) {
                    $prior[$x] = $last[$c];
                    $behind[$last[$c]] = $x;
                }
                $last[$c] = $x;
            }
        }

        return new Line($at, array_flip($at), $prior, $behind, $firstWays, $net->centre, $net->work, $end, $out, $end,
            [], 1);
    }

    /** @param  int  ...$fixed  operations nothing passes */
    public static function facts(Net $net, int ...$fixed): Facts
    {
        return new Facts($net, new Shop($net), new Stands(fixed: array_values($fixed)));
    }

    /**
     * Jobs of an hour each at these benches, one machine at each, all ready at 0.
     *
     * @param  list<int>  ...$routes  of each job: its benches in order
     */
    public static function hours(array ...$routes): Net
    {
        $bench = new WorkCentre('Bench', 1, OpenWindows::of([[0, 5000]], [], 0, 5000));
        $jobs = [];
        foreach (array_values($routes) as $n => $benches) {
            $steps = array_map(
                static fn (int $k): Step => new Step(10 * $n + $k, $benches[$k], 60),
                array_keys($benches),
            );
            $jobs[] = new Job($n, "job {$n}", 1, 0, $steps);
        }

        return Net::of(new Problem(0, array_fill_keys(array_merge(...$routes), $bench), $jobs));
    }

    /**
     * @param  list<int>  $at
     * @return list<int>
     */
    public static function replaced(array $at, Stretch $stretch): array
    {
        array_splice($at, $stretch->from, count($stretch->order), $stretch->order);

        return $at;
    }

    /**
     * What is wrong with an order a move came to: lost operations, one before what it waits for, one that moved though
     * the move does not name it.
     *
     * @param  list<int>  $at  before
     * @return list<string>
     */
    public static function faults(Net $net, array $at, Stretch $stretch): array
    {
        $new = self::replaced($at, $stretch);
        $faults = [];
        if (array_diff($at, $new) !== [] || count($at) !== count($new)) {
            $faults[] = 'operations are lost';
        }
        $place = array_flip($new);
        foreach ($net->before as $x => $before) {
            foreach ($before as $y) {
                $place[$y] < $place[$x] ?: $faults[] = "{$x} before {$y}, for which it waits";
            }
        }
        $stays = static fn (int $x): bool => ! in_array($x, $stretch->moved, true);
        if (array_values(array_filter($new, $stays)) !== array_values(array_filter($at, $stays))) {
            $faults[] = 'others move as well';
        }

        return $faults;
    }
}

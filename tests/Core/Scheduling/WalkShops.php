<?php

namespace Tests\Core\Scheduling;

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Alternative;
use KeepPace\Core\Scheduling\Changeovers;
use KeepPace\Core\Scheduling\Crew;
use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\PassOn;
use KeepPace\Core\Scheduling\Person;
use KeepPace\Core\Scheduling\Pin;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\SharedRun;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;

/** Random shops of what a walk works out by itself, one feature or all of them; made by mt_rand. */
final class WalkShops
{
    private const WEEKS = 12;

    private const FAMILIES = ['304', '316', 'brass'];

    /** What goes by something else than a family where runs are shared. */
    private const RUNS = ['run 1', 'run 2', Changeovers::NOTHING];

    /** @param  list<string>  $with  ways, families, own, crews, shared, able, whole, oven, move, pins, transfer */
    public static function random(array $with): Problem
    {
        $has = array_flip($with);
        $centres = $crews = [];
        for ($c = 1, $n = mt_rand(2, 5); $c <= $n; $c++) {
            $machines = mt_rand(1, 3);
            $open = self::open();
            $own = [];
            for ($m = 1; $m <= $machines && isset($has['own']); $m++) {
                mt_rand(0, 2) > 0 ?: $own[$m] = self::open();
            }
            $families = isset($has['families']) && mt_rand(0, 2) > 0 ? self::changeovers() : null;
            if (isset($has['shared'])) {
                // two crews for all, some of whom can weld
                $able = array_map(
                    static fn (int $n): array => isset($has['able']) && $n % 2 === 0 ? ['welding'] : [],
                    range(0, mt_rand(2, 4)),
                );
                $crews[$c] = $crews[$c - 2] ?? new Crew("crew {$c}", array_map(
                    static fn (array $skills): Person => new Person('somebody', self::open(), $skills),
                    $able,
                ));
            } elseif (isset($has['crews']) && $own === []) {
                // fewer people than machines that are set up apart are only near (decision 098)
                $heads = $families === null ? mt_rand(1, 4) : $machines;
                $people = array_fill(0, $heads, new Person('somebody', $open));
                $crews[$c] = new Crew("crew {$c}", array_values($people));
            }
            $now = $families === null ? [] : [1 => self::FAMILIES[mt_rand(0, 2)]];
            $batch = isset($has['oven']) && mt_rand(0, 1) === 0 ? 5 : 0;
            $centres[$c] = new WorkCentre("centre {$c}", $machines, $open, $own, $batch, $families, $now);
        }
        $jobs = [];
        $id = 0;
        for ($j = 0, $n = mt_rand(3, 12); $j < $n; $j++) {
            $steps = [];
            for ($s = 0, $k = mt_rand(1, 5); $s < $k; $s++) {
                $after = $j > 0 && $s === 0 && mt_rand(0, 4) === 0 ? $j : 0;
                $steps[] = self::step($id++, $centres, $crews, $has, $after);
            }
            $jobs[] = new Job($j + 1, "job {$j}", mt_rand(1, 9), mt_rand(0, 6000), $steps, mt_rand(1, 9));
        }

        return new Problem(0, $centres, $jobs, $crews);
    }

    /**
     * @param  array<int, WorkCentre>  $centres
     * @param  array<int, Crew>  $crews
     * @param  array<string, int>  $has
     */
    private static function step(int $id, array $centres, array $crews, array $has, int $after): Step
    {
        $centre = mt_rand(1, count($centres));
        if (mt_rand(0, 9) === 0) {
            return new Step($id, null, mt_rand(100, 3000));
        }
        $ways = [];
        foreach (array_keys($centres) as $other) {
            if (isset($has['ways']) && $other !== $centre && mt_rand(0, 2) === 0) {
                $need = self::crewing($crews, $other, $has);
                $ways[] = new Alternative($other, mt_rand(10, 300), mt_rand(0, 40), $need);
            }
        }

        return new Step(
            $id,
            $centre,
            mt_rand(10, 300),
            wait: isset($has['move']) && mt_rand(0, 3) === 0 ? mt_rand(1, 200) : 0,
            move: isset($has['move']) && mt_rand(0, 3) === 0 ? mt_rand(1, 60) : 0,
            materialAt: mt_rand(0, 3) === 0 ? mt_rand(0, 3000) : 0,
            afterJobs: $after > 0 ? [$after] : [],
            setup: mt_rand(0, 1) * mt_rand(1, 60),
            setupNeedsMaterial: mt_rand(0, 3) === 0,
            family: isset($has['families']) && mt_rand(0, 4) > 0 ? self::family() : null,
            setupWithRun: isset($has['whole']) && mt_rand(0, 3) === 0,
            unbroken: isset($has['whole']) && mt_rand(0, 3) === 0,
            size: isset($has['oven']) ? mt_rand(1, 3) : 1,
            crewing: self::crewing($crews, $centre, $has),
            alternatives: $ways,
            passOn: isset($has['transfer']) && mt_rand(0, 2) > 0 ? new PassOn(mt_rand(0, 90), mt_rand(0, 60)) : null,
            pin: isset($has['pins']) && mt_rand(0, 7) === 0
                ? new Pin(mt_rand(0, 9000), mt_rand(1, $centres[$centre]->machines))
                : null,
        );
    }

    /**
     * At each work centre all ask for as many, unless they are shared: the walk takes them for machines.
     *
     * @param  array<int, Crew>  $crews
     * @param  array<string, int>  $has
     */
    private static function crewing(array $crews, int $centre, array $has): ?Crewing
    {
        if (! isset($crews[$centre])) {
            return null;
        }
        if (isset($has['shared'])) {
            $shared = array_search($crews[$centre], $crews, true);

            return mt_rand(0, 4) === 0 ? null : new Crewing(
                (int) $shared,
                mt_rand(0, 2),
                mt_rand(0, 2),
                isset($has['able']) && mt_rand(0, 2) === 0 ? 'welding' : null,
            );
        }
        $each = count($crews[$centre]->persons) === 4 ? 2 : 1;

        return new Crewing($centre, $each, $each);
    }

    private static function family(): string
    {
        return mt_rand(0, 3) === 0 ? self::RUNS[mt_rand(0, 2)] : self::FAMILIES[mt_rand(0, 2)];
    }

    private static function changeovers(): Changeovers
    {
        $minutes = [];
        foreach (self::FAMILIES as $before) {
            foreach (self::FAMILIES as $after) {
                $minutes[$before][$after] = $before === $after ? 0 : mt_rand(0, 90);
            }
        }

        return new Changeovers($minutes, 20, [
            'run 1' => new SharedRun(mt_rand(5, 120), self::FAMILIES[mt_rand(0, 2)]),
            'run 2' => new SharedRun(mt_rand(5, 120)),
        ]);
    }

    private static function open(): OpenWindows
    {
        $windows = [];
        $from = mt_rand(0, 8) * 60;
        for ($day = 0; $day < 7 * self::WEEKS; $day++) {
            if ($day % 7 < 5 || mt_rand(0, 3) === 0) {
                $at = $day * 1440 + $from;
                $windows[] = [$at, $at + 240];
                $windows[] = [$at + 270, $at + 270 + mt_rand(60, 300)];
            }
        }

        return OpenWindows::of($windows, [], 0, 7 * self::WEEKS * 1440);
    }

    /** Three jobs of two steps on two machines, each step on either of them. */
    public static function small(): Problem
    {
        $open = OpenWindows::of([[0, 20_000]], [], 0, 20_000);
        $centres = [1 => new WorkCentre('one', 1, $open), 2 => new WorkCentre('other', 1, $open)];
        $jobs = [];
        for ($j = 0; $j < 3; $j++) {
            $steps = [];
            for ($s = 0; $s < 2; $s++) {
                $at = mt_rand(1, 2);
                $steps[] = new Step(
                    2 * $j + $s,
                    $at,
                    mt_rand(10, 90),
                    alternatives: [new Alternative(3 - $at, mt_rand(10, 120))],
                );
            }
            $jobs[] = new Job($j + 1, "job {$j}", 1, mt_rand(20, 150), $steps, mt_rand(1, 9));
        }

        return new Problem(0, $centres, $jobs);
    }

    /** @return list<list<int>> all orders in which each operation stands behind those it waits for */
    public static function orders(Net $net): array
    {
        $orders = [[]];
        for ($length = 0; $length < $net->count; $length++) {
            $longer = [];
            foreach ($orders as $order) {
                for ($x = 0; $x < $net->count; $x++) {
                    if (! in_array($x, $order, true) && array_diff($net->before[$x], $order) === []) {
                        $longer[] = [...$order, $x];
                    }
                }
            }
            $orders = $longer;
        }

        return $orders;
    }
}

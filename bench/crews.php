<?php

/*
 * A first plan where people keep different hours: 300 steps on two work centres of 8, and of 60, machines that share
 * four people, against the same shop with enough people.
 *   bench/run crews
 * Aim: under a second, however many machines there are.
 */

require __DIR__.'/../vendor/autoload.php';

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Crew;
use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Person;
use KeepPace\Core\Scheduling\Plan\ForwardLoading;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;

const DAYS = 400;

/** @param  list<int>  $off  days of the week besides the week-end, from 0 = Monday */
$hours = function (int $from, int $to, array $off = []): OpenWindows {
    $spans = [];
    for ($day = 0; $day < DAYS; $day++) {
        if (! in_array($day % 7, [5, 6, ...$off], true)) {
            $spans[] = [$day * 1440 + $from, $day * 1440 + $to];
        }
    }

    return OpenWindows::of($spans, [], 0, DAYS * 1440);
};
$shop = function (int $machines, ?array $people) use ($hours): Problem {
    mt_srand(3);
    $jobs = [];
    for ($id = 1; $id <= 150; $id++) {
        $steps = array_map(fn (int $centre): Step => new Step(
            2 * $id + $centre,
            $centre,
            mt_rand(60, 600),
            crewing: $people === null ? null : new Crewing(1, 1, 1),
        ), [1, 2]);
        $jobs[] = new Job($id, "order {$id}", mt_rand(1, 9), mt_rand(1, 60) * 1440, $steps);
    }
    $open = $hours(360, 1320);
    $centres = [1 => new WorkCentre('A', $machines, $open), 2 => new WorkCentre('B', $machines, $open)];

    return new Problem(0, $centres, $jobs, $people === null ? [] : [1 => new Crew('crew', $people)]);
};
$people = [
    new Person('early', $hours(360, 840)),
    new Person('day, not on Wednesdays', $hours(420, 930, [2])),
    new Person('late', $hours(840, 1320)),
    new Person('short, not on Mondays and Fridays', $hours(600, 900, [0, 4])),
];
foreach ([8, 60] as $machines) {
    $took = [];
    foreach (['enough people' => null, 'four people' => $people] as $name => $of) {
        $problem = $shop($machines, $of);
        $times = [];
        for ($run = 0; $run < 5; $run++) {
            $began = microtime(true);
            ForwardLoading::load($problem);
            $times[] = microtime(true) - $began;
        }
        sort($times);
        $took[$name] = $times[2];
        printf("%d machines each, %s: %.3f s\n", $machines, $name, $times[2]);
    }
    printf("  ratio %.1f\n", $took['four people'] / $took['enough people']);
}

<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Plan\DailyLoad;
use KeepPace\Core\Scheduling\Plan\Wanted;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;

/*
 * Load against capacity, and infinite loading backward from the due date: common practice; figures worked out by hand.
 */

/** 8 open hours from the start of each day. */
function eightHours(int $days = 20): OpenWindows
{
    return OpenWindows::of(
        array_map(fn (int $day): array => [$day * 1440, $day * 1440 + 480], range(0, $days - 1)),
        [],
        0,
        $days * 1440,
    );
}

it('counts open minutes of steps and machines by day', function () {
    $own = OpenWindows::of([[0, 240]], [], 0, 28800); // the second machine is down from noon of the first day
    $problem = new Problem(
        0,
        [1 => new WorkCentre('Saw', 2, eightHours(), [2 => $own]), 2 => new WorkCentre('Mill', 1, eightHours())],
        [],
    );
    $steps = [
        1 => new PlannedStep(400, 1540, 1, 1),
        2 => new PlannedStep(0, 300, 2, 1),
        3 => new PlannedStep(0, 9000, null),
    ];
    $days = [0, 1440, 2880, 4320];
    // the first: 80 minutes on day one, 100 on day two; the second stops when its machine is down
    expect(DailyLoad::of($problem, $steps, $days))->toBe([1 => [80 + 240, 100, 0], 2 => [0, 0, 0]])
        ->and(DailyLoad::capacity($problem, $days))->toBe([1 => [720, 480, 480], 2 => [480, 480, 480]]);
});

it('counts a load of several orders once, and of what is only wanted its part of a load', function () {
    $oven = new WorkCentre('Oven', 1, eightHours(), batch: 40);
    $jobs = array_map(
        fn (int $id): Job => new Job($id, "order {$id}", $id, null, [new Step($id, 1, 100, size: 10)]),
        [1, 2, 3],
    );
    $problem = new Problem(0, [1 => $oven], $jobs);
    $planned = [
        1 => new PlannedStep(0, 100, 1, 1),
        2 => new PlannedStep(0, 90, 1, 1),
        3 => new PlannedStep(200, 300, 1, 1),
    ];
    $wanted = array_map(fn (PlannedStep $at): PlannedStep => new PlannedStep(0, 100, null, 1), $planned);
    expect(DailyLoad::of($problem, $planned, [0, 1440]))->toBe([1 => [200]])
        ->and(DailyLoad::of($problem, $wanted, [0, 1440]))->toBe([1 => [75]]); // three quarters of a load
});

it('adds up to the work there is, however the days are cut', function () {
    $problem = new Problem(0, [1 => new WorkCentre('Saw', 3, eightHours())], []);
    $steps = [];
    for ($i = 0; $i < 60; $i++) {
        $from = ($i * 379) % 9000;
        $steps[$i] = new PlannedStep($from, $from + 20 + ($i * 97) % 3000, 1 + $i % 3, 1);
    }
    $length = fn (PlannedStep $at): int => eightHours()->minutesBetween($at->start, $at->end);
    $all = array_sum(array_map($length, $steps));
    foreach ([[0, 20000], [0, 100, 1440, 5000, 20000], range(0, 20160, 1440)] as $days) {
        expect(array_sum(DailyLoad::of($problem, $steps, $days)[1]))->toBe($all);
    }
});

it('wants each step as late as its date allows, parts before what they go into', function () {
    $part = new Job(2, 'part', 2, null, [new Step(20, 1, 100)]);
    $whole = new Job(1, 'whole', 1, 3 * 1440 + 480, [
        new Step(10, 1, 400, afterJobs: [2]),
        new Step(11, null, 1440),
        new Step(12, 1, 60),
    ]);
    $wanted = Wanted::of(new Problem(0, [1 => new WorkCentre('Saw', 1, eightHours())], [$whole, $part]));
    // 12 ends with day four; 11 the 24 hours before; 10 ends at 420 of day three, and began at 20; the part ends there
    expect([$wanted[12]->start, $wanted[12]->end])->toBe([4740, 4800])
        ->and([$wanted[11]->start, $wanted[11]->end])->toBe([3300, 4740])
        ->and([$wanted[10]->start, $wanted[10]->end])->toBe([2900, 3300])
        ->and([$wanted[20]->start, $wanted[20]->end])->toBe([1840, 2900]);
});

it('wants at once what should have begun before now, and what nobody waits for', function () {
    $late = new Job(1, 'late', 1, 400, [new Step(10, 1, 300), new Step(11, 1, 200)]);
    $free = new Job(2, 'free', 1, null, [new Step(20, 1, 30)]);
    $wanted = Wanted::of(new Problem(60, [1 => new WorkCentre('Saw', 1, eightHours())], [$late, $free]));
    expect([$wanted[10]->start, $wanted[10]->end])->toBe([60, 360])
        ->and([$wanted[11]->start, $wanted[11]->end])->toBe([360, 1520])
        ->and([$wanted[20]->start, $wanted[20]->end])->toBe([60, 90]);
    // a loop of orders is not for it to refuse
    $loop = Wanted::of(
        new Problem(
            0,
            [1 => new WorkCentre('Saw', 1, eightHours())],
            [
                new Job(1, 'a', 1, 400, [new Step(1, 1, 10, afterJobs: [2])]),
                new Job(2, 'b', 1, null, [new Step(2, 1, 10, afterJobs: [1])]),
            ],
        ),
    );
    expect($loop)->toHaveCount(2);
});

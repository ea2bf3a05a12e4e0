<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Alternative;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Pin;
use KeepPace\Core\Scheduling\Plan\Comparison;
use KeepPace\Core\Scheduling\Plan\Drop;
use KeepPace\Core\Scheduling\Plan\ForwardLoading;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\Plan\Put;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Scheduling\FullChecker;

/* A person moves a step: common practice of planning boards. Expected times are worked out by hand in each test. */

/**
 * Two work centres, day shifts of 8 hours in every 24.
 *
 * @param  list<Job>  $jobs
 */
function dayShop(array $jobs, int $now = 0): Problem
{
    $open = [];
    for ($day = 0; $day < 30; $day++) {
        $open[] = [$day * 1440, $day * 1440 + 480];
    }
    $windows = OpenWindows::of($open, [], 0, 43200);

    return new Problem(
        $now,
        [1 => new WorkCentre('Saw', 2, $windows), 2 => new WorkCentre('Mill', 1, $windows)],
        $jobs,
    );
}

function sawn(int $id, int $minutes, int $rank, ?int $due = null, int $milled = 0): Job
{
    return new Job($id, "order {$id}", $rank, $due, [
        new Step($id * 10, 1, $minutes, alternatives: [new Alternative(2, 2 * $minutes)]),
        ...$milled > 0 ? [new Step($id * 10 + 1, 2, $milled)] : [],
    ]);
}

/** @return array<int, array{int, int, int|null}> start, work centre, machine by step */
function stands(array $steps): array
{
    ksort($steps);

    return array_map(fn (PlannedStep $at): array => [$at->start, (int) $at->workCentre, $at->machine], $steps);
}

it('goes before what it is put on in the first half, behind it in the second, and the others make room', function (
    int $minute,
    array $order,
) {
    $problem = dayShop([sawn(1, 100, 1), sawn(2, 100, 2), sawn(3, 50, 3), sawn(4, 60, 4)]);
    // one machine each: 1 and 3 on the first, 2 and 4 on the second
    $was = [
        10 => new PlannedStep(0, 100, 1, 1),
        20 => new PlannedStep(0, 100, 2, 1),
        30 => new PlannedStep(100, 150, 1, 1),
        40 => new PlannedStep(100, 160, 2, 1),
    ];
    $after = KeptSequence::moved($problem, $was, new Put(40, 1, 1, $minute));
    $first = array_filter($after->steps, fn (PlannedStep $at): bool => $at->machine === 1 && $at->workCentre === 1);
    uasort($first, fn ($a, $b): int => $a->start <=> $b->start);
    expect(array_keys($first))->toBe($order)->and($after->steps[20]->start)->toBe(0);
})->with([[20, [40, 10, 30]], [80, [10, 40, 30]], [110, [10, 40, 30]], [140, [10, 30, 40]], [9000, [10, 30, 40]]]);

it('goes to another work centre in that one\'s time', function () {
    $problem = dayShop([sawn(1, 100, 1), sawn(2, 60, 2)]);
    $was = [10 => new PlannedStep(0, 100, 1, 1), 20 => new PlannedStep(0, 60, 2, 1)];
    $after = KeptSequence::moved($problem, $was, new Put(20, 2, 1, 0));
    expect([$after->steps[20]->workCentre, $after->steps[20]->machine, $after->steps[20]->end])->toBe([2, 1, 120]);
});

it('never goes before the step ahead of it, and takes what follows along', function () {
    $problem = dayShop([
        sawn(1, 100, 1, milled: 50),
        sawn(2, 100, 2, milled: 50),
        new Job(3, 'order 3', 3, null, [new Step(31, 2, 30)]),
    ]);
    $was = ForwardLoading::load($problem)->steps;
    // the milling of 2 is put to the very beginning: its sawing ends at 100, and 31 keeps its place before it
    $early = KeptSequence::moved($problem, $was, new Put(21, 2, 1, 0));
    expect($early->steps[21]->start)->toBeGreaterThanOrEqual($early->steps[20]->end)
        ->and(stands($early->steps)[20])->toBe(stands($was)[20]);
    // the sawing of 1 goes behind that of 2 on its machine: its milling waits for it
    $late = KeptSequence::moved($problem, $was, new Put(10, 1, 2, 90));
    expect($late->steps[10]->start)->toBe(100)
        ->and($late->steps[11]->start)->toBeGreaterThanOrEqual($late->steps[10]->end);
});

it('keeps every rule of the shop, wherever a step of a random shop is put', function (int $seed) {
    $random = new Randomizer(new Mt19937($seed));
    $jobs = [];
    for ($i = 1; $i <= 12; $i++) {
        $jobs[] = sawn(
            $i,
            $random->getInt(5, 200),
            $random->getInt(1, 9),
            $random->getInt(100, 6000),
            $random->getInt(0, 1) * $random->getInt(5, 150),
        );
    }
    $problem = dayShop($jobs);
    $was = ForwardLoading::load($problem)->steps;
    for ($i = 0; $i < 25; $i++) {
        $id = array_keys($was)[$random->getInt(0, count($was) - 1)];
        $centre = $id % 10 === 1 ? 2 : $random->getInt(1, 2);
        $machine = $centre === 1 ? $random->getInt(1, 2) : 1;
        $after = KeptSequence::moved($problem, $was, new Put($id, $centre, $machine, $random->getInt(0, 8000)));
        expect(FullChecker::faults($problem, $after))->toBe([])
            ->and([$after->steps[$id]->workCentre, $after->steps[$id]->machine])->toBe([$centre, $machine]);
        // the others keep their sequences: without the moved step, each machine's order is what it was
        $sequence = function (array $steps) use ($id): array {
            unset($steps[$id]);
            uasort($steps, fn ($a, $b): int => [$a->start, $a->end] <=> [$b->start, $b->end]);
            $by = [];
            foreach ($steps as $step => $at) {
                $by["{$at->workCentre}/{$at->machine}"][] = $step;
            }
            ksort($by);

            return $by;
        };
        // what waits for it may have to give way
        $follows = array_filter([$id + 1], fn (int $step): bool => isset($was[$step]));
        $drop = fn (array $by): array => array_map(
            fn (array $steps): array => array_values(array_diff($steps, $follows)),
            $by,
        );
        expect(array_filter($drop($sequence($after->steps))))->toBe(array_filter($drop($sequence($was))));
        $was = $after->steps;
    }
})->with(range(1, 20));

it('says what speaks against a place', function () {
    $problem = dayShop(
        [
            sawn(1, 100, 1, milled: 50),
            new Job(2, 'order 2', 2, null, [new Step(20, 1, 30, materialAt: 2000, afterJobs: [1])]),
            new Job(3, 'order 3', 3, null, [new Step(30, null, 1440), new Step(31, 1, 30, started: true)]),
        ],
        60,
    );
    $was = ForwardLoading::load($problem)->steps;
    $impossible = fn (int $step, int $centre, int $machine): ?string => Drop::of(
        $problem,
        new Put($step, $centre, $machine, 100),
    )?->impossible();
    expect($impossible(10, 1, 3))->toBe('Saw has no such machine.')
        ->and($impossible(20, 2, 1))->toBe('Mill cannot do this step; Saw can.')
        ->and($impossible(30, 1, 1))->toContain('done at a supplier')
        ->and($impossible(31, 1, 1))->toContain('running')
        ->and($impossible(10, 2, 1))->toBeNull()
        ->and(Drop::of($problem, new Put(99, 1, 1, 0)))->toBeNull();
    $against = fn (int $step, int $centre, int $minute): array => Drop::of(
        $problem,
        new Put($step, $centre, 1, $minute),
    )->against($was);
    expect($against(10, 1, 30))->toBe(['That is in the past.'])
        ->and($against(10, 1, 600))->toBe(['Saw is closed then.'])
        ->and($against(11, 2, 80))->toBe(['The step ahead of it is not done by then.'])
        ->and($against(20, 1, 100))
        ->toBe(['Its material is not there by then.', 'The parts of order 1 are not done by then.'])
        ->and($against(20, 1, 2900))->toBe([]);
});

it('tells what one plan does to the dates of another', function () {
    $jobs = [sawn(1, 10, 1, 100), sawn(2, 10, 1, 100), sawn(3, 10, 1, 100), sawn(4, 10, 1, 100), sawn(5, 10, 1, null)];
    $open = OpenWindows::of([[0, 120], [1440, 2000]], [], 0, 5000);
    $at = fn (int $start): PlannedStep => new PlannedStep($start, $start + 10, 1, 1);
    $comparison = Comparison::of(
        $jobs,
        [1 => 90, 2 => 110, 3 => 120, 4 => 1450, 5 => 9000],
        [1 => 1450, 2 => 100, 3 => 110, 5 => 10],
        [10 => $at(5), 20 => $at(8)],
        [10 => $at(5), 20 => $at(9)],
        $open,
    );
    // 100 to 120 and 1440 to 1450 are open: 30 minutes
    expect($comparison->becomeLate())->toBe([1 => 30])
        ->and($comparison->saved())->toBe([2])
        ->and($comparison->otherwise())->toBe([3 => -10])
        ->and($comparison->lost)->toBe([4])
        ->and($comparison->moved)->toBe([20])
        ->and($comparison->totalBefore())->toBe(10 + 20 + 30)
        ->and($comparison->totalAfter())->toBe(40);
});

it('keeps a pinned step at its minute while others are moved around it', function () {
    $pinned = new Job(1, 'order 1', 1, null, [new Step(10, 1, 100, pin: new Pin(200, 1))]);
    $problem = dayShop([$pinned, sawn(2, 60, 2)]);
    $was = [10 => new PlannedStep(200, 300, 1, 1), 20 => new PlannedStep(0, 60, 2, 1)];
    $after = KeptSequence::moved($problem, $was, new Put(20, 1, 1, 150));
    expect($after->steps[10]->start)->toBe(200)->and($after->steps[20]->machine)->toBe(1)
        ->and($after->steps[20]->end <= 200 || $after->steps[20]->start >= 300)->toBeTrue();
});

it('brings steps together where the last of them stands, and moves nothing else', function (): void {
    $shop = dayShop([
        sawn(1, 60, 1, milled: 60),
        sawn(2, 60, 2, milled: 60),
        sawn(3, 60, 3, milled: 60),
        sawn(4, 60, 4, milled: 60),
    ]);
    $before = ForwardLoading::load($shop)->steps;
    // the mill has them one behind the other: 1, 2, 3, 4
    expect(stands($before)[11][0])->toBe(60)
        ->and([stands($before)[21][0], stands($before)[31][0], stands($before)[41][0]])->toBe([120, 180, 240]);
    $after = KeptSequence::together($shop, $before, [11, 31]);
    $mill = fn (array $steps): array => array_map(fn (int $id): int => stands($steps)[$id][0], [21, 11, 31, 41]);
    expect($mill($after->steps))->toBe([60, 120, 180, 240])
        ->and(array_intersect_key(stands($after->steps), [10 => 0, 20 => 0, 30 => 0, 40 => 0]))
        ->toBe(array_intersect_key(stands($before), [10 => 0, 20 => 0, 30 => 0, 40 => 0]));
    // once together they stay so
    expect($mill(KeptSequence::load($shop, $after->steps)->steps))->toBe([60, 120, 180, 240]);
});

<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Plan\ForwardLoading;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;
use Tests\Core\Scheduling\Checker;

/** @param  list<array{int, int}>  $spans */
function open(array $spans): OpenWindows
{
    return OpenWindows::of($spans, [], 0, 100000);
}

it('loads by rank, then due date, pausing at closed time', function () {
    $centre = new WorkCentre('Saw', 1, open([[480, 720], [780, 1020], [1920, 2160]]));
    $schedule = ForwardLoading::load(new Problem(0, [1 => $centre], [
        new Job(1, 'order 1', 500, 9000, [new Step(11, 1, 270)]),
        new Job(2, 'order 2', 500, 5000, [new Step(21, 1, 100)]),
        new Job(3, 'order 3', 100, null, [new Step(31, 1, 50)]),
    ]));
    // rank first, then the earlier date; 270 minutes from 630 have 90 before noon, 180 after
    expect(array_map(fn ($step) => [$step->start, $step->end, $step->machine], $schedule->steps))
        ->toEqual([31 => [480, 530, 1], 21 => [530, 630, 1], 11 => [630, 960, 1]]);
});

it('works 270 minutes begun at 480 until 810, and 240 until 720: the calendar instances of the checks folder',
    function (int $minutes, int $end) {
        $schedule = ForwardLoading::load(
            new Problem(
                0,
                [1 => new WorkCentre('Saw', 1, open([[480, 720], [780, 1020]]))],
                [new Job(1, 'order 1', 1, null, [new Step(1, 1, $minutes)])],
            ),
        );
        expect($schedule->steps[1]->end)->toBe($end);
    })->with([[270, 810], [240, 720]]);

it('keeps started steps, material dates, waiting and moving, and outside time through the night', function () {
    $centre = new WorkCentre('Weld', 1, open([[480, 1020], [1920, 2460]]));
    $schedule = ForwardLoading::load(new Problem(500, [1 => $centre], [
        new Job(1, 'order 1', 1, null, [new Step(1, 1, 30, materialAt: 700), new Step(2, null, 1440)]),
        new Job(2, 'order 2', 9, null, [new Step(3, 1, 120, wait: 600, move: 20, started: true), new Step(4, 1, 10)]),
    ]));
    expect([$schedule->steps[3]->start, $schedule->steps[3]->end])->toBe([500, 620])
        ->and($schedule->steps[1]->start)->toBe(700)
        ->and([$schedule->steps[2]->start, $schedule->steps[2]->end])->toBe([730, 2170])
        // 620 + 600 wait = 1220, closed; 20 open minutes of moving end at 1940
        ->and($schedule->steps[4]->start)->toBe(1940);
});

it('fills a gap but never moves what is of better rank', function () {
    $centre = new WorkCentre('Mill', 1, open([[0, 10000]]));
    $schedule = ForwardLoading::load(new Problem(0, [1 => $centre],
        [new Job(1, 'a', 1, null, [new Step(1, 1, 100, materialAt: 60)]),
            new Job(2, 'b', 2, null, [new Step(2, 1, 60), new Step(3, 1, 60)])]));
    expect($schedule->steps[1]->start)->toBe(60)
        ->and($schedule->steps[2]->start)->toBe(0)
        ->and($schedule->steps[3]->start)->toBe(160);
});

it('finishes parts before the step that uses them, and says so when it cannot', function () {
    $centres = [
        1 => new WorkCentre('Bench', 1, open([[0, 1000]])),
        2 => new WorkCentre('Empty', 0, open([[0, 1000]])),
        3 => new WorkCentre('Shut', 1, open([])),
    ];
    $schedule = ForwardLoading::load(
        new Problem(0, $centres, [
            new Job(1, 'order 1', 1, null, [new Step(1, 1, 50, afterJobs: [2])]),
            new Job(2, 'order 2', 9, null, [new Step(2, 1, 70)]),
            new Job(3, 'order 3', 1, null, [new Step(3, 1, 5, afterJobs: [4])]),
            new Job(4, 'order 4', 1, null, [new Step(4, 1, 5, afterJobs: [3])]),
            new Job(5, 'order 5', 1, null, [new Step(5, 2, 5)]),
            new Job(6, 'order 6', 1, null, [new Step(6, 3, 5)]),
            new Job(7, 'order 7', 1, null, [new Step(7, 1, 5, afterJobs: [6])]),
        ]),
    );
    expect($schedule->steps[1]->start)->toBe(70)
        ->and($schedule->unplaced[3].($schedule->unplaced[4] ?? ''))
        ->toContain('order 3, which waits for order 4, which waits for order 3. Untie one')
        ->and($schedule->unplaced[5])->toBe('Empty has no machine, and order 5 needs one.')
        ->and($schedule->unplaced[6])->toContain('no open time ahead')
        ->and($schedule->unplaced[7])->toContain('needs order 6')
        ->and(array_keys($schedule->finish))->toEqualCanonicalizing([1, 2]);
});

it('makes schedules an independent checker accepts, never below the proven optimum', function (
    string $case,
    int $optimum,
) {
    $instance = json_decode((string) file_get_contents(__DIR__."/cases/{$case}.json"), true);
    [$problem, $names] = Checker::problem($instance);
    $schedule = ForwardLoading::load($problem);
    expect(Checker::faults($problem, $schedule))->toBe([]);
    $tardiness = 0;
    foreach ($instance['orders'] as $order) {
        $tardiness += $order['weight'] * max(0, $schedule->finish[$names[$order['id']]] - $order['due']);
    }
    expect($tardiness)->toBeGreaterThanOrEqual($optimum);
})->with([
    'exhaustive search, tiny-a' => ['tiny-a', 16942], 'exhaustive search, tiny-b' => ['tiny-b', 28291],
    'exhaustive search, tiny-c' => ['tiny-c', 9240],
]);

it('is accepted by the checker on a thousand random shops', function () {
    mt_srand(1869);
    for ($round = 0; $round < 1000; $round++) {
        $problem = Checker::random();
        $schedule = ForwardLoading::load($problem);
        $faults = Checker::faults($problem, $schedule);
        if ($faults !== []) {
            $this->fail("round {$round}: ".implode('; ', $faults));
        }
    }
    expect($round)->toBe(1000);
});

it('has a checker that sees broken schedules', function (callable $break, string $says) {
    $problem = new Problem(0, [1 => new WorkCentre('Saw', 1, open([[480, 720]]))],
        [new Job(1, 'a', 1, null, [new Step(1, 1, 30), new Step(2, 1, 30)])]);
    $schedule = ForwardLoading::load($problem);
    expect(implode('; ', Checker::faults($problem, $break($schedule))))->toContain($says);
})->with([
    'overlap' => [fn ($s) => new KeepPace\Core\Scheduling\Schedule([1 => $s->steps[1],
        2 => new KeepPace\Core\Scheduling\PlannedStep(500, 530, 1)], $s->finish, []), 'before'],
    'closed start' => [fn ($s) => new KeepPace\Core\Scheduling\Schedule([1 => $s->steps[1],
        2 => new KeepPace\Core\Scheduling\PlannedStep(800, 830, 1)], $s->finish, []), 'closed'],
    'too short' => [fn ($s) => new KeepPace\Core\Scheduling\Schedule([1 => $s->steps[1],
        2 => new KeepPace\Core\Scheduling\PlannedStep(600, 610, 1)], $s->finish, []), 'works 10'],
    'left out' => [fn ($s) => new KeepPace\Core\Scheduling\Schedule([1 => $s->steps[1]], $s->finish, []), 'not placed'],
]);

<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Plan\ForwardLoading;
use KeepPace\Core\Scheduling\Plan\LatestStart;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;

/* The latest start that keeps a date, others unmoved: against every minute tried one by one. */

/**
 * @param  list<array{int, int}>  $open
 * @param  list<Step>  $steps
 * @param  array<int, array{int, int}>  $others where steps 100 and up stand on the one machine
 */
function latest(array $open, array $steps, int $due, array $others, int $of): ?int
{
    $jobs = [new Job(1, 'A', 1, $due, $steps)];
    $planned = [];
    foreach ($others as $id => [$from, $to]) {
        $jobs[] = new Job($id, "J{$id}", 1, null, [new Step($id, 1, $to - $from)]);
        $planned[$id] = new PlannedStep($from, $to, 1, 1);
    }
    $problem = new Problem(0, [1 => new WorkCentre('W', 1, OpenWindows::of($open, [], 0, 10_000))], $jobs);

    return (new LatestStart($problem, new Schedule($planned, [], []), $problem->workCentres))->of($jobs[0], $of);
}

it('goes back from the date into the gaps between others', function (array $others, int $start) {
    expect(latest([[0, 1000]], [new Step(1, 1, 50)], 500, $others, 1))->toBe($start);
})->with([
    'nobody else' => [[], 450],
    'before one who stands at the date' => [[100 => [480, 600]], 430],
    'between two, just' => [[100 => [400, 430], 101 => [480, 600]], 430],
    'too short a gap: before both' => [[100 => [400, 431], 101 => [480, 600]], 350],
    'one who comes after the date is not in the way' => [[100 => [500, 600]], 450],
]);

it('pauses at closed time and goes through its steps, with what lies between them', function () {
    $steps = [new Step(1, 1, 60, wait: 30), new Step(2, null, 200), new Step(3, 1, 50, setup: 10)];
    $open = [[0, 300], [400, 700], [800, 1000]];
    // step 3: 60 minutes, done at 850: from 690 on, over the gap; step 2 from 490; step 1 with its wait done at 460,
    // its 60 minutes at 400
    expect(latest($open, $steps, 850, [], 3))->toBe(690)
        ->and(latest($open, $steps, 850, [], 2))->toBe(490)
        ->and(latest($open, $steps, 850, [], 1))->toBe(400)
        ->and(latest($open, $steps, 850, [], 9))->toBeNull();
});

it('may lie before now, and is nothing without a date', function () {
    expect(latest([[0, 1000]], [new Step(1, 1, 600)], 500, [], 1))->toBe(-100);
    $job = new Job(1, 'A', 1, null, [new Step(1, 1, 10)]);
    expect((new LatestStart(new Problem(0, [], [$job]), new Schedule([], [], []), []))->of($job, 1))->toBeNull();
});

it('is the last minute that does, whatever stands around it', function (int $seed) {
    mt_srand($seed);
    $open = [];
    for ($at = mt_rand(0, 40); $at < 2000; $at += mt_rand(60, 200)) {
        $open[] = [$at, $at += mt_rand(50, 300)];
    }
    $windows = OpenWindows::of($open, [], 0, 10_000);
    $jobs = [];
    for ($id = 100; $id < 106; $id++) {
        $jobs[] = new Job(
            $id,
            "J{$id}",
            mt_rand(1, 9),
            null,
            [new Step($id, 1, mt_rand(10, 120), materialAt: mt_rand(0, 800))],
        );
    }
    $minutes = mt_rand(5, 150);
    $due = mt_rand(600, 1800);
    $centres = [1 => new WorkCentre('W', mt_rand(1, 2), $windows)];
    $plan = ForwardLoading::load(new Problem(0, $centres, $jobs));
    $own = new Job(1, 'A', 1, $due, [new Step(1, 1, $minutes)]);
    $start = (new LatestStart(new Problem(0, $centres, [$own, ...$jobs]), $plan, $centres))->of($own, 1);
    $fits = function (int $from) use ($windows, $minutes, $due, $plan, $centres): bool {
        $end = $windows->isOpen($from) ? $windows->finish($from, $minutes) : null;
        foreach ($end === null || $end > $due ? [] : range(1, $centres[1]->machines) as $machine) {
            $clash = array_filter(
                $plan->steps,
                fn ($at): bool => $at->machine === $machine && $at->start < $end && $at->end > $from,
            );
            if ($clash === []) {
                return true;
            }
        }

        return false;
    };
    $best = null;
    for ($from = 0; $from <= $due; $from++) {
        $best = $fits($from) ? $from : $best;
    }
    $best === null ? expect($start)->toBeLessThan(1) : expect($start)->toBe($best);
})->with(range(1, 40));

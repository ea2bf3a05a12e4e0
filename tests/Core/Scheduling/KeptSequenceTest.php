<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Plan\ForwardLoading;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;
use Tests\Core\Scheduling\Checker;
use Tests\Core\Scheduling\FullChecker;

/** @param  list<Job>  $jobs */
function sawing(array $jobs, int $now = 0, int $machines = 1): Problem
{
    return new Problem(
        $now,
        [1 => new WorkCentre('Saw', $machines, OpenWindows::of([[0, 20000]], [], 0, 20000))],
        $jobs,
    );
}

function one(int $id, int $minutes, int $rank = 5, int $materialAt = 0, ?int $due = null): Job
{
    return new Job($id, "order {$id}", $rank, $due, [new Step($id, 1, $minutes, materialAt: $materialAt)]);
}

/** @return list<int> step ids in order of their start, by work centre and machine */
function sequences(Problem $problem, Schedule $schedule): array
{
    $sequences = [];
    $steps = $schedule->steps;
    uasort($steps, fn ($a, $b) => $a->start <=> $b->start);
    foreach ($steps as $id => $at) {
        if ($at->machine !== null) {
            $sequences["{$at->workCentre}/{$at->machine}"][] = $id;
        }
    }
    ksort($sequences);

    return $sequences;
}

it('keeps each machine\'s sequence, whatever happens to rank, date, times and material', function () {
    $before = ForwardLoading::load(sawing([one(1, 50), one(2, 40), one(3, 30)]));
    $after = KeptSequence::load(sawing([one(1, 70, 9), one(2, 10, 1, 300, 100), one(3, 30, 2)], 20), $before->steps);
    expect(array_map(fn ($at) => [$at->start, $at->end], $after->steps))->toEqual([
        1 => [20, 90],
        2 => [300, 310],
        3 => [310, 340],
    ]);
});

it('puts a new job where its rank puts it, and the others make room', function (int $rank, array $starts) {
    $before = ForwardLoading::load(sawing([one(1, 50, 1), one(2, 40, 5), one(3, 30, 9)]));
    $after = KeptSequence::load(
        sawing([one(1, 50, 1), one(2, 40, 5), one(3, 30, 9), one(4, 20, $rank)]),
        $before->steps,
    );
    expect(array_map(fn (int $id) => $after->steps[$id]->start, [1, 2, 3, 4]))->toBe($starts);
})->with([[0, [20, 70, 110, 0]], [2, [0, 70, 110, 50]], [10, [0, 50, 90, 120]]]);

it('lets a new job fill a gap that moves nobody', function () {
    $jobs = [one(1, 50, 1), one(2, 40, 2, 200)];
    $after = KeptSequence::load(sawing([...$jobs, one(3, 60, 3)]), ForwardLoading::load(sawing($jobs))->steps);
    expect(array_map(fn ($at) => $at->start, $after->steps))->toEqual([1 => 0, 2 => 200, 3 => 50]);
});

it('puts a step that is new in an order behind the one before it, and lets go of what is gone', function () {
    $before = ForwardLoading::load(sawing([one(1, 50), one(2, 40), one(3, 30)]));
    $order = new Job(1, 'order 1', 5, null, [new Step(1, 1, 50), new Step(9, 1, 15)]);
    $after = KeptSequence::load(sawing([$order, one(3, 30)]), $before->steps);
    expect(array_map(fn ($at) => $at->start, $after->steps))->toEqual([1 => 0, 9 => 50, 3 => 65]);
});

it('goes to another machine when its own is gone', function () {
    $before = ForwardLoading::load(sawing([one(1, 50), one(2, 40)], machines: 2));
    $after = KeptSequence::load(sawing([one(1, 50), one(2, 40)]), $before->steps);
    expect(array_map(fn ($at) => [$at->start, $at->machine], $after->steps))->toEqual([1 => [0, 1], 2 => [50, 1]]);
});

it('changes nothing where nothing changed, and is accepted by the checkers where time went on', function () {
    mt_srand(1907);
    for ($round = 0; $round < 300; $round++) {
        $problem = Checker::random();
        $before = ForwardLoading::load($problem);
        $again = KeptSequence::load($problem, $before->steps);
        expect(sequences($problem, $again))->toBe(sequences($problem, $before))
            ->and(Checker::faults($problem, $again))->toBe([]);
        foreach ($before->finish as $job => $finish) {
            expect($again->finish[$job])->toBeLessThanOrEqual($finish);
        }
        // some time later, and without the first job
        $later = new Problem(mt_rand(0, 200), $problem->workCentres, array_slice($problem->jobs, 1));
        $kept = KeptSequence::load($later, $before->steps);
        expect(Checker::faults($later, $kept))->toBe([]);
    }
});

it('is accepted by the full checker with everything that happens in a shop', function () {
    mt_srand(1908);
    for ($round = 0; $round < 100; $round++) {
        $problem = FullChecker::random();
        $kept = KeptSequence::load(
            $problem,
            array_filter(ForwardLoading::load($problem)->steps, fn (): bool => mt_rand(0, 9) > 0),
        );
        expect(FullChecker::faults($problem, $kept))->toBe([]);
    }
});

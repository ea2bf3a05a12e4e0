<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Plan\ForwardLoading;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Promise\Promise;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;
use Tests\Core\Scheduling\Checker;

/** @param  list<Job>  $jobs */
function sawmill(array $jobs, int $machines = 1): Problem
{
    return new Problem(0, [1 => new WorkCentre('Saw', $machines, OpenWindows::of([[0, 9000]], [], 0, 9000))], $jobs);
}

it('promises a date that moves nobody, one out of slack, and says who is late for an earlier one still', function () {
    // 0-100 order 1, due just then; 100-300 order 2, due 500; asked: 60 minutes
    $problem = sawmill([
        new Job(1, 'order 1', 1, 100, [new Step(1, 1, 100)]),
        new Job(2, 'order 2', 2, 500, [new Step(2, 1, 200)]),
    ]);
    $plan = ForwardLoading::load($problem)->steps;
    $promise = new Promise($problem, $plan, [new Job(9, 'asked', 3, null, [new Step(9, 1, 60)])], 9);
    expect($promise->movingNobody()->finish)->toBe(360)
        ->and($promise->movingNobody()->later)->toBe([])
        ->and($promise->usingSlack()->finish)->toBe(160)
        ->and($promise->usingSlack()->schedule->finish[2])->toBe(360)
        ->and($promise->insisting(60)->finish)->toBe(60)
        ->and($promise->insisting(60)->later)->toBe([1 => 60])
        ->and($promise->insisting(200)->finish)->toBe(160)
        ->and($promise->insisting(200)->later)->toBe([])
        ->and($promise->insisting(10)->finish)->toBe(60)
        ->and($promise->impossible())->toBeNull();
});

it('fills a gap, goes through parts, and waits for parts that are planned', function () {
    $problem = sawmill([
        new Job(1, 'order 1', 1, null, [new Step(1, 1, 50)]),
        new Job(2, 'order 2', 1, null, [new Step(2, 1, 50, materialAt: 200)]),
    ]);
    $plan = ForwardLoading::load($problem)->steps;
    $asked = [
        new Job(9, 'asked', 3, null, [new Step(9, 1, 40, afterJobs: [8, 2])]),
        new Job(8, 'part', 3, null, [new Step(8, 1, 100)]),
    ];
    $promise = new Promise($problem, $plan, $asked, 9);
    expect($promise->movingNobody()->schedule->steps[8]->start)->toBe(50)
        ->and($promise->movingNobody()->finish)->toBe(290);
});

it('says that something can never be finished', function () {
    $promise = new Promise(sawmill([]), [], [new Job(9, 'asked', 3, null, [new Step(9, 1, 9500)])], 9);
    expect($promise->impossible())->toBe('Saw has only 9000 minutes open time ahead, and asked needs 9500.')
        ->and($promise->movingNobody())->toBeNull();
});

it('keeps what a held promise was given', function () {
    $problem = sawmill([new Job(1, 'order 1', 1, 100, [new Step(1, 1, 100)])]);
    $first = new Promise(
        $problem,
        ForwardLoading::load($problem)->steps,
        [($held = new Job(9, 'asked', 3, null, [new Step(9, 1, 60)]))],
        9,
    );
    $with = sawmill([...$problem->jobs, $held]);
    $second = new Promise(
        $with,
        $first->movingNobody()->schedule->steps,
        [new Job(10, 'asked too', 3, null, [new Step(10, 1, 60)])],
        10,
    );
    expect($first->movingNobody()->finish)->toBe(160)->and($second->movingNobody()->finish)->toBe(220);
});

it('moves nobody when it says so, and makes nobody late when it says so, on random shops', function () {
    mt_srand(1971);
    $earlier = 0;
    for ($round = 0; $round < 120; $round++) {
        $problem = Checker::random();
        $plan = ForwardLoading::load($problem);
        if ($plan->unplaced !== []) {
            continue;
        }
        $before = (new Promise($problem, $plan->steps, [], -1))->impossible();
        expect($before)->toBe('It has no place in the schedule.');
        $asked = [
            new Job(99, 'asked', 9, null, [
                new Step(990, mt_rand(1, count($problem->workCentres)), mt_rand(1, 60)),
                new Step(991, mt_rand(1, count($problem->workCentres)), mt_rand(1, 60)),
            ]),
        ];
        $promise = new Promise($problem, $plan->steps, $asked, 99);
        if ($promise->impossible() !== null) {
            continue;
        }
        $all = new Problem($problem->now, $problem->workCentres, [...$problem->jobs, ...$asked]);
        foreach ([$promise->movingNobody(), $promise->usingSlack(), $promise->insisting(0)] as $one) {
            expect(Checker::faults($all, $one->schedule))->toBe([])
                ->and($one->schedule->finish[99])->toBe($one->finish);
        }
        $kept = KeepPace\Core\Scheduling\Plan\KeptSequence::load($problem, $plan->steps);
        foreach ($problem->jobs as $job) {
            expect($promise->movingNobody()->schedule->finish[$job->id])->toBe($kept->finish[$job->id])
                ->and(max(0, $promise->usingSlack()->schedule->finish[$job->id] - $job->due))
                ->toBeLessThanOrEqual(max(0, $kept->finish[$job->id] - $job->due));
        }
        expect($promise->usingSlack()->finish)->toBeLessThanOrEqual($promise->movingNobody()->finish)
            ->and($promise->insisting(0)->finish)->toBeLessThanOrEqual($promise->usingSlack()->finish);
        $earlier += $promise->usingSlack()->finish < $promise->movingNobody()->finish ? 1 : 0;
    }
    expect($earlier)->toBeGreaterThan(3);
});

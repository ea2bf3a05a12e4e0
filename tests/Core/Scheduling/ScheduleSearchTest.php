<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Plan\ForwardLoading;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\Plan\MovePrice;
use KeepPace\Core\Scheduling\Plan\PlanCost;
use KeepPace\Core\Scheduling\Plan\ScheduleSearch;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;

/* A search never offers a worse plan, nor moves for nothing: our own rule, foundations 'objective'. */

function always(): Closure
{
    return fn (): bool => true;
}

/** @param  list<array{int, list<array{int, int}>}>  $jobs  due, and centre and minutes of each step */
function shopToSearch(array $jobs, int $machines = 1): Problem
{
    $open = OpenWindows::of([[0, 50_000]], [], 0, 50_000);
    $made = [];
    foreach ($jobs as $n => [$due, $steps]) {
        $made[] = new Job(
            $n + 1,
            "J{$n}",
            $n,
            $due,
            array_map(
                fn (int $at): Step => new Step(10 * $n + $at, $steps[$at][0], $steps[$at][1]),
                array_keys($steps),
            ),
        );
    }

    return new Problem(
        0,
        array_map(
            fn (string $name): WorkCentre => new WorkCentre($name, $machines, $open),
            [1 => 'A', 2 => 'B', 3 => 'C'],
        ),
        $made,
    );
}

/** @return list<int> steps that stand otherwise than before */
function otherwise(Schedule $now, Schedule $was): array
{
    return array_keys(array_filter(
        $now->steps,
        fn ($at, int $id): bool => $at->start !== $was->steps[$id]->start || $at->machine !== $was->steps[$id]->machine,
        ARRAY_FILTER_USE_BOTH,
    ));
}

it('leaves the plan as it is where nothing is gained', function () {
    // both are in time either way round, and on two machines it does not matter where
    $problem = shopToSearch([[900, [[1, 50], [2, 50]]], [900, [[1, 40], [2, 60]]], [900, [[1, 30]]]], machines: 2);
    $plan = ForwardLoading::load($problem);
    $found = ScheduleSearch::solve($problem, $plan->steps, 1, 3000, always());
    expect($found->isBetter)
        ->toBeFalse()
        ->and($found->cost)
        ->toBe(0)
        ->and(otherwise($found->schedule, $plan))
        ->toBe([]);
});

it('moves only what the gain needs', function () {
    // A: the second is late behind the long first and in time before it, which has time; B and C are as they are
    $problem = shopToSearch([
        [2000, [[1, 500]]],
        [100, [[1, 60]]],
        [5000, [[2, 70]]],
        [5000, [[2, 20]]],
        [5000, [[3, 30]]],
        [5000, [[3, 10]]],
    ]);
    $plan = KeptSequence::load($problem, ForwardLoading::load($problem)->steps);
    $found = ScheduleSearch::solve($problem, $plan->steps, 1, 3000, always());
    expect($found->isBetter)
        ->toBeTrue()
        ->and($found->cost)
        ->toBe(0)
        ->and(otherwise($found->schedule, $plan))
        ->toEqualCanonicalizing([0, 10]);
});

it('is never worse than the plan that stands, and says truly whether it is better', function (int $seed) {
    mt_srand($seed);
    $jobs = [];
    for ($n = 0; $n < 9; $n++) {
        $jobs[] = [
            mt_rand(100, 900),
            array_map(fn (): array => [mt_rand(1, 3), mt_rand(10, 120)], range(1, mt_rand(1, 3))),
        ];
    }
    $problem = shopToSearch($jobs, mt_rand(1, 2));
    $weight = new MovePrice([0, 30, 500][$seed % 3], [1 => true, 4 => true]);
    // a plan that somebody may have moved about
    $plan = ForwardLoading::load($problem)->steps;
    $order = array_keys($plan);
    shuffle($order);
    $plan = KeptSequence::load($problem, array_combine($order, array_map(fn (int $id) => $plan[$id], $order)))->steps;
    $net = Net::of($problem);
    $stands = KeptSequence::load($problem, $plan);
    $before = PlanCost::of($net, $stands, $plan, $weight);
    $found = ScheduleSearch::solve($problem, $plan, $seed, 400, always(), $weight);
    $after = PlanCost::of($net, $found->schedule, $plan, $weight);
    expect($after->cost)->toBe($found->cost)->toBeLessThanOrEqual($before->cost)
        ->and($found->isBetter)->toBe($after->isGainOn($before));
    if (! $found->isBetter) {
        expect(otherwise($found->schedule, $stands))->toBe([]);
    }
    expect(
        ScheduleSearch::solve($problem, $plan, $seed, 400, always(), $weight)->schedule->steps,
    )->toEqual($found->schedule->steps);
})->with(range(1, 24));

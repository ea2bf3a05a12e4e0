<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Alternative;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Lever\Levers;
use KeepPace\Core\Scheduling\Lever\LeverTrials;
use KeepPace\Core\Scheduling\Loading\Loading;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Plan\ForwardLoading;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;
use KeepPace\Core\Scheduling\Search\Dispatch;
use KeepPace\Core\Scheduling\Search\Rule;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;

/** Two days, 100 minutes each; order 1 before order 2, which is late. */
function lateShop(): Problem
{
    $open = OpenWindows::of([[0, 100], [1000, 1100], [2000, 2100], [3000, 3100]], [], 0, 4000);

    return new Problem(0, [1 => new WorkCentre('Saw', 1, $open), 2 => new WorkCentre('Old saw', 1, $open)], [
        new Job(1, 'order 1', 1, 100, [new Step(1, 1, 80)], 3),
        new Job(2, 'order 2', 2, 150, [new Step(2, 1, 100), new Step(3, 2, 20)]),
    ]);
}

it('supplies steps otherwise, and tells what would make one problem another', function () {
    $problem = lateShop();
    $then = Levers::material($problem, [2 => [500, [1]], 99 => [7, []]]);
    expect(Levers::materialOf($problem, $then))->toBe([2 => [500, [1]]])
        ->and(Levers::materialOf($then, $problem))->toBe([2 => [0, []]])
        ->and(Levers::materialOf($problem, $problem))->toBe([])
        ->and(Levers::material($problem, Levers::materialOf($problem, $then)))->toEqual($then);
    // nothing of order 2 before minute 500, and after order 1
    $schedule = ForwardLoading::load($then);
    expect($schedule->steps[2]->start)->toBe(1000);
});

it('tries each lever and tells its effect', function (callable $lever, ?int $finish) {
    $problem = lateShop();
    $plan = ForwardLoading::load($problem)->steps;
    $effect = (new LeverTrials($problem, $plan, 2, 1, 200))->with($lever($problem));
    // without: 20 minutes on the first day, 80 on the second, then 20 on the old saw
    expect($effect->finish)->toBe(1100)->and($effect->finishWith)->toBe($finish)->and($effect->late)->toBe(950);
})->with([
    'an overtime shift' => [
        fn (Problem $problem): Problem => Levers::overtime(
            $problem,
            1,
            OpenWindows::of([[0, 200], [1000, 1100], [2000, 2100]], [], 0, 4000),
        ),
        1020,
    ],
    'a second machine' => [fn (Problem $problem): Problem => Levers::secondMachine($problem, 1), 1020],
    'another work centre' => [
        fn (Problem $problem): Problem => Levers::otherWorkCentre($problem, 2, new Alternative(2, 60)),
        80,
    ],
    'sent out' => [fn (Problem $problem): Problem => Levers::sendOut($problem, 2, 70), 90],
    'in two halves' => [fn (Problem $problem): Problem => Levers::split($problem, 2), 1090],
    'a better rank' => [fn (Problem $problem): Problem => Levers::raiseRank($problem, 2), 1020],
]);

it('never makes the order later than it was, for the old plan stays a candidate: Graham 1969', function () {
    // the list of Graham's note: three machines finish its nine jobs at 12, four at 15
    $after = [9 => [1], 5 => [4], 6 => [4], 7 => [4], 8 => [4]];
    $times = [1 => 3, 2, 2, 2, 4, 4, 4, 4, 9];
    $jobs = [];
    foreach ($times as $id => $minutes) {
        $jobs[] = new Job($id, "order {$id}", $id, 12, [new Step($id, 1, $minutes, afterJobs: $after[$id] ?? [])]);
    }
    $shop = fn (int $machines): Problem => new Problem(
        0,
        [1 => new WorkCentre('Saw', $machines, OpenWindows::of([[0, 1000]], [], 0, 1000))],
        $jobs,
    );
    $listed = function (Problem $problem): Schedule {
        $net = Net::of($problem);

        return Loading::load($net, Dispatch::order($net, Rule::Rank));
    };
    $plan = $listed($shop(3));
    expect(max($plan->finish))->toBe(12)->and(max($listed($shop(4))->finish))->toBe(15);
    $effect = (new LeverTrials($shop(3), $plan->steps, 9, 1, 100))->with(Levers::secondMachine($shop(3), 1));
    expect($effect->finishWith)->toBeLessThanOrEqual($effect->finish)
        ->and($effect->lateWith)->toBeLessThanOrEqual($effect->late);
});

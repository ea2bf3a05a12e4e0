<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Plan\BackwardLoading;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;
use Tests\Core\Scheduling\Checker;
use Tests\Core\Scheduling\FullChecker;

it('plans as late as the due date allows: finish one working day before the ship date, common practice', function () {
    // Monday to Friday 08:00 to 16:00; ship on Friday 16:00 less a day = due Thursday 16:00; 12 hours of work begin
    // Wednesday noon
    $week = array_map(fn (int $day): array => [$day * 1440 + 480, $day * 1440 + 960], range(0, 4));
    $problem = new Problem(0, [1 => new WorkCentre('Saw', 1, OpenWindows::of($week, [], 0, 10080))],
        [new Job(1, 'order 1', 1, 3 * 1440 + 960, [new Step(1, 1, 240), new Step(2, 1, 480)])]);
    $schedule = BackwardLoading::load($problem);
    expect([$schedule->steps[1]->start, $schedule->steps[2]->end, $schedule->finish[1]])->toBe([
        2 * 1440 + 720,
        3 * 1440 + 960,
        3 * 1440 + 960,
    ]);
});

it('puts parts before the step that uses them, and waits where steps wait', function () {
    $problem = new Problem(0, [1 => new WorkCentre('Saw', 2, OpenWindows::of([[0, 5000]], [], 0, 5000))], [
        new Job(1, 'order 1', 1, 1000, [new Step(1, 1, 100, wait: 30), new Step(2, 1, 100, afterJobs: [2])]),
        new Job(2, 'order 2', 1, null, [new Step(3, 1, 50)]),
    ]);
    $schedule = BackwardLoading::load($problem);
    expect(array_map(fn ($at) => [$at->start, $at->end], $schedule->steps))->toEqual([
        1 => [770, 870],
        2 => [900, 1000],
        3 => [850, 900],
    ]);
});

it('loads forward what would have begun before now, and says so', function () {
    $problem = new Problem(500, [1 => new WorkCentre('Saw', 1, OpenWindows::of([[0, 5000]], [], 0, 5000))],
        [new Job(1, 'order 1', 1, 550, [new Step(1, 1, 100)]), new Job(2, 'order 2', 1, 2000, [new Step(2, 1, 100)])]);
    $schedule = BackwardLoading::load($problem);
    expect([$schedule->steps[1]->start, $schedule->steps[2]->start])->toBe([500, 1900])
        ->and($schedule->notes)
        ->toBe(['Backward from its due date order 1 would have begun before now; it is loaded forward.']);
});

it('is accepted by both checkers on random shops', function () {
    mt_srand(1966);
    for ($round = 0; $round < 200; $round++) {
        $problem = Checker::random();
        expect(Checker::faults($problem, BackwardLoading::load($problem)))->toBe([]);
        if ($round < 60) {
            $problem = FullChecker::random();
            expect(FullChecker::faults($problem, BackwardLoading::load($problem)))->toBe([]);
        }
    }
});

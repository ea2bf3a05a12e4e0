<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Plan\ForwardLoading;
use KeepPace\Core\Scheduling\Plan\HeldBack;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\Why\Cause;
use KeepPace\Core\Scheduling\Why\Explanation;
use KeepPace\Core\Scheduling\Why\Stretch;
use KeepPace\Core\Scheduling\WorkCentre;
use Tests\Core\Scheduling\Checker;
use Tests\Core\Scheduling\FullChecker;

/** @return list<array{int, int, string, int, int|null}> */
function why(Problem $problem, int $job): array
{
    return array_map(
        fn (Stretch $part): array => [$part->from, $part->to, $part->cause->value, $part->step, $part->byJob],
        Explanation::of($problem, ForwardLoading::load($problem), $job),
    );
}

it('tells material, machine, closed time, supplier and step time apart, back to now', function () {
    $saw = new WorkCentre('Saw', 1, OpenWindows::of([[0, 100], [200, 300], [400, 900]], [], 0, 900));
    $problem = new Problem(
        10,
        [1 => $saw],
        [
            new Job(1, 'order 1', 1, null, [new Step(1, 1, 60)]),
            new Job(2, 'order 2', 2, 100, [
                new Step(2, 1, 50, wait: 20, materialAt: 30),
                new Step(3, null, 100),
                new Step(4, 1, 10),
            ]),
        ],
    );
    // order 1 has the saw until 70; 30 minutes to 100, closed to 200, 20 more to 220, waits to 240, supplier to 340,
    // closed to 400, saw to 410
    expect(why($problem, 2))->toBe([
        [10, 30, 'material', 2, null],
        [30, 70, 'machine busy', 2, 1],
        [70, 100, 'step time', 2, null],
        [100, 200, 'closed time', 2, null],
        [200, 220, 'step time', 2, null],
        [220, 240, 'step time', 2, null],
        [240, 340, 'supplier', 3, null],
        [340, 400, 'closed time', 4, null],
        [400, 410, 'step time', 4, null],
    ]);
});

it('goes on through the part an order waits for', function () {
    $problem = new Problem(
        0,
        [1 => new WorkCentre('Saw', 2, OpenWindows::of([[0, 900]], [], 0, 900))],
        [
            new Job(1, 'order 1', 1, 50, [new Step(1, 1, 60, afterJobs: [3, 2])]),
            new Job(2, 'order 2', 1, null, [new Step(2, 1, 70)]),
            new Job(3, 'order 3', 1, null, [new Step(3, 1, 30)]),
        ],
    );
    expect(why($problem, 1))->toBe([[0, 70, 'step time', 2, null], [70, 130, 'step time', 1, null]]);
});

/** Every other job as late as its date allows. */
function heldBack(Problem $problem): Problem
{
    $held = new HeldBack($problem->workCentres, null, 0);
    $late = fn (Job $job): Job => $job->id % 2 === 0 ? $held->job($job) : $job;
    $jobs = array_map($late, $problem->jobs);

    return new Problem($problem->now, $problem->workCentres, $jobs, $problem->crews, $problem->lateIn);
}

it('adds up exactly to completion minus now, without gap or overlap, on random shops', function () {
    mt_srand(1969);
    $seen = [];
    for ($round = 0; $round < 250; $round++) {
        $problem = $round % 3 === 0 ? FullChecker::random() : Checker::random();
        $problem = $round % 4 === 1 ? heldBack($problem) : $problem;
        $schedule = ForwardLoading::load($problem);
        foreach ($schedule->finish as $job => $finish) {
            $at = $problem->now;
            foreach (Explanation::of($problem, $schedule, $job) as $part) {
                expect($part->from)->toBe($at)->and($part->to)->toBeGreaterThan($part->from);
                $at = $part->to;
                $seen[$part->cause->value] = true;
                if ($part->cause === Cause::MachineBusy) {
                    expect($part->byJob)->not->toBeNull();
                }
            }
            expect($at)->toBe($finish);
        }
    }
    expect(array_keys($seen))->toEqualCanonicalizing(
        array_map(fn (Cause $cause): string => $cause->value, Cause::cases()),
    );
});

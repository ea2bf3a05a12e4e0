<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Plan\ForwardLoading;
use KeepPace\Core\Scheduling\Plan\HeldBack;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\Plan\ScheduleSearch;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\Why\Cause;
use KeepPace\Core\Scheduling\Why\Explanation;
use KeepPace\Core\Scheduling\WorkCentre;
use Tests\Core\Scheduling\FullChecker;

/* Backward scheduling: a step's latest start is its successor's less wait, move and its own time (common practice). */

/** Days of 480 open minutes, midnight to eight. */
function openUntilEight(int $days): OpenWindows
{
    return OpenWindows::of(
        array_map(fn (int $day): array => [$day * 1440, $day * 1440 + 480], range(0, $days - 1)),
        [],
        0,
        $days * 1440,
    );
}

/** @return list<int> */
function heldTo(Job $job): array
{
    return array_map(fn (Step $step): int => $step->heldBackTo, $job->steps);
}

it('works back from the date, in open time here, in elapsed time outside', function () {
    $centres = [1 => new WorkCentre('saw', 1, openUntilEight(20))];
    $job = new Job(1, 'one', 1, 10 * 1440 + 480, [
        new Step(1, 1, 200, wait: 60, move: 40, setup: 100),
        new Step(2, null, 2880),
        new Step(3, 1, 480),
    ]);
    // by hand: the last takes all of day 10, so outside begins two days before, on day 8 at midnight; 40 of the move
    // are the last open ones of day 7, the wait ends there: 300 minutes until minute 380 of day 7
    expect(heldTo((new HeldBack($centres, null, 0))->job($job)))->toBe([7 * 1440 + 80, 8 * 1440, 10 * 1440]);
});

it('leaves a margin in open time of the plant', function () {
    $centres = [1 => new WorkCentre('saw', 1, openUntilEight(20))];
    $job = new Job(1, 'one', 1, 10 * 1440 + 480, [new Step(1, 1, 100)]);
    expect(heldTo((new HeldBack($centres, openUntilEight(20), 480))->job($job)))->toBe([9 * 1440 + 380]);
});

it('leaves alone what has no date, what runs and what should have begun', function () {
    $centres = [1 => new WorkCentre('saw', 1, openUntilEight(20))];
    $held = new HeldBack($centres, null, 0);
    expect(heldTo($held->job(new Job(1, 'one', 1, null, [new Step(1, 1, 100)]))))->toBe([0])
        ->and(heldTo($held->job(new Job(1, 'one', 1, 9000, [new Step(1, 1, 100, started: true)]))))->toBe([0])
        ->and(heldTo($held->job(new Job(1, 'one', 1, 400, [new Step(1, 1, 4000)]))))->toBe([0]);
});

it('begins late, ends in time where nothing else stands in the way, is kept so, and says why', function () {
    mt_srand(5);
    for ($run = 0; $run < 30; $run++) {
        $centres = [1 => new WorkCentre('a', 2, openUntilEight(60)), new WorkCentre('b', 2, openUntilEight(60))];
        $held = new HeldBack($centres, openUntilEight(60), 240);
        $steps = array_map(
            fn (int $id): Step => new Step(
                $id,
                mt_rand(1, 2),
                mt_rand(20, 300),
                mt_rand(0, 90),
                setup: mt_rand(0, 40),
                setupNeedsMaterial: true,
            ),
            range(1, 4),
        );
        $late = $held->job(new Job(1, 'late', 1, mt_rand(20, 30) * 1440 + 480, $steps));
        $problem = new Problem(0, $centres, [$late]);
        $schedule = ForwardLoading::load($problem, []);
        $kept = KeptSequence::load($problem, $schedule->steps);
        expect(FullChecker::faults($problem, $schedule))->toBe([])
            ->and($schedule->finish[1])->toBeLessThanOrEqual($late->due)
            ->and($schedule->steps[1]->start)->toBeGreaterThanOrEqual($late->steps[0]->heldBackTo)
            ->and(heldStarts($kept))->toBe(heldStarts($schedule));
        $causes = array_map(fn ($one): Cause => $one->cause, Explanation::of($problem, $schedule, 1));
        expect($causes)->toContain(Cause::HeldBack)->and($causes)->not->toContain(Cause::Material);
    }
});

/** @return array<int, int> start by step */
function heldStarts(Schedule $schedule): array
{
    return array_map(fn ($one): int => $one->start, $schedule->steps);
}

it('is not begun before by a search either', function () {
    $centres = [1 => new WorkCentre('a', 1, openUntilEight(40)), new WorkCentre('b', 1, openUntilEight(40))];
    $held = new HeldBack($centres, null, 240);
    $jobs = [];
    mt_srand(8);
    foreach (range(1, 12) as $id) {
        $job = new Job($id, "J{$id}", $id, mt_rand(3, 15) * 1440, [
            new Step($id * 10, mt_rand(1, 2), mt_rand(60, 300), setupNeedsMaterial: true),
            new Step($id * 10 + 1, mt_rand(1, 2), mt_rand(60, 300), setupNeedsMaterial: true),
        ]);
        $jobs[] = $id % 3 === 0 ? $held->job($job) : $job;
    }
    $problem = new Problem(0, $centres, $jobs);
    $plan = ForwardLoading::load($problem, []);
    $found = ScheduleSearch::solve($problem, $plan->steps, 1, 400, fn (): bool => true);
    expect(FullChecker::faults($problem, $found->schedule))->toBe([]);
    foreach ($jobs as $job) {
        foreach ($job->steps as $step) {
            expect($found->schedule->steps[$step->id]->start)->toBeGreaterThanOrEqual($step->heldBackTo);
        }
    }
});

it('gives its place on the machine to those that stand before the minute it is held back to', function () {
    $centres = [1 => new WorkCentre('saw', 1, openUntilEight(40))];
    $jobs = array_map(fn (int $id): Job => new Job($id, "order {$id}", $id, 20 * 1440 + 480, [new Step($id, 1, 400)]),
        [1, 2, 3]);
    $early = ForwardLoading::load(new Problem(0, $centres, $jobs), []);
    expect(array_map(fn ($at): int => $at->start, $early->steps))->toEqual([1 => 0, 2 => 400, 3 => 1440 + 320]);
    $jobs[0] = (new HeldBack($centres, null, 0))->job($jobs[0]);
    $late = KeptSequence::load(new Problem(0, $centres, $jobs), $early->steps);
    // the two behind it close up; it begins 400 minutes before the end of day 20
    expect($late->steps[2]->start)->toBe(0)
        ->and($late->steps[3]->start)->toBe(400)
        ->and($late->steps[1]->start)->toBe(20 * 1440 + 80);
    // asked to begin early again it keeps its place, as any: only loading by rank gives another
    $again = KeptSequence::load(new Problem(0, $centres, [
        new Job(1, 'order 1', 1, 20 * 1440 + 480, [new Step(1, 1, 400)]), $jobs[1], $jobs[2],
    ]), $late->steps);
    expect($again->steps[1]->start)->toBe(1440 + 320);
});

<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Loading\Loading;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Plan\Makespan;
use KeepPace\Core\Scheduling\Plan\ScheduleSearch;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;

it(
    'searches the end of all work: two machines in sequence, Johnson, Naval Research Logistics Quarterly 1 (1954)',
    function () {
        $open = OpenWindows::of([[0, 1000]], [], 0, 1000);
        $jobs = [];
        foreach ([[4, 5], [4, 1], [30, 4], [6, 30], [2, 3]] as $j => [$first, $second]) {
            $jobs[] = new Job($j, "job {$j}", 1, null, [new Step(2 * $j, 1, $first), new Step(2 * $j + 1, 2, $second)]);
        }
        $problem = new Problem(
            0,
            [1 => new WorkCentre('First', 1, $open), 2 => new WorkCentre('Second', 1, $open)],
            $jobs,
        );
        $found = ScheduleSearch::solve(Makespan::only($problem), [], 1, 2000, fn (): bool => true);
        $schedule = Makespan::without($found->schedule);
        expect(max($schedule->finish))->toBe(47)
            ->and($found->cost)->toBe(47)
            ->and(array_keys($schedule->steps))->toHaveCount(10);
    },
);

it('begins a search from the plan, and leaves what lies within the fence', function () {
    $open = OpenWindows::of([[0, 5000]], [], 0, 5000);
    $jobs = fn (): array => array_map(fn (int $j): Job => new Job($j, "job {$j}", 1, 10 * $j, [new Step($j, 1, 50)]), [
        4,
        3,
        2,
        1,
    ]);
    $problem = fn (int $fence): Problem => new Problem(
        0,
        [1 => new WorkCentre('Saw', 1, $open, fence: $fence)],
        $jobs(),
    );
    $net = Net::of($problem(0));
    $plan = Loading::load($net, [0, 1, 2, 3])->steps; // jobs 4, 3, 2, 1
    $starts = fn (int $fence): array => array_map(
        fn ($at) => $at->start,
        ScheduleSearch::solve($problem($fence), $plan, 1, 500, fn (): bool => true)->schedule->steps,
    );
    expect(array_intersect_key($starts(100), [4 => 0, 3 => 0]))->toEqual([4 => 0, 3 => 50])
        ->and(array_sum($starts(0)))->toBe(300);
});

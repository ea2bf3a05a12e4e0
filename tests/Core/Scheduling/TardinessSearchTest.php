<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Refused;
use KeepPace\Core\Scheduling\Cases\CaseFile;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Loading\Loading;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;
use KeepPace\Core\Scheduling\Search\Dispatch;
use KeepPace\Core\Scheduling\Search\Rule;
use KeepPace\Core\Scheduling\Search\TardinessSearch;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\Walk\Found;
use KeepPace\Core\Scheduling\Walk\Stands;
use KeepPace\Core\Scheduling\Walk\Walk;
use KeepPace\Core\Scheduling\WorkCentre;
use Tests\Core\Scheduling\Checker;
use Tests\Core\Scheduling\FullChecker;

function calendarCase(string $name): CaseFile
{
    return CaseFile::read((string) file_get_contents(__DIR__."/cases/{$name}.json"));
}

function searched(Problem $problem, int $iterations, int $seed = 1): Found
{
    return TardinessSearch::solve(Net::of($problem), $seed, $iterations, fn (): bool => true);
}

/**
 * Judged by the checker, then weighed without the engine.
 *
 * @return array{int, int} weighted tardiness, sum of completions
 */
function weighed(Problem $problem, Found $found): array
{
    $schedule = Loading::load(Net::of($problem), $found->order, only: $found->ways);
    expect(Checker::faults($problem, $schedule))->toBe([]);
    $late = 0;
    foreach ($problem->jobs as $job) {
        $late += $job->weight * max(0, $schedule->finish[$job->id] - ($job->due ?? PHP_INT_MAX));
    }

    return [$late, array_sum($schedule->finish) - count($schedule->finish) * $problem->now];
}

it('reaches the proven optimum of the tiny cases', function (string $name, int $late, int $flow) {
    $problem = calendarCase($name)->problem;
    $found = searched($problem, 20_000);
    expect([$found->cost, $found->flow])->toBe([$late, $flow])
        ->and(weighed($problem, $found))->toBe([$late, $flow]);
})->with([
    'exhaustive search, tiny-a' => ['tiny-a', 16942, 34320],
    'exhaustive search, tiny-b' => ['tiny-b', 28291, 46213],
    'exhaustive search, tiny-c' => ['tiny-c', 9240, 39020],
]);

it('reaches the proven optimum where people, loads, pins and parts bind', function (string $name, int $late) {
    // optima of the cases' own solver, which proves them by trying all
    $problem = calendarCase($name)->problem;
    $found = searched($problem, 4_000);
    $schedule = Loading::load(Net::of($problem), $found->order, only: $found->ways);
    $weighed = array_sum(array_map(
        fn (Job $job): int => $job->weight * max(0, $schedule->finish[$job->id] - (int) $job->due),
        $problem->jobs,
    ));
    expect([$found->cost, $weighed])->toBe([$late, $late])
        ->and(FullChecker::faults($problem, $schedule))->toBe([]);
})->with([
    'people shared by work centres' => ['tiny-crew-a', 9540],
    'people shared, other ways' => ['tiny-crewways-a', 5848],
    'other ways' => ['tiny-ways-a', 3250],
    'machines that take several at once' => ['tiny-batch-a', 3895],
    'pins' => ['tiny-pinned-a', 6980],
    'transfer batches' => ['tiny-transfer-a', 3480],
    'all of it' => ['tiny-all-a', 4419],
]);

it('is far below the best dispatch rule', function (string $name, int $rule, float $share, int $iterations) {
    $problem = calendarCase($name)->problem;
    $found = searched($problem, $iterations);
    expect($found->cost)->toBeLessThan($rule * $share)
        ->and(weighed($problem, $found))->toBe([$found->cost, $found->flow]);
})->with([
    'best of fifteen rules in simulation, small-a' => ['small-a', 29158, 0.4, 20_000],
    'best of fifteen rules in simulation, small-c' => ['small-c', 47247, 0.95, 20_000],
    'best of fifteen rules in simulation, medium-a' => ['medium-a', 56137, 0.45, 40_000],
]);

it('is never above the best of its rules, and says what its schedule costs, on random shops', function () {
    mt_srand(1992);
    for ($round = 0; $round < 150; $round++) {
        $problem = Checker::random();
        $net = Net::of($problem);
        if ($net->count === 0 || $net->unplaced !== []) {
            continue;
        }
        $found = TardinessSearch::solve($net, $round, 300, fn (): bool => true);
        expect(weighed($problem, $found))->toBe([$found->cost, $found->flow]);
        foreach (Rule::cases() as $rule) {
            expect($found->cost)->toBeLessThanOrEqual(
                $rule === Rule::Rank || $rule === Rule::Slack
                    ? PHP_INT_MAX
                    : weighed($problem, new Found(Dispatch::order($net, $rule), 0, 0, 0, false))[0],
            );
        }
    }
});

it(
    'puts one machine in the order of weight by time when all is late: Smith, Naval Research Logistics Quarterly 3 '
        .'(1956)',
    function () {
        mt_srand(1956);
        for ($round = 0; $round < 20; $round++) {
            $jobs = [];
            for ($j = 0; $j < 8; $j++) {
                $jobs[] = new Job($j, "job {$j}", 1, 0, [new Step($j, 1, mt_rand(1, 40))], mt_rand(1, 9));
            }
            $problem = new Problem(
                0,
                [1 => new WorkCentre('Saw', 1, OpenWindows::of([[0, 1000]], [], 0, 1000))],
                $jobs,
            );
            usort(
                $jobs,
                fn (Job $a, Job $b): int => $b->weight * $a->steps[0]->minutes <=> $a->weight * $b->steps[0]->minutes,
            );
            $at = $least = 0;
            foreach ($jobs as $job) {
                $least += $job->weight * ($at += $job->steps[0]->minutes);
            }
            expect(searched($problem, 3000, $round)->cost)->toBe($least);
        }
    },
);

it('has the least greatest lateness on one machine by due date: Jackson 1955, against all orders', function () {
    mt_srand(1955);
    for ($round = 0; $round < 20; $round++) {
        $jobs = [];
        for ($j = 0; $j < 6; $j++) {
            $jobs[] = new Job($j, "job {$j}", 1, mt_rand(1, 120), [new Step($j, 1, mt_rand(1, 40))]);
        }
        $lateness = function (array $order) use ($jobs): int {
            $at = 0;
            $most = PHP_INT_MIN;
            foreach ($order as $j) {
                $most = max($most, ($at += $jobs[$j]->steps[0]->minutes) - $jobs[$j]->due);
            }

            return $most;
        };
        $permute = function (array $rest, array $taken) use (&$permute, $lateness): int {
            $least = $rest === [] ? $lateness($taken) : PHP_INT_MAX;
            foreach ($rest as $i => $j) {
                $least = min($least, $permute(array_diff_key($rest, [$i => 0]), [...$taken, $j]));
            }

            return $least;
        };
        $net = Net::of(
            new Problem(0, [1 => new WorkCentre('Saw', 1, OpenWindows::of([[0, 1000]], [], 0, 1000))], $jobs),
        );
        expect($lateness(Dispatch::order($net, Rule::DueDate)))->toBe($permute(range(0, 5), []));
    }
});

it('is repeatable by seed and iterations, and a time limit only cuts', function () {
    $problem = calendarCase('small-a')->problem;
    $one = searched($problem, 5000, 3);
    $told = [];
    $cut = TardinessSearch::solve(Net::of($problem), 3, 5000, function (int $cost, int $iterations) use (&$told): bool {
        $told[] = $cost;

        return $iterations < 2000;
    });
    $sorted = $told;
    rsort($sorted);
    expect(searched($problem, 5000, 3))->toEqual($one)
        ->and($cut->cost)->toBeGreaterThanOrEqual($one->cost)
        ->and($cut->iterations)->toBeLessThan(3000)
        ->and($told)->toBe($sorted);
});

it('keeps what is fixed, keeps the old plan when it finds nothing better, and weighs what moves', function () {
    $problem = calendarCase('small-c')->problem;
    $net = Net::of($problem);
    $first = Dispatch::order($net, Rule::DueDate);
    $fixed = array_slice($first, 0, 20);
    $starts = array_map(fn ($step) => $step->start, Loading::load($net, $first)->steps);
    $was = array_map(fn (Step $step): int => $starts[$step->id], $net->step);
    $kept = TardinessSearch::solve($net, 1, 3000, fn (): bool => true, new Stands($first, $fixed));
    $still = TardinessSearch::solve(
        $net,
        1,
        3000,
        fn (): bool => true,
        new Stands($first, [], [], $was, array_map(fn (): int => 1_000_000, $was)),
    );
    expect(array_slice($kept->order, 0, 20))->toBe($fixed)
        ->and(array_map(fn ($step) => $step->start, Loading::load($net, $still->order)->steps))->toEqual($starts)
        // nothing moved, so it costs what the plan is late; and at a small price each step that moves is paid for
        ->and($still->cost)->toBe(weighed($problem, new Found($first, 0, 0, 0, false))[0]);
    // the first half counts thrice
    $price = array_map(fn (int $x): int => $x < $net->count / 2 ? 300 : 100, array_keys($was));
    $paid = TardinessSearch::solve($net, 1, 3000, fn (): bool => true, new Stands($first, [], [], $was, $price));
    $steps = Loading::load($net, $paid->order)->steps;
    $moved = array_filter($net->step, fn (Step $step): bool => $steps[$step->id]->start !== $starts[$step->id]);
    expect($paid->cost)->toBe(weighed($problem, $paid)[0] + array_sum(array_intersect_key($price, $moved)))
        ->and($paid->cost)->toBeLessThan($still->cost);
});

it('says what is wrong with a case', function (string $text, string $says) {
    expect(fn () => CaseFile::read($text))->toThrow(Refused::class, $says);
})->with([
    ['nothing', 'not of the format'],
    ['{"format": "calendar-job-shop-1"}', 'work_centres must be a list'],
    [
        '{"format": "calendar-job-shop-1", "work_centres": [{"id": "A", "machines": 1, "shifts": [{"from": 9, "to": '
            .'9}]}], "orders": []}',
        'from 9 to 9 does not lie in a week',
    ],
    [
        '{"format": "calendar-job-shop-1", "work_centres": [], "orders": [{"id": "O1", "release": 0, "due": 1, '
            .'"weight": 1, "predecessors": ["O2"], "operations": []}]}',
        'an order that is not there',
    ],
    [
        '{"format": "calendar-job-shop-1", "work_centres": [], "orders": [{"id": "O1", "release": 0, "due": 1, '
            .'"weight": 1, "predecessors": [], '
        .'"operations": [{"op": 1, "work_centre": "B", "setup_min": 1, "run_min_per_unit": 1, "quantity": 1}]}]}',
        'there is no work centre B',
    ],
    [
        '{"format": "calendar-job-shop-1", "work_centres": [], "orders": [{"id": "O1", "release": 0, "due": 1, '
            .'"weight": 1, "predecessors": [], '
        .'"operations": [{"op": 1, "work_centre": "B", "setup_min": 1, "run_min_per_unit": -1, "quantity": 1}]}]}',
        'run_min_per_unit must be',
    ],
]);

it(
    'searches shops in which everything happens, never above its rules, and the full checker accepts what it finds',
    function () {
        mt_srand(1983);
        for ($round = $better = $whole = 0; $round < 70; $round++) {
            $problem = FullChecker::random();
            $net = Net::of($problem);
            if ($net->count < 2) {
                continue;
            }
            $found = TardinessSearch::solve($net, $round, 150, fn (): bool => true);
            $schedule = Loading::load($net, $found->order, only: $found->ways);
            expect(FullChecker::faults($problem, $schedule))->toBe([]);
            // a job without a place, and a step that cannot stand where it is pinned, cost more than any lateness
            $weigh = function (Schedule $schedule) use ($problem, $net): float {
                $isWhole = count($schedule->unplaced) === count($net->unplaced)
                    && ! str_contains(implode($schedule->notes), 'it stands later');
                $late = array_map(
                    fn (Job $job): int => isset($net->unplaced[$job->id])
                        ? 0
                        : $job->weight * max(0, ($schedule->finish[$job->id] ?? 0) - $job->due),
                    $problem->jobs,
                );

                return $isWhole ? array_sum($late) : INF;
            };
            $rule = min(
                array_map(fn (Rule $rule): float => $weigh(Loading::load($net, Dispatch::order($net, $rule))), [
                    Rule::DueDate,
                    Rule::CriticalRatio,
                    Rule::Shortest,
                    Rule::TardinessCost,
                ]),
            );
            $cost = $found->cost < Walk::BROKEN ? (float) $found->cost : INF;
            expect($cost)->toBe((float) $weigh($schedule))->toBeLessThanOrEqual($rule);
            $better += $cost < $rule ? 1 : 0;
            $whole += $cost < INF ? 1 : 0;
        }
        expect($whole)->toBeGreaterThan(50);
        expect($better)->toBeGreaterThan(3);
    },
);

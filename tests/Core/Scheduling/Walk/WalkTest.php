<?php

use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Loading\Loading;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Search\Dispatch;
use KeepPace\Core\Scheduling\Search\Rule;
use KeepPace\Core\Scheduling\Search\TardinessSearch;
use KeepPace\Core\Scheduling\Walk\Found;
use KeepPace\Core\Scheduling\Walk\Walk;
use Tests\Core\Scheduling\WalkShops;

/* The walk works out only what a move changes; whatever it did, that is what loading all anew comes to. */

/** @return array{int, int, bool} weighted minutes late, sum of finishes, whether some pin or job has no place */
function loadedAnew(Problem $problem, Found $found): array
{
    $schedule = Loading::load(Net::of($problem), $found->order, only: $found->ways);
    $late = array_map(
        fn (Job $job): int => $job->weight * max(0, ($schedule->finish[$job->id] ?? 0) - ($job->due ?? PHP_INT_MAX)),
        $problem->jobs,
    );

    return [array_sum($late), array_sum($schedule->finish), $schedule->notes !== [] || $schedule->unplaced !== []];
}

it('comes to what loading comes to, at the start and after hundreds of moves', function (array $with) {
    mt_srand(count($with) * 1000 + strlen(implode('', $with)));
    for ($round = $moved = $broken = 0; $round < 25; $round++) {
        $problem = WalkShops::random($with);
        $net = Net::of($problem);
        if ($net->count < 2 || $net->unplaced !== []) {
            continue;
        }
        $order = Dispatch::order($net, Rule::TardinessCost);
        $walk = new Walk($net, $round);
        $start = $walk->cool($order, [], 0, 1.0, 1.0, fn (): bool => true);
        $compare = function (Found $found) use ($problem, &$broken): void {
            // a pin that cannot be kept is given up by loading, which says so, as it does of a job nobody is there for;
            // here both have a price above all others
            $isBroken = $found->cost >= Walk::BROKEN;
            $broken += $isBroken ? 1 : 0;
            [$late, $flow, $hasNone] = loadedAnew($problem, $found);
            expect($hasNone)->toBe($isBroken)
                ->and($isBroken ? [] : [$found->cost, $found->flow])->toBe($isBroken ? [] : [$late, $flow]);
        };
        $compare($start);
        // hot enough to take what is worse
        foreach ([5000.0, 200.0] as $hot) {
            $found = $walk->cool($start->order, $start->ways, 300, $hot, 10.0, fn (): bool => true);
            $compare($found);
            expect($found->isBetterThan($start) || $found->cost === $start->cost)->toBeTrue();
            $moved += $found->order === $start->order ? 0 : 1;
        }
    }
    // most are whole: the comparison is one of figures
    expect($moved)->toBeGreaterThan(15)->and($broken)->toBeLessThan(in_array('pins', $with, true) ? 55 : 40);
})->with([
    'ways' => [['ways']],
    'families' => [['families']],
    'machines of their own hours' => [['own']],
    'crews' => [['crews']],
    'ways and moves between' => [['ways', 'move']],
    'ways and families' => [['ways', 'families']],
    'pins' => [['pins']],
    'pins, ways and hours of their own' => [['pins', 'ways', 'own', 'move']],
    'first parts passed on' => [['transfer']],
    'first parts passed on, ways and moves between' => [['transfer', 'ways', 'move']],
    'first parts passed on, families, hours of their own' => [['transfer', 'families', 'own', 'ways']],
    'first parts passed on around pins' => [['transfer', 'pins', 'ways', 'own', 'move']],
    'pins among setups of families' => [['pins', 'families', 'ways', 'own', 'move', 'transfer']],
    'all of it' => [['ways', 'families', 'own', 'crews', 'move']],
    'people shared, asked for unevenly' => [['shared']],
    'people shared, some qualified' => [['shared', 'able']],
    'people shared, ways and moves between' => [['shared', 'able', 'ways', 'move']],
    'ovens' => [['oven', 'ways', 'move', 'families']],
    'ovens, pins and hours of their own' => [['oven', 'pins', 'own', 'transfer']],
    'what may not stand over a night' => [['whole', 'ways']],
    'people shared, families, own hours' => [['shared', 'families', 'own', 'ways', 'whole']],
    'people shared, first parts passed on' => [['shared', 'able', 'transfer', 'ways', 'whole', 'move']],
    'people shared, around pins' => [['shared', 'able', 'pins', 'ways', 'own']],
    'people shared, all of it' => [[
        'shared', 'able', 'pins', 'families', 'ways', 'own', 'move', 'transfer', 'whole', 'oven',
    ]],
]);

it('is as good where each step has two ways as one that tries every order and every way', function () {
    // checked against trying all: three jobs of two steps on two machines, each step on either
    mt_srand(7);
    for ($round = 0; $round < 15; $round++) {
        $problem = WalkShops::small();
        $net = Net::of($problem);
        $best = PHP_INT_MAX;
        foreach (WalkShops::orders($net) as $order) {
            for ($bits = 0; $bits < 1 << $net->count; $bits++) {
                $ways = [];
                foreach (array_keys($net->step) as $x) {
                    $ways[$x] = $bits >> $x & 1;
                }
                $schedule = Loading::load($net, $order, only: $ways);
                $cost = 0;
                foreach ($problem->jobs as $job) {
                    $cost += $job->weight * max(0, $schedule->finish[$job->id] - (int) $job->due);
                }
                $best = min($best, $cost);
            }
        }
        $found = TardinessSearch::solve($net, $round, 20_000, fn (): bool => true);
        expect($found->cost)->toBe($best);
    }
});

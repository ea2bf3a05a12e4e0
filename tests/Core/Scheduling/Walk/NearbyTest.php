<?php

use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Search\Dispatch;
use KeepPace\Core\Scheduling\Search\Rule;
use KeepPace\Core\Scheduling\Walk\Nearby;
use Tests\Core\Scheduling\Walk\Lines;
use Tests\Core\Scheduling\WalkShops;

/* Moves of single operations: worked out by hand, and on random shops by what no move may do. */

it('takes along what an operation needs, and what needs one', function (int $kind, array $becomes) {
    // the last steps of two jobs on bench 3 (2 and 5), a third job's only step on bench 1 (6) in between
    $net = Lines::hours([1, 2, 3], [1, 2, 3], [1]);
    $at = [0, 1, 2, 6, 3, 4, 5];
    $stretch = (new Nearby($net))->swap(Lines::of($net, $at), 2, 5, $kind);
    expect($stretch)->not->toBeNull()
        ->and(Lines::replaced($at, $stretch))->toBe($becomes)
        ->and(Lines::faults($net, $at, $stretch))->toBe([]);
})->with([
    'to the front, with 3 and 4 that it needs' => [0, [0, 1, 3, 4, 5, 2, 6]],
    'to the end, which nothing needs' => [1, [0, 1, 6, 3, 4, 5, 2]],
    'both' => [2, [0, 1, 3, 4, 5, 6, 2]],
]);

it('does not pass what an operation itself waits for', function (int $kind) {
    // one job that comes by the same bench twice
    $net = Lines::hours([1, 2, 1]);
    expect((new Nearby($net))->swap(Lines::of($net, [0, 1, 2]), 0, 2, $kind))->toBeNull();
})->with([0, 1, 2]);

it('moves nothing it does not say and nothing past what it waits for', function () {
    mt_srand(5);
    for ($round = $moves = 0; $round < 60; $round++) {
        $net = Net::of(WalkShops::random(['move']));
        if ($net->unplaced !== []) {
            continue;
        }
        $at = Dispatch::order($net, Rule::DueDate);
        $line = Lines::of($net, $at);
        $nearby = new Nearby($net);
        foreach ($at as $x) {
            $y = $line->prior[$x];
            $stretch = $y < 0 ? null : $nearby->swap($line, $y, $x, mt_rand(0, 2));
            if ($stretch !== null) {
                $moves++;
                $place = array_flip(Lines::replaced($at, $stretch));
                expect(Lines::faults($net, $at, $stretch))->toBe([])
                    ->and($place[$x])->toBeLessThan($place[$y]);
            }
        }
    }
    expect($moves)->toBeGreaterThan(100);
});

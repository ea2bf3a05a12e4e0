<?php

use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Search\Dispatch;
use KeepPace\Core\Scheduling\Search\Rule;
use KeepPace\Core\Scheduling\Walk\WayMove;
use Tests\Core\Scheduling\Walk\Lines;
use Tests\Core\Scheduling\WalkShops;

/* On random shops: what no move may do, and where the operation stands then. */

it('puts an operation in another of its ways among what stands there, and passes nothing fixed', function () {
    mt_srand(6);
    for ($round = $moves = 0; $round < 120; $round++) {
        $net = Net::of(WalkShops::random(['ways']));
        if ($net->unplaced !== []) {
            continue;
        }
        $at = Dispatch::order($net, Rule::DueDate);
        $line = Lines::of($net, $at);
        $fixed = array_slice($at, 0, mt_rand(0, 2));
        $facts = Lines::facts($net, ...$fixed);
        $move = new WayMove($facts);
        foreach ($at as $x) {
            if (($facts->shop->otherWays[$x] ?? []) === [] || in_array($x, $fixed, true)) {
                continue;
            }
            $stretch = $move->of($line, $x, mt_rand(0, PHP_INT_MAX >> 1));
            if ($stretch === null || $stretch->other === null) {
                continue;
            }
            $moves++;
            $new = Lines::replaced($at, $stretch);
            $other = $stretch->other;
            expect(Lines::faults($net, $at, $stretch))->toBe([])
                ->and($other->way)->not->toBe(0)
                ->and(array_slice($new, 0, count($fixed)))->toBe($fixed);
            // what stands at that work centre now, but what it took along: right ahead of it and right behind
            $there = array_values(array_filter($new, fn (int $y): bool => $y === $x
                || ($net->centre[$y] === $other->choice[0] && ! in_array($y, $stretch->moved, true))));
            $place = array_search($x, $there, true);
            expect($there[$place - 1] ?? -1)->toBe($other->prior)
                ->and($there[$place + 1] ?? -1)->toBe($other->behind);
        }
    }
    expect($moves)->toBeGreaterThan(100);
});

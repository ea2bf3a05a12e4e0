<?php

use KeepPace\Core\Scheduling\Loading\Loading;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Search\OneByOne;
use KeepPace\Core\Scheduling\Walk\Walk;
use Tests\Core\Scheduling\FullChecker;
use Tests\Core\Scheduling\WalkShops;

/* Orders one by one, each whole into the gaps the others leave: a start for the search where people are asked for. */

it('has every operation once, behind what it waits for, each in one of its ways', function () {
    mt_srand(2018);
    for ($round = 0; $round < 60; $round++) {
        $net = Net::of(WalkShops::random(['shared', 'able', 'ways', 'families', 'oven', 'own', 'move']));
        if ($net->count < 2 || $net->unplaced !== []) {
            continue;
        }
        [$order, $ways] = (new OneByOne($net))->order(mt_rand(0, 2) / 2, mt_rand(0, 8) / 2);
        $place = array_flip($order);
        expect(array_keys($place))->toHaveCount($net->count);
        foreach ($net->before as $x => $before) {
            foreach ($before as $y) {
                expect($place[$y])->toBeLessThan($place[$x]);
            }
        }
        foreach ($ways as $x => $n) {
            expect($net->ways[$x])->toHaveKey($n);
        }
    }
});

it('gives the most urgent order the time it would have alone', function () {
    mt_srand(1992);
    $seen = 0;
    for ($round = 0; $round < 400 && $seen < 21; $round++) {
        $problem = WalkShops::random(['shared', 'ways']);
        $net = Net::of($problem);
        $urgent = array_keys($net->due, min($net->due), true)[0] ?? -1;
        $isAlone = $urgent >= 0 && array_filter($net->operations[$urgent], fn (int $x): bool => array_filter(
            $net->before[$x],
            fn (int $y): bool => $net->job[$y] !== $urgent,
        ) !== []) === [];
        if ($net->unplaced !== [] || ! $isAlone || array_filter($net->step, fn ($step): bool => $step->started)) {
            continue;
        }
        [$order, $ways] = (new OneByOne($net))->order(0.0, 0.0);
        $schedule = Loading::load($net, $order, gaps: true, only: $ways);
        $alone = Loading::load($net, $net->operations[$urgent]);
        $id = $net->jobs[$urgent]->id;
        expect(FullChecker::faults($problem, $schedule))->toBe([])
            ->and($schedule->finish[$id])->toBe($alone->finish[$id]);
        $seen++;
    }
    expect($seen)->toBe(21);
});

it('is a start a walk goes on from, where people are asked for and not only machines', function () {
    mt_srand(1938);
    $net = Net::of(WalkShops::random(['shared', 'able']));
    [$order, $ways] = (new OneByOne($net))->order(0.5, 1.0);
    $walk = new Walk($net, 1);
    expect($walk->isManned())->toBeTrue()
        ->and($walk->cool($order, $ways, 0, 1.0, 1.0, fn (): bool => true)->cost)->toBeLessThan(Walk::BROKEN)
        ->and((new Walk(Net::of(WalkShops::random(['oven'])), 1))->isManned())->toBeFalse();
});

<?php

use KeepPace\Core\Scheduling\Plan\FoldedTime;

/* Minutes across a drawing with folds: our own rule. */

it('gives each fold its width and the rest to open time, in proportion', function () {
    // 0 to 1000 with two nights of 300: 400 open minutes share what two folds of a tenth leave
    $time = FoldedTime::of(0, 1000, [[100, 400], [600, 900]], 0.1);
    expect($time->x(0))->toBe(0.0)
        ->and(round($time->x(100), 6))->toBe(0.2)
        ->and(round($time->x(250), 6))->toBe(0.25) // in the middle of a fold
        ->and(round($time->x(400), 6))->toBe(0.3)
        ->and(round($time->x(600), 6))->toBe(0.7)
        ->and(round($time->x(1000), 6))->toBe(1.0)
        ->and($time->x(-50))->toBe(0.0)
        ->and($time->x(5000))->toBe(1.0);
});

it('never runs backwards, whatever is folded', function () {
    mt_srand(5);
    for ($round = 0; $round < 200; $round++) {
        $quiet = [];
        for ($at = mt_rand(-500, 300); $at < 5200; $at += mt_rand(200, 900)) {
            $quiet[] = [$at, $at += mt_rand(1, 700)];
        }
        $time = FoldedTime::of(0, 5000, $quiet, mt_rand(0, 20) / 100);
        $x = array_map($time->x(...), range(-100, 5100, 37));
        $sorted = $x;
        sort($sorted);
        expect($x)->toBe($sorted)->and($x[0])->toBe(0.0)->and(round(end($x), 9))->toBe(1.0);
    }
});

it('is one fold where all is quiet, and plain where nothing is', function () {
    expect(round(FoldedTime::of(0, 100, [[-10, 200]], 0.05)->x(50), 6))->toBe(0.025)
        ->and(FoldedTime::of(0, 100, [], 0.05)->x(25))->toBe(0.25);
});

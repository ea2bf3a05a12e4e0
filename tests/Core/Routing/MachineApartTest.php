<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Routing\RunBasis;
use KeepPace\Core\Routing\StepTime;

/* The machine is held for another time than people work at a piece: common practice, values by hand. */

function apart(RunBasis $basis, string $rate, string $machine, string $batch = '1'): StepTime
{
    return new StepTime(
        BigDecimal::of(20),
        $basis,
        BigDecimal::of($rate),
        BigDecimal::of($batch),
        BigDecimal::of($machine),
    );
}

it('lasts as long as the machine, and costs people what they work at it', function (
    StepTime $time,
    int $minutes,
    int $labour,
) {
    expect($time->minutes(BigDecimal::of(10)))->toBe($minutes)
        ->and($time->labour(BigDecimal::of(10), 2))->toBe($labour);
})->with([
    // set up 20, then 14 a piece; 3 of them by two people
    'loaded by hand' => [fn () => apart(RunBasis::MinutesPerUnit, '3', '14'), 160, 100],
    '30 an hour by hand' => [fn () => apart(RunBasis::UnitsPerHour, '30', '14'), 160, 80],
    'a batch of 5 loaded in 6' => [fn () => apart(RunBasis::MinutesPerBatch, '6', '14', '5'), 160, 64],
    'two people longer than the machine' => [fn () => apart(RunBasis::MinutesPerUnit, '5', '2'), 40, 140],
]);

it('shares what was booked of the machine by the same', function () {
    $time = apart(RunBasis::MinutesPerUnit, '3.5', '14'); // a quarter of the run
    expect($time->labourIn(160, 2, withSetup: true))->toBe(110) // 20 and a quarter of 140, by two
        ->and($time->labourIn(140, 2, withSetup: false))->toBe(70)
        ->and($time->labourIn(12, 1, withSetup: true))->toBe(12); // still setting up
});

it('books all of it where nothing is said of the machine', function () {
    $time = new StepTime(BigDecimal::of(20), RunBasis::MinutesPerUnit, BigDecimal::of(3));
    expect($time->labourIn(50, 3, withSetup: true))->toBe(150)
        ->and($time->labour(BigDecimal::of(10), 3))->toBe(150);
});

it('never books more people than were there while the machine runs longer than they do', function () {
    mt_srand(3);
    for ($i = 0; $i < 300; $i++) {
        $run = mt_rand(1, 50);
        $time = apart(RunBasis::MinutesPerUnit, (string) $run, (string) ($run + mt_rand(0, 90)));
        $minutes = mt_rand(0, 900);
        $labour = $time->labourIn($minutes, 1, mt_rand(0, 1) === 1);
        expect($labour)->toBeGreaterThanOrEqual(0)->toBeLessThanOrEqual($minutes);
    }
});

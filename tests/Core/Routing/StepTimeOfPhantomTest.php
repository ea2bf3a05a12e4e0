<?php

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Routing\RunBasis;
use KeepPace\Core\Routing\StepTime;

function phantomTime(RunBasis $basis, string $rate, ?string $batch = null): StepTime
{
    $of = $batch === null ? null : BigDecimal::of($batch);

    return new StepTime(BigDecimal::of(5), $basis, BigDecimal::of($rate), $of);
}

// by hand: three of it in each of 20 pieces are 60 of it
it('takes as long for the pieces of the product as for all that is in them', function (StepTime $time) {
    $inEach = $time->perPiece(BigRational::of(3));
    expect($inEach->minutes(BigDecimal::of(20)))->toBe($time->minutes(BigDecimal::of(60)))
        ->and($inEach->setup->isEqualTo(5))->toBeTrue();
})->with([
    'by the piece' => [fn () => phantomTime(RunBasis::MinutesPerUnit, '2.5')],
    'by the hour' => [fn () => phantomTime(RunBasis::UnitsPerHour, '90')],
    'by the batch' => [fn () => phantomTime(RunBasis::MinutesPerBatch, '12', '12')],
]);

it('takes the same for any number where it is taken once for the order', function (int $pieces) {
    $once = phantomTime(RunBasis::UnitsPerHour, '90')->once(BigRational::of(30));
    expect($once->minutes(BigDecimal::of($pieces)))->toBe(25); // 5 and 30 at 90 an hour
})->with([1, 7, 500]);

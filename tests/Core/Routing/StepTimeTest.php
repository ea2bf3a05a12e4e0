<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Refused;
use KeepPace\Core\Routing\Pieces;
use KeepPace\Core\Routing\RunBasis;
use KeepPace\Core\Routing\StepTime;

it('times a step', function (
    string $setup,
    RunBasis $basis,
    string $rate,
    string $batch,
    string $quantity,
    int $minutes,
) {
    expect(
        (new StepTime(BigDecimal::of($setup), $basis, BigDecimal::of($rate), BigDecimal::of($batch)))->minutes(
            BigDecimal::of($quantity),
        ),
    )->toBe($minutes);
})->with([
    'common practice: 40 a minute, 12,000 pieces' => ['0', RunBasis::UnitsPerHour, '2400', '1', '12000', 300],
    'common practice: 25 m a minute, 9,000 m' => ['0', RunBasis::UnitsPerHour, '1500', '1', '9000', 360],
    'common practice: setup once' => ['45', RunBasis::MinutesPerUnit, '2.5', '1', '33', 128],
    'common practice: rounded up once for the step' => ['0.4', RunBasis::MinutesPerUnit, '0.3', '1', '2', 1],
    'common practice: an exact hour stays one' => ['0', RunBasis::UnitsPerHour, '7', '1', '7', 60],
    'common practice: a started batch takes as long as a full one' => [
        '10',
        RunBasis::MinutesPerBatch,
        '90',
        '6',
        '7',
        190,
    ],
    'common practice: full batches only' => ['10', RunBasis::MinutesPerBatch, '90', '6', '6', 100],
    'common practice: nothing to run leaves the setup' => ['15', RunBasis::MinutesPerUnit, '5', '1', '0', 15],
]);

it('keeps taken in = to do + in hand + scrap + passed on', function () {
    $zero = BigDecimal::zero();
    $pieces = (new Pieces($zero, $zero, $zero, $zero))
        ->takeIn(BigDecimal::of(10))
        ->count(BigDecimal::of(6), BigDecimal::of(1), 'step 10')
        ->passOn(BigDecimal::of(4), 'step 10');
    expect((string) $pieces->toDo())->toBe('3')
        ->and((string) $pieces->inHand())->toBe('2')
        ->and($pieces->isDone())->toBeFalse();
    expect(fn () => $pieces->count(BigDecimal::of(3), BigDecimal::of(1), 'step 10'))->toThrow(
        Refused::class,
        '3 left to do',
    );
    expect(fn () => $pieces->passOn(BigDecimal::of(3), 'step 10'))->toThrow(Refused::class, '2 good in hand');
    expect(fn () => $pieces->putBack($zero, BigDecimal::of(6), BigDecimal::of(1), $zero, 'step 10'))->toThrow(
        Refused::class,
        'gone on',
    );
    expect(
        $pieces
            ->putBack($zero, BigDecimal::of(6), BigDecimal::of(1), BigDecimal::of(4), 'step 10')
            ->toDo()
            ->isEqualTo(10),
    )->toBeTrue();
});

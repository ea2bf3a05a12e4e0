<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\LateCost;
use KeepPace\Core\Costing\Layer;
use KeepPace\Core\Costing\Layers;
use KeepPace\Core\Costing\StockValue;
use KeepPace\Core\Stock\StockRefused;

/*
 * The worked example: OpenStax, Principles of Accounting vol. 1, chapter 10, 'The Spy Who Loves You' (figures from
 * memory, worked by hand
 * again here): 150 units at 21 at first; 120 sold; 225 bought at 27; 180 sold; 210 bought at 33; 160 sold; 125 left. In
 * cents.
 */
const SPY = [['in', 150, 315000], ['out', 120], ['in', 225, 607500], ['out', 180], ['in', 210, 693000], ['out', 160]];

it('takes the oldest first: the worked example, perpetual first in, first out', function () {
    $layers = [];
    $sold = [];
    foreach (SPY as $n => [$way, $units]) {
        if ($way === 'in') {
            $layers[] = new Layer($n, BigDecimal::of($units), SPY[$n][2]);

            continue;
        }
        $value = 0;
        foreach (Layers::take(array_values($layers), BigDecimal::of($units), 'unit') as $use) {
            $value += $use->value;
            $layers = array_map(
                fn (Layer $layer): Layer => $layer->id === $use->layer
                    ? $layer->less($use->quantity, $use->value)
                    : $layer,
                $layers,
            );
        }
        $sold[] = $value;
    }
    // 120 x 21; 30 x 21 + 150 x 27; 75 x 27 + 85 x 33: cost of sales 12,030, left 125 x 33 = 4,125
    expect($sold)->toBe([252000, 468000, 483000])
        ->and(array_sum($sold))->toBe(1203000);
    expect(array_sum(array_map(fn (Layer $layer): int => $layer->value, $layers)))->toBe(412500);
});

it('averages anew after each receipt: the worked example, perpetual weighted average (IAS 2.27)', function () {
    $stock = StockValue::none();
    $sold = [];
    foreach (SPY as $n => [$way, $units]) {
        if ($way === 'in') {
            $stock = $stock->put(BigDecimal::of($units), SPY[$n][2]);

            continue;
        }
        $sold[] = $value = $stock->valueOf(BigDecimal::of($units));
        $stock = $stock->take(BigDecimal::of($units), $value, 'unit');
    }
    // 120 x 21.00; 180 x 6,705/255 = 4,732.94; 160 x 8,902.06/285 = 4,997.65; left 3,904.41
    expect($sold)->toBe([252000, 473294, 499765])
        ->and($stock->value)->toBe(390441);
});

it('empties a layer with all its value, and refuses more than the layers hold', function () {
    $layers = [new Layer(1, BigDecimal::of(3), 100), new Layer(2, BigDecimal::of(3), 200)];
    $uses = Layers::take($layers, BigDecimal::of(4), 'it');
    expect(array_map(fn ($use): array => [$use->layer, (string) $use->quantity, $use->value], $uses))->toBe([
        [1, '3', 100],
        [2, '1', 67],
    ]);
    expect(fn () => Layers::take($layers, BigDecimal::of(7), 'it'))->toThrow(
        StockRefused::class,
        '7 of it asked for, 6 there',
    );
});

it(
    'loses no cent over thousands of random receipts and issues: cost of what left + value of what stays = cost of '
        .'what came in, IAS 2',
    function () {
        mt_srand(5);
        for ($round = 0; $round < 300; $round++) {
            $in = $out = $id = 0;
            $layers = [];
            for ($i = 0; $i < 20; $i++) {
                $there = array_reduce(
                    $layers,
                    fn (BigDecimal $sum, Layer $layer): BigDecimal => $sum->plus($layer->quantity),
                    BigDecimal::zero(),
                );
                if ($there->isZero() || mt_rand(0, 1) === 0) {
                    $in += $value = mt_rand(0, 99999);
                    $layers[] = new Layer(++$id, BigDecimal::ofUnscaledValue(mt_rand(1, 9999), 2), $value);

                    continue;
                }
                $take = mt_rand(0, 4) === 0
                        ? $there
                        : $there->multipliedBy(mt_rand(1, 99))->dividedBy(100, 6, Brick\Math\RoundingMode::DOWN);
                foreach ($take->isZero() ? [] : Layers::take(array_values($layers), $take, 'it') as $use) {
                    $out += $use->value;
                    $layers = array_map(
                        fn (Layer $layer): Layer => $layer->id === $use->layer
                            ? $layer->less($use->quantity, $use->value)
                            : $layer,
                        $layers,
                    );
                }
                $layers = array_filter(
                    $layers,
                    fn (Layer $layer): bool => ! $layer->quantity->isZero() || $layer->value !== 0,
                );
                $left = array_sum(array_map(fn (Layer $layer): int => $layer->value, $layers));
                expect($left + $out)->toBe($in);
                foreach ($layers as $layer) {
                    expect($layer->value)->toBeGreaterThanOrEqual(0)->and($layer->quantity->isPositive())->toBeTrue();
                }
            }
        }
    },
);

it('spreads a late cost over what is still there, the rest is variance: IAS 2.10-11, 2.34', function (
    int $cents,
    string $received,
    string $there,
    int $value,
    int $toStock,
    int $variance,
) {
    $spread = LateCost::spread($cents, BigDecimal::of($received), BigDecimal::of($there), $value);
    expect([$spread->toStock, $spread->variance])->toBe([$toStock, $variance])
        ->and($spread->toStock + $spread->variance)->toBe($cents);
})->with([
    'common practice: nothing has left' => [9000, '100', '100', 50000, 9000, 0],
    'common practice: two thirds have left' => [9000, '90', '30', 15000, 3000, 6000],
    'common practice: all has left' => [9000, '90', '0', 0, 0, 9000],
    'common practice: a credit' => [-900, '90', '30', 15000, -300, -600],
    'our own rule: value is never taken below zero' => [-90000, '90', '90', 15000, -15000, -75000],
    'our own rule: more there than this receipt brought' => [900, '90', '400', 15000, 900, 0],
]);

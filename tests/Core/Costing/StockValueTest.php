<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\StockValue;
use KeepPace\Core\Stock\StockRefused;

it('values what leaves at the weighted average: IAS 2.25-27', function () {
    // 100 at 2.00 and 50 at 2.60 lie together: 150 for 330.00, so 2.20 each
    $balance = StockValue::none()->put(BigDecimal::of(100), 20000)->put(BigDecimal::of(50), 13000);
    expect($balance->valueOf(BigDecimal::of(60)))->toBe(13200);
    $left = $balance->take(BigDecimal::of(60), 13200, 'it');
    expect($left->value)->toBe(19800)->and((string) $left->quantity)->toBe('90');
});

it('leaves no cent behind: cost of what left + value of what stays = cost of what came in, IAS 2', function () {
    mt_srand(2);
    for ($round = 0; $round < 200; $round++) {
        $in = $out = 0;
        $balance = StockValue::none();
        for ($i = 0; $i < 12; $i++) {
            if (mt_rand(0, 1) === 0 || $balance->quantity->isZero()) {
                $in += $value = mt_rand(0, 99999);
                $balance = $balance->put(BigDecimal::ofUnscaledValue(mt_rand(1, 99999), 3), $value);
            } else {
                $take = mt_rand(0, 3) === 0 ? $balance->quantity : $balance->quantity->multipliedBy(mt_rand(1, 99))
                    ->dividedBy(100, 6, Brick\Math\RoundingMode::DOWN);
                $out += $value = $balance->valueOf($take);
                $balance = $balance->take($take, $value, 'it');
            }
            expect($balance->value + $out)->toBe($in)->and($balance->value)->toBeGreaterThanOrEqual(0);
            expect(! $balance->quantity->isZero() || $balance->value === 0)->toBeTrue();
        }
    }
});

it('never falls below zero, and keeps no value without quantity: our own rule', function () {
    $balance = new StockValue(BigDecimal::of(5), 500);
    expect(fn () => $balance->take(BigDecimal::of(6), 500, 'gear'))
        ->toThrow(StockRefused::class, '6 of gear asked for, 5 there')
        ->and(fn () => $balance->take(BigDecimal::of(5), 400, 'gear'))->toThrow(StockRefused::class, 'mixed')
        ->and(fn () => $balance->take(BigDecimal::of(1), 600, 'gear'))->toThrow(StockRefused::class);
});

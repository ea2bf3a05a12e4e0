<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Stock\Balance;
use KeepPace\Core\Stock\StockKey;
use KeepPace\Core\Stock\StockRefused;
use KeepPace\Core\Stock\Withdrawal;

it('values what leaves at the weighted average: IAS 2.25-27', function () {
    // 100 at 2.00 and 50 at 2.60 lie together: 150 for 330.00, so 2.20 each
    $balance = Balance::none()->put(BigDecimal::of(100), 20000)->put(BigDecimal::of(50), 13000);
    expect($balance->valueOf(BigDecimal::of(60)))->toBe(13200);
    $left = $balance->take(BigDecimal::of(60), 13200, 'it');
    expect($left->value)->toBe(19800)->and((string) $left->quantity)->toBe('90');
});

it('leaves no cent behind: cost of what left + value of what stays = cost of what came in, IAS 2', function () {
    mt_srand(2);
    for ($round = 0; $round < 200; $round++) {
        $in = $out = 0;
        $balance = Balance::none();
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
    $balance = new Balance(BigDecimal::of(5), 500);
    expect(fn () => $balance->take(BigDecimal::of(6), 500, 'gear'))->toThrow(StockRefused::class, '6 of gear asked for, 5 there')
        ->and(fn () => $balance->take(BigDecimal::of(5), 400, 'gear'))->toThrow(StockRefused::class, 'mixed')
        ->and(fn () => $balance->take(BigDecimal::of(1), 600, 'gear'))->toThrow(StockRefused::class);
});

it('takes from lots in order and leaves alone what is promised', function () {
    $row = fn (int $lot, int $quantity, int $value): array => ['key' => new StockKey(1, 1, $lot),
        'balance' => new Balance(BigDecimal::of($quantity), $value)];
    $taken = Withdrawal::decide('gear', [$row(1, 4, 400), $row(2, 6, 900)], BigDecimal::of(7), BigDecimal::of(3));
    expect(array_map(fn (array $part): array => [$part['key']->lot, (string) $part['quantity'], $part['value']], $taken->parts))
        ->toBe([[1, '4', 400], [2, '3', 450]]);
    expect(fn () => Withdrawal::decide('gear', [$row(1, 4, 400), $row(2, 6, 900)], BigDecimal::of(8), BigDecimal::of(3)))
        ->toThrow(StockRefused::class, 'promised');
    expect(fn () => Withdrawal::decide('gear', [$row(1, 4, 400)], BigDecimal::of(5), BigDecimal::zero(), BigDecimal::of(10)))
        ->toThrow(StockRefused::class, '4 there');
});

it('sorts keys the same way everywhere', function () {
    $keys = [new StockKey(10, 1), new StockKey(9, 2), new StockKey(9, 1, 5), new StockKey(9, 1)];
    usort($keys, fn ($a, $b) => $a->sortKey() <=> $b->sortKey());
    expect(array_map(fn ($key) => [$key->item, $key->place, $key->lot], $keys))->toBe([[9, 1, 0], [9, 1, 5], [9, 2, 0], [10, 1, 0]]);
});

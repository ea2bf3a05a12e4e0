<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Stock\Balance;
use KeepPace\Core\Stock\StockKey;
use KeepPace\Core\Stock\StockRefused;
use KeepPace\Core\Stock\Withdrawal;

/** @param  list<array{int, int}>  $of quantity and value @return list<array{key: StockKey, balance: Balance}> */
function lots(array $of): array
{
    return array_map(fn (array $lot, int $i): array => ['key' => new StockKey(1, 1, $i + 1), 'balance' => new Balance(BigDecimal::of($lot[0]), $lot[1])], $of, array_keys($of));
}

/** @return list<array{int, string, int}> lot, quantity, value */
function taken(Withdrawal $withdrawal): array
{
    return array_map(fn (array $part): array => [$part['key']->lot, (string) $part['quantity'], $part['value']], $withdrawal->parts);
}

it('takes from the lots in their order, each at its own value', function (array $lots, int $asked, array $parts) {
    expect(taken(Withdrawal::decide('item', lots($lots), BigDecimal::of($asked), BigDecimal::zero())))->toBe($parts);
})->with([
    'common practice: one lot is enough' => [[[10, 1000], [10, 2000]], 4, [[1, '4', 400]]],
    'common practice: the first is emptied, with all its value' => [[[3, 1000], [10, 2000]], 5, [[1, '3', 1000], [2, '2', 400]]],
    'common practice: just all of it' => [[[3, 1000], [2, 1]], 5, [[1, '3', 1000], [2, '2', 1]]],
    'common practice: a third of a cent is rounded half up' => [[[3, 100]], 1, [[1, '1', 33]]],
    'common practice: what has no value leaves without' => [[[3, 0]], 2, [[1, '2', 0]]],
]);

it('refuses with the numbers: what is there, and what of it is promised', function (int $asked, int $promised, ?int $onHand, string $says) {
    expect(fn () => Withdrawal::decide('item', lots([[6, 60], [4, 40]]), BigDecimal::of($asked), BigDecimal::of($promised), $onHand === null ? null : BigDecimal::of($onHand)))->toThrow(StockRefused::class, $says);
})->with([
    'more than is there' => [11, 0, null, '11 of item asked for, 10 there'], 'more than is free' => [8, 3, null, '10 are there, but 3 of them are promised'],
    'of one lot, while the promise is over all' => [10, 5, 12, '12 are there, but 5 of them are promised'],
]);

it('takes what is free beside a promise, to the last piece', function () {
    expect(taken(Withdrawal::decide('item', lots([[6, 60], [4, 40]]), BigDecimal::of(7), BigDecimal::of(3))))->toBe([[1, '6', 60], [2, '1', 10]]);
});

it('loses neither a piece nor a cent, on random lots: IAS 2, cost of what left + value of what stays = cost of what came in', function () {
    mt_srand(21);
    for ($round = 0; $round < 500; $round++) {
        $lots = array_map(fn (): array => [mt_rand(1, 40), mt_rand(0, 9999)], range(1, mt_rand(1, 5)));
        $there = array_sum(array_column($lots, 0));
        $asked = mt_rand(1, $there);
        $parts = taken(Withdrawal::decide('item', lots($lots), BigDecimal::of($asked), BigDecimal::zero()));
        expect(array_sum(array_map(fn (array $part): int => (int) $part[1], $parts)))->toBe($asked);
        foreach ($parts as [$lot, $quantity, $value]) {
            [$had, $worth] = $lots[$lot - 1];
            expect($value)->toBeLessThanOrEqual($worth)->and(abs($value * $had - $worth * (int) $quantity) * 2)->toBeLessThanOrEqual($had);
            if ((int) $quantity === $had) {
                expect($value)->toBe($worth);
            }
        }
    }
});

<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Stock\StockKey;
use KeepPace\Core\Stock\StockRefused;
use KeepPace\Core\Stock\Withdrawal;

/**
 * @param  list<int>  $of quantities
 * @return list<array{key: StockKey, quantity: BigDecimal}>
 */
function lots(array $of): array
{
    return array_map(
        fn (int $lot, int $i): array => ['key' => new StockKey(1, 1, $i + 1), 'quantity' => BigDecimal::of($lot)],
        $of,
        array_keys($of),
    );
}

/** @return list<array{int, string}> lot, quantity */
function taken(Withdrawal $withdrawal): array
{
    return array_map(fn (array $part): array => [$part['key']->lot, (string) $part['quantity']], $withdrawal->parts);
}

it('takes from the lots in their order', function (array $lots, int $asked, array $parts) {
    expect(taken(Withdrawal::decide('item', lots($lots), BigDecimal::of($asked), BigDecimal::zero())))->toBe($parts);
})->with([
    'common practice: one lot is enough' => [[10, 10], 4, [[1, '4']]],
    'common practice: the first is emptied' => [[3, 10], 5, [[1, '3'], [2, '2']]],
    'common practice: just all of it' => [[3, 2], 5, [[1, '3'], [2, '2']]],
]);

it('refuses with the numbers: what is there, and what of it is promised', function (
    int $asked,
    int $promised,
    ?int $onHand,
    string $says,
) {
    expect(
        fn () => Withdrawal::decide(
            'item',
            lots([6, 4]),
            BigDecimal::of($asked),
            BigDecimal::of($promised),
            $onHand === null ? null : BigDecimal::of($onHand),
        ),
    )->toThrow(StockRefused::class, $says);
})->with([
    'more than is there' => [11, 0, null, '11 of item asked for, 10 there'],
    'more than is free' => [8, 3, null, '10 are there, but 3 of them are promised'],
    'of one lot, while the promise is over all' => [10, 5, 12, '12 are there, but 5 of them are promised'],
]);

it('takes what is free beside a promise, to the last piece', function () {
    expect(taken(Withdrawal::decide('item', lots([6, 4]), BigDecimal::of(7), BigDecimal::of(3))))->toBe([
        [1, '6'],
        [2, '1'],
    ]);
});

it('sorts keys the same way everywhere', function () {
    $keys = [new StockKey(10, 1), new StockKey(9, 2), new StockKey(9, 1, 5), new StockKey(9, 1)];
    usort($keys, fn ($a, $b) => $a->sortKey() <=> $b->sortKey());
    expect(array_map(fn ($key) => [$key->item, $key->place, $key->lot], $keys))->toBe([
        [9, 1, 0],
        [9, 1, 5],
        [9, 2, 0],
        [10, 1, 0],
    ]);
});

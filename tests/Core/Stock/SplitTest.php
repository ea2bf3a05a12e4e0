<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Stock\LotOrder;
use KeepPace\Core\Stock\LotRule;
use KeepPace\Core\Stock\LotThere;
use KeepPace\Core\Stock\Split;
use KeepPace\Core\Stock\StockKey;
use KeepPace\Core\Stock\StockRefused;

/** @param  array<string, string>  $parts quantity by code */
function parted(string $quantity, array $parts): Split
{
    return Split::of(
        BigDecimal::of($quantity),
        array_map(
            fn (string $code, string $of): array => ['code' => $code, 'quantity' => BigDecimal::of($of)],
            array_keys($parts),
            $parts,
        ),
    );
}

it('counts what is still to be named', function (string $quantity, array $parts, string $left) {
    expect((string) parted($quantity, $parts)->leftToName())->toBe($left);
})->with([
    'the issue: it must be zero before booking' => ['5', ['A' => '3', 'B' => '2'], '0'],
    'common practice: nothing named' => ['5', [], '5'],
    'common practice: part named' => ['5', ['A' => '3.5'], '1.5'],
    'common practice: too many named' => ['5', ['A' => '3', 'B' => '4'], '-2'],
    'our own rule: a quantity without a lot names nothing' => ['5', ['' => '5'], '5'],
]);

it('refuses a split that is not complete, with the numbers', function (
    string $quantity,
    array $parts,
    bool $serials,
    string $says,
) {
    expect(fn () => parted($quantity, $parts)->decide($serials ? 'serials' : 'lots', $serials))->toThrow(
        StockRefused::class,
        $says,
    );
})->with([
    'short' => ['5', ['A' => '3'], false, '2 of 5 are still to be named: name the lots'],
    'none at all' => ['2', [], true, '2 of 2 are still to be named: name the serials'],
    'over' => ['5', ['A' => '3', 'B' => '4'], false, '2 more are named than the 5'],
    'two of one serial' => ['2', ['S-1' => '2'], true, 'S-1 is a serial: it is one piece'],
]);

it('refuses a serial named twice', function () {
    $part = ['code' => 'S-1', 'quantity' => BigDecimal::one()];
    expect(fn () => Split::of(BigDecimal::of(2), [$part, $part])->decide('serials', true))->toThrow(
        StockRefused::class,
        'named twice',
    );
});

it('takes a complete split', function () {
    parted('5', ['A' => '3', 'B' => '2'])->decide('lots', false);
    parted('2', ['S-1' => '1', 'S-2' => '1'])->decide('serials', true);
})->throwsNoExceptions();

/**
 * @param  list<array{int, ?string}>  $lots id and expiry, oldest first
 * @return list<LotThere>
 */
function shelf(array $lots): array
{
    $there = fn (int $id, ?string $expires): LotThere => new LotThere(
        new StockKey(1, 1, $id),
        BigDecimal::one(),
        "L{$id}",
        $expires,
    );

    return array_map(fn (array $lot): LotThere => $there(...$lot), $lots);
}

it('proposes lots in the order of the rule, and none past its days', function (
    array $lots,
    LotRule $rule,
    int $days,
    array $kept,
    array $order,
) {
    expect(
        array_map(
            fn (LotThere $lot): int => $lot->key->lot,
            LotOrder::of(shelf($lots), $rule, '2026-11-25', $days, $kept),
        ),
    )->toBe($order);
})->with([
    'common practice: first in, first out' => [
        [[1, null], [2, '2026-12-01'], [3, null]],
        LotRule::Oldest,
        0,
        [],
        [1, 2, 3],
    ],
    'common practice: first to expire, first out; what never expires last' => [
        [[1, null], [2, '2027-03-01'], [3, '2026-12-01']],
        LotRule::Expiry,
        0,
        [],
        [3, 2, 1],
    ],
    'common practice: of one date the older' => [
        [[1, '2026-12-01'], [2, '2026-12-01']],
        LotRule::Expiry,
        0,
        [],
        [1, 2],
    ],
    'common practice: the day it expires it is still good' => [
        [[1, '2026-11-25'], [2, '2026-11-24']],
        LotRule::Oldest,
        0,
        [],
        [1],
    ],
    'common practice: with days it must have left' => [
        [[1, '2026-12-08'], [2, '2026-12-09']],
        LotRule::Oldest,
        14,
        [],
        [2],
    ],
    'our own rule: what is kept for the asker first' => [
        [[1, null], [2, null], [3, null]],
        LotRule::Oldest,
        0,
        [3],
        [3, 1, 2],
    ],
]);

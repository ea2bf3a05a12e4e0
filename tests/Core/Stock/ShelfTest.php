<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Stock\KeptFor;
use KeepPace\Core\Stock\LotRule;
use KeepPace\Core\Stock\LotThere;
use KeepPace\Core\Stock\Shelf;
use KeepPace\Core\Stock\StockKey;
use KeepPace\Core\Stock\StockRefused;

/*
 * What is free of an item, said once: available to promise = on hand less what is promised and what is reserved
 * (common practice); a reservation of a lot binds the lot wherever it lies (value from memory: worked by hand).
 */

/** Lot 7 lies in two places, 4 and 6; lot 8 in one, 5. */
function sheets(string $promised = '0', KeptFor ...$kept): Shelf
{
    return new Shelf('SS-15 Sheet', [
        new LotThere(new StockKey(1, 1, 7), BigDecimal::of(4), 'H-7', '2027-01-31'),
        new LotThere(new StockKey(1, 2, 7), BigDecimal::of(6), 'H-7', '2027-01-31'),
        new LotThere(new StockKey(1, 1, 8), BigDecimal::of(5), 'H-8', '2026-12-31'),
    ], BigDecimal::of($promised), array_values($kept));
}

function sheetsKept(int $order, string $quantity, int $lot = 0): KeptFor
{
    return new KeptFor($order * 10 + $lot, $order, "order {$order}", $lot, BigDecimal::of($quantity));
}

/** @param  list<LotThere>  $lots */
function sheetsLeft(array $lots): array
{
    return array_map(fn (LotThere $lot): string => "{$lot->code}/{$lot->key->place}: {$lot->quantity}", $lots);
}

it('says what an order may take', function (string $promised, array $kept, int $order, string $free) {
    expect((string) sheets($promised, ...$kept)->freeFor($order))->toBe($free);
})->with([
    'all that is there' => ['0', [], 1, '15'],
    'less what is promised' => ['4', [], 1, '11'],
    'less what others keep' => ['4', [sheetsKept(2, '3'), sheetsKept(3, '2', 7)], 1, '6'],
    'its own is its own' => ['4', [sheetsKept(2, '3'), sheetsKept(3, '2', 7)], 2, '9'],
    'below zero when too much is promised' => ['16', [], 1, '-1'],
    'nothing once it was taken' => ['0', [sheetsKept(2, '0')], 1, '15'],
]);

it('holds a lot that is kept for another order wherever it lies, once', function () {
    $shelf = sheets('0', sheetsKept(2, '5', 7));
    expect(sheetsLeft($shelf->lotsFor(1)))->toBe(['H-7/1: 0', 'H-7/2: 5', 'H-8/1: 5'])
        ->and(sheetsLeft($shelf->lotsFor(2)))->toBe(['H-7/1: 4', 'H-7/2: 6', 'H-8/1: 5'])
        ->and((string) $shelf->freeFor(1))->toBe('10');
});

it('takes by the rule, its own lots first, and no more than is free', function () {
    $shelf = sheets('3', sheetsKept(1, '2', 8), sheetsKept(2, '4', 7));
    $lots = $shelf->inOrder(1, LotRule::Oldest, '2026-11-24', 0);
    expect(sheetsLeft($lots))->toBe(['H-8/1: 5', 'H-7/1: 0', 'H-7/2: 6']);
    $parts = $shelf->suggest(1, BigDecimal::of(99), $lots);
    expect(array_map(fn (array $part): string => "{$part['lot']->code}: {$part['quantity']}", $parts))
        ->toBe(['H-8: 5', 'H-7: 3']); // 15 there, 3 promised, 4 kept for another
    $expiry = sheets()->inOrder(1, LotRule::Expiry, '2026-11-24', 0);
    expect(sheetsLeft($expiry)[0])->toBe('H-8/1: 5')
        ->and(sheetsLeft(sheets()->inOrder(1, LotRule::Expiry, '2027-01-15', 0)))->toBe(['H-7/1: 4', 'H-7/2: 6']);
});

it('refuses with the numbers, by what stands against it', function (Shelf $shelf, string $asked, string $says) {
    expect(fn () => $shelf->assertEnough(1, BigDecimal::of($asked)))->toThrow(StockRefused::class, $says);
})->with([
    'not there' => [sheets(), '16', '16 of SS-15 Sheet asked for, 15 there'],
    'promised' => [sheets('4'), '12', '4 of them are promised'],
    'kept' => [sheets('4', sheetsKept(2, '3')), '9', '8 are free: the rest is kept for order order 2'],
    'kept and more promised than there is' => [sheets('15', sheetsKept(2, '3')), '0.5', 'promised to customer lines'],
]);

it('gives a named lot in all its places', function () {
    $shelf = sheets('0', sheetsKept(2, '5', 7));
    $named = function (string $code, int $order, string $asked, string $day = '2026-11-24', int $days = 0) use (
        $shelf,
    ): array {
        return sheetsLeft($shelf->named($code, $order, BigDecimal::of($asked), $day, $days));
    };
    expect($named('h-7', 2, '10'))->toBe(['H-7/1: 4', 'H-7/2: 6'])
        ->and($named('H-7', 1, '5'))->toBe(['H-7/1: 0', 'H-7/2: 5'])
        ->and($named('H-9', 1, '1'))->toBe([])
        ->and(fn () => $named('H-7', 1, '6'))->toThrow(StockRefused::class, 'kept for order order 2')
        ->and(fn () => $named('H-8', 1, '6'))->toThrow(StockRefused::class, '6 of lot H-8 asked for, 5 there')
        ->and(fn () => $named('H-8', 1, '1', '2027-01-01'))->toThrow(StockRefused::class, 'expires on 2026-12-31')
        ->and(fn () => $named('H-8', 1, '1', '2026-12-01', 31))->toThrow(StockRefused::class, '31 days left');
});

it('is less by what was taken from one place', function () {
    $shelf = sheets()->less(new StockKey(1, 2, 7), BigDecimal::of(6));
    expect(sheetsLeft($shelf->lots))->toBe(['H-7/1: 4', 'H-7/2: 0', 'H-8/1: 5'])
        ->and((string) $shelf->freeFor(1))->toBe('9');
});

it('keeps a customer\'s own for nobody else', function () {
    $lots = [new LotThere(new StockKey(1, 1, owner: 3), BigDecimal::of(4))];
    $theirs = Shelf::of('Their sheet', $lots, 3, BigDecimal::of(9), [sheetsKept(2, '1')]);
    expect((string) $theirs->freeFor(9))->toBe('4')
        ->and(fn () => $theirs->assertEnough(9, BigDecimal::of(5)))->toThrow(StockRefused::class, '4 there');
});

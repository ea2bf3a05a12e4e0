<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\KeptFor;
use KeepPace\Core\Stock\LotOrder;
use KeepPace\Core\Stock\LotRule;
use KeepPace\Core\Stock\LotThere;
use KeepPace\Core\Stock\PlaceKind;
use KeepPace\Core\Stock\Shelf;
use KeepPace\Core\Stock\StockKey;
use KeepPace\Core\Stock\StockRefused;

/*
 * At the edge: just so much is enough, one more is not; what is kept of nothing binds nobody. Common practice: what is
 * on hand less what is promised less what is reserved may be taken, all of it.
 */

/** Ten of lot 3, of whom some are promised and some kept. */
function tenThere(string $promised = '0', KeptFor ...$kept): Shelf
{
    $lots = [new LotThere(new StockKey(1, 1, 3), BigDecimal::of(10), 'T-3')];

    return new Shelf('BAR-30 Bar', $lots, BigDecimal::of($promised), array_values($kept));
}

function keptOfTen(int $order, string $quantity, int $lot = 0): KeptFor
{
    return new KeptFor(1, $order, "2{$order}", $lot, BigDecimal::of($quantity));
}

/** What is said where an order may not take so many; '' = it may. */
function refusedOf(Shelf $shelf, int $order, string $asked): string
{
    try {
        $shelf->assertEnough($order, BigDecimal::of($asked));
    } catch (StockRefused $refused) {
        return $refused->getMessage();
    }

    return '';
}

it('gives all that is there, and not a millionth more', function () {
    expect(refusedOf(tenThere(), 1, '10'))->toBe('')
        ->and(refusedOf(tenThere(), 1, '10.000001'))
        ->toBe('10.000001 of BAR-30 Bar asked for, 10 there. Take what is there, or book in what came first.');
});

it('gives all that nobody was promised, and says how many that are', function () {
    expect(refusedOf(tenThere('4'), 1, '6'))->toBe('')
        ->and(refusedOf(tenThere('4'), 1, '6.5'))->toBe(
            '6.5 of BAR-30 Bar asked for. 10 are there, but 4 of them are promised to customer lines. Untie a line '
                .'first, or take 6.',
        );
});

it('gives all that is kept for no other order, and names these', function () {
    $shelf = tenThere('2', keptOfTen(1, '3'), keptOfTen(5, '1.5'), keptOfTen(6, '0.5'));
    expect(refusedOf($shelf, 1, '6'))->toBe('')
        ->and(refusedOf($shelf, 1, '7'))->toBe(
            '7 of BAR-30 Bar asked for, 6 are free: the rest is kept for order 25 and 26. Give that reservation up '
                .'first, or take less.',
        )
        ->and(refusedOf($shelf, 9, '3'))->toBe('')
        ->and(refusedOf($shelf, 9, '3.1'))->toContain('3 are free');
});

it('lets a reservation of nothing put no lot first', function () {
    $lots = [
        new LotThere(new StockKey(1, 1, 3), BigDecimal::of(10), 'T-3', '2027-03-01'),
        new LotThere(new StockKey(1, 1, 4), BigDecimal::of(10), 'T-4', '2027-02-01'),
    ];
    $order = fn (string $quantity): array => array_map(
        fn (LotThere $lot): string => $lot->code,
        (new Shelf('BAR-30', $lots, BigDecimal::zero(), [keptOfTen(1, $quantity, 4)]))
            ->inOrder(1, LotRule::Oldest, '2026-12-01', 0),
    );
    expect($order('1'))->toBe(['T-4', 'T-3'])->and($order('0'))->toBe(['T-3', 'T-4']);
});

it('holds nothing of any lot for a reservation of any', function () {
    $left = tenThere('0', keptOfTen(2, '4'))->lotsFor(1);
    expect((string) $left[0]->quantity)->toBe('10')
        ->and((string) tenThere('0', keptOfTen(2, '4'))->freeFor(1))->toBe('6');
});

it('takes promises and reservations of our own stock alone', function () {
    $lots = [new LotThere(new StockKey(1, 1, 3), BigDecimal::of(10))];
    $of = fn (int $owner, ?string $promised): string => (string) Shelf::of(
        'BAR-30',
        $lots,
        $owner,
        $promised === null ? null : BigDecimal::of($promised),
        [keptOfTen(2, '3')],
    )->freeFor(1);
    expect($of(0, '4'))->toBe('3')
        ->and($of(0, null))->toBe('7')
        // what a customer gave us is promised to nobody else
        ->and($of(1, '4'))->toBe('10');
});

it('counts down what is kept as it is taken', function () {
    $kept = keptOfTen(2, '4', 3)->less(BigDecimal::of('1.5'));
    expect([(string) $kept->quantity, $kept->order, $kept->lot, $kept->number])->toBe(['2.5', 2, 3, '22']);
});

it('judges a lot that expires though it is the only one', function () {
    $lot = fn (?string $on): array => [new LotThere(new StockKey(1, 1, 3), BigDecimal::one(), 'T-3', $on)];
    $order = fn (?string $on, int $days = 0): int => count(
        LotOrder::of($lot($on), LotRule::Expiry, '2026-12-01', $days),
    );
    expect($order(null, 9999))->toBe(1)
        ->and($order('2026-12-01'))->toBe(1) // the last good day
        ->and($order('2026-11-30'))->toBe(0)
        ->and($order('2026-12-08', 7))->toBe(1)
        ->and($order('2026-12-07', 7))->toBe(0)
        ->and(LotOrder::of([], LotRule::Expiry, '2026-12-01'))->toBe([]);
});

it('counts stock at our places and at suppliers, nowhere else', function () {
    $holds = array_filter(PlaceKind::cases(), fn (PlaceKind $kind): bool => $kind->holdsStock());
    expect(array_values($holds))->toBe([PlaceKind::Store, PlaceKind::Supplier]);
});

it('says in which condition stock is, and whose lot a code is', function () {
    expect(StockRefused::notFree('T-3', Condition::Blocked)->getMessage())->toStartWith('T-3 is blocked.')
        ->and(StockRefused::notFree('T-3', Condition::InInspection)->getMessage())->toStartWith('T-3 is in inspection.')
        ->and(StockRefused::unknownLot('T-9', 'BAR-30', null)->getMessage())->toContain('There is no lot T-9 of BAR-30')
        ->and(StockRefused::unknownLot('T-9', 'BAR-30', 'CAP-9')->getMessage())
        ->toContain('T-9 is a lot of CAP-9, not of BAR-30');
});

it('names five bookings at most that have to be reversed first', function () {
    expect(StockRefused::usedSince('BAR-30', [6, 5, 4, 3, 2, 1])->getMessage())
        ->toContain('Reverse booking 6, then 5, then 4, then 3, then 2 first.');
});

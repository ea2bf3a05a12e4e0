<?php

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Costing\UsageVariance;
use KeepPace\Core\Planning\Allocation;
use KeepPace\Core\Planning\Arrival;
use KeepPace\Core\Planning\ComponentNeed;
use KeepPace\Core\Planning\Document;
use KeepPace\Core\Planning\Supply;
use KeepPace\Core\Planning\UsageProposal;

it('proposes what a share of the plan takes less what was used', function (
    string $planned,
    string $used,
    string $share,
    bool $perOrder,
    int $decimals,
    string $minimum,
    string $proposed,
) {
    expect(
        (string) UsageProposal::of(
            BigDecimal::of($planned),
            BigDecimal::of($used),
            BigRational::of($share),
            $perOrder,
            $decimals,
            BigDecimal::of($minimum),
        )->stripTrailingZeros(),
    )->toBe($proposed);
})->with([
    'common practice: the whole order' => ['16', '0', '1', false, 0, '0', '16'],
    'the brief: asked for 16, 11 built: parts of 11' => ['16', '0', '11/16', false, 0, '0', '11'],
    'common practice: what was used already is not used again' => ['16', '4', '11/16', false, 0, '0', '7'],
    'common practice: more used than reported asks for nothing' => ['16', '12', '11/16', false, 0, '0', '0'],
    'common practice: a fraction of a piece is a piece' => ['10', '0', '1/3', false, 0, '0', '4'],
    'common practice: metres to the millimetre' => ['10', '0', '1/3', false, 3, '0', '3.334'],
    'common practice: a line per order is used at the first piece' => ['0.4', '0', '1/40', true, 3, '0', '0.4'],
    'common practice: nothing reported, nothing used' => ['0.4', '0', '0', true, 3, '0', '0'],
    'common practice: in multiples of the minimum issue' => ['2.4', '0', '1', false, 3, '0.5', '2.5'],
    'common practice: more reported than ordered takes no more than planned' => ['10', '0', '6/5', false, 0, '0', '10'],
]);

it('parts a difference into quantity and price, which add up to it', function (
    string $planned,
    int $plannedValue,
    string $used,
    int $usedValue,
    string $more,
    int $byQuantity,
    int $byPrice,
) {
    $variance = UsageVariance::of(BigDecimal::of($planned), $plannedValue, BigDecimal::of($used), $usedValue);
    expect([(string) $variance->quantity, $variance->byQuantity, $variance->byPrice])
        ->toBe([$more, $byQuantity, $byPrice])
        ->and($byQuantity + $byPrice)->toBe($usedValue - $plannedValue);
})->with([
    // usage variance = (used - planned) x planned price; price variance = used x (price paid - planned price)
    'common practice: two more at 10.00, all at 10.50' => ['10', 10000, '12', 12600, '2', 2000, 600],
    'common practice: less used, dearer' => ['10', 10000, '8', 8800, '-2', -2000, 800],
    'our own rule: what was not planned is all quantity' => ['0', 0, '3', 900, '3', 900, 0],
]);

/** @return array<int, array{string, string}> from stock and missing, by need */
function shared(array $kept): array
{
    $need = fn (int $id, int $order, string $open): ComponentNeed => new ComponentNeed(
        $id,
        $order,
        7,
        'gear blank',
        10,
        BigDecimal::of($open),
    );
    $given = Allocation::of(
        [$need(1, 100, '6'), $need(2, 200, '5'), $need(3, 300, '4')],
        [7 => BigDecimal::of(10)],
        [new Supply(Document::purchase(1, 'P-1'), 7, BigDecimal::of(2), arrival: new Arrival(99))],
        array_map(BigDecimal::of(...), $kept),
    );

    return array_map(fn ($row): array => [(string) $row->fromStock, (string) $row->missing], $given);
}

it('gives stock by rank, what is kept hard first', function (array $kept, array $given) {
    expect(shared($kept))->toBe($given);
})->with([
    'the brief: by the one rank; the purchase goes to who is short first' => [
        [],
        [1 => ['6', '0'], 2 => ['4', '0'], 3 => ['0', '3']],
    ],
    'the issue: a hard reservation beside the computed ones' => [
        ['300-7' => '4'],
        [1 => ['6', '0'], 2 => ['0', '3'], 3 => ['4', '0']],
    ],
    'our own rule: what is kept and not needed helps nobody else' => [
        ['300-7' => '9'],
        [1 => ['1', '3'], 2 => ['0', '5'], 3 => ['4', '0']],
    ],
]);

it('never gives away more than is there, on random shops', function () {
    mt_srand(44);
    for ($round = 0; $round < 1000; $round++) {
        $stock = array_map(fn (): BigDecimal => BigDecimal::of(mt_rand(0, 20)), [1 => 1, 2 => 1, 3 => 1]);
        $needs = array_map(
            fn (int $id): ComponentNeed => new ComponentNeed(
                $id,
                mt_rand(1, 5),
                mt_rand(1, 3),
                'x',
                10,
                BigDecimal::of(mt_rand(1, 9)),
            ),
            range(1, 12),
        );
        $supplies = array_map(
            fn (): Supply => new Supply(
                Document::purchase(1, 'p'),
                mt_rand(1, 3),
                BigDecimal::of(mt_rand(1, 9)),
                arrival: new Arrival(mt_rand(1, 99)),
            ),
            range(1, 4),
        );
        $kept = [];
        foreach ([1, 2, 3] as $item) {
            $part = mt_rand(0, $stock[$item]->toInt());
            $part === 0 ?: $kept[mt_rand(1, 5)."-{$item}"] = BigDecimal::of($part);
        }
        $from = $coming = [];
        foreach (Allocation::of($needs, $stock, $supplies, $kept) as $row) {
            $item = $row->need->item;
            $got = array_reduce(
                $row->coming,
                fn (BigDecimal $sum, array $part): BigDecimal => $sum->plus($part['quantity']),
                BigDecimal::zero(),
            );
            $from[$item] = ($from[$item] ?? BigDecimal::zero())->plus($row->fromStock);
            $coming[$item] = ($coming[$item] ?? BigDecimal::zero())->plus($got);
            expect($row->fromStock->plus($got)->plus($row->missing)->isEqualTo($row->need->open))->toBeTrue();
        }
        foreach ($from as $item => $sum) {
            expect($sum->isLessThanOrEqualTo($stock[$item]))->toBeTrue();
        }
        foreach ($coming as $item => $sum) {
            $there = array_sum(
                array_map(fn (Supply $supply): int => $supply->item === $item ? $supply->open->toInt() : 0, $supplies),
            );
            expect($sum->isLessThanOrEqualTo($there))->toBeTrue();
        }
    }
});

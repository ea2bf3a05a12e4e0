<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\Allocated;
use KeepPace\Core\Planning\Allocation;
use KeepPace\Core\Planning\Arrival;
use KeepPace\Core\Planning\ComponentNeed;
use KeepPace\Core\Planning\Document;
use KeepPace\Core\Planning\Supply;
use Random\Engine\Mt19937;
use Random\Randomizer;

/*
 * Stock and receipts dealt to needs by rank. Common practice: who ranks first takes first; what is kept or was made for
 * somebody is his; nothing is given twice, and nobody waits for what he makes himself.
 */

function needOf(int $id, int $order, string $open, int $item = 1): ComponentNeed
{
    return new ComponentNeed($id, $order, $item, "item {$item}", 10, BigDecimal::of($open));
}

function boughtSupply(int $id, string $open, ?int $at, ?int $for = null, int $item = 1): Supply
{
    $arrival = $at === null ? null : new Arrival($at);

    return new Supply(Document::purchase($id, "P-{$id}"), $item, BigDecimal::of($open), $arrival, $for);
}

function madeBy(int $order, string $open, ?int $for = null, int $item = 1): Supply
{
    return new Supply(Document::order($order, (string) $order), $item, BigDecimal::of($open), null, $for);
}

/** "3 | 2 of P-1, 1 of 9 | 4": from stock, coming, missing */
function saysDealt(Allocated $of): string
{
    $coming = array_map(
        fn (array $one): string => "{$one['quantity']} of {$one['supply']->by->number}",
        $of->coming,
    );

    return "{$of->fromStock} | ".implode(', ', $coming)." | {$of->missing}";
}

it('gives stock by rank, then what comes by its date, then what is made', function (): void {
    $dealt = Allocation::of(
        [needOf(1, 11, '4'), needOf(2, 12, '9')],
        [1 => BigDecimal::of(5)],
        [madeBy(30, '3'), boughtSupply(8, '2', 2_000), boughtSupply(7, '2', 1_000)],
    );
    expect(array_map(saysDealt(...), $dealt))->toBe([1 => '4 |  | 0', 2 => '1 | 2 of P-7, 2 of P-8, 3 of 30 | 1']);
});

it('leaves what is kept to whom it is kept for, whatever his rank', function (): void {
    $dealt = Allocation::of(
        [needOf(1, 11, '6'), needOf(2, 12, '3')],
        [1 => BigDecimal::of(5)],
        [],
        ['12-1' => BigDecimal::of(2)],
    );
    expect(array_map(saysDealt(...), $dealt))->toBe([1 => '3 |  | 3', 2 => '2 |  | 1']);
});

it('gives what was made for an order to it before anything else, and to nobody else', function (): void {
    $dealt = Allocation::of(
        [needOf(1, 11, '4'), needOf(2, 12, '4')],
        [],
        [boughtSupply(7, '3', 1_000), madeBy(30, '4', for: 12), boughtSupply(8, '9', 500, for: 99)],
    );
    expect(array_map(saysDealt(...), $dealt))->toBe([1 => '0 | 3 of P-7 | 1', 2 => '0 | 4 of 30 | 0']);
});

it('gives nobody what he makes himself', function (): void {
    $dealt = Allocation::of([needOf(1, 30, '2'), needOf(2, 12, '1')], [], [madeBy(30, '3')]);
    expect(array_map(saysDealt(...), $dealt))->toBe([1 => '0 |  | 2', 2 => '0 | 1 of 30 | 0']);
});

it('gives nothing twice, and lets nobody miss what is there, in three hundred random shops', function (): void {
    $random = new Randomizer(new Mt19937(17));
    for ($round = 0; $round < 300; $round++) {
        $items = [1, 2, 3];
        $needs = $supplies = $stock = $kept = [];
        foreach ($items as $item) {
            $stock[$item] = BigDecimal::of($random->getInt(0, 20));
        }
        for ($n = 1; $n <= 12; $n++) {
            $needs[] = needOf($n, $random->getInt(1, 6), (string) $random->getInt(1, 9), $random->getInt(1, 3));
        }
        for ($n = 1; $n <= 6; $n++) {
            $for = $random->getInt(0, 2) === 0 ? $random->getInt(1, 6) : null;
            $supplies[] = $random->getInt(0, 1) === 0
                ? boughtSupply($n, (string) $random->getInt(1, 9), $random->getInt(1, 99), $for, $random->getInt(1, 3))
                : madeBy($random->getInt(1, 9), (string) $random->getInt(1, 9), $for, $random->getInt(1, 3));
        }
        foreach ($items as $item) {
            $half = intdiv($stock[$item]->toInt(), 2);
            $kept[$random->getInt(1, 6)."-{$item}"] = BigDecimal::of($random->getInt(0, $half));
        }
        $dealt = Allocation::of($needs, $stock, $supplies, $kept);

        $given = [];
        $ownLeft = $kept;
        $free = $stock;
        foreach ($kept as $key => $quantity) {
            $item = (int) explode('-', $key)[1];
            $free[$item] = $free[$item]->minus($quantity);
        }
        foreach ($needs as $need) {
            $of = $dealt[$need->id];
            $coming = BigDecimal::sum(0, ...array_column($of->coming, 'quantity'));
            expect($of->fromStock->plus($coming)->plus($of->missing)->isEqualTo($need->open))->toBeTrue();
            // his own first, then what is free
            $key = "{$need->order}-{$need->item}";
            $own = BigDecimal::min($of->fromStock, $ownLeft[$key] ?? 0);
            $ownLeft[$key] = BigDecimal::of($ownLeft[$key] ?? 0)->minus($own);
            $free[$need->item] = $free[$need->item]->minus($of->fromStock->minus($own));
            foreach ($of->coming as ['supply' => $supply, 'quantity' => $quantity]) {
                $at = array_search($supply, $supplies, true);
                $given[$at] = BigDecimal::of($given[$at] ?? 0)->plus($quantity);
                expect($supply->forOrder ?? $need->order)->toBe($need->order)
                    ->and($supply->by->orderId())->not->toBe($need->order);
            }
            if ($of->missing->isPositive()) {
                // then neither stock nor anything he may have is left, when it is his turn
                $mayHave = array_filter($supplies, fn (Supply $supply): bool => $supply->item === $need->item
                    && in_array($supply->forOrder, [null, $need->order], true)
                    && $supply->by->orderId() !== $need->order);
                expect($free[$need->item]->isZero())->toBeTrue();
                foreach (array_keys($mayHave) as $at) {
                    expect($supplies[$at]->open->isEqualTo($given[$at] ?? 0))->toBeTrue();
                }
            }
        }
        foreach ($given as $at => $quantity) {
            expect($quantity->isLessThanOrEqualTo($supplies[$at]->open))->toBeTrue();
        }
        expect(array_filter([...$free, ...$ownLeft], fn (BigDecimal $left): bool => $left->isNegative()))->toBe([]);
    }
});

<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\Allocation;
use KeepPace\Core\Planning\Arrival;
use KeepPace\Core\Planning\ComponentNeed;
use KeepPace\Core\Planning\Document;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Planning\Readiness;
use KeepPace\Core\Planning\ReadinessState;
use KeepPace\Core\Planning\Release;
use KeepPace\Core\Planning\Supply;
use KeepPace\Core\Refused;

function need(int $id, int $order, int $item, int $open, int $step = 10): ComponentNeed
{
    return new ComponentNeed($id, $order, $item, "item {$item}", $step, BigDecimal::of($open));
}

it('gives scarce stock by rank, then what is coming by its date: common practice', function () {
    $result = Allocation::of(
        [need(1, 100, 7, 6), need(2, 200, 7, 6), need(3, 300, 7, 6)],
        [7 => BigDecimal::of(8)],
        [
            new Supply(Document::purchase(2, '2'), 7, BigDecimal::of(5), arrival: new Arrival(900)),
            new Supply(Document::purchase(1, '1'), 7, BigDecimal::of(2), arrival: new Arrival(500)),
        ],
    );
    $plain = array_map(
        fn ($row): array => [
            (string) $row->fromStock,
            array_map(fn ($coming): string => "{$coming['quantity']} {$coming['supply']->by->label()}", $row->coming),
            (string) $row->missing,
        ],
        $result,
    );
    expect($plain)->toBe([
        1 => ['6', [], '0'],
        2 => ['2', ['2 purchase 1', '2 purchase 2'], '0'],
        3 => ['0', ['3 purchase 2'], '3'],
    ]);
});

it('leaves an order made for another to it, and none to itself', function () {
    $result = Allocation::of(
        [need(1, 100, 7, 4), need(2, 200, 7, 4)],
        [],
        [
            new Supply(Document::order(50, '50'), 7, BigDecimal::of(4), forOrder: 200),
            new Supply(Document::order(100, '100'), 7, BigDecimal::of(9)),
        ],
    );
    expect((string) $result[1]->missing)->toBe('4')
        ->and($result[2]->coming[0]['supply']->by->label())->toBe('order 50')
        ->and((string) $result[2]->missing)->toBe('0');
});

it('gives no stock that is promised beyond what is there', function () {
    $result = Allocation::of([need(1, 1, 7, 4)], [7 => BigDecimal::of(-2)], []);
    expect((string) $result[1]->fromStock)->toBe('0')->and((string) $result[1]->missing)->toBe('4');
});

it('never gives out more than there is, on random shops', function () {
    mt_srand(5);
    for ($round = 0; $round < 300; $round++) {
        $needs = $supplies = $stock = [];
        foreach (range(1, 12) as $i) {
            $needs[] = need($i, $i, mt_rand(1, 3), mt_rand(0, 9));
        }
        foreach (range(1, 3) as $item) {
            $stock[$item] = BigDecimal::of(mt_rand(0, 15));
        }
        foreach (range(1, 4) as $i) {
            $supplies[] = new Supply(
                Document::purchase($i, "s{$i}"),
                mt_rand(1, 3),
                BigDecimal::of(mt_rand(1, 9)),
                arrival: new Arrival(mt_rand(1, 99)),
            );
        }
        $result = Allocation::of($needs, $stock, $supplies);
        foreach (range(1, 3) as $item) {
            $given = $needed = $all = BigDecimal::zero();
            $short = false;
            foreach ($result as $row) {
                if ($row->need->item === $item) {
                    $given = array_reduce(
                        $row->coming,
                        fn ($sum, $coming) => $sum->plus($coming['quantity']),
                        $given->plus($row->fromStock),
                    );
                    $needed = $needed->plus($row->need->open);
                    $short = $short || $row->missing->isPositive();
                }
            }
            $all = array_reduce(
                array_filter($supplies, fn ($supply) => $supply->item === $item),
                fn ($sum, $supply) => $sum->plus($supply->open),
                $stock[$item],
            );
            expect($given->isLessThanOrEqualTo($all))->toBeTrue()->and($short)->toBe($needed->isGreaterThan($all));
        }
    }
});

it('says what an order can do now and what it waits for', function (
    array $needs,
    array $stock,
    array $supplies,
    ?int $first,
    ReadinessState $state,
    bool $canStart,
    array $blocks,
) {
    $readiness = Readiness::of(
        array_values(Allocation::of($needs, array_map(BigDecimal::of(...), $stock), $supplies)),
        $first,
        [77 => 1234],
    );
    expect([
        $readiness->state,
        $readiness->canStart,
        array_map(
            fn ($block): array => [$block->step, $block->supply?->label(), $block->arrival?->at],
            $readiness->blocks,
        ),
    ])->toBe([$state, $canStart, $blocks]);
})->with([
    'our own rule: all there' => [
        fn () => [need(1, 1, 7, 2)],
        [7 => 2],
        fn () => [],
        10,
        ReadinessState::Ready,
        true,
        [],
    ],
    'our own rule: a part needed late does not stop the first step' => [
        fn () => [need(1, 1, 7, 2, 60)],
        [],
        fn () => [new Supply(Document::purchase(3, 'p'), 7, BigDecimal::of(9), arrival: new Arrival(500))],
        10,
        ReadinessState::Waits,
        true,
        [[60, 'purchase p', 500]],
    ],
    'our own rule: the first step waits, the date out of the schedule' => [
        fn () => [need(1, 1, 7, 2)],
        [],
        fn () => [new Supply(Document::order(77, '77'), 7, BigDecimal::of(9))],
        10,
        ReadinessState::Waits,
        false,
        [[10, 'order 77', 1234]],
    ],
    'our own rule: nothing ordered' => [
        fn () => [need(1, 1, 7, 2, 30)],
        [7 => 1],
        fn () => [],
        10,
        ReadinessState::Stuck,
        true,
        [[30, null, null]],
    ],
    'our own rule: a part of a step gone by holds the one at hand' => [
        fn () => [need(1, 1, 7, 2, 10)],
        [],
        fn () => [],
        40,
        ReadinessState::Stuck,
        false,
        [[40, null, null]],
    ],
    'our own rule: no step left' => [fn () => [], [], fn () => [], null, ReadinessState::Ready, false, []],
]);

it('releases with all the reasons at once, and short only by a reason', function () {
    $bad = new Release('Order 5', OrderState::Running, true, false, ['gear']);
    expect($bad->hardBlockers())->toHaveCount(3);
    expect(fn () => $bad->decide('x'))->toThrow(Refused::class, 'running already');
    $short = new Release('Order 5', OrderState::Firm, false, true, ['gear', 'motor']);
    expect(fn () => $short->decide('  '))->toThrow(Refused::class, 'short of gear, motor');
    $short->decide('the motor comes tomorrow');
    (new Release('Order 5', OrderState::Firm, false, true, []))->decide(null);
});

it('derives the state of a released order', function (bool $worked, int $started, int $out, OrderState $state) {
    expect(OrderState::derived($worked, BigDecimal::of($started), BigDecimal::of($out)))->toBe($state);
})->with([
    [false, 5, 0, OrderState::Released],
    [true, 5, 4, OrderState::Running],
    [true, 5, 5, OrderState::Built],
    [false, 0, 0, OrderState::Released],
]);

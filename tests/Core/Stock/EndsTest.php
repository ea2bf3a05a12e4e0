<?php

use KeepPace\Core\Planning\DemandKind;
use KeepPace\Core\Planning\Document;
use KeepPace\Core\Planning\SupplyKind;
use KeepPace\Core\Planning\TieDemand;
use KeepPace\Core\Planning\TieSupply;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\Grade;
use KeepPace\Core\Stock\PlaceKind;
use KeepPace\Core\Stock\ScrapClass;
use KeepPace\Core\Stock\StockKey;

/* Ends of moves and ties: each says what it stands for, and nothing else. */

it('stands for one thing alone', function (End $end, PlaceKind $kind, array $is) {
    $fields = array_filter(get_object_vars($end), fn (mixed $one): bool => $one !== null);
    unset($fields['kind']);
    expect($end->kind)->toBe($kind)->and($fields)->toEqual($is);
})->with([
    'stock' => [fn () => End::stock(new StockKey(3, 4)), PlaceKind::Store, ['stock' => new StockKey(3, 4)]],
    'another firm' => [fn () => End::outside(7), PlaceKind::Outside, ['purchase' => 7]],
    'nobody named' => [fn () => End::outside(), PlaceKind::Outside, []],
    'goods of an order' => [fn () => End::output(2, 5), PlaceKind::Order, ['order' => 2, 'output' => 5]],
    'a part of an order' => [fn () => End::component(2, 5), PlaceKind::Order, ['order' => 2, 'component' => 5]],
    'bought for it' => [fn () => End::costOf(2, 7), PlaceKind::Order, ['order' => 2, 'purchase' => 7]],
    'used' => [fn () => End::used(), PlaceKind::Used, []],
    'between orders' => [fn () => End::between(), PlaceKind::Between, []],
    'a customer' => [fn () => End::customer(9), PlaceKind::Customer, ['line' => 9]],
    'scrap' => [
        fn () => End::scrap(ScrapClass::cases()[0]),
        PlaceKind::Scrap,
        ['scrap' => ScrapClass::cases()[0]],
    ],
    'variance' => [fn () => End::variance(), PlaceKind::Variance, []],
]);

it('is the end an earlier move had', function (End $end) {
    $again = End::again(
        $end->kind,
        $end->purchase,
        $end->order,
        $end->component,
        $end->line,
        $end->scrap,
        $end->output,
    );
    expect($again)->toEqual($end);
})->with([
    [fn () => End::outside(7)], [fn () => End::output(2, 5)], [fn () => End::component(2, 5)],
    [fn () => End::customer(9)], [fn () => End::scrap(ScrapClass::cases()[0])], [fn () => End::variance()],
]);

it('locks stock in one order: by item, then place, lot, condition and owner', function () {
    $keys = [];
    foreach ([1, 2, 10] as $item) {
        foreach ([1, 20] as $place) {
            foreach ([0, 3] as $lot) {
                foreach ([Condition::Blocked, Condition::Free] as $condition) {
                    foreach ([0, 7] as $owner) {
                        $keys[] = new StockKey($item, $place, $lot, $condition, $owner);
                    }
                }
            }
        }
    }
    $sorted = $keys;
    mt_srand(2);
    shuffle($sorted);
    usort($sorted, fn (StockKey $a, StockKey $b): int => $a->sortKey() <=> $b->sortKey());
    expect($sorted)->toEqual($keys)
        ->and(count(array_unique(array_map(fn (StockKey $key): string => $key->sortKey(), $keys))))->toBe(48);
});

it('puts what was taken apart where it belongs: free, blocked, or nowhere', function () {
    expect(array_map(fn (Grade $grade): ?Condition => $grade->condition(), Grade::cases()))
        ->toBe([Condition::Free, Condition::Blocked, null]);
});

it('ties what is wanted to what it comes from', function () {
    expect([TieDemand::line(4)->kind, TieDemand::line(4)->id])->toBe([DemandKind::Line, 4])
        ->and(TieDemand::component(5)->kind)->toBe(DemandKind::Component)
        ->and(TieDemand::shelf(6)->kind)->toBe(DemandKind::Shelf)
        ->and([TieSupply::stock()->kind, TieSupply::stock()->id])->toBe([SupplyKind::Stock, 0])
        ->and(TieSupply::stock(8)->id)->toBe(8)
        ->and(TieSupply::output(2)->kind)->toBe(SupplyKind::Output)
        ->and(TieSupply::purchase(3)->kind)->toBe(SupplyKind::Purchase);
});

it('names a document by kind and number, and tells an order from a purchase', function () {
    [$order, $purchase, $lot] = [
        Document::order(2, '218'), Document::purchase(3, 'P-558/1'), Document::inspection(4, 'H-1'),
    ];
    expect([$order->label(), $purchase->label(), $lot->label()])
        ->toBe(['order 218', 'purchase P-558/1', 'inspection H-1'])
        ->and([$order->orderId(), $purchase->orderId(), $lot->orderId()])->toBe([2, null, null])
        ->and([$order->isPurchase(), $purchase->isPurchase(), $lot->isPurchase()])->toBe([false, true, false])
        ->and($purchase->kept())->toBe(['kind' => 'purchase', 'id' => 3, 'number' => 'P-558/1']);
});

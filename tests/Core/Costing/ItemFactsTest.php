<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Costing\ItemFacts;
use KeepPace\Core\Stock\Tracking;

/* What stock stands on stays once it has moved (common practice; one costing rule an item: IAS 2.25). */

function itemOf(
    string $unit = 'pc',
    Tracking $tracking = Tracking::None,
    CostingRule $costing = CostingRule::Average,
    string $cost = '5',
): ItemFacts {
    return new ItemFacts('A-1', $unit, $tracking, $costing, BigDecimal::of($cost));
}

it('lets all change before it has moved', function () {
    $is = itemOf('kg', Tracking::Lot, CostingRule::Own, '7');
    expect($is->wrong(null, false, false))->toBe([])
        ->and($is->wrong(itemOf(), false, false))->toBe([]);
});

it('keeps unit, tracking and costing of what has moved', function () {
    $says = itemOf('kg', Tracking::Lot, CostingRule::FirstInFirstOut)->wrong(itemOf(), true, true);
    expect(array_keys($says))->toBe(['unit', 'tracking', 'costing'])
        ->and($says['unit'])->toContain('A-1 has been moved in pc; its stock unit stays')
        ->and($says['tracking'])->toContain('with tracking none')
        ->and($says['costing'])->toContain('with costing average')
        ->and(itemOf('PC')->wrong(itemOf('pc'), true, true))->toBe([]); // a unit's code is known in capitals or not
});

it('keeps own cost by lot or serial alone', function () {
    expect(itemOf(costing: CostingRule::Own)->wrong(null, false, true))->toHaveKey('costing')
        ->and(itemOf(tracking: Tracking::Serial, costing: CostingRule::Own)->wrong(null, false, true))->toBe([]);
});

it('leaves a standard cost to who may value stock', function () {
    $was = itemOf(costing: CostingRule::Standard);
    $dearer = itemOf(costing: CostingRule::Standard, cost: '6');
    expect($dearer->wrong($was, true, false)['cost'])->toContain('valued at a standard cost of 5')
        ->and($dearer->wrong($was, true, true))->toBe([])
        ->and(itemOf(costing: CostingRule::Standard, cost: '5.000')->wrong($was, true, false))->toBe([])
        ->and($dearer->wrong(null, false, false))->toBe([]) // a new one says what it costs
        // by another rule the cost is for planning alone
        ->and(itemOf(cost: '9')->wrong(itemOf(), true, false))->toBe([]);
});

<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Costing\PlannedValue;
use KeepPace\Core\Costing\StockValue;

/* What a component is planned to cost: the value in stock by its average (IAS 2.27), else the item's cost; by hand. */

it('plans with what stock is worth, with the set cost, or with what the item says', function (
    string $quantity,
    string $cost,
    CostingRule $rule,
    string $there,
    int $value,
    int $cents,
) {
    $stock = new StockValue(BigDecimal::of($there), $value);
    expect(PlannedValue::of(BigDecimal::of($quantity), $cost, $rule, $stock))->toBe($cents);
})->with([
    '10 at 40.00 and 10 at 44.00 are 42.00 each' => ['3', '99', CostingRule::Average, '20', 84_000, 12_600],
    'half a cent goes up' => ['1', '99', CostingRule::Average, '8', 100, 13],
    'nothing there: the cost of the item' => ['3', '4.125', CostingRule::FirstInFirstOut, '0', 0, 1_238],
    'a set cost stays, whatever lies there' => ['2', '5', CostingRule::Standard, '10', 9_999, 1_000],
    'parts of a unit' => ['0.25', '0', CostingRule::Own, '1.5', 333, 56],
]);

<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Quantity\Cents;

/** What a component is planned to cost: what stock of it is worth today, or what its item says where there is none. */
final class PlannedValue
{
    /**
     * @param  string  $cost  euros a stock unit, by the item; with standard cost the set cost
     * @param  StockValue  $there  all that is kept of it
     * @return int cents, half up
     */
    public static function of(BigDecimal $quantity, string $cost, CostingRule $rule, StockValue $there): int
    {
        return $rule === CostingRule::Standard || $there->quantity->isZero()
            ? Cents::of($quantity, $cost)
            : $there->valueOf($quantity);
    }

    /**
     * Of one stock unit, exact, in cents.
     *
     * @param  BigDecimal  $cost  euros, by the item
     */
    public static function unit(BigDecimal $cost, CostingRule $rule, StockValue $there): BigRational
    {
        return $rule === CostingRule::Standard || $there->quantity->isZero()
            ? BigRational::of($cost)->multipliedBy(100)->simplified()
            : BigRational::of($there->value)->dividedBy($there->quantity)->simplified();
    }
}

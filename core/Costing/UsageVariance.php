<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Cents;

/** What a component cost more or less than planned, parted into quantity and price: the two add up to all of it. */
final readonly class UsageVariance
{
    private function __construct(public BigDecimal $quantity, public int $byQuantity, public int $byPrice)
    {
    }

    /**
     * Common practice: the quantity difference at the planned price; the price difference on what was used.
     *
     * @param  int  $plannedValue  cents for the planned quantity
     * @param  int  $usedValue  cents for the used quantity
     */
    public static function of(BigDecimal $planned, int $plannedValue, BigDecimal $used, int $usedValue): self
    {
        // what was not planned at all has no planned price: all of it is quantity
        $atPlan = $planned->isZero() ? $usedValue : Cents::part($plannedValue, $used, $planned);

        return new self($used->minus($planned), $atPlan - $plannedValue, $usedValue - $atPlan);
    }
}

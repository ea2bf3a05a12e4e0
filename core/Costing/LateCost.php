<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Cents;

/**
 * A cost of purchase that became known after the goods came in (IAS 2.10-11: freight, duty, a corrected price).
 * The share of what is still there goes into stock, the share of what has left is variance.
 */
final readonly class LateCost
{
    private function __construct(public int $toStock, public int $variance)
    {
    }

    /**
     * @param  int  $cents  above or below zero
     * @param  BigDecimal  $received  what the cost is for, above 0
     * @param  BigDecimal  $there  of it, still in stock
     * @param  int  $valueThere  value of what is still there; it is never taken below zero
     */
    public static function spread(int $cents, BigDecimal $received, BigDecimal $there, int $valueThere): self
    {
        $part = $there->isGreaterThan($received) ? $received : $there;
        $toStock = $part->isZero() ? 0 : max(Cents::part($cents, $part, $received), -$valueThere);

        return new self($toStock, $cents - $toStock);
    }
}

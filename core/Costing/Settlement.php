<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Cents;

/**
 * Closing an order: received + variance = cost put in, to the cent. What the received goods carry too little
 * or too much is spread over those still in stock; the share of those that left is variance.
 */
final readonly class Settlement
{
    private function __construct(public int $toStock, public int $variance)
    {
    }

    /**
     * @param  int  $costIn  all cost entries of the order, cents
     * @param  int  $receivedValue  what its receipts carried into stock, cents
     * @param  BigDecimal  $received  quantity received
     * @param  BigDecimal  $there  of it, still in stock
     * @param  int  $valueThere  value of what is still in stock; it is never taken below zero
     */
    public static function decide(
        int $costIn,
        int $receivedValue,
        BigDecimal $received,
        BigDecimal $there,
        int $valueThere,
    ): self {
        $difference = $costIn - $receivedValue;
        $toStock = $received->isZero() || $there->isZero() ? 0 : Cents::part($difference, $there, $received);
        $toStock = max($toStock, -$valueThere);

        return new self($toStock, $difference - $toStock);
    }
}

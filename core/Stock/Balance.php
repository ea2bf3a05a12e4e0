<?php

declare(strict_types=1);

namespace KeepPace\Core\Stock;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Cents;

/**
 * A quantity and the value that lies in it, in cents: the moving average kept as a pair, never as a unit cost
 * (weighted average, IAS 2.25-27). What empties it takes all the value.
 */
final readonly class Balance
{
    public function __construct(public BigDecimal $quantity, public int $value)
    {
    }

    public static function none(): self
    {
        return new self(BigDecimal::zero(), 0);
    }

    public function put(BigDecimal $quantity, int $value): self
    {
        return new self($this->quantity->plus($quantity), $this->value + $value);
    }

    /** The value that leaves with a quantity at the average. */
    public function valueOf(BigDecimal $quantity): int
    {
        return $this->quantity->isZero() ? 0 : Cents::part($this->value, $quantity, $this->quantity);
    }

    /**
     * @param  int  $value  stated by a reversal, else from valueOf()
     *
     * @throws StockRefused when it would fall below zero in quantity or value, or keep value without quantity
     */
    public function take(BigDecimal $quantity, int $value, string $what): self
    {
        $left = new self($this->quantity->minus($quantity), $this->value - $value);
        if ($left->quantity->isNegative()) {
            throw StockRefused::notEnough($what, $quantity, $this->quantity);
        }
        if ($left->value < 0 || ($left->quantity->isZero() && $left->value !== 0)) {
            throw StockRefused::valueMixed($what);
        }

        return $left;
    }
}

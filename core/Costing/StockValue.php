<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Stock\StockRefused;

/**
 * The quantity and value, in cents, that one costing rule keeps together: all stock of an item, or one lot of it.
 * Kept as a pair, never as a unit cost. What empties it takes all the value.
 */
final readonly class StockValue
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

    /** The value that leaves with a quantity at the average (IAS 2.27), rounded half up. */
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

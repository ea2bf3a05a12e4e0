<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;

/** What is left of one receipt, first in first out. */
final readonly class Layer
{
    /** @param  int  $value  cents left in it */
    public function __construct(public int $id, public BigDecimal $quantity, public int $value)
    {
    }

    /** @param  int  $value  cents; below zero to put back */
    public function less(BigDecimal $quantity, int $value): self
    {
        return new self($this->id, $this->quantity->minus($quantity), $this->value - $value);
    }
}

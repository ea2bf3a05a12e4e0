<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;

/** Something of an item that will come or go. */
final readonly class FlowEvent
{
    /**
     * @param  int|null  $at  UTC minute; null = nobody knows when
     * @param  BigDecimal  $quantity  stock units; below 0 what goes
     * @param  int  $key  by which whoever asks knows it again
     */
    public function __construct(public ?int $at, public BigDecimal $quantity, public int $key)
    {
    }

    public function isComing(): bool
    {
        return $this->quantity->isPositive();
    }
}

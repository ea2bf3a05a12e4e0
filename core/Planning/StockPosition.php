<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;

/**
 * What there is of an item when all that is coming has come and all that is promised is gone; what it is ordered by,
 * by level.
 */
final readonly class StockPosition
{
    /**
     * @param  BigDecimal  $free  on hand in our stores, ours, free of any block
     * @param  BigDecimal  $coming  still to come of purchases and of our orders
     * @param  BigDecimal  $promised  tied to customer lines, or needed by open orders
     * @param  BigDecimal  $reorderPoint  0 = it is not ordered by level
     */
    public function __construct(
        public BigDecimal $free,
        public BigDecimal $coming,
        public BigDecimal $promised,
        public BigDecimal $reorderPoint,
    ) {
    }

    public function position(): BigDecimal
    {
        return $this->free->plus($this->coming)->minus($this->promised);
    }

    /** It has fallen to its reorder point, or below. */
    public function isLow(): bool
    {
        return $this->reorderPoint->isPositive() && $this->position()->isLessThanOrEqualTo($this->reorderPoint);
    }

    /** What is ordered when it is low: up to the level, by the lot rule (trade.md, W8). */
    public function proposal(LotSize $lots): BigDecimal
    {
        if (! $this->isLow()) {
            return BigDecimal::zero();
        }
        $short = $this->reorderPoint->minus($this->position());

        return $short->isPositive() ? $lots->of($short) : $lots->one();
    }

    /** What is promised and neither there nor coming. */
    public function missing(): BigDecimal
    {
        return BigDecimal::max(0, $this->position()->negated());
    }
}

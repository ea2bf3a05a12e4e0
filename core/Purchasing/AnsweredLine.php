<?php

declare(strict_types=1);

namespace KeepPace\Core\Purchasing;

use Brick\Math\BigDecimal;

/**
 * What a supplier said to a line, beside what was ordered. A day is theirs to say; another quantity or price is asked
 * about, for it is not what was agreed (common practice: an answer that differs is an offer of its own).
 */
final readonly class AnsweredLine
{
    /**
     * @param  BigDecimal  $ordered  stock units, less what is no longer wanted
     * @param  BigDecimal  $price  euros a stock unit, as it was ordered
     */
    public function __construct(
        public BigDecimal $ordered,
        public BigDecimal $price,
        public BigDecimal $answered,
        public BigDecimal $answeredPrice,
    ) {
    }

    public function isOtherQuantity(): bool
    {
        return ! $this->answered->isEqualTo($this->ordered);
    }

    public function isOtherPrice(): bool
    {
        return ! $this->answeredPrice->isEqualTo($this->price);
    }

    public function differs(): bool
    {
        return $this->isOtherQuantity() || $this->isOtherPrice();
    }

    /** What it comes to as answered, less what it came to as ordered, in euros. */
    public function costsMore(): BigDecimal
    {
        return $this->answered->multipliedBy($this->answeredPrice)->minus($this->ordered->multipliedBy($this->price));
    }
}

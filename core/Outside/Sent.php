<?php

declare(strict_types=1);

namespace KeepPace\Core\Outside;

use Brick\Math\BigDecimal;

/**
 * Pieces of one line of a consignment at a supplier: sent = back good + spoiled there + lost + back unworked + there.
 * Of those spoiled and lost the work on some is not paid.
 */
final readonly class Sent
{
    public BigDecimal $unpaid;

    public function __construct(
        public BigDecimal $sent,
        public BigDecimal $good,
        public BigDecimal $spoiled,
        public BigDecimal $lost,
        public BigDecimal $unworked,
        ?BigDecimal $unpaid = null,
    ) {
        $this->unpaid = $unpaid ?? BigDecimal::zero();
    }

    public static function nothing(): self
    {
        $none = BigDecimal::zero();

        return new self($none, $none, $none, $none, $none);
    }

    /** Still with the supplier. */
    public function there(): BigDecimal
    {
        return $this->sent->minus($this->gone());
    }

    /** Not with the supplier any more, whatever became of them. */
    public function gone(): BigDecimal
    {
        return BigDecimal::sum($this->good, $this->spoiled, $this->lost, $this->unworked);
    }

    public function plus(self $other): self
    {
        return new self(
            $this->sent->plus($other->sent),
            $this->good->plus($other->good),
            $this->spoiled->plus($other->spoiled),
            $this->lost->plus($other->lost),
            $this->unworked->plus($other->unworked),
            $this->unpaid->plus($other->unpaid),
        );
    }

    public function negated(): self
    {
        return new self(
            $this->sent->negated(),
            $this->good->negated(),
            $this->spoiled->negated(),
            $this->lost->negated(),
            $this->unworked->negated(),
            $this->unpaid->negated(),
        );
    }

    /** No line may come to this: more came back than went, or less than nothing did. */
    public function isImpossible(): bool
    {
        $paid = $this->spoiled->plus($this->lost)->minus($this->unpaid);
        $all = [$this->sent, $this->good, $this->spoiled, $this->lost, $this->unworked, $this->unpaid];

        return BigDecimal::min($paid, $this->there(), ...$all)->isNegative();
    }
}

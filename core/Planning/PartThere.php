<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** A part of a build: what pieces take of it, and what was used and is free of it. In its stock unit. */
final readonly class PartThere
{
    /** @param  BigRational  $takes  a piece, or the order as a whole */
    private function __construct(
        private BigRational $takes,
        private bool $isPerOrder,
        private BigDecimal $used,
        private BigDecimal $free,
    ) {
    }

    /**
     * @param  BigRational|null  $exact  a piece takes, by the structure; null = a share of what is planned
     * @param  BigDecimal  $planned  for the whole build
     * @param  BigDecimal  $pieces  of the whole build
     */
    public static function of(
        bool $isPerOrder,
        ?BigRational $exact,
        BigDecimal $planned,
        BigDecimal $pieces,
        BigDecimal $used,
        BigDecimal $free,
    ): self {
        $takes = $isPerOrder
            ? BigRational::of($planned)
            : $exact ?? BigRational::of($planned)->dividedBy($pieces);

        return new self($takes, $isPerOrder, $used, $free);
    }

    /**
     * How many pieces it is enough for, with those built before: what is needed is rounded up to whole units, and so
     * many whole units are there.
     *
     * @param  int  $decimals  of the unit that is built
     * @return BigDecimal|null  null = for any number
     */
    public function enoughFor(int $decimals): ?BigDecimal
    {
        $has = $this->used->plus($this->free);

        return match (true) {
            $this->isPerOrder && $this->takes->isGreaterThan($has) => BigDecimal::zero(),
            $this->isPerOrder || $this->takes->isZero() => null,
            default => BigRational::of($has)->dividedBy($this->takes)->toScale($decimals, RoundingMode::DOWN),
        };
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/**
 * What is left of a part that a new revision does not take any more: orders are made by the revision before as long as
 * it is enough for all of one (common practice: run out, then cut over).
 */
final readonly class CutOver
{
    /** @param  BigDecimal  $left  stock units that are there or coming, and that no open order or customer takes */
    public function __construct(public BigDecimal $left)
    {
    }

    /** @param  BigRational  $needed  for all of an order, by the revision before */
    public function isUsedUp(BigRational $needed): bool
    {
        return $needed->isGreaterThan($this->left);
    }

    /**
     * Pieces of the product that can still be made by the revision before.
     *
     * @param  BigRational  $each  for one of them, above 0
     */
    public function enoughFor(BigRational $each): BigDecimal
    {
        return BigDecimal::max(
            0,
            BigRational::of($this->left)->dividedBy($each)->toScale(0, RoundingMode::DOWN),
        );
    }
}

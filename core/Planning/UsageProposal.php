<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** How much of a component is proposed to be used now. Only a proposal: a person edits it. */
final class UsageProposal
{
    /**
     * What a share of the plan takes, less what was used already; never below zero.
     *
     * @param  BigDecimal  $planned  for the whole order
     * @param  BigDecimal  $used  with what stood in for it
     * @param  BigRational  $share  of the order's pieces, from 0 to 1; a line per order takes all at the first piece
     * @param  int  $decimals  of the stock unit; rounds up: short costs more than one spare
     * @param  BigDecimal  $minimum  it is issued in multiples of this; 0 = any amount
     */
    public static function of(
        BigDecimal $planned,
        BigDecimal $used,
        BigRational $share,
        bool $perOrder,
        int $decimals,
        BigDecimal $minimum,
    ): BigDecimal {
        $part = $perOrder && $share->isPositive() ? BigRational::one() : $share;
        $needed = $part->isGreaterThan(1)
            ? $planned
            : BigRational::of($planned)->multipliedBy($part)->toScale($decimals, RoundingMode::CEILING);
        $open = $needed->minus($used);

        return $open->isPositive() ? self::inMultiples($open, $minimum) : BigDecimal::zero();
    }

    /** The least amount that can be issued and is enough. */
    public static function inMultiples(BigDecimal $amount, BigDecimal $minimum): BigDecimal
    {
        return $minimum->isZero()
            ? $amount
            : $amount->dividedBy($minimum, 0, RoundingMode::CEILING)->multipliedBy($minimum);
    }
}

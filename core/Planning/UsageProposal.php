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
     * @param  BigRational|null  $exact  what these pieces take by the structure: what is planned is rounded up for the
     *     whole already, and a share of that would be rounded twice (trade.md, W15); null = a share of the plan
     */
    public static function of(
        BigDecimal $planned,
        BigDecimal $used,
        BigRational $share,
        bool $perOrder,
        int $decimals,
        BigDecimal $minimum,
        ?BigRational $exact = null,
    ): BigDecimal {
        $part = $perOrder && $share->isPositive() ? BigRational::one() : $share;
        $needed = $part->isGreaterThanOrEqualTo(1)
            ? $planned
            : BigDecimal::min($planned, ($perOrder || $exact === null ? BigRational::of($planned)->multipliedBy($part)
                : $exact)->toScale($decimals, RoundingMode::CEILING));
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

<?php

declare(strict_types=1);

namespace KeepPace\Core\Outside;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/**
 * What of a part of ours is used up at a supplier for pieces he made of it (trade.md W4): by the ratio agreed for good
 * and spoiled pieces alike, or as he reports it.
 */
final readonly class PartUse
{
    private function __construct(public BigDecimal $forGood, public BigDecimal $forSpoiled)
    {
    }

    /**
     * @param  BigRational  $each  of the part for one piece
     * @param  BigDecimal|null  $reported  used in all; null = by the ratio
     * @param  int  $decimals  of its unit
     */
    public static function of(
        BigRational $each,
        BigDecimal $good,
        BigDecimal $spoiled,
        ?BigDecimal $reported,
        int $decimals,
    ): self {
        $scale = fn (BigRational $of): BigDecimal => $of->toScale($decimals, RoundingMode::HALF_UP);
        if ($reported === null) {
            $all = $scale($each->multipliedBy($good->plus($spoiled)));
            $forGood = $scale($each->multipliedBy($good));

            return new self($forGood, $all->minus($forGood));
        }
        $pieces = $good->plus($spoiled);
        $forSpoiled = $pieces->isZero()
            ? BigDecimal::zero()
            : $scale(BigRational::of($reported)->multipliedBy($spoiled)->dividedBy($pieces));

        return new self($reported->minus($forSpoiled), $forSpoiled);
    }

    public function all(): BigDecimal
    {
        return $this->forGood->plus($this->forSpoiled);
    }
}

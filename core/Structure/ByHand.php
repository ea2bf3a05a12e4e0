<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/**
 * What a person planned of a component, other than its structure says: so much for each piece, and so much beside it
 * whatever the pieces are, which is below zero where some of the pieces have what it stands in for already.
 */
final readonly class ByHand
{
    private const DECIMALS = 6;

    /**
     * @param  BigDecimal  $beside  stock units
     * @param  BigRational  $each  stock units a piece, 0 or more
     */
    public function __construct(public BigDecimal $beside, public BigRational $each)
    {
    }

    /** It goes with the pieces of the order. */
    public static function forPieces(BigDecimal $amount, BigDecimal $pieces): self
    {
        return new self(BigDecimal::zero(), BigRational::of($amount)->dividedBy($pieces)->simplified());
    }

    /** It stays as it is, whatever becomes of the order's quantity. */
    public static function forTheOrder(BigDecimal $amount): self
    {
        return new self($amount, BigRational::zero());
    }

    /**
     * It stands in for what is left of another, of which some went in already: more pieces take of it alone.
     *
     * @param  BigDecimal  $pieces  of the order
     * @param  BigDecimal  $planned  of the other, for all pieces
     * @param  BigDecimal  $left  of those, more than 0
     */
    public static function instead(BigDecimal $amount, BigDecimal $pieces, BigDecimal $planned, BigDecimal $left): self
    {
        $each = BigRational::of($amount)->multipliedBy($planned)->dividedBy($left)->dividedBy($pieces)->simplified();

        return self::at($amount, $each, $pieces);
    }

    /** So much for so many pieces, and so much for each piece more. */
    public static function at(BigDecimal $amount, BigRational $each, BigDecimal $pieces): self
    {
        $beside = BigRational::of($amount)->minus($each->multipliedBy($pieces));

        return new self($beside->toScale(self::DECIMALS, RoundingMode::FLOOR), $each);
    }

    /** For so many pieces, before rounding; 0 or more. */
    public function for(BigDecimal $pieces): BigRational
    {
        $all = $this->each->multipliedBy($pieces)->plus($this->beside);

        return $all->isNegative() ? BigRational::zero() : $all;
    }

    /** Nothing stands beside what the pieces take: each piece takes just as much as the next. */
    public function isEven(): bool
    {
        return $this->beside->isZero();
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Purchasing;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use KeepPace\Core\Quantity\Cents;

/** A price by the stock unit, said by another: 2.40 a metre are 7.20 a length of three. */
final readonly class TypedPrice
{
    /** Decimals that are shown of it, at most. */
    private const SHOWN = 4;

    /**
     * @param  BigDecimal  $price  euros a stock unit
     * @param  BigRational  $ratio  stock units that are one of the other
     */
    public function __construct(private BigDecimal $price, private BigRational $ratio)
    {
    }

    /** Euros a unit as it was typed, at most four decimals. */
    public function each(): BigDecimal
    {
        return $this->ratio->multipliedBy($this->price)->toScale(self::SHOWN, RoundingMode::HALF_UP);
    }

    /**
     * What so many come to, in cents: reckoned by the stock unit, so that nothing is lost to the price that is shown.
     *
     * @param  BigDecimal  $quantity  stock units
     */
    public function cents(BigDecimal $quantity): int
    {
        return Cents::of($quantity, (string) $this->price);
    }
}

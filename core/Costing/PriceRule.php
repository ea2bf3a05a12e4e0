<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use KeepPace\Core\Refused;

/** A price worked out from cost: so many per cent on the cost, or of the price, in steps (trade.md, W22). */
final readonly class PriceRule
{
    /**
     * @param  BigDecimal  $percent  0 or more; of the price below 100
     * @param  BigDecimal  $step  euros the price goes by, rounded up to the next; 0 = cents, half up
     *
     * @throws Refused when nothing would be left of a price
     */
    public function __construct(private bool $isOfPrice, private BigDecimal $percent, private BigDecimal $step)
    {
        if ($percent->isNegative() || $step->isNegative() || ($isOfPrice && $percent->isGreaterThanOrEqualTo(100))) {
            throw Refused::because('Of the price less than 100 per cent can be margin, and none below 0.', 'percent');
        }
    }

    /**
     * @param  BigRational  $cost  cents, exact
     * @return BigDecimal euros, two decimals
     */
    public function price(BigRational $cost): BigDecimal
    {
        $euros = $cost->dividedBy(100);
        $price = $this->isOfPrice
            ? $euros->dividedBy(BigRational::of(100)->minus($this->percent))->multipliedBy(100)
            : $euros->multipliedBy(BigRational::of(100)->plus($this->percent))->dividedBy(100);

        return $this->step->isZero()
            ? $price->toScale(2, RoundingMode::HALF_UP)
            : $price->dividedBy($this->step)->toScale(0, RoundingMode::CEILING)->multipliedBy($this->step)->toScale(2);
    }

    /**
     * What is left of a price, in per cent of it.
     *
     * @param  BigDecimal  $price  euros
     * @param  BigRational  $cost  cents
     * @return BigDecimal|null  null = there is no price
     */
    public static function margin(BigDecimal $price, BigRational $cost): ?BigDecimal
    {
        return $price->isZero() ? null : BigRational::of($price)->multipliedBy(100)
            ->minus($cost)
            ->dividedBy($price)
            ->toScale(1, RoundingMode::HALF_UP);
    }
}

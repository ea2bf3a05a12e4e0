<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;

/**
 * What parts carry that were taken out of a unit: each its per cent of what the unit was worth and of the work, a part
 * that is scrap too; never more in all than went in (trade.md, W17).
 */
final class Apart
{
    /**
     * @template K of array-key
     *
     * @param  int  $value  cents, of the unit and the work
     * @param  array<K, BigDecimal>  $percents  of each part, 0 or more; 100 together
     * @return array<K, int> cents
     *
     * @throws Refused when they are not 100 together
     */
    public static function shares(int $value, array $percents): array
    {
        $sum = BigDecimal::sum(0, ...array_values($percents));
        if ($percents === [] || ! $sum->isEqualTo(100)) {
            throw Refused::because(
                'The shares of the parts come to '.Amount::plain($sum).' per cent. Together they are 100.',
                'shares',
            );
        }

        return Cents::split($value, $percents);
    }

    /**
     * Per cents for parts by what each is worth, with two decimals; the greatest takes what rounding leaves.
     *
     * @template K of array-key
     *
     * @param  array<K, BigDecimal|BigRational>  $worth
     * @return array<K, BigDecimal> 100 together; by equal shares where nothing is worth anything
     */
    public static function proposed(array $worth): array
    {
        return $worth === []
            ? []
            : array_map(
                fn (int $share): BigDecimal => BigDecimal::ofUnscaledValue($share, 2),
                Cents::split(10_000, $worth),
            );
    }
}

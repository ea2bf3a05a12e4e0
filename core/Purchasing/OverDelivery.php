<?php

declare(strict_types=1);

namespace KeepPace\Core\Purchasing;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/**
 * More came than was ordered: within the tolerance it is taken and paid, what is beyond waits for an answer. What
 * stands on the floor is never refused.
 */
final readonly class OverDelivery
{
    private function __construct(public BigDecimal $taken, public BigDecimal $over)
    {
    }

    /**
     * @param  BigDecimal  $wanted  ordered and not given up, stock units
     * @param  BigDecimal  $inBefore  of it came before
     * @param  BigDecimal  $came  now, above 0
     * @param  int|null  $percent  of what is wanted is taken beyond it; null = all that comes
     * @param  int  $decimals  of the unit: a part of a piece is not taken
     */
    public static function of(
        BigDecimal $wanted,
        BigDecimal $inBefore,
        BigDecimal $came,
        ?int $percent,
        int $decimals,
    ): self {
        if ($percent === null) {
            return new self($came, BigDecimal::zero());
        }
        $most = $wanted->multipliedBy(100 + $percent)->dividedBy(100, $decimals, RoundingMode::DOWN);
        // what is ordered is taken whole, whatever its decimals are
        $most = BigDecimal::max($most, $wanted);
        $taken = BigDecimal::min($came, BigDecimal::max(0, $most->minus($inBefore)));

        return new self($taken, $came->minus($taken));
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** How many pieces can be built of what is there. */
final class Buildable
{
    /**
     * @param  BigDecimal  $built  pieces, before
     * @param  BigDecimal  $open  pieces that are asked for still
     * @param  list<array{each: BigRational, perOrder: bool, used: BigDecimal, there: BigDecimal}>  $parts  stock units
     *     a piece, or for the order; used before; free now
     * @param  int  $decimals  of the unit that is built
     * @return BigDecimal 0 or more, up to what is asked for
     */
    public static function now(BigDecimal $built, BigDecimal $open, array $parts, int $decimals): BigDecimal
    {
        $most = $open;
        foreach ($parts as $part) {
            $has = $part['used']->plus($part['there']);
            if ($part['each']->isZero()) {
                continue;
            }
            if ($part['perOrder']) {
                $most = $part['each']->isGreaterThan($has) ? BigDecimal::zero() : $most;

                continue;
            }
            // what is needed is rounded up to whole units, and so many whole units are there
            $pieces = BigRational::of($has)->dividedBy($part['each'])->toScale($decimals, RoundingMode::DOWN);
            $most = BigDecimal::min($most, $pieces->minus($built));
        }

        return BigDecimal::max(0, $most);
    }
}

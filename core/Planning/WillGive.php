<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/**
 * What an order will give in all: what was received, and the pieces still alive, each times the yield of the steps
 * ahead of it.
 */
final class WillGive
{
    /**
     * Rounded down once, over all of them: a part of a piece is none.
     *
     * @param  list<array{alive: BigDecimal, yield: BigDecimal}>  $pieces  alive: taken in, neither scrapped nor handed
     *     on; yield: the product of
     *                                                                     the yields of the steps still to be done to
     * them, above 0 and up to 1
     * @param  int  $decimals  of the unit the order counts in
     */
    public static function of(BigDecimal $received, array $pieces, int $decimals): BigDecimal
    {
        $coming = BigDecimal::zero();
        foreach ($pieces as ['alive' => $alive, 'yield' => $yield]) {
            $coming = $coming->plus($alive->multipliedBy($yield));
        }

        return $received->plus($coming->toScale($decimals, RoundingMode::DOWN));
    }

    /**
     * The same where no step says what it yields: every piece alive comes through.
     *
     * @param  list<BigDecimal>  $alive  at each step
     */
    public static function all(BigDecimal $received, array $alive): BigDecimal
    {
        return array_reduce(
            $alive,
            static fn (BigDecimal $sum, BigDecimal $pieces): BigDecimal => $sum->plus($pieces),
            $received,
        );
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** One order for the greater need of several things that fall out together: by runs, not by pieces (trade.md, W23). */
final class Runs
{
    /**
     * @param  array<array-key, BigDecimal>  $wanted  by output
     * @param  array<array-key, BigRational>  $each  above 0, of each output in one run
     */
    public static function for(array $wanted, array $each): BigDecimal
    {
        $most = BigDecimal::zero();
        foreach ($wanted as $output => $quantity) {
            $runs = BigRational::of($quantity)->dividedBy($each[$output])->toScale(0, RoundingMode::CEILING);
            $most = BigDecimal::max($most, $runs);
        }

        return $most;
    }

    /**
     * What comes beyond what is wanted.
     *
     * @param  array<array-key, BigDecimal>  $wanted
     * @param  array<array-key, BigRational>  $each
     * @return array<array-key, BigRational> by output
     */
    public static function over(BigDecimal $runs, array $wanted, array $each): array
    {
        $over = [];
        foreach ($each as $output => $of) {
            $over[$output] = $of->multipliedBy($runs)->minus($wanted[$output] ?? 0)->simplified();
        }

        return $over;
    }
}

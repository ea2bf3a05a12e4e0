<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;

/** How many pieces can be built of what is there. */
final class Buildable
{
    /**
     * @param  BigDecimal  $built  pieces, before
     * @param  BigDecimal  $open  pieces that are asked for still
     * @param  list<PartThere>  $parts
     * @param  int  $decimals  of the unit that is built
     * @return BigDecimal 0 or more, up to what is asked for
     */
    public static function now(BigDecimal $built, BigDecimal $open, array $parts, int $decimals): BigDecimal
    {
        $most = $open;
        foreach ($parts as $part) {
            $most = BigDecimal::min($most, $part->enoughFor($decimals)?->minus($built) ?? $most);
        }

        return BigDecimal::max(0, $most);
    }
}

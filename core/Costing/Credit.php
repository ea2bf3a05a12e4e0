<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Cents;

/**
 * What falls out beside a product at a set value: the order is credited by it, by no more than it has cost
 * (trade.md, W3).
 */
final class Credit
{
    /** @param  BigDecimal  $value  euros a stock unit */
    public static function of(BigDecimal $quantity, BigDecimal $value): int
    {
        return Cents::of($quantity, (string) $value);
    }

    /**
     * Of what comes now: the value of all that came, less what was booked of it.
     *
     * @param  BigDecimal  $came  with what comes now
     * @param  int  $booked  cents, of what came before
     * @param  int  $costLeft  cents the order has cost, less all it has given
     * @return int cents, 0 or more
     */
    public static function next(BigDecimal $came, BigDecimal $value, int $booked, int $costLeft): int
    {
        return max(0, min(self::of($came, $value) - $booked, $costLeft));
    }
}

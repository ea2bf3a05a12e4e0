<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** What cannot be booked as built. */
final class BuildRefused extends Refused
{
    /**
     * @param  BigDecimal  $asked  in the first place
     * @param  int  $percent  so much more is taken
     */
    public static function tooMany(BigDecimal $all, BigDecimal $asked, int $percent): self
    {
        $more = $percent === 0 ? '' : ", with the {$percent} % more that may be built";

        return self::because(
            sprintf(
                '%s is more than the %s asked for%s. Whoever may change orders books it under their name.',
                Amount::plain($all),
                Amount::plain($asked),
                $more,
            ),
            'built',
        );
    }

    public static function nothing(): self
    {
        return self::because('Nothing is built: type how many.', 'built');
    }

    public static function notBegun(string $order): self
    {
        return self::because("Nothing of build {$order} is built yet: cancel it on its page.");
    }

    public static function outside(string $item, string $step): self
    {
        return self::because(
            "{$item} goes to a supplier at step {$step}: make an order of it, and report it step by step.",
            'item',
        );
    }

    /** @param  BigDecimal  $now  so many can be built of what is there */
    public static function missing(string $item, BigDecimal $missing, BigDecimal $now): self
    {
        return self::because(
            Amount::plain($missing)." of {$item} are missing. ".($now->isZero()
                ? 'Nothing can be built of what is there'
                : Amount::plain($now).' can be built of what is there').', or say that they were used all the same.',
        );
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Outside;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Cents;

/** What pieces of an order that are with a supplier are worth (trade.md W29): part of what is in the order. */
final class ValueThere
{
    /**
     * @param  int  $inOrder  cents that are in the order so far
     * @param  BigDecimal  $there  pieces of it with the supplier
     * @param  BigDecimal  $alive  pieces of it that are neither scrap nor received
     */
    public static function of(int $inOrder, BigDecimal $there, BigDecimal $alive): int
    {
        return $alive->isPositive() ? Cents::part($inOrder, BigDecimal::min($there, $alive), $alive) : 0;
    }
}

<?php

namespace App\Wording;

use Brick\Math\BigDecimal;
use DateTimeInterface;
use KeepPace\Core\Quantity\Amount;

/** How a customer line is covered, in one phrase with a date: "4 from stock, 6 from 218 on Thu". */
final class CoverWords
{
    /**
     * @param  list<string>  $from  by what it is covered: fromStock(), fromOrder()
     * @param  BigDecimal  $left  neither shipped, nor cancelled, nor covered
     */
    public static function say(BigDecimal $shipped, array $from, BigDecimal $cancelled, BigDecimal $left): string
    {
        $said = $shipped->isPositive() ? [Amount::plain($shipped).' shipped'] : [];
        array_push($said, ...$from);
        if ($cancelled->isPositive()) {
            $said[] = Amount::plain($cancelled).' cancelled';
        }
        if ($left->isPositive()) {
            $said[] = Amount::plain($left).' not covered';
        }

        return implode(', ', $said);
    }

    public static function fromStock(BigDecimal $quantity): string
    {
        return Amount::plain($quantity).' from stock';
    }

    /** Nothing comes of it before it is sent. */
    public static function fromDraft(BigDecimal $quantity, string $purchase): string
    {
        return Amount::plain($quantity)." from {$purchase}, not sent yet";
    }

    /** @param  string  $order  or purchase line */
    public static function fromOrder(
        BigDecimal $quantity,
        string $order,
        DateTimeInterface|string|null $finish,
    ): string {
        $when = $finish === null ? ', no date yet' : ' '.When::onDay($finish);

        return Amount::plain($quantity)." from {$order}{$when}";
    }
}

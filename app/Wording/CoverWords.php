<?php

namespace App\Wording;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;

/** How a customer line is covered, in one phrase with a date: "4 from stock, 6 from 218 on Thu". */
final class CoverWords
{
    /**
     * @param  \stdClass  $line  quantity, shipped_quantity, cancelled_quantity
     * @param  iterable<\stdClass>  $covers  quantity, order_number (null = stock), finish_at
     */
    public static function say(\stdClass $line, iterable $covers): string
    {
        $said = [];
        $open = BigDecimal::of($line->quantity)->minus($line->shipped_quantity)->minus($line->cancelled_quantity);
        if (BigDecimal::of($line->shipped_quantity)->isPositive()) {
            $said[] = Amount::plain($line->shipped_quantity).' shipped';
        }
        foreach ($covers as $cover) {
            $open = $open->minus($cover->quantity);
            $said[] = Amount::plain($cover->quantity)
                .($cover->order_number === null
                    ? ' from stock'
                    : " from {$cover->order_number}"
                        .($cover->finish_at === null ? ', no date yet' : ' '.When::onDay($cover->finish_at)));
        }
        if (BigDecimal::of($line->cancelled_quantity)->isPositive()) {
            $said[] = Amount::plain($line->cancelled_quantity).' cancelled';
        }
        if ($open->isPositive()) {
            $said[] = Amount::plain($open).' not covered';
        }

        return implode(', ', $said);
    }
}

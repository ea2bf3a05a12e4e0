<?php

declare(strict_types=1);

namespace KeepPace\Core\Purchasing;

use Brick\Math\BigDecimal;

/** What of a billed line is booked. */
final readonly class TakenLine
{
    /**
     * @param  BigDecimal  $quantity  stock units; below zero = credited
     * @param  int  $cents  to be paid for it
     * @param  int  $difference  cents of it beyond what the goods were taken in at; below zero = less
     */
    public function __construct(public BigDecimal $quantity, public int $cents, public int $difference)
    {
    }
}

<?php

namespace App\Actions\Purchasing;

/** What is typed beside a line of a purchase order: changed by us, or as the supplier answered. */
final readonly class TypedLine
{
    /**
     * @param  string  $quantity  in the unit the line was typed in
     * @param  string  $price  euros a stock unit
     * @param  string  $on  "YYYY-MM-DD"
     */
    public function __construct(public string $quantity, public string $price, public string $on)
    {
    }
}

<?php

namespace App\Actions\Product;

use KeepPace\Core\Costing\PriceBreaks;

/** What customers of a level pay for an item, as it was typed. */
final readonly class TypedSalesPrices
{
    /** @param  string  $level  '' = all who have no prices of their own */
    public function __construct(public string $level, public PriceBreaks $prices)
    {
    }
}

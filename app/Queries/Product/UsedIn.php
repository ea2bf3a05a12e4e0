<?php

namespace App\Queries\Product;

use App\Shop\MadeItem;
use Brick\Math\BigDecimal;

/** An item something stands in the structure of. */
final readonly class UsedIn
{
    /** @param  BigDecimal  $quantity  stock units for one of it, through all levels between */
    public function __construct(public MadeItem $item, public BigDecimal $quantity, public bool $isDirect)
    {
    }
}

<?php

namespace App\Actions\Cover;

/** How a person asks for lines to be covered. */
enum CoverBy: string
{
    case Stock = 'stock';
    case NewOrder = 'order';
    case StockThenOrder = 'stock-then-order';
}

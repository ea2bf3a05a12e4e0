<?php

namespace App\Actions\Cover;

/** How a person asks for lines to be covered. */
enum CoverBy: string
{
    case Stock = 'stock';
    /** Of what is bought a purchase, put down and sent later. */
    case NewOrder = 'order';
    case StockThenOrder = 'stock-then-order';
}

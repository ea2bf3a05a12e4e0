<?php

namespace App\Actions\Stock;

use App\Models\Move;
use Brick\Math\BigDecimal;

/** What came in by one move, or a part of it. */
final readonly class Received
{
    public function __construct(public Move $move, public BigDecimal $quantity)
    {
    }
}

<?php

namespace App\Actions\Orders;

use App\Models\Order;

/** An order made for a customer line, and what of it is taken in parts for what is not there. */
final readonly class MadeForLine
{
    /** @param  string  $taken  sentences, beginning with a space; '' = none */
    public function __construct(public Order $order, public string $taken)
    {
    }
}

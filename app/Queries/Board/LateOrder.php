<?php

namespace App\Queries\Board;

use App\Queries\Orders\ListedOrder;
use KeepPace\Core\Planning\LateFor;

/** An order that will miss its date, with its cause in a sentence. */
final readonly class LateOrder
{
    public function __construct(public ListedOrder $order, public string $cause)
    {
    }

    public function isForParts(): bool
    {
        return $this->order->lateFor === LateFor::Parts;
    }
}

<?php

namespace App\Actions\Orders;

use KeepPace\Core\Quantity\TypedQuantity;

/** A component an order takes that its structure does not say. */
final readonly class AddedComponent
{
    public function __construct(public int $itemId, public TypedQuantity $quantity, public int $stepNumber)
    {
    }
}

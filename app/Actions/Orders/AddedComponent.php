<?php

namespace App\Actions\Orders;

use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Structure\LineBasis;

/** A component an order takes that its structure does not say. */
final readonly class AddedComponent
{
    /** @param  TypedQuantity  $quantity  for all pieces of the order */
    public function __construct(
        public int $itemId,
        public TypedQuantity $quantity,
        public int $stepNumber,
        public LineBasis $basis = LineBasis::PerUnit,
    ) {
    }
}

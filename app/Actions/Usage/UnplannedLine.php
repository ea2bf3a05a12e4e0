<?php

namespace App\Actions\Usage;

use KeepPace\Core\Quantity\TypedQuantity;

/** An item that was not planned, used for one of a slip's orders. */
final readonly class UnplannedLine
{
    public function __construct(
        public int $orderId,
        public int $itemId,
        public int $stepNumber,
        public TypedQuantity $quantity,
        public string $reason,
    ) {
    }
}

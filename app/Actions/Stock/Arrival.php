<?php

namespace App\Actions\Stock;

use App\Actions\Files\TypedFile;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Stock\Condition;

/** What came in, and how where it differs from the usual: free, our own. */
final readonly class Arrival
{
    /**
     * @param  string  $price  euros per stock unit
     * @param  string  $codes  lot, or serials one a line; empty for what is not tracked
     * @param  int|null  $purchaseId  the purchase line it comes on; null = none
     * @param  Condition|null  $as  null = as the item says: free, or into inspection
     * @param  int  $owner  customer whose own material it is; 0 = ours
     * @param  TypedFile|null  $certificate  that came with it, for each of its lots
     * @param  string|null  $expiresOn  last good day of the lot
     */
    public function __construct(
        public int $itemId,
        public TypedQuantity $quantity,
        public string $price,
        public int $placeId,
        public string $codes = '',
        public ?int $purchaseId = null,
        public ?Condition $as = Condition::Free,
        public int $owner = 0,
        public ?string $expiresOn = null,
        public string $supplierLot = '',
        public ?TypedFile $certificate = null,
    ) {
    }
}

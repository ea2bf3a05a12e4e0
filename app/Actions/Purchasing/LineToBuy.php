<?php

namespace App\Actions\Purchasing;

use App\Models\OrderStep;
use KeepPace\Core\Costing\ServiceCharge;
use KeepPace\Core\Planning\TieDemand;

/** One item to be bought, as a person or a shortage asks for it. */
final readonly class LineToBuy
{
    /**
     * @param  string  $key  of the line on the form, for the sentence beside it
     * @param  string|null  $unit  null = the stock unit
     * @param  string|null  $price  euros per stock unit; null = the item's cost
     * @param  string|null  $expectedOn  date; null = today and its lead time
     * @param  int|null  $supplier  null = the item's own
     * @param  TieDemand|null  $for  whom it is kept for when it comes, as far as these want it; null = the shelf
     * @param  int|null  $insteadOf  a purchase line: whom that was bought for gets it of this one
     * @param  string  $words  what it is, where the item does not say it
     * @param  int|null  $costOrder  order into whose cost it goes when it comes
     * @param  OrderStep|null  $step  work on its pieces
     * @param  ServiceCharge|null  $charge  what is charged for that work
     */
    public function __construct(
        public int $item,
        public string $quantity,
        public ?string $unit = null,
        public ?string $price = null,
        public ?string $expectedOn = null,
        public ?int $supplier = null,
        public string $key = '',
        public ?TieDemand $for = null,
        public ?int $insteadOf = null,
        public string $words = '',
        public ?int $costOrder = null,
        public ?OrderStep $step = null,
        public ?ServiceCharge $charge = null,
    ) {
    }
}

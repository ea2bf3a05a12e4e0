<?php

namespace App\Actions\Stock;

use App\Models\Item;
use App\Models\Place;
use App\Models\PurchaseLine;
use Brick\Math\BigDecimal;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\StockKey;

/** What came in, looked up and split by lots: ready to be written once its balances are locked. */
final readonly class Arrived
{
    /**
     * @param  BigDecimal  $amount  stock units
     * @param  non-empty-list<array{lot: int, quantity: BigDecimal}>  $lots
     */
    private function __construct(
        public Arrival $arrival,
        public Item $item,
        public ?PurchaseLine $purchase,
        public Place $place,
        public BigDecimal $amount,
        public array $lots,
    ) {
    }

    /** @throws Refused */
    public static function of(Arrival $arrival): self
    {
        $item = Item::query()->with('unit', 'units.unit')->findOrFail($arrival->itemId);
        $purchase = $arrival->purchaseId === null ? null : PurchaseLine::query()->findOrFail($arrival->purchaseId);
        if ($purchase !== null && $purchase->item_id !== $item->id) {
            throw PurchaseRefused::otherItem($purchase->number);
        }
        $amount = $item->typed($arrival->quantity)->amount;
        $place = Place::thatHolds($arrival->placeId);

        return new self($arrival, $item, $purchase, $place, $amount, TrackedCodes::split(
            $item,
            $amount,
            $arrival->codes,
        ));
    }

    /** @return non-empty-list<StockKey> where it goes, by lot */
    public function keys(): array
    {
        return array_map(
            fn (array $lot): StockKey => new StockKey(
                $this->arrival->itemId,
                $this->arrival->placeId,
                $lot['lot'],
                $this->arrival->as,
                $this->arrival->owner,
            ),
            $this->lots,
        );
    }
}

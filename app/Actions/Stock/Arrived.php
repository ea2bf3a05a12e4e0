<?php

namespace App\Actions\Stock;

use App\Models\Item;
use App\Models\Place;
use App\Models\PurchaseLine;
use App\Models\SupplierItem;
use Brick\Math\BigDecimal;
use KeepPace\Core\Purchasing\OverDelivery;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\PlaceKind;
use KeepPace\Core\Stock\StockKey;

/** What came in, looked up and split by lots: ready to be written once its balances are locked. */
final readonly class Arrived
{
    /**
     * @param  BigDecimal  $amount  stock units
     * @param  non-empty-list<array{lot: int, quantity: BigDecimal}>  $lots
     * @param  bool  $isOver  it is more than is taken of what was ordered: blocked until it is answered
     */
    private function __construct(
        public Arrival $arrival,
        public Item $item,
        public ?PurchaseLine $purchase,
        public Place $place,
        public BigDecimal $amount,
        public array $lots,
        public Condition $as,
        public bool $isOver,
    ) {
    }

    /**
     * One thing, or two where more came on a purchase than is taken (W30).
     *
     * @return list<self>
     *
     * @throws Refused
     */
    public static function all(Arrival $arrival): array
    {
        $one = self::of($arrival);
        $isTaken = $one->purchase === null || ! $one->item->kind->isCounted();
        $split = $isTaken ? null : self::split($one, $one->purchase);
        if ($split === null || $split->over->isZero()) {
            return [$one];
        }
        [$taken, $over] = self::parted($one->lots, $split->taken);

        return array_values(array_filter([
            $one->with($split->taken, $taken, $one->as, false),
            $one->with($split->over, $over, Condition::Blocked, true),
        ]));
    }

    /**
     * What a supplier made of parts of ours: all of it is taken.
     *
     * @return list<self>
     *
     * @throws Refused
     */
    public static function made(Arrival $arrival): array
    {
        return [self::of($arrival, isMade: true)];
    }

    private static function split(self $one, PurchaseLine $purchase): OverDelivery
    {
        $supplier = $purchase->order->supplier;

        return OverDelivery::of(
            $purchase->wanted(),
            BigDecimal::of($purchase->received_quantity),
            $one->amount,
            SupplierItem::of($one->item->id, $supplier->id)->over_percent ?? $supplier->over_percent,
            $one->item->unit->decimals,
        );
    }

    /**
     * The lots of so many, and those of the rest.
     *
     * @param  list<array{lot: int, quantity: BigDecimal}>  $lots
     * @return array{list<array{lot: int, quantity: BigDecimal}>, list<array{lot: int, quantity: BigDecimal}>}
     */
    private static function parted(array $lots, BigDecimal $first): array
    {
        $parted = [[], []];
        foreach ($lots as ['lot' => $lot, 'quantity' => $quantity]) {
            $own = BigDecimal::min($first, $quantity);
            $first = $first->minus($own);
            foreach ([$own, $quantity->minus($own)] as $which => $part) {
                $part->isZero() ?: $parted[$which][] = ['lot' => $lot, 'quantity' => $part];
            }
        }

        return $parted;
    }

    /** @param  list<array{lot: int, quantity: BigDecimal}>  $lots  none = nothing of it */
    private function with(BigDecimal $amount, array $lots, Condition $as, bool $isOver): ?self
    {
        return $lots === []
            ? null
            : new self($this->arrival, $this->item, $this->purchase, $this->place, $amount, $lots, $as, $isOver);
    }

    /** @throws Refused */
    private static function of(Arrival $arrival, bool $isMade = false): self
    {
        $item = Item::query()->with('unit', 'units.unit')->findOrFail($arrival->itemId);
        $purchase = $arrival->purchaseId === null
            ? null
            : PurchaseLine::query()->with('order.supplier', 'costOrder')->findOrFail($arrival->purchaseId);
        if ($purchase?->isWork() === true) {
            throw PurchaseRefused::isWork($purchase->number);
        }
        if ($purchase !== null && ! $isMade && $purchase->parts()->exists()) {
            throw PurchaseRefused::isMadeOfOurs($purchase->number);
        }
        if ($purchase !== null && $purchase->item_id !== $item->id) {
            throw PurchaseRefused::otherItem($purchase->number);
        }
        if ($arrival->owner !== 0 && ! $item->kind->isCounted()) {
            throw Refused::because("{$item->label()} is used without being counted: nobody can own it here.", 'owner');
        }
        $amount = $item->typed($arrival->quantity)->amount;
        $place = Place::thatHolds($arrival->placeId);

        $lots = TrackedCodes::split($item, $amount, $arrival->codes);

        $usual = $item->inspection_days > 0 ? Condition::InInspection : Condition::Free;

        return new self($arrival, $item, $purchase, $place, $amount, $lots, $arrival->as ?? $usual, false);
    }

    /** It is ours, free, in a store: somebody can be given it. */
    public function isUsable(): bool
    {
        return $this->arrival->owner === 0
            && $this->item->kind->isCounted()
            && $this->as === Condition::Free
            && $this->place->kind === PlaceKind::Store->value;
    }

    /** @return list<StockKey> where it goes, by lot; none where it is not counted */
    public function keys(): array
    {
        return ! $this->item->kind->isCounted() ? [] : array_map(
            fn (array $lot): StockKey => new StockKey(
                $this->arrival->itemId,
                $this->arrival->placeId,
                $lot['lot'],
                $this->as,
                $this->arrival->owner,
            ),
            $this->lots,
        );
    }
}

<?php

namespace App\Actions\Stock;

use App\Books\AsTyped;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use App\Models\Lot;
use App\Models\Place;
use App\Models\PurchaseLine;
use Brick\Math\BigDecimal;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\StockKey;

/** Books bought goods into stock, against an open purchase or without one. */
final class GoodsIn
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused */
    public function handle(Arrival $arrival, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::GoodsIn,
            $signed,
            new Part($this->needs($arrival), fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $arrival)),
        );
    }

    /** @throws Refused */
    private function write(Ledger $ledger, Held $held, Arrival $arrival): void
    {
        $item = Item::query()->with('unit', 'units.unit')->findOrFail($arrival->itemId);
        $purchase = $arrival->purchaseId === null ? null : PurchaseLine::query()->findOrFail($arrival->purchaseId);
        if ($purchase !== null && $purchase->item_id !== $item->id) {
            throw PurchaseRefused::otherItem($purchase->number);
        }
        $amount = $item->typed($arrival->quantity)->amount;
        $place = Place::thatHolds($arrival->placeId);
        $lots = TrackedCodes::split($item, $amount, $arrival->codes);
        $keys = $this->keys($arrival, $lots);
        $ledger->stock->read($keys);
        TrackedCodes::assertSerialsAreNew($item, $lots);
        TrackedCodes::dated($lots, $arrival->expiresOn, $arrival->supplierLot);
        $this->into($ledger, $item, $arrival, $amount, $lots, $keys);
        $purchase === null ?: $this->onPurchase($ledger, $held, $purchase, $amount, $lots);
        $ledger->says(
            Amount::plain($amount)
                ." {$item->unit->code} {$item->label()} in"
                .($purchase === null ? '' : " on {$purchase->number}")
                .", to {$place->name}"
                .($arrival->as === Condition::Free ? '' : ", {$arrival->as->label()}")
                .($arrival->owner === 0 ? '' : ", the customer's own")
                .'.',
        );
    }

    /**
     * @param  non-empty-list<array{lot: int, quantity: BigDecimal}>  $lots
     * @return non-empty-list<StockKey>
     */
    private function keys(Arrival $arrival, array $lots): array
    {
        return array_map(
            fn (array $lot): StockKey => new StockKey(
                $arrival->itemId,
                $arrival->placeId,
                $lot['lot'],
                $arrival->as,
                $arrival->owner,
            ),
            $lots,
        );
    }

    private function needs(Arrival $arrival): Needs
    {
        $heads = $arrival->purchaseId === null
            ? []
            : [PurchaseLine::query()->findOrFail($arrival->purchaseId)->purchase_order_id];

        return Needs::purchaseOrders($heads)->and(Needs::items([$arrival->itemId]));
    }

    /**
     * A customer's own material has no value here.
     *
     * @param  non-empty-list<array{lot: int, quantity: BigDecimal}>  $lots
     * @param  non-empty-list<StockKey>  $keys
     */
    private function into(
        Ledger $ledger,
        Item $item,
        Arrival $arrival,
        BigDecimal $amount,
        array $lots,
        array $keys,
    ): void {
        $total = $arrival->owner === 0 ? Cents::of($amount, $arrival->price) : 0;
        $shares = Cents::running($total, array_column($lots, 'quantity'), $amount);
        foreach ($lots as $i => $lot) {
            $ledger->moves->move(
                $item,
                $lot['quantity'],
                $shares[$i],
                End::outside($arrival->purchaseId),
                End::stock($keys[$i]),
                $i === 0 ? $this->typed($item, $arrival) : null,
            );
        }
    }

    /** Kept with the first of its moves. */
    private function typed(Item $item, Arrival $arrival): AsTyped
    {
        return new AsTyped($arrival->quantity->amount, TrackedCodes::unitId($item, $arrival->quantity->unit));
    }

    /** @param  non-empty-list<array{lot: int, quantity: BigDecimal}>  $lots */
    private function onPurchase(
        Ledger $ledger,
        Held $held,
        PurchaseLine $purchase,
        BigDecimal $amount,
        array $lots,
    ): void {
        $order = $held->purchaseOrder($purchase->purchase_order_id);
        if ($purchase->is_draft) {
            throw PurchaseRefused::neverSent($order->number);
        }
        $purchase->received_quantity = (string) BigDecimal::of($purchase->received_quantity)->plus($amount);
        $purchase->save();
        Lot::query()
            ->whereKey(array_filter(array_column($lots, 'lot')))
            ->whereNull('supplier_id')
            ->update(['supplier_id' => $order->supplier_id]);
        $ledger->concernsPurchase($order);
    }
}

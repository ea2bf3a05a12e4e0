<?php

namespace App\Actions\Stock;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\OrderComponent;
use App\Models\PurchaseLine;
use KeepPace\Core\Planning\CoverRefused;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** Keeps some of a purchase that is to come for one order: what comes of it is stock kept for that order. */
final class ReserveComing
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused when the order takes no more, or all of the purchase is for others */
    public function handle(int $componentId, int $purchaseLineId, string $quantity, Signed $signed): Booking
    {
        $needs = Needs::orders([OrderComponent::query()->findOrFail($componentId)->order_id])
            ->and(Needs::purchaseOrders([PurchaseLine::query()->findOrFail($purchaseLineId)->purchase_order_id]));

        return $this->bookings->once(BookingKind::Reserved, $signed, new Part(
            $needs,
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $componentId, $purchaseLineId, $quantity),
        ));
    }

    /** @throws Refused */
    private function write(Ledger $ledger, Held $held, int $componentId, int $purchaseLineId, string $typed): void
    {
        $component = OrderComponent::query()->with('item.unit', 'item.units.unit')->findOrFail($componentId);
        $order = $held->order($component->order_id);
        $order->assertMay(OrderDeed::Reserve);
        $purchase = PurchaseLine::query()->findOrFail($purchaseLineId);
        if ($purchase->item_id !== $component->item_id) {
            throw PurchaseRefused::otherItem($purchase->number);
        }
        $amount = $component->item->quantity($typed, field: 'quantity')->amount;
        CoverRefused::beyond($amount, [
            $purchase->number => $purchase->unpromised(),
            "order {$order->number}" => $component->untied(),
        ]);
        $ledger->bought->forPart($purchase, $component, $amount);
        $ledger->concerns($order);
        $ledger->concernsPurchase($held->purchaseOrder($purchase->purchase_order_id));
        $ledger->says(
            Amount::plain($amount)
                ." {$component->item->unit->code} {$component->item->label()} of {$purchase->number} kept for order "
                ."{$order->number}.",
        );
    }
}

<?php

namespace App\Actions\Orders;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\TypedQuantity;

/** Makes an order for the shelf. */
final class MakeOrder
{
    public function __construct(
        private readonly Bookings $bookings,
        private readonly OrderCopy $copy,
        private readonly MissingParts $parts,
    ) {
    }

    /** @throws \KeepPace\Core\Refusal */
    public function handle(
        int $itemId,
        TypedQuantity $quantity,
        ?string $dueOn,
        bool $withParts,
        Signed $signed,
    ): Booking {
        return $this->bookings->once(BookingKind::OrderMade, $signed, Part::writing(function (Ledger $ledger) use (
            $itemId,
            $quantity,
            $dueOn,
            $withParts,
        ): void {
            $item = Item::query()
                ->with(['unit', 'units.unit'])
                ->findOrFail($itemId);
            $order = $this->copy->make($ledger, $item, $item->typed($quantity)->amount, $dueOn);
            $taken = $this->parts->take($ledger, $order);
            $parts = $withParts ? $this->parts->make($ledger, $order) : [];
            $ledger->concerns($order);
            $ledger->says(
                "Order {$order->number} made for the shelf: "
                    .Amount::plain($order->quantity)
                    ." {$item->unit->code} {$item->label()}"
                    .($parts === [] ? '.' : ', with '.count($parts).' for its parts.').$taken,
            );
        }));
    }
}

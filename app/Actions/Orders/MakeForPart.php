<?php

namespace App\Actions\Orders;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\OrderComponent;
use KeepPace\Core\Planning\CoverRefused;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** A part that an order misses is made for it: an order of its own, due when the step that takes it has to begin. */
final class MakeForPart
{
    public function __construct(
        private readonly Bookings $bookings,
        private readonly OrderCopy $copy,
        private readonly PartsDue $due,
        private readonly MissingParts $parts,
    ) {
    }

    /**
     * @param  bool  $withParts  and what it is made of and nobody has, likewise
     *
     * @throws Refused when it is not made here, or the order wants no more of it
     */
    public function handle(int $componentId, string $quantity, bool $withParts, Signed $signed): Booking
    {
        $component = OrderComponent::query()->with('item.unit', 'item.units.unit')->findOrFail($componentId);

        return $this->bookings->once(BookingKind::OrderMade, $signed, new Part(
            Needs::orders([$component->order_id]),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $component, $quantity, $withParts),
        ));
    }

    /** @throws Refused */
    private function write(Ledger $ledger, Held $held, OrderComponent $component, string $typed, bool $withParts): void
    {
        $order = $held->order($component->order_id);
        $order->assertMay(OrderDeed::Reserve);
        $component->refresh()->load('item.unit', 'item.units.unit');
        $item = $component->item;
        if (! $item->isMade()) {
            throw OrderRefused::notMade($item->label(), $item->kind->label());
        }
        $amount = $item->quantity($typed, field: 'quantity')->amount;
        CoverRefused::beyond($amount, ["order {$order->number}" => $component->unsupplied()]);
        $made = $this->copy->make(
            $ledger,
            $item,
            $amount,
            $this->due->on($order, $component->step_number),
            for: $component->setRelation('order', $order),
        );
        $taken = $this->parts->take($ledger, $made);
        $parts = $withParts ? $this->parts->make($ledger, $made) : [];
        $ledger->concerns($made);
        $ledger->touch($order);
        $ledger->says(
            "Order {$made->number} made for order {$order->number}: ".Amount::plain($made->quantity)
                ." {$item->unit->code} {$item->label()}"
                .($parts === [] ? '.' : ', with '.count($parts).' for its parts.').$taken,
        );
    }
}

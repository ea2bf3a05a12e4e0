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
use KeepPace\Core\Planning\CoverRefused;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\TieDemand;
use KeepPace\Core\Planning\TieSupply;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * Keeps some of what an order will give, its product or what falls out beside it, for a part of another order: what
 * comes of it is stock kept for that one.
 */
final class ReserveOutput
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused when the order takes no more, the other has none left, or they would wait for one another */
    public function handle(int $componentId, int $giverId, string $quantity, Signed $signed): Booking
    {
        $needs = Needs::orders([OrderComponent::query()->findOrFail($componentId)->order_id, $giverId]);

        return $this->bookings->once(BookingKind::Reserved, $signed, new Part(
            $needs,
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $componentId, $giverId, $quantity),
        ));
    }

    /** @throws Refused */
    private function write(Ledger $ledger, Held $held, int $componentId, int $giverId, string $typed): void
    {
        $component = OrderComponent::query()->with('item.unit', 'item.units.unit')->findOrFail($componentId);
        $order = $held->order($component->order_id);
        $giver = $held->order($giverId);
        $order->assertMay(OrderDeed::Reserve);
        $output = $giver->state->isOpen() ? $giver->outputOf($component->item_id) : null;
        if ($output === null) {
            throw CoverRefused::makesOther($giver->number, $component->item->label());
        }
        $amount = $component->item->quantity($typed, field: 'quantity')->amount;
        CoverRefused::beyond($amount, [
            "order {$giver->number}" => $output->unpromised(),
            "order {$order->number}" => $component->untied(),
        ]);
        $ledger->ties->add(
            TieDemand::component($component->id),
            TieSupply::output($output->id),
            true,
            $component->item_id,
            $amount,
        );
        $ledger->touch($giver);
        $ledger->concerns($order);
        $ledger->says(
            Amount::plain($amount)
                ." {$component->item->unit->code} {$component->item->label()} of order {$giver->number} kept for order "
                ."{$order->number}.",
        );
    }
}

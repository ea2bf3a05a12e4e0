<?php

namespace App\Actions\Outside;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\OrderComponent;
use App\Models\Place;
use KeepPace\Core\Outside\CameBack;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\StockKey;

/** A component that went along with pieces comes back unused, into stores. */
final class ComesUnused
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused when more came than is there */
    public function handle(int $componentId, string $quantity, int $placeId, Signed $signed): Booking
    {
        $component = OrderComponent::query()->findOrFail($componentId);

        return $this->bookings->once(BookingKind::CameBack, $signed, new Part(
            Needs::orders([$component->order_id])->and(Needs::items([$component->item_id])),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $componentId, $quantity, $placeId),
        ));
    }

    /** @throws Refused */
    private function write(Ledger $ledger, Held $held, int $componentId, string $quantity, int $placeId): void
    {
        $component = OrderComponent::query()->with('item.unit', 'item.units.unit')->findOrFail($componentId);
        $item = $component->item;
        $amount = $item->quantity($quantity, field: 'quantity')->amount;
        $into = Place::thatHolds($placeId);
        if ($amount->isZero()) {
            throw OutsideRefused::nothingCame();
        }
        $back = CameBack::unworked($amount);
        foreach ($ledger->consigned->componentGone($component, $back, 'quantity') as $gone) {
            ['lot' => $lot, 'place' => $place, 'of' => $of] = $gone;
            [$from, $to] = [new StockKey($item->id, $place, $lot), new StockKey($item->id, $into->id, $lot)];
            $ledger->stock->read([$from, $to]);
            $ledger->moves->move($item, $of->unworked, null, End::stock($from), End::stock($to));
        }
        $order = $held->order($component->order_id);
        $ledger->concerns($order);
        $ledger->says(Amount::plain($amount)." {$item->unit->code} {$item->label()} that went along for "
            ."{$order->number} came back unused, to {$into->name}.");
    }
}

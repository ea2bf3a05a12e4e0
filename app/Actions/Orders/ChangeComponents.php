<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderComponent;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Planning\StepRefused;
use KeepPace\Core\Quantity\Amount;

/** Changes what one order takes; the master structure is not touched. */
final class ChangeComponents
{
    public function __construct(private readonly OrderChange $change)
    {
    }

    public function change(int $componentId, int $version, string $quantity, Signed $signed): Booking
    {
        $orderId = OrderComponent::query()->findOrFail($componentId)->order_id;

        return $this->change->handle($orderId, $version, $signed, function (Ledger $ledger, Order $order) use (
            $componentId,
            $quantity,
        ): string {
            $component = OrderComponent::query()->with('item.unit', 'item.units.unit')->findOrFail($componentId);
            $amount = $component->item->quantity($quantity)->amount;
            if ($amount->isLessThan($component->used_quantity)) {
                throw OrderRefused::used(BigDecimal::of($component->used_quantity));
            }
            (new OrderParts($ledger, $order))->set($component, $amount);

            return "Order {$order->number} takes "
                .Amount::plain($amount)
                ." {$component->item->unit->code} of {$component->item->label()}.";
        });
    }

    /** Another item instead of what is still open of a component; what was used of it stays. */
    public function swap(
        int $componentId,
        int $version,
        int $itemId,
        string $quantity,
        Signed $signed,
    ): Booking {
        $orderId = OrderComponent::query()->findOrFail($componentId)->order_id;

        return $this->change->handle($orderId, $version, $signed,
            function (Ledger $ledger, Order $order) use ($componentId, $itemId, $quantity): string {
                $component = OrderComponent::query()->with('item.unit')->findOrFail($componentId);
                $item = Item::query()->with('unit', 'units.unit')->findOrFail($itemId);
                if ($item->id === $component->item_id || ! $item->isIssued()) {
                    throw OrderRefused::noStandIn($item->label());
                }
                if ($component->openQuantity()->isZero()) {
                    throw OrderRefused::allUsed();
                }
                $amount = $item->quantity($quantity)->amount;
                (new OrderParts($ledger, $order))->putInstead($component, $item, $amount);

                return "Order {$order->number} takes "
                    .Amount::plain($amount)
                    ." {$item->unit->code} {$item->label()} instead of {$component->item->label()}.";
            },
        );
    }

    public function add(
        int $orderId,
        int $version,
        AddedComponent $new,
        Signed $signed,
    ): Booking {
        return $this->change->handle($orderId, $version, $signed, function (Ledger $ledger, Order $order) use (
            $new,
        ): string {
            $item = Item::query()->with('unit', 'units.unit')->findOrFail($new->itemId);
            if (! $item->isIssued()) {
                throw OrderRefused::neverIssued($item->label(), $item->kind->value);
            }
            if (! $order->steps()->where('number', $new->stepNumber)->exists()) {
                throw StepRefused::noSuchStep($order->number, $new->stepNumber);
            }
            $amount = $item->typed($new->quantity)->amount;
            (new OrderParts($ledger, $order))->put($item, $amount, $new->stepNumber, $new->basis);

            return "Order {$order->number} also takes "
                .Amount::plain($amount)
                ." {$item->unit->code} of {$item->label()}.";
        });
    }
}

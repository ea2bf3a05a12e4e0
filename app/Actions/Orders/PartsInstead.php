<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\Order;
use App\Models\OrderComponent;
use KeepPace\Core\Refused;

/**
 * Of so many of a sub-assembly an order takes the parts instead: they are put in here, at the step it is used at. The
 * rest of it is issued as it is, or made by its own order.
 */
final class PartsInstead
{
    public function __construct(private readonly OrderChange $change, private readonly TakenParts $parts)
    {
    }

    /**
     * @param  int  $version  of the order as the person saw it
     * @param  string  $quantity  of the sub-assembly, in its stock unit
     *
     * @throws Refused when so many are not open, or it is made of nothing
     */
    public function handle(int $componentId, int $version, string $quantity, Signed $signed): Booking
    {
        $orderId = OrderComponent::query()->findOrFail($componentId)->order_id;

        return $this->change->handle($orderId, $version, $signed, function (Ledger $ledger, Order $order) use (
            $componentId,
            $quantity,
        ): string {
            $of = OrderComponent::query()->with('item.unit', 'item.units.unit')->findOrFail($componentId);

            return $this->parts->take($ledger, $order, $of, $of->item->quantity($quantity, field: 'quantity')->amount);
        });
    }
}

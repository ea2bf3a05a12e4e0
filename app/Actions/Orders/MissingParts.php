<?php

namespace App\Actions\Orders;

use App\Actions\Bookings\Ledger;
use App\Models\Balance;
use App\Models\Cover;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\OrderStep;
use Brick\Math\BigDecimal;
use KeepPace\Core\Stock\Condition;

/** Orders for the made parts of an order that neither stock nor open orders will give it, at every level below. */
final class MissingParts
{
    public function __construct(private readonly OrderCopy $copy, private readonly PartsDue $due)
    {
    }

    /** @return list<Order> */
    public function make(Ledger $ledger, Order $order): array
    {
        $made = [];
        foreach ($order->components()->with('item.unit')->get() as $component) {
            if (! $component->item->isMade()) {
                continue;
            }
            $missing = $this->missing($component);
            if ($missing->isPositive()) {
                $part = $this->copy->make(
                    $ledger,
                    $component->item,
                    $missing,
                    $this->due->on($order, $component->step_number),
                    for: $order,
                );
                array_push($made, $part, ...$this->make($ledger, $part));
            }
        }

        return $made;
    }

    /** What is short when every open need of the item is met, no more than this component asks for. */
    private function missing(OrderComponent $component): BigDecimal
    {
        $open = ['firm', 'released', 'running'];
        // what lies at a supplier is not at hand here
        $there = BigDecimal::of((string) Balance::query()->where('item_id', $component->item_id)->where('condition', Condition::Free->value)
            ->where('owner_id', 0)->whereRelation('place', 'kind', 'store')->sum('quantity'))
            ->minus(Cover::promisedFromStock($component->item_id));
        $orders = Order::query()->where('item_id', $component->item_id)->whereIn('state', $open);
        $coming = BigDecimal::of((string) (clone $orders)->sum('quantity'))
            ->minus((string) (clone $orders)->sum('received_quantity'))
            ->minus((string) OrderStep::query()->whereIn('order_id', $orders->select('id'))->sum('scrap'))
            ->minus((string) Cover::query()->where('item_id', $component->item_id)->where('supply', '<>', Cover::STOCK)->sum('quantity'));
        $needed = BigDecimal::of((string) OrderComponent::query()->where('item_id', $component->item_id)
            ->whereHas('order', fn ($query) => $query->whereIn('state', $open))
            ->selectRaw('SUM(GREATEST(planned_quantity - used_quantity - replaced_quantity, 0)) AS open')->value('open'));
        $short = $needed->minus($there)->minus($coming);
        $asked = $component->openQuantity();

        return $short->isGreaterThan($asked) ? $asked : $short;
    }
}

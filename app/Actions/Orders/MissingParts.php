<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Shop\Positions;
use Brick\Math\BigDecimal;

/**
 * What neither stock nor open orders will give an order: its parts go in where the item says so, else orders are made
 * for it, at every level below.
 */
final class MissingParts
{
    public function __construct(
        private readonly OrderCopy $copy,
        private readonly PartsDue $due,
        private readonly TakenParts $parts,
    ) {
    }

    /**
     * Parts go in for what is missing, where its item says so.
     *
     * @return string said of it, beginning with a space; '' = nothing
     */
    public function take(Ledger $ledger, Order $order): string
    {
        return implode('', array_map(fn (string $one): string => " {$one}", $this->parts->ofNew($ledger, $order)));
    }

    /** @return list<Order> */
    public function make(Ledger $ledger, Order $order): array
    {
        $this->take($ledger, $order);
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
                    for: $component->setRelation('order', $order),
                );
                array_push($made, $part, ...$this->make($ledger, $part));
            }
        }

        return $made;
    }

    /** What is short when every open need of the item is met, no more than this component asks for. */
    private function missing(OrderComponent $component): BigDecimal
    {
        $short = Positions::of($component->item_id)->missing();
        $asked = $component->openQuantity();

        return $short->isGreaterThan($asked) ? $asked : $short;
    }
}

<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Models\Order;

/** The day an order must be finished: parts made for it are due when its steps need them, so they move with it. */
final readonly class DueDay
{
    public function __construct(private PartsDue $parts)
    {
    }

    /**
     * @param  string|null  $day  "YYYY-MM-DD"; null = none
     * @return string what follows it, said; '' = nothing does
     */
    public function set(Ledger $ledger, Order $order, ?string $day): string
    {
        if ($day === $order->due_on) {
            return '';
        }
        $ledger->change($order, 'due', (string) $order->due_on, (string) $day);
        $order->due_on = $day;
        $numbers = [];
        foreach ($this->parts->followed($order) as $id => [$before, $after]) {
            $part = Order::query()->findOrFail($id);
            $ledger->change($part, 'due', $before, $after);
            $part->due_on = $after;
            $numbers[] = $part->number;
        }

        return $numbers === [] ? '' : ' Made for it, due when its steps need them: '.implode(', ', $numbers).'.';
    }
}

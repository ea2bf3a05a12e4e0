<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Models\Order;
use App\Models\Person;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\OrderState;

/** An order becomes an instruction: its rates and planned cost are frozen, its first step takes the pieces in. */
final class OrderRelease
{
    public function __construct(private readonly PlannedCost $cost)
    {
    }

    /** @param  string|null  $shortReason  why it is released though not all of its parts are there */
    public function write(Ledger $ledger, Order $order, Person $by, ?string $shortReason): void
    {
        $this->cost->freeze($order);
        $first = $order->steps()->first(); // an order without steps is only put together
        $first === null ?: $ledger->counts->set($first, $first->pieces()->takeIn(BigDecimal::of($order->quantity)));
        $ledger->records->change($order, [
            'released_at' => now()->toImmutable(),
            'released_by' => $by->id,
            'short_reason' => $shortReason,
        ]);
        $order->state = OrderState::Released; // the same deed may go on with it
        $ledger->change($order, 'released', '', $shortReason === null ? 'with all parts' : "short: {$shortReason}");
    }
}

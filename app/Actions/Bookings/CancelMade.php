<?php

namespace App\Actions\Bookings;

use App\Books\Ledger;
use App\Models\Booking;
use App\Models\CustomerOrderLine;
use App\Models\Order;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Refused;

/** Takes back what a reversed booking called into being: it is cancelled, never deleted. */
final class CancelMade
{
    /**
     * @param  Collection<int, Order>  $made  locked
     *
     * @throws Refused when one of the orders is past being a mere intention, or others count on it
     */
    public function made(Ledger $ledger, Collection $made): void
    {
        foreach ($made->where('state', '<>', OrderState::Cancelled) as $order) {
            if ($order->state !== OrderState::Firm) {
                throw OrderRefused::goesOn($order->number, $order->state);
            }
            if (BigDecimal::of((string) $order->covers()->sum('quantity'))->isPositive()) {
                throw Refused::because(
                    "Order {$order->number}, made by this, is promised to a customer line. Untie the line first.",
                );
            }
            $ledger->change($order, 'state', 'firm', 'cancelled');
            $order->state = OrderState::Cancelled;
        }
    }

    /** @throws Refused when something of a line is covered or shipped */
    public function customerOrder(Booking $booking): void
    {
        foreach (
            CustomerOrderLine::query()
                ->where('customer_order_id', $booking->customer_order_id)
                ->orderBy('id')
                ->get() as $line
        ) {
            if (
                BigDecimal::of((string) $line->covers()->sum('quantity'))->plus($line->shipped_quantity)->isPositive()
            ) {
                throw Refused::because(
                    "Line {$line->position} is covered or shipped. Untie its cover, or reverse the shipment, first.",
                );
            }
            $line->cancelled_quantity = $line->quantity;
            $line->is_open = false;
            $line->save();
        }
    }
}

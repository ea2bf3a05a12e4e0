<?php

namespace App\Actions\Demand;

use App\Actions\Bookings\Bookings;
use App\Actions\Bookings\Ledger;
use App\Actions\Bookings\Signed;
use App\Actions\Orders\ChangedMeanwhile;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\CustomerOrder;
use App\Models\CustomerOrderLine;
use App\Models\Order;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\NoLongerFor;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * The customer no longer wants a line: what was to be made for it goes to the shelf, to another line, is held, or is
 * stopped.
 */
final class CancelLine
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  NoLongerFor  $what  becomes of what is made for it
     * @param  int|null  $otherLine  that gets what this one had, as far as it wants it
     *
     * @throws Refused
     */
    public function handle(
        int $lineId,
        int $version,
        NoLongerFor $what,
        ?int $otherLine,
        Signed $signed,
    ): Booking {
        return $this->bookings->once(
            BookingKind::CustomerLineChanged,
            $signed,
            function (Ledger $ledger) use ($lineId, $version, $what, $otherLine, $signed): void {
                $heads = CustomerOrder::query()
                    ->whereIn(
                        'id',
                        CustomerOrderLine::query()
                            ->whereKey(array_filter([$lineId, $otherLine]))
                            ->select('customer_order_id'),
                    )
                    ->orderBy('id')
                    ->lockForUpdate()
                    ->get()
                    ->keyBy('id');
                $line = CustomerOrderLine::query()->with('item.unit', 'customerOrder')->findOrFail($lineId);
                ChangedMeanwhile::check($heads[$line->customer_order_id], $version);
                $orders = Order::query()
                    ->whereKey($line->covers()->where('quantity', '>', 0)->pluck('order_id')->filter())
                    ->orderBy('id')
                    ->lockForUpdate()
                    ->get()
                    ->keyBy('id');
                $line = CustomerOrderLine::query()->with('item.unit', 'customerOrder')->findOrFail($lineId);
                $open = $line->openQuantity();
                if (! $open->isPositive()) {
                    throw Refused::because('Nothing of this line is open any more.');
                }
                $other = $otherLine === null
                        ? null
                        : CustomerOrderLine::query()->with('customerOrder')->findOrFail($otherLine);
                if (
                    $what === NoLongerFor::OtherLine
                    && ($other === null || $other->item_id !== $line->item_id || $other->id === $line->id)
                ) {
                    throw Refused::because('Choose another open line of the same item.', 'other');
                }
                $ledger->stock->lock([$line->item_id]);
                $this->covers($ledger, $line, $what === NoLongerFor::OtherLine ? $other : null);
                $line->cancelled_quantity = (string) BigDecimal::of($line->cancelled_quantity)->plus($open);
                $line->is_open = false;
                $line->save();
                $said = array_values(
                    $orders->map(fn (Order $order): string => $this->order($ledger, $order, $what))->filter()->all(),
                );
                $ledger->concerns(customerOrder: $heads[$line->customer_order_id]);
                $other === null ?: $ledger->touch($heads[$other->customer_order_id]);
                $ledger->says(
                    "{$line->label()}: "
                        .Amount::plain($open)
                        ." no longer wanted. {$signed->reason} "
                        .implode(' ', $said),
                );
            },
        );
    }

    private function covers(Ledger $ledger, CustomerOrderLine $line, ?CustomerOrderLine $other): void
    {
        foreach ($line->covers()->with('order')->where('quantity', '>', 0)->orderBy('id')->get() as $cover) {
            $had = BigDecimal::of($cover->quantity);
            $ledger->changeCover($cover, $had->negated());
            if ($other !== null) {
                $give = BigDecimal::min(
                    $other->openQuantity()->minus((string) $other->covers()->sum('quantity')),
                    $had,
                );
                if ($give->isPositive()) {
                    $ledger->cover($other, $cover->order, $give);
                }
            }
        }
    }

    private function order(Ledger $ledger, Order $order, NoLongerFor $what): string
    {
        $ledger->touch($order);
        if ($what === NoLongerFor::Hold && ! $order->is_held) {
            $ledger->change($order, 'held', 'going', 'held');
            $order->is_held = true;

            return "Order {$order->number} is held.";
        }
        if ($what === NoLongerFor::Stop) {
            if (
                ! in_array($order->state, [OrderState::Firm, OrderState::Released], true)
                || $order->covers()->where('quantity', '>', 0)->exists()
            ) {
                return "Order {$order->number} is {$order->state->value} and goes on: stop it by hand.";
            }
            $ledger->change($order, 'state', $order->state->value, 'cancelled');
            $order->state = OrderState::Cancelled;

            return "Order {$order->number} is cancelled.";
        }

        return $what === NoLongerFor::Shelf ? "Order {$order->number} goes on for the shelf." : '';
    }
}

<?php

namespace App\Actions\Orders;

use App\Actions\Bookings\Bookings;
use App\Actions\Bookings\Ledger;
use App\Actions\Bookings\Numbers;
use App\Actions\Bookings\Signed;
use App\Actions\Stock\TrackedCodes;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\Place;
use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\StockKey;
use KeepPace\Core\Stock\Tracking;

/** Takes good pieces from the last step into stock, at the planned unit cost until the order is closed. */
final class ReceiveOrder
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  string  $codes  lot, or serials one a line; empty = the lot is the order, serials are given by the
     *     numbering
     *
     * @throws Refused
     */
    public function handle(
        int $orderId,
        string $quantity,
        int $placeId,
        string $codes,
        Signed $signed,
    ): Booking {
        return $this->bookings->once(BookingKind::Receive, $signed, function (Ledger $ledger) use (
            $orderId,
            $quantity,
            $placeId,
            $codes,
        ): void {
            $order = Order::query()->with('item.unit', 'item.units.unit')->lockForUpdate()->findOrFail($orderId);
            $item = $order->item;
            if (! $order->state->isInTheShop() || $order->is_held) {
                throw Refused::because(
                    "Order {$order->number} is "
                        .($order->is_held ? 'held' : $order->state->value)
                        .'. Nothing can be received from it.',
                );
            }
            $amount = $item->quantity($quantity)->amount;
            $place = Place::thatHolds($placeId);
            $ledger->stock->lock([$item->id]);
            $last = OrderStep::query()->where('order_id', $order->id)->orderByDesc('number')->firstOrFail();
            if ($amount->isGreaterThan($last->pieces()->inHand())) {
                throw Refused::because(
                    sprintf(
                        '%s to receive, %s good at the last step. Count the good ones there first.',
                        Amount::plain($amount),
                        Amount::plain($last->pieces()->inHand()),
                    ),
                    'quantity',
                );
            }
            if (trim($codes) === '' && $item->isTracked()) {
                $codes = $item->tracking === Tracking::Lot
                        ? $order->number
                        : implode("\n", Numbers::block('serial', $amount->toInt()));
            }
            $lots = TrackedCodes::split($item, $amount, $codes);
            $keys = array_map(fn (array $lot): StockKey => new StockKey($item->id, $place->id, $lot['lot']), $lots);
            $ledger->concerns($order);
            $ledger->stock->read($keys);
            TrackedCodes::assertSerialsAreNew($item, $lots);
            $ledger->pieces($last, $last->pieces()->passOn($amount, $last->label()));
            $this->into($ledger, $order, $amount, $lots, $keys);
            $ledger->says(
                Amount::plain($amount)
                    ." {$item->unit->code} {$item->label()} received from order {$order->number}, to {$place->name}.",
            );
        });
    }

    /**
     * @param  non-empty-list<array{lot: int, quantity: BigDecimal}>  $lots
     * @param  list<StockKey>  $keys
     */
    private function into(Ledger $ledger, Order $order, BigDecimal $amount, array $lots, array $keys): void
    {
        $before = BigDecimal::of($order->received_quantity);
        $after = $before->plus($amount);
        $ordered = BigDecimal::of($order->quantity);
        $planned = $order->plannedCost();
        // by differences of running totals, so that the parts add up to the whole planned cost
        $value = $planned->interimValue($after, $ordered) - $planned->interimValue($before, $ordered);
        $done = BigDecimal::zero();
        $given = $taken = 0;
        foreach ($lots as $i => $lot) {
            $done = $done->plus($lot['quantity']);
            $share = Cents::part($value, $done, $amount) - $given;
            $given += $share;
            $taken += $ledger->move($order->item, $lot['quantity'], $share, 'order', $keys[$i]);
        }
        // with standard cost not the planned one; what the order has cost more or less is its variance at closing
        $value = $taken;
        $ledger->cost($order, 'receipt', -$value);
        $order->received_quantity = (string) $after;
        $order->received_value += $value;
        $left = $amount;
        foreach ($order->covers()->with('line')->where('quantity', '>', 0)->orderBy('id')->get() as $cover) {
            $take = $left->isGreaterThan($cover->quantity) ? BigDecimal::of($cover->quantity) : $left;
            if ($take->isPositive()) {
                $ledger->changeCover($cover, $take->negated());
                $ledger->cover($cover->line, null, $take);
                $left = $left->minus($take);
            }
        }
    }
}

<?php

namespace App\Actions\Orders;

use App\Actions\Stock\TrackedCodes;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Numbers;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Lot;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\Place;
use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\CostKind;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\End;
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
        $part = $this->part($orderId, $quantity, $placeId, $codes);

        return $this->bookings->once(BookingKind::Receive, $signed, $part);
    }

    public function part(int $orderId, string $quantity, int $placeId, string $codes): Part
    {
        return new Part(
            Needs::orders([$orderId])->and(Needs::items(Order::query()->whereKey($orderId)->pluck('item_id'))),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $orderId, $quantity, $placeId, $codes),
        );
    }

    /** @throws Refused */
    private function write(
        Ledger $ledger,
        Held $held,
        int $orderId,
        string $quantity,
        int $placeId,
        string $codes,
    ): void {
        $order = $held->order($orderId)->load('item.unit', 'item.units.unit');
        $item = $order->item;
        $order->assertMay(OrderDeed::Receive);
        $amount = $item->quantity($quantity)->amount;
        $place = Place::thatHolds($placeId);
        $last = OrderStep::query()->where('order_id', $order->id)->orderByDesc('number')->first();
        $ready = $last?->pieces()->inHand() ?? $order->openQuantity(); // without steps nobody counts before
        if ($amount->isGreaterThan($ready)) {
            throw OrderRefused::notGood($amount, $ready);
        }
        $lots = TrackedCodes::split($item, $amount, $this->codes($order, $amount, $codes));
        $keys = array_map(fn (array $lot): StockKey => new StockKey($item->id, $place->id, $lot['lot']), $lots);
        $ledger->concerns($order);
        $ledger->stock->read($keys);
        TrackedCodes::assertSerialsAreNew($item, $lots);
        $last === null ?: $ledger->counts->set($last, $last->pieces()->passOn($amount, $last->label()));
        $this->into($ledger, $order, $amount, $lots, $keys);
        $ledger->says(
            Amount::plain($amount)
                ." {$item->unit->code} {$item->label()} received from order {$order->number}, "
                ."to {$place->name}.",
        );
    }

    /** Codes typed, or else the order's number as its lot, or new serials. */
    private function codes(Order $order, BigDecimal $amount, string $typed): string
    {
        return match (true) {
            trim($typed) !== '' || ! $order->item->isTracked() => $typed,
            $order->item->tracking === Tracking::Lot => $order->number,
            default => implode("\n", Numbers::block('serial', $amount->toInt())),
        };
    }

    /**
     * @param  non-empty-list<array{lot: int, quantity: BigDecimal}>  $lots
     * @param  list<StockKey>  $keys
     */
    private function into(Ledger $ledger, Order $order, BigDecimal $amount, array $lots, array $keys): void
    {
        $before = $order->received();
        $after = $before->plus($amount);
        $ordered = BigDecimal::of($order->quantity);
        $planned = $order->plannedCost();
        // by differences of running totals, so that the parts add up to the whole planned cost
        $value = $planned->interimValue($after, $ordered) - $planned->interimValue($before, $ordered);
        $shares = Cents::running($value, array_column($lots, 'quantity'), $amount);
        $taken = 0;
        foreach ($lots as $i => $lot) {
            $taken += $ledger->moves->move(
                $order->item,
                $lot['quantity'],
                $shares[$i],
                End::output($order->id, $order->output()->id),
                End::stock($keys[$i]),
            );
        }
        Lot::query()
            ->whereKey(array_filter(array_column($lots, 'lot')))
            ->whereNull('made_by_order_id')
            ->update(['made_by_order_id' => $order->id]);
        // with standard cost not the planned one; what the order has cost more or less is its variance at closing
        $value = $taken;
        $ledger->costs->add($order, CostKind::Receipt, -$value);
        $ledger->outputs->received($order, $amount, $value);
        $this->cover($ledger, $order, $amount);
    }

    /** What came out is promised from stock now, the earliest cover first. */
    private function cover(Ledger $ledger, Order $order, BigDecimal $left): void
    {
        foreach ($order->covers()->with('line')->where('quantity', '>', 0)->orderBy('id')->get() as $cover) {
            $take = BigDecimal::min($left, $cover->quantity);
            $line = $cover->line;
            if ($take->isPositive() && $line !== null) {
                $ledger->ties->change($cover, $take->negated());
                $ledger->covers->add($line, null, $take);
                $left = $left->minus($take);
            }
        }
    }
}

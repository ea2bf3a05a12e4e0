<?php

namespace App\Actions\Orders;

use App\Actions\Bookings\Bookings;
use App\Actions\Bookings\Ledger;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Order;
use App\Models\User;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\Settlement;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Refused;

/** Settles the cost of a built order: received + variance = cost put in, to the cent. */
final class CloseOrder
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused */
    public function handle(int $id, string $token, User $by): Booking
    {
        return $this->bookings->once(BookingKind::Close, $token, $by, function (Ledger $ledger) use ($id): void {
            $order = Order::query()->with('item')->lockForUpdate()->findOrFail($id);
            if ($order->state !== OrderState::Built) {
                throw Refused::because("Order {$order->number} is {$order->state->value}. Only a built order can be closed: receive or scrap the rest first.");
            }
            $ledger->about($order);
            $ledger->stock->lock([], [$order->item_id]);
            $received = $this->receivedLots($order);
            $there = BigDecimal::zero();
            $valueThere = 0;
            $balance = null;
            foreach ($ledger->stock->onHand($order->item_id) as $row) {
                if (isset($received[$row->lot_id])) {
                    $quantity = BigDecimal::of($row->quantity);
                    $there = $there->plus($quantity->isGreaterThan($received[$row->lot_id]) ? $received[$row->lot_id] : $quantity);
                    $valueThere += $row->value;
                    $balance ??= $row;
                }
            }
            $quantity = BigDecimal::of($order->received_quantity);
            $there = $there->isGreaterThan($quantity) ? $quantity : $there;
            $costIn = (int) DB::table('cost_entries')->where('order_id', $order->id)->where('kind', '<>', 'receipt')->sum('cents');
            $settled = Settlement::decide($costIn, $order->received_value, $quantity, $there, $balance === null ? 0 : $balance->value);
            if ($settled->toStock !== 0 && $balance !== null) {
                $settled->toStock > 0
                    ? $ledger->move($order->item, BigDecimal::zero(), $settled->toStock, 'order', $balance->key())
                    : $ledger->move($order->item, BigDecimal::zero(), -$settled->toStock, $balance->key(), 'order');
                $ledger->cost($order, 'receipt', -$settled->toStock);
            }
            $ledger->cost($order, 'variance', -$settled->variance);
            $order->closed_at = now()->toImmutable();
            $ledger->says("Order {$order->number} closed: ".number_format($settled->variance / 100,
                2).' variance, '.number_format($settled->toStock / 100, 2).' to stock.');
        });
    }

    /** @return array<int, BigDecimal> by lot, received less reversed */
    private function receivedLots(Order $order): array
    {
        $lots = [];
        foreach (DB::table('moves')->join('places AS f', 'f.id', 'from_place_id')->join('places AS t', 't.id', 'to_place_id')
            ->where('order_id', $order->id)->where('item_id', $order->item_id)->whereNull('component_id')
            ->groupBy('lot_id')->select('lot_id')->selectRaw("SUM(CASE WHEN f.kind = 'order' THEN quantity ELSE -quantity END) AS quantity")
            ->get() as $row) {
            $lots[(int) $row->lot_id] = BigDecimal::of($row->quantity);
        }

        return array_filter($lots, fn (BigDecimal $quantity): bool => $quantity->isPositive());
    }
}

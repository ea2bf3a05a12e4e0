<?php

namespace App\Books;

use App\Models\Order;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/** The state of orders and what they will give, derived from what has been booked on them. */
final class OrderFacts
{
    /**
     * @param  list<Order>  $orders
     * @return array<int, array{state: OrderState, gives: BigDecimal}> by order
     */
    public static function of(array $orders): array
    {
        $ids = array_map(fn (Order $order): int => $order->id, $orders);
        $used = $ids === []
                ? collect()
                : DB::table('order_components')
                    ->whereIn('order_id', $ids)
                    ->where('used_quantity', '>', 0)
                    ->distinct()
                    ->pluck('order_id')
                    ->flip();
        $steps = $ids === []
                ? collect()
                : DB::table('order_steps')
                    ->whereIn('order_id', $ids)
                    ->orderBy('number')
                    ->get(['order_id', 'taken_in', 'good', 'scrap', 'passed_on', 'started_at'])
                    ->groupBy('order_id');
        $facts = [];
        foreach ($orders as $order) {
            $own = array_values(($steps[$order->id] ?? collect())->all());
            $state = self::state($order, isset($used[$order->id]), $own);
            $alive = array_map(
                fn (\stdClass $step): BigDecimal => BigDecimal::of($step->taken_in)
                    ->minus($step->scrap)
                    ->minus($step->passed_on),
                $own,
            );
            $facts[$order->id] = [
                'state' => $state,
                'gives' => Order::given(
                    $state,
                    $order->released_at !== null,
                    BigDecimal::of($order->quantity),
                    BigDecimal::of($order->received_quantity),
                    $alive,
                ),
            ];
        }

        return $facts;
    }

    /** @param  list<\stdClass>  $steps */
    private static function state(Order $order, bool $worked, array $steps): OrderState
    {
        if ($order->state === OrderState::Cancelled || $order->state === OrderState::Proposed) {
            return $order->state;
        }
        if ($order->closed_at !== null) {
            return OrderState::Closed;
        }
        if ($order->released_at === null) {
            return OrderState::Firm;
        }
        $started = BigDecimal::zero();
        $out = BigDecimal::of($order->received_quantity);
        foreach ($steps as $i => $step) {
            $started = $i === 0 ? BigDecimal::of($step->taken_in) : $started;
            $out = $out->plus($step->scrap);
            $worked =
                $worked || $step->started_at !== null || ! BigDecimal::of($step->good)->plus($step->scrap)->isZero();
        }

        return OrderState::derived($worked, $started, $out);
    }
}

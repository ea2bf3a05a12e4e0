<?php

namespace App\Books;

use App\Models\Order;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
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
        $rows = $ids === [] ? collect() : self::rows($ids)->groupBy('order_id');
        $facts = [];
        foreach ($orders as $order) {
            $all = $rows[$order->id] ?? collect();
            $own = array_values($all->whereNotNull('number')->all());
            $state = self::state($order, (bool) ($all->first()->used ?? false), $own);
            $alive = array_map(
                fn (object $step): BigDecimal => BigDecimal::of($step->taken_in)
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

    /**
     * The steps of each order, in sequence, and whether anything of it was used; of one without steps a row all the
     * same.
     *
     * @param  list<int>  $ids
     * @return Collection<int, \stdClass>
     */
    private static function rows(array $ids): Collection
    {
        $used = DB::table('order_components AS c')
            ->whereColumn('c.order_id', 'o.id')
            ->where('c.used_quantity', '>', 0);

        return DB::table('orders AS o')
            ->leftJoin('order_steps AS s', 's.order_id', 'o.id')
            ->whereIn('o.id', $ids)
            ->orderBy('o.id')
            ->orderBy('s.number')
            ->select(['o.id AS order_id', 's.number', 's.taken_in', 's.good', 's.scrap', 's.passed_on', 's.started_at'])
            ->selectRaw("EXISTS ({$used->selectRaw('1')->toRawSql()}) AS used")
            ->get();
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

<?php

namespace App\Books;

use App\Models\Order;
use App\Reading\Row;
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
        $rows = $ids === [] ? [] : self::rows($ids);
        $facts = [];
        foreach ($orders as $order) {
            [$worked, $steps] = $rows[$order->id] ?? [false, []];
            $state = self::state($order, $worked, $steps);
            $facts[$order->id] = [
                'state' => $state,
                'gives' => Order::given(
                    $state,
                    $order->released_at !== null,
                    BigDecimal::of($order->quantity),
                    BigDecimal::of($order->received_quantity),
                    array_map(fn (StepFacts $step): BigDecimal => $step->alive(), $steps),
                ),
            ];
        }

        return $facts;
    }

    /**
     * Whether anything of each order was used, and its steps in sequence.
     *
     * @param  list<int>  $ids
     * @return array<int, array{bool, list<StepFacts>}> by order
     */
    private static function rows(array $ids): array
    {
        $used = DB::table('order_components AS c')
            ->whereColumn('c.order_id', 'o.id')
            ->where('c.used_quantity', '>', 0);
        $rows = DB::table('orders AS o')
            ->leftJoin('order_steps AS s', 's.order_id', 'o.id')
            ->whereIn('o.id', $ids)
            ->orderBy('o.id')
            ->orderBy('s.number')
            ->select(['o.id AS order_id', 's.number', 's.taken_in', 's.good', 's.scrap', 's.passed_on', 's.started_at'])
            ->selectRaw("EXISTS ({$used->selectRaw('1')->toRawSql()}) AS used");
        $by = [];
        foreach (Row::all($rows, fn (Row $row): Row => $row) as $row) {
            $by[$row->int('order_id')] ??= [$row->flag('used'), []];
            if ($row->intOrNull('number') !== null) {
                $by[$row->int('order_id')][1][] = StepFacts::from($row);
            }
        }

        return $by;
    }

    /** @param  list<StepFacts>  $steps */
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
        $started = $steps === [] ? BigDecimal::of($order->quantity) : $steps[0]->takenIn;
        $out = BigDecimal::of($order->received_quantity);
        $worked = $worked || $out->isPositive();
        foreach ($steps as $step) {
            $out = $out->plus($step->scrap);
            $worked = $worked || $step->isWorked();
        }

        return OrderState::derived($worked, $started, $out);
    }
}

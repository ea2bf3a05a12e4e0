<?php

namespace App\Queries\Orders;

use App\Reading\Row;
use App\Shop\Waiting;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/** Orders whose last step has good pieces in hand, or that have no steps, to be received into stock. */
final class ReceiveList
{
    /** Good pieces at the last step; without steps what was ordered and not received. */
    private const READY = 'COALESCE(
        last.good - last.passed_on,
        (
            SELECT u.planned_quantity - u.received_quantity
            FROM order_outputs u
            WHERE u.order_id = o.id AND u.position = 1
        )
    )';

    /** Of it something comes back that is neither booked nor given up; with the pieces that came, or are there. */
    private const OPEN_BESIDE = 'EXISTS (
        SELECT 1 FROM order_outputs b
        JOIN order_outputs p ON p.order_id = b.order_id AND p.position = 1
        WHERE b.order_id = o.id AND b.position > 1 AND b.is_open AND p.received_quantity > 0
    )';

    /** @return Collection<int, ReadyOrder> */
    public static function rows(): Collection
    {
        $orders = self::ready(OrderList::base())
            ->orderBy('o.due_on')
            ->orderBy('o.id')
            ->selectRaw(self::READY.' AS ready, last.id IS NULL AS is_put_together');

        $rows = Row::all($orders, fn (Row $row): Row => $row);
        $beside = BesideLine::ofOrders($rows->map(fn (Row $row): int => $row->int('id')));

        $waiting = Waiting::numbers(array_values($rows->map(fn (Row $row): int => $row->int('item_id'))->all()));

        return $rows->map(fn (Row $row): ReadyOrder => ReadyOrder::from(
            $row,
            $beside[$row->int('id')] ?? [],
            $waiting[$row->int('item_id')] ?? [],
        ));
    }

    public static function count(): int
    {
        return self::ready(DB::table('orders AS o'))->count();
    }

    private static function ready(Builder $orders): Builder
    {
        return $orders
            ->whereIn('o.state', [...OrderState::IN_THE_SHOP, OrderState::Built->value])
            ->where('o.is_held', false)
            ->leftJoin('order_steps AS last', 'last.order_id', 'o.id')
            ->whereRaw('('.self::READY.' > 0 AND o.state <> ? OR '.self::OPEN_BESIDE.')', [OrderState::Built->value])
            ->whereNotExists(fn (Builder $later) => $later
                ->from('order_steps AS later')
                ->whereColumn('later.order_id', 'o.id')
                ->whereColumn('later.number', '>', 'last.number'));
    }
}

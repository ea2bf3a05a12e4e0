<?php

namespace App\Queries\Orders;

use App\Reading\Row;
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

    /** @return Collection<int, ReadyOrder> */
    public static function rows(): Collection
    {
        $orders = self::ready(OrderList::base())
            ->orderBy('o.due_on')
            ->orderBy('o.id')
            ->selectRaw(self::READY.' AS ready');

        return Row::all($orders, ReadyOrder::from(...));
    }

    public static function count(): int
    {
        return self::ready(DB::table('orders AS o'))->count();
    }

    private static function ready(Builder $orders): Builder
    {
        return $orders
            ->whereIn('o.state', OrderState::IN_THE_SHOP)
            ->where('o.is_held', false)
            ->leftJoin('order_steps AS last', 'last.order_id', 'o.id')
            ->whereRaw(self::READY.' > 0')
            ->whereNotExists(fn (Builder $later) => $later
                ->from('order_steps AS later')
                ->whereColumn('later.order_id', 'o.id')
                ->whereColumn('later.number', '>', 'last.number'));
    }
}

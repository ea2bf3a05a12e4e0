<?php

namespace App\Queries\Orders;

use App\Models\Plan;
use App\Reading\Cut;
use App\Shop\Shelves;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Structure\ItemKind;

/**
 * Readiness of a selection of open orders, or of all, part by part: needed, used, allocated, on hand, coming, short.
 */
final class PartsList
{
    private const COLUMNS = [
        'c.id', 'c.order_id', 'c.item_id', 'c.step_number', 'c.planned_quantity', 'c.used_quantity',
        'p.from_stock', 'p.missing', 'p.coming', 'st.quantity AS on_hand', 'i.number AS item_number',
        'i.name AS item_name', 'u.code AS unit', 'o.number AS order_number', 'o.state', 'o.is_held',
        'oi.name AS made', 'r.readiness', 'r.can_start', 'r.blocks', 'r.unplaced',
    ];

    private const MOST = 1500;

    /**
     * @param  list<int>  $orders  none = all open ones
     * @param  string  $show  open, waits, stuck
     * @return Cut<PartsRow> in rank order
     */
    public static function of(array $orders, string $show): Cut
    {
        $query = self::open()
            ->when($orders !== [], fn (Builder $query) => $query->whereIn('o.id', $orders))
            ->when($show === 'stuck', fn (Builder $query) => $query->where('p.missing', '>', 0))
            ->when(
                $show === 'waits',
                fn (Builder $query) => $query->where(
                    fn (Builder $any) => $any->where('p.missing', '>', 0)->orWhereRaw("p.coming <> '[]'"),
                ),
            )
            ->orderByRaw('r.place_in_rank IS NULL, r.place_in_rank, o.id')
            ->orderBy('c.step_number')
            ->orderBy('c.position')
            ->select(self::COLUMNS);

        return Cut::read($query, self::MOST, PartsRow::from(...));
    }

    /** Components of open orders that are not all used, with what there is for them. */
    private static function open(): Builder
    {
        return DB::table('order_components AS c')
            ->leftJoinSub(Shelves::sums(), 'st', 'st.item_id', 'c.item_id')
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->join('items AS i', 'i.id', 'c.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->join('items AS oi', 'oi.id', 'o.item_id')
            ->leftJoin(
                'plan_components AS p',
                fn (JoinClause $join) => $join->on('p.component_id', 'c.id')->where('p.plan_id', Plan::LIVE),
            )
            ->leftJoin(
                'plan_orders AS r',
                fn (JoinClause $join) => $join->on('r.order_id', 'o.id')->where('r.plan_id', Plan::LIVE),
            )
            ->whereIn('o.state', OrderState::OPEN)
            ->where('o.is_held', false)
            ->whereNotIn('i.kind', ItemKind::NEVER_ISSUED)
            ->where('c.open_quantity', '>', 0);
    }
}

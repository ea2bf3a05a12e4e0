<?php

namespace App\Queries\Usage;

use App\Reading\Named;
use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/** What lies in an order, lot by lot, and could go back to stores. */
final class ReturnList
{
    /** @return Collection<int, ReturnableLot> */
    public static function of(int $order): Collection
    {
        $lots = DB::table('moves AS m')
            ->join('places AS t', 't.id', 'm.to_place_id')
            ->join('order_components AS c', 'c.id', 'm.component_id')
            ->join('items AS i', 'i.id', 'm.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin('lots AS l', Named::on('l.id', 'm.lot_id'))
            ->where('m.order_id', $order)
            ->groupBy(
                'm.component_id',
                'm.lot_id',
                'c.step_number',
                'c.planned_quantity',
                'i.number',
                'i.name',
                'u.code',
                'l.code',
            )
            ->havingRaw("SUM(IF(t.kind = 'order', m.quantity, -m.quantity)) > 0")
            ->orderBy('c.step_number')
            ->orderBy('i.number')
            ->orderBy('m.lot_id')
            ->select([
                'm.component_id',
                'm.lot_id',
                'c.step_number',
                'c.planned_quantity',
                'i.number AS item_number',
                'i.name AS item_name',
                'u.code AS unit',
                'l.code AS lot',
            ])
            ->selectRaw("SUM(IF(t.kind = 'order', m.quantity, -m.quantity)) AS quantity")
            ->selectRaw("SUM(IF(t.kind = 'order', m.value, -m.value)) AS value");

        return Row::all($lots, ReturnableLot::from(...));
    }

    /**
     * Orders in the shop something was issued to.
     *
     * @return Collection<string, string> what they make, by number
     */
    public static function orders(): Collection
    {
        return DB::table('orders AS o')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->whereIn('o.state', [...OrderState::IN_THE_SHOP, OrderState::Built])
            ->where('o.closed_at', null)
            ->whereExists(
                fn (Builder $query) => $query
                    ->from('order_components AS c')
                    ->whereColumn('c.order_id', 'o.id')
                    ->where('c.used_quantity', '>', 0),
            )
            ->orderBy('o.number')
            ->limit(200)
            ->selectRaw("o.number, CONCAT(i.name, ', ', o.state) AS says")
            ->pluck('says', 'number');
    }
}

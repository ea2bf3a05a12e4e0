<?php

namespace App\Queries\Usage;

use App\Reading\Named;
use App\Reading\Row;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

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
}

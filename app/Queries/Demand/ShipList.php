<?php

namespace App\Queries\Demand;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Customer lines that can ship now: what stock covers of each, and the lots it lies in. */
final class ShipList
{
    /** @return Collection<int, Collection<int, \stdClass>> lines by customer order; each with ->lots */
    public static function byOrder(): Collection
    {
        $lines = DB::table('covers AS c')
            ->join('customer_order_lines AS l', 'l.id', 'c.line_id')
            ->join('customer_orders AS o', 'o.id', 'l.customer_order_id')
            ->join('customers AS cu', 'cu.id', 'o.customer_id')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->where('c.supply', 'stock')
            ->where('c.quantity', '>', 0)
            ->where('l.is_open', true)
            ->orderBy('l.promised_on')
            ->orderBy('l.id')
            ->select([
                'l.id',
                'l.customer_order_id',
                'l.position',
                'l.item_id',
                'l.promised_on',
                'o.number',
                'o.ship_to',
                'cu.name AS customer',
                'cu.address',
                'i.number AS item_number',
                'i.name AS item_name',
                'i.tracking',
                'u.code AS unit',
                'c.quantity AS ready',
            ])
            ->selectRaw('l.quantity - l.shipped_quantity - l.cancelled_quantity AS open')
            ->get();
        $lots = DB::table('balances AS b')
            ->join('lots AS t', 't.id', 'b.lot_id')
            ->join('places AS p', 'p.id', 'b.place_id')
            ->where('p.kind', 'store')
            ->where('b.condition', 'free')
            ->where('b.quantity', '>', 0)
            ->whereIn('b.item_id', $lines->pluck('item_id')->unique())
            ->orderBy('t.id')
            ->get(['b.item_id', 't.id', 't.code', 'b.quantity'])
            ->groupBy('item_id');

        return $lines
            ->each(fn (\stdClass $line) => ($line->lots = $lots[$line->item_id] ?? collect()))
            ->groupBy('customer_order_id');
    }
}

<?php

namespace App\Queries\Demand;

use App\Reading\Named;
use App\Reading\Row;
use App\Shop\Ties;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Customer lines that can ship now: what stock covers of each, and the lots it lies in. */
final class ShipList
{
    /** @return Collection<int, Collection<int, ShipLine>> by customer order */
    public static function byOrder(): Collection
    {
        $rows = Row::all(self::lines(), fn (Row $row): Row => $row);
        $items = $rows->map(fn (Row $row): int => $row->int('item_id'))->unique();
        $lots = Row::all(self::lots($items), ShipLot::from(...))->groupBy('itemId');

        return $rows
            ->map(fn (Row $row): ShipLine => ShipLine::from($row, $lots[$row->int('item_id')] ?? collect()))
            ->groupBy('customerOrderId');
    }

    private static function lines(): Builder
    {
        return Ties::fromStock()
            ->join('customer_order_lines AS l', 'l.id', 't.line_id')
            ->join('customer_orders AS o', 'o.id', 'l.customer_order_id')
            ->join('customers AS cu', 'cu.id', 'o.customer_id')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->where('l.is_open', true)
            ->orderBy('l.promised_on')
            ->orderBy('l.id')
            ->select(['l.id', 'l.customer_order_id', 'l.position', 'l.item_id', 'l.promised_on'])
            ->addSelect(['o.number', 'cu.name AS customer', 'cu.is_whole_only'])
            ->selectRaw("COALESCE(NULLIF(o.ship_to, ''), NULLIF(cu.ship_to, ''), cu.address) AS goes_to")
            ->addSelect(['i.number AS item_number', 'i.name AS item_name', 'i.tracking', 'u.code AS unit'])
            ->addSelect('t.quantity AS ready')
            ->selectRaw('l.quantity - l.shipped_quantity - l.cancelled_quantity AS open');
    }

    /** @param  Collection<int, int>  $items */
    private static function lots(Collection $items): Builder
    {
        return DB::table('balances AS b')
            ->join('lots AS t', Named::on('t.id', 'b.lot_id'))
            ->join('places AS p', 'p.id', 'b.place_id')
            ->where('p.kind', 'store')
            ->where('b.condition', 'free')
            ->where('b.quantity', '>', 0)
            ->whereIn('b.item_id', $items)
            ->orderBy('t.id')
            ->select(['b.item_id', 't.id', 't.code', 'b.quantity']);
    }
}

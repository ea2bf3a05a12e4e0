<?php

namespace App\Shop;

use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\ComponentNeed;

/**
 * Parts of ours that still have to go to suppliers, who make of them what is bought: what is open of a line, by its
 * ratio, less what of them is there. It is asked for like the parts of an order, and before them: the supplier waits
 * for it. Lines of drafts ask for nothing.
 */
final class PartsToGo
{
    /** In the stock unit of the part, rounded up to what can be counted of it. */
    private const QUANTITY = 'GREATEST(0, CAST(CEILING((l.quantity - l.received_quantity - l.cancelled_quantity)
        * p.ratio_p / p.ratio_q * CAST(POW(10, u.decimals) AS DECIMAL(10))) AS DECIMAL(24, 6))
        / CAST(POW(10, u.decimals) AS DECIMAL(10)) - COALESCE(a.there, 0))';

    /** Rows with `item_id`, and `quantity` of it in all. */
    public static function sums(): Builder
    {
        return self::open()->groupBy('p.item_id')->selectRaw('p.item_id, SUM('.self::QUANTITY.') AS quantity');
    }

    /** Rows with `id` of the part, `item_id`, `open`, `number` and `purchase_order_id` of its line, `supplier`. */
    public static function lines(): Builder
    {
        return self::open()
            ->join('purchase_orders AS o', 'o.id', 'l.purchase_order_id')
            ->join('suppliers AS v', 'v.id', 'o.supplier_id')
            ->whereRaw(self::QUANTITY.' > 0')
            ->select(['p.id', 'p.item_id', 'l.number', 'l.purchase_order_id', 'v.name AS supplier'])
            ->selectRaw(self::QUANTITY.' AS open');
    }

    /**
     * Needs of no order, to be dealt parts before the orders are.
     *
     * @param  Collection<int, mixed>  $items
     * @return list<ComponentNeed> with ids below 0
     */
    public static function needs(Collection $items): array
    {
        $needs = [];
        foreach (Row::all(self::sums()->whereIn('p.item_id', $items), fn (Row $row): Row => $row) as $row) {
            $item = $row->int('item_id');
            $open = $row->decimal('quantity');
            $open->isZero() ?: $needs[] = new ComponentNeed(-$item, 0, $item, '', 0, $open);
        }

        return $needs;
    }

    private static function open(): Builder
    {
        $there = DB::table('consignment_lines')->whereNotNull('part_id')->groupBy('part_id');

        return DB::table('purchase_line_parts AS p')
            ->join('purchase_lines AS l', 'l.id', 'p.purchase_line_id')
            ->join('items AS i', 'i.id', 'p.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoinSub($there->selectRaw('part_id, SUM(there) AS there'), 'a', 'a.part_id', 'p.id')
            ->where('l.is_open', true);
    }
}

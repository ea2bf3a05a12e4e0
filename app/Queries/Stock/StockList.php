<?php

namespace App\Queries\Stock;

use App\Queries\Cut;
use App\Queries\Like;
use App\Wording\When;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;

/** Stock by key, and the movements of one item with a balance counted back from today's. */
final class StockList
{
    public const PAGE = 50;

    private const SHOWN = 500;

    /**
     * Balances that hold something. Serials of an item at one place are one row with ->serials counting them,
     * unless one is asked for by name.
     *
     * @return Cut<\stdClass>
     */
    public static function balances(string $text = '', int $item = 0): Cut
    {
        $each = $item !== 0 || ($text !== '' && DB::table('lots')->where('code_key', Code::keyOf($text))->exists());
        $query = DB::table('balances AS b')->join('items AS i', 'i.id', 'b.item_id')->join('units AS u', 'u.id', 'i.unit_id')
            ->join('places AS p', 'p.id', 'b.place_id')->leftJoin('lots AS l', 'l.id', 'b.lot_id')
            ->leftJoin('stock_values AS v', fn ($join) => $join->on('v.item_id', 'b.item_id')->where('b.owner_id', 0)
                ->on('v.lot_id', DB::raw("IF(i.costing = 'own', b.lot_id, 0)")))
            ->leftJoin('customers AS ow', 'ow.id', 'b.owner_id')
            ->where('b.quantity', '>', 0)
            ->orderBy('i.number')
            ->orderBy('p.code')
            ->orderByRaw('MIN(b.lot_id)')
            ->groupBy('b.item_id', 'b.place_id', 'b.condition', 'b.owner_id', 'i.number', 'i.name', 'i.reorder_point', 'u.code', 'p.name',
                'p.code', 'ow.name')->groupByRaw($each ? 'b.id' : "IF(i.tracking = 'serial', 0, b.id)")
            ->select(['b.item_id', 'b.condition', 'i.number AS item_number', 'i.name AS item_name', 'i.reorder_point', 'u.code AS unit',
                'p.name AS place', 'ow.name AS owner'])
            ->selectRaw('MIN(l.expires_on) < ? AS is_expired', [When::today()->toDateString()])
            ->selectRaw(
                "MIN(b.id) AS id, MIN(b.lot_id) AS lot_id, MIN(l.expires_on) AS expires_on, SUM(b.quantity) AS quantity, COALESCE(ROUND(SUM(v.value * b.quantity / NULLIF(v.quantity, 0))), 0) AS value, MIN(l.code) AS lot, MAX(l.code) AS last_lot, COUNT(*) AS serials, (SELECT COALESCE(SUM(c.quantity), 0) FROM covers c WHERE c.item_id = b.item_id AND c.supply = 'stock') AS promised",
            );
        if ($item !== 0) {
            $query->where('b.item_id', $item);
        }
        if ($text !== '' && $each) {
            $query->where('l.code_key', Code::keyOf($text));
        } elseif ($text !== '') {
            $key = Like::insideKey($text);
            $query->where(fn ($any) => $any
                ->where('i.number_key', 'like', $key)
                ->orWhere('i.name', 'like', Like::inside($text))
                ->orWhere('l.code_key', 'like', $key));
        }

        return Cut::of($query, self::SHOWN);
    }

    /**
     * Movements of one item, newest first.
     *
     * @param  int  $before  move id the page ends at, 0 = from the newest
     * @return Collection<int, \stdClass> each with ->signed and ->running (quantity after it)
     */
    public static function movements(int $item, int $before = 0): Collection
    {
        $signed = "IF(t.kind IN ('store', 'supplier'), m.quantity, 0) - IF(f.kind IN ('store', 'supplier'), m.quantity, 0)";
        $base = fn () => DB::table('moves AS m')->join('places AS f', 'f.id', 'm.from_place_id')
            ->join('places AS t', 't.id', 'm.to_place_id')->where('m.item_id', $item);
        $now = (string) DB::table('balances')->where('item_id', $item)->sum('quantity');
        $after = $before === 0 ? '0' : (string) $base()->where('m.id', '>=', $before)->selectRaw("COALESCE(SUM({$signed}), 0) AS quantity")
            ->value('quantity');
        $running = \Brick\Math\BigDecimal::of($now)->minus($after);
        $rows = $base()->join('bookings AS b', 'b.id', 'm.booking_id')->join('people AS u', 'u.id', 'b.user_id')
            ->leftJoin('lots AS l', 'l.id', 'm.lot_id')
            ->leftJoin('orders AS o', 'o.id', 'm.order_id')->leftJoin('customer_order_lines AS cl', 'cl.id', 'm.line_id')
            ->leftJoin('customer_orders AS co', 'co.id', 'cl.customer_order_id')->leftJoin('purchases AS pu', 'pu.id', 'm.purchase_id')
            ->when($before !== 0, fn ($query) => $query->where('m.id', '<', $before))->orderByDesc('m.id')->limit(self::PAGE)
            ->get(['m.id', 'm.booking_id', 'm.quantity', 'm.value', 'f.name AS from_name', 't.name AS to_name', 'b.kind', 'b.says',
                'b.entered_at', 'u.name AS person', 'l.code AS lot', 'o.id AS order_id', 'o.number AS order_number',
                'co.id AS customer_order_id', 'co.number AS customer_order_number', 'pu.number AS purchase_number',
                DB::raw("{$signed} AS signed")]);
        foreach ($rows as $row) {
            $row->running = (string) $running;
            $running = $running->minus($row->signed);
        }

        return $rows;
    }
}

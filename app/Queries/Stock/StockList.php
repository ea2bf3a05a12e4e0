<?php

namespace App\Queries\Stock;

use App\Reading\Cut;
use App\Reading\Like;
use App\Reading\Named;
use App\Reading\Row;
use App\Shop\Ties;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;

/** Stock by key, and the movements of one item with a balance counted back from today's. */
final class StockList
{
    /** What a move brings into stores, or takes out of them. */
    private const SIGNED =
        "IF(t.kind IN ('store', 'supplier'), m.quantity, 0) - IF(f.kind IN ('store', 'supplier'), m.quantity, 0)";

    public const PAGE = 50;

    private const SHOWN = 200;

    /** Lots of one item on its page, where each has its forms. */
    private const SHOWN_OF_ITEM = 40;

    /**
     * Balances that hold something. Serials of an item at one place are one row with serials counting them,
     * unless one is asked for by name.
     *
     * @return Cut<StockRow>
     */
    public static function balances(string $text = ''): Cut
    {
        if ($text === '') {
            [$items, $count] = self::firstItems();
            $rows = self::shown(self::found()->whereIn('b.item_id', $items), false)->orderByRaw('MIN(b.lot_id)');

            return new Cut(Row::all($rows->limit(self::SHOWN), StockRow::from(...)), $count);
        }
        $each = DB::table('lots')->where('code_key', Code::keyOf($text))->exists();
        $found = self::found();
        if ($each) {
            $found->where('l.code_key', Code::keyOf($text));
        } else {
            $key = Like::insideKey($text);
            $found->where(fn (Builder $any) => $any
                ->where('i.number_key', 'like', $key)
                ->orWhere('i.name', 'like', Like::inside($text))
                ->orWhere('l.code_key', 'like', $key));
        }
        [$items, $count] = self::firstFound($found, $each);
        $rows = self::shown($found->whereIn('b.item_id', $items), $each)->orderByRaw('MIN(b.lot_id)');

        return new Cut(Row::all($rows->limit(self::SHOWN), StockRow::from(...)), $count);
    }

    /**
     * Each lot of one item, the one asked for first.
     *
     * @return Cut<StockRow>
     */
    public static function ofItem(int $item, string $lot = ''): Cut
    {
        $first = self::found()
            ->where('b.item_id', $item)
            ->join('places AS p', 'p.id', 'b.place_id')
            ->when($lot !== '', fn (Builder $query) => $query
                ->orderByRaw('l.code_key = ? DESC', [Code::keyOf($lot)])
                ->orderByRaw('l.code_key LIKE ? DESC', [Like::insideKey($lot)]))
            ->orderBy('p.code')
            ->orderBy('b.lot_id')
            ->orderBy('b.id')
            ->limit(self::SHOWN_OF_ITEM)
            ->pluck('b.id');
        $shown = Row::all(self::shown(self::found()->whereIn('b.id', $first), each: true), StockRow::from(...));
        $place = $first->flip();

        return new Cut(
            $shown->sortBy(fn (StockRow $row): int => $place[$row->id])->values(),
            $first->count() < self::SHOWN_OF_ITEM ? $first->count() : self::found()->where('b.item_id', $item)->count(),
        );
    }

    /**
     * The items whose rows fill the list, by number, and how many rows there are of all: a shop may have more balances
     * than can be grouped and priced for one page. Balances are counted from an index; serials, of which all at one
     * place are one row, beside them.
     *
     * @return array{list<int>, int}
     */
    private static function firstItems(): array
    {
        $serials = DB::table('items AS i')
            ->join('balances AS b', 'b.item_id', 'i.id')
            ->where('i.tracking', 'serial')
            ->where('b.quantity', '>', 0)
            ->groupBy('i.id')
            ->selectRaw('i.id, COUNT(DISTINCT b.place_id, b.condition, b.owner_id) AS count')
            ->pluck('count', 'id');
        $balances = DB::table('balances')->where('quantity', '>', 0)->groupBy('item_id')
            ->selectRaw('item_id, COUNT(*) AS count');
        $items = DB::table('items AS i')
            ->joinSub($balances, 'b', 'b.item_id', 'i.id')
            ->orderBy('i.number')
            ->pluck('b.count', 'i.id');

        return self::filled($serials->union($items), $items->keys()->all());
    }

    /**
     * @param  Collection<array-key, mixed>  $counts  rows by item
     * @param  array<int, int>  $items  by number
     * @return array{list<int>, int}
     */
    private static function filled(Collection $counts, array $items): array
    {
        $first = [];
        $count = 0;
        foreach ($items as $item) {
            if ($count < self::SHOWN) {
                $first[] = $item;
            }
            $count += is_numeric($counts[$item]) ? (int) $counts[$item] : 0;
        }

        return [$first, $count];
    }

    /**
     * Likewise of what was found.
     *
     * @return array{list<int>, int}
     */
    private static function firstFound(Builder $found, bool $each): array
    {
        $rows = $each
            ? 'COUNT(*)'
            : "IF(i.tracking = 'serial', COUNT(DISTINCT b.place_id, b.condition, b.owner_id), COUNT(*))";
        $counts = (clone $found)
            ->groupBy('i.id', 'i.number', 'i.tracking')
            ->orderBy('i.number')
            ->selectRaw("i.id, {$rows} AS count")
            ->pluck('count', 'id');

        return self::filled($counts, $counts->keys()->all());
    }

    private static function found(): Builder
    {
        return DB::table('balances AS b')
            ->join('items AS i', 'i.id', 'b.item_id')
            ->leftJoin('lots AS l', Named::on('l.id', 'b.lot_id'))
            ->where('b.quantity', '>', 0);
    }

    private static function shown(Builder $found, bool $each): Builder
    {
        return $found
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->join('places AS p', 'p.id', 'b.place_id')
            ->leftJoin('customers AS ow', 'ow.id', 'b.owner_id')
            ->leftJoin('stock_values AS v', fn (JoinClause $join) => $join
                ->on('v.item_id', 'b.item_id')
                ->where('b.owner_id', 0)
                ->whereRaw("v.lot_id = IF(i.costing = 'own', b.lot_id, 0)"))
            ->orderBy('i.number')
            ->orderBy('p.code')
            ->groupBy('b.item_id', 'b.place_id', 'b.condition', 'b.owner_id', 'i.number', 'i.name', 'i.reorder_point')
            ->groupBy('u.code', 'p.name', 'p.code', 'ow.name')
            ->groupByRaw($each ? 'b.id' : "IF(i.tracking = 'serial', 0, b.id)")
            ->select(['b.item_id', 'b.condition', 'i.number AS item_number', 'i.name AS item_name', 'i.reorder_point'])
            ->addSelect(['u.code AS unit', 'p.name AS place', 'ow.name AS owner'])
            ->selectRaw('MIN(l.expires_on) < ? AS is_expired', [When::today()->toDateString()])
            ->selectRaw('MIN(b.id) AS id, MIN(b.lot_id) AS lot_id, MIN(l.expires_on) AS expires_on')
            ->selectRaw('MIN(l.code) AS lot, MAX(l.code) AS last_lot, COUNT(*) AS serials')
            ->selectRaw('SUM(b.quantity) AS quantity')
            ->selectRaw('COALESCE(ROUND(SUM(v.value * b.quantity / NULLIF(v.quantity, 0))), 0) AS value')
            ->selectSub(self::promised(), 'promised');
    }

    private static function promised(): Builder
    {
        return Ties::fromStock()->whereColumn('t.item_id', 'b.item_id')->selectRaw('COALESCE(SUM(t.quantity), 0)');
    }

    /**
     * Movements of one item, newest first.
     *
     * @param  int  $before  move id the page ends at, 0 = from the newest
     * @return Collection<int, Movement> each with ->signed and ->running (quantity after it)
     */
    public static function movements(int $item, int $before = 0): Collection
    {
        $running = self::onHand($item, $before);
        $rows = self::movesOf($item)
            ->when($before !== 0, fn (Builder $query) => $query->where('m.id', '<', $before))
            ->orderByDesc('m.id')
            ->limit(self::PAGE);

        return Row::all($rows, function (Row $row) use (&$running): Movement {
            $onHand = $running;
            $running = $running->minus($row->decimal('signed'));

            return Movement::from($row, $onHand);
        });
    }

    /** What lay in stores when the move was booked; of 0 what lies there now. */
    private static function onHand(int $item, int $before): BigDecimal
    {
        $now = Row::sum(DB::table('balances')->where('item_id', $item), 'quantity');
        if ($before === 0) {
            return $now;
        }
        $after = self::moved($item)
            ->where('m.id', '>=', $before)
            ->selectRaw('COALESCE(SUM('.self::SIGNED.'), 0) AS quantity');

        return $now->minus(Row::first($after, fn (Row $row): BigDecimal => $row->decimal('quantity')) ?? 0);
    }

    private static function moved(int $item): Builder
    {
        return DB::table('moves AS m')
            ->join('places AS f', 'f.id', 'm.from_place_id')
            ->join('places AS t', 't.id', 'm.to_place_id')
            ->where('m.item_id', $item);
    }

    /** With what each was booked for. */
    private static function movesOf(int $item): Builder
    {
        return self::moved($item)
            ->join('bookings AS b', 'b.id', 'm.booking_id')
            ->join('people AS u', 'u.id', 'b.person_id')
            ->leftJoin('lots AS l', Named::on('l.id', 'm.lot_id'))
            ->leftJoin('orders AS o', 'o.id', 'm.order_id')
            ->leftJoin('customer_order_lines AS cl', 'cl.id', 'm.line_id')
            ->leftJoin('customer_orders AS co', 'co.id', 'cl.customer_order_id')
            ->leftJoin('purchase_lines AS pu', 'pu.id', 'm.purchase_line_id')
            ->select([
                'm.id',
                'm.booking_id',
                'm.value',
                'f.name AS from_name',
                't.name AS to_name',
                'b.kind',
                'b.entered_at',
                'u.name AS person',
                'l.code AS lot',
                'o.id AS order_id',
                'o.number AS order_number',
                'co.id AS customer_order_id',
                'co.number AS customer_order_number',
                'pu.number AS purchase_number',
            ])
            ->selectRaw(self::SIGNED.' AS signed');
    }
}

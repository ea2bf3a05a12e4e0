<?php

namespace App\Shop;

use App\Reading\Cut;
use App\Reading\Like;
use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Planning\StockPosition;

/** The position of items: what is free, coming and promised of each. */
final class Positions
{
    private const SHOWN = 500;

    /**
     * Those at or below their reorder point, whether anything of them is on hand or not.
     *
     * @return Cut<LowItem>
     */
    public static function low(string $text = ''): Cut
    {
        $items = self::base()
            ->where('i.ordered_by', 'level')
            ->where('i.reorder_point', '>', 0)
            ->where('i.is_running_out', false)
            ->whereNull('i.retired_at')
            ->when($text !== '', fn (Builder $query) => $query->where(fn (Builder $any) => $any
                ->where('i.number_key', 'like', Like::insideKey($text))
                ->orWhere('i.name', 'like', Like::inside($text))))
            ->orderBy('i.number');
        $low = Row::all($items, LowItem::from(...))->filter(fn (LowItem $item): bool => $item->is->isLow());

        return new Cut($low->take(self::SHOWN)->values(), $low->count());
    }

    public static function of(int $item): StockPosition
    {
        $found = Row::first(self::base($item)->where('i.id', $item), LowItem::from(...));

        return $found->is ?? throw new \LogicException('There is no such item.');
    }

    /** @param  int|null  $item  null = all */
    private static function base(?int $item = null): Builder
    {
        $of = fn (Builder $query, string $column): Builder => $item === null
            ? $query
            : $query->where($column, $item);

        return DB::table('items AS i')
            ->join('units AS u', 'u.id', 'i.unit_id')
            // what lies at a supplier, is blocked or is a customer's own is not free
            ->leftJoinSub($of(Shelves::sums(), 'b.item_id'), 'f', 'f.item_id', 'i.id')
            ->leftJoinSub($of(self::bought(), 'item_id'), 'b', 'b.item_id', 'i.id')
            ->leftJoinSub($of(self::made(), 'item_id'), 'm', 'm.item_id', 'i.id')
            ->leftJoinSub($of(self::tied(), 't.item_id'), 't', 't.item_id', 'i.id')
            ->leftJoinSub($of(self::needed(), 'c.item_id'), 'n', 'n.item_id', 'i.id')
            ->leftJoinSub($of(PartsToGo::sums(), 'p.item_id'), 'g', 'g.item_id', 'i.id')
            ->select(['i.id', 'i.number', 'i.name', 'i.kind', 'i.reorder_point', 'u.code AS unit'])
            ->addSelect(['i.lot_sizing', 'i.lot_quantity', 'i.lot_least', 'i.supplier_id'])
            ->selectRaw('COALESCE(f.quantity, 0) AS free, COALESCE(b.quantity, 0) AS bought')
            ->selectRaw('COALESCE(m.quantity, 0) AS made, COALESCE(t.quantity, 0) AS tied')
            ->selectRaw('COALESCE(n.quantity, 0) + COALESCE(g.quantity, 0) AS needed');
    }

    private static function bought(): Builder
    {
        return DB::table('purchase_lines')
            ->where('is_open', true)
            ->whereNull('order_step_id') // work brings nothing
            ->groupBy('item_id')
            ->selectRaw('item_id, SUM(quantity - received_quantity - cancelled_quantity) AS quantity');
    }

    /** Of what orders give all that will still come. */
    private static function made(): Builder
    {
        return DB::table('order_outputs')
            ->where('is_open', true)
            ->groupBy('item_id')
            ->selectRaw('item_id, SUM(planned_quantity - received_quantity - given_up_quantity) AS quantity');
    }

    private static function tied(): Builder
    {
        return Ties::ofLines()->groupBy('t.item_id')->selectRaw('t.item_id, SUM(t.quantity) AS quantity');
    }

    /** As shortages have it: nothing is dealt out to an order that is held. */
    private static function needed(): Builder
    {
        return DB::table('order_components AS c')
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->whereIn('o.state', OrderState::OPEN)->where('o.is_held', false)
            ->where('c.supplied_by', 'us')
            ->groupBy('c.item_id')
            ->selectRaw('c.item_id, SUM(c.open_quantity) AS quantity');
    }
}

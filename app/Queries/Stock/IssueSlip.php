<?php

namespace App\Queries\Stock;

use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Quantity\Amount;

/** The proposal of components to issue: planned, used, on hand and proposed, for the chosen released orders. */
final class IssueSlip
{
    /**
     * @param  list<int>  $orders
     * @return Collection<int, \stdClass> components with ->proposed, ->free and ->lots
     */
    public static function lines(array $orders): Collection
    {
        $lines = DB::table('order_components AS c')->join('orders AS o', 'o.id', 'c.order_id')->join('items AS i', 'i.id', 'c.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->whereIn('c.order_id', $orders)->whereIn('o.state', ['released', 'running'])->where('o.is_held', false)
            ->where('i.kind', '<>', 'consumable')->orderBy('o.rank')->orderBy('o.id')->orderBy('c.position')
            ->get(['c.id', 'c.order_id', 'c.item_id', 'c.step_number', 'c.planned_quantity', 'c.used_quantity', 'o.number AS order_number',
                'i.number AS item_number', 'i.name AS item_name', 'i.tracking', 'u.code AS unit']);
        $items = $lines->pluck('item_id')->unique();
        $stock = DB::table('balances AS b')->join('places AS p', 'p.id', 'b.place_id')->leftJoin('lots AS t', 't.id', 'b.lot_id')
            ->whereIn('b.item_id', $items)->where('p.kind', 'store')
            ->where('b.condition', 'free')->where('b.owner_id', 0)->where('b.quantity', '>', 0)->orderBy('b.place_id')->orderBy('b.lot_id')
            ->get(['b.item_id', 'b.quantity', 'b.lot_id', 't.code', 'p.name AS place'])->groupBy('item_id');
        $promised = DB::table('covers')->whereIn('item_id', $items)->where('supply', 'stock')->groupBy('item_id')
            ->selectRaw('item_id, SUM(quantity) AS quantity')->pluck('quantity', 'item_id');
        $left = [];
        foreach ($lines as $line) {
            $line->lots = $stock[$line->item_id] ?? collect();
            $onHand = $line->lots->reduce(fn (BigDecimal $sum, \stdClass $row): BigDecimal => $sum->plus($row->quantity),
                BigDecimal::zero());
            $left[$line->item_id] ??= $onHand->minus($promised[$line->item_id] ?? '0');
            $open = BigDecimal::of($line->planned_quantity)->minus($line->used_quantity);
            $take = $open->isGreaterThan($left[$line->item_id]) ? $left[$line->item_id] : $open;
            $take = $take->isNegative() ? BigDecimal::zero() : $take;
            $left[$line->item_id] = $left[$line->item_id]->minus($take);
            $line->on_hand = (string) $onHand;
            $line->open = (string) $open;
            $line->proposed = Amount::plain($take);
            $line->short = $open->isPositive() && $take->isLessThan($open);
        }

        return $lines;
    }

    /** Released orders something can still be issued to. @return Collection<int, \stdClass> */
    public static function orders(): Collection
    {
        return DB::table('orders AS o')->join('items AS i', 'i.id', 'o.item_id')->join('order_components AS c', 'c.order_id', 'o.id')
            ->whereIn('o.state', ['released', 'running'])->where('o.is_held', false)
            ->whereColumn('c.used_quantity', '<', 'c.planned_quantity')
            ->groupBy('o.id', 'o.number', 'o.due_on', 'o.rank', 'i.number', 'i.name', 'o.quantity')->orderBy('o.rank')
            ->orderBy('o.due_on')->orderBy('o.id')
            ->select(['o.id', 'o.number', 'o.due_on', 'o.quantity', 'i.number AS item_number', 'i.name AS item_name'])
            ->selectRaw('COUNT(*) AS open_lines')->get();
    }
}

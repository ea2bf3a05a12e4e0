<?php

namespace App\Shop;

use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Structure\IssueBy;

/** Which components of orders in the shop wait for something: those it is meant for first, then by rank. */
final class Waiting
{
    /**
     * @param  list<int>  $items
     * @return list<int> components
     */
    public static function components(array $items): array
    {
        return Row::ints(self::query($items)->select('c.id'), 'id');
    }

    /**
     * @param  list<int>  $items
     * @return list<int>
     */
    public static function ordersFor(array $items): array
    {
        return Row::ints(self::query($items)->select('c.order_id'), 'order_id');
    }

    /**
     * @param  list<int>  $items
     * @return array<int, list<string>> numbers of orders, by item
     */
    public static function numbers(array $items): array
    {
        $numbers = [];
        foreach (Row::all(self::query($items)->select(['c.item_id', 'o.number']), fn (Row $row): Row => $row) as $row) {
            $numbers[$row->int('item_id')][] = $row->text('number');
        }

        return array_map(fn (array $of): array => array_values(array_unique($of)), $numbers);
    }

    /** @param  list<int>  $items */
    private static function query(array $items): Builder
    {
        return DB::table('order_components AS c')
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->whereIn('c.item_id', $items)
            ->whereIn('o.state', OrderState::IN_THE_SHOP)
            ->where('o.is_held', false)
            ->where('c.open_quantity', '>', 0)
            ->where('c.supplied_by', 'us')
            ->where('c.issue_by', IssueBy::Hand->value)
            ->orderByRaw('EXISTS (SELECT 1 FROM ties t WHERE t.component_id = c.id AND t.quantity > 0) DESC')
            ->orderBy('o.rank')
            ->orderByRaw('o.due_on IS NULL, o.due_on')
            ->orderBy('o.id')
            ->orderBy('c.position');
    }
}

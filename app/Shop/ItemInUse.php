<?php

namespace App\Shop;

use App\Models\Item;
use App\Models\RevisionKind;
use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Amount;

/** What still uses an item: a sentence for each, with where to look. */
final class ItemInUse
{
    /** @return list<string> none = nothing uses it */
    public static function says(Item $item): array
    {
        $onHand = Row::sum(DB::table('balances')->where('item_id', $item->id), 'quantity');

        return array_values(array_filter([
            $onHand->isZero() ? null : Amount::plain($onHand)." {$item->unit->code} are on hand.",
            self::numbers('It is made by order', self::orders($item)),
            self::numbers('It is on order as', self::purchases($item)),
            self::numbers('It is needed by order', self::needing($item)),
            self::numbers('It is to be delivered for', self::lines($item)),
            self::numbers('It stands in the structure of', self::structures($item)),
        ], is_string(...)));
    }

    /** @param  list<string>  $of */
    private static function numbers(string $word, array $of): ?string
    {
        return $of === []
            ? null
            : "{$word} ".implode(', ', array_slice($of, 0, 6)).(count($of) > 6 ? ' and others' : '').'.';
    }

    /** @return list<string> */
    private static function orders(Item $item): array
    {
        return self::pluck(
            DB::table('order_outputs AS u')->join('orders AS o', 'o.id', 'u.order_id')
                ->where('u.item_id', $item->id)->where('u.is_open', true),
            'o.number',
        );
    }

    /** @return list<string> */
    private static function purchases(Item $item): array
    {
        return self::pluck(
            DB::table('purchase_lines AS p')->where('p.item_id', $item->id)->where('p.is_open', true),
            'p.number',
        );
    }

    /** @return list<string> */
    private static function needing(Item $item): array
    {
        return self::pluck(
            DB::table('order_components AS c')->join('orders AS o', 'o.id', 'c.order_id')
                ->where('c.item_id', $item->id)
                ->whereIn('o.state', OrderState::OPEN)
                ->whereRaw('c.planned_quantity > c.used_quantity + c.replaced_quantity'),
            'o.number',
        );
    }

    /** @return list<string> */
    private static function lines(Item $item): array
    {
        return self::pluck(
            DB::table('customer_order_lines AS l')
                ->join('customer_orders AS o', 'o.id', 'l.customer_order_id')
                ->where('l.item_id', $item->id)
                ->where('l.is_open', true),
            'o.number',
        );
    }

    /** @return list<string> of what is in force or drawn up */
    private static function structures(Item $item): array
    {
        $found = DB::table('structure_lines AS l')
            ->join('structures AS s', 's.id', 'l.structure_id')
            ->where('l.item_id', $item->id);
        $parents = Row::ints((clone $found)->distinct(), 's.item_id');
        $force = array_keys(MadeOf::inForce(RevisionKind::Structure, $parents));

        return self::pluck(
            $found->join('items AS i', 'i.id', 's.item_id')
                ->where(fn (Builder $any) => $any->whereIn('s.id', $force)->orWhere('s.status', 'draft')),
            'i.number',
        );
    }

    /** @return list<string> */
    private static function pluck(Builder $query, string $column): array
    {
        return array_values(array_map(
            fn (mixed $number): string => is_scalar($number) ? (string) $number : '',
            $query->distinct()->orderBy($column)->pluck($column)->all(),
        ));
    }
}

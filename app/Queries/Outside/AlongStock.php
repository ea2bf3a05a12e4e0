<?php

namespace App\Queries\Outside;

use App\Reading\Named;
use App\Reading\Row;
use App\Wording\Figures;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\PlaceKind;

/** Stock of ours that goes along to suppliers: from where it can be taken, and what is worth what lies there. */
final class AlongStock
{
    /**
     * Cents of all stock of an item, and how much that is: `worth` and `lie`.
     *
     * @param  string  $item  the column that has it
     */
    public static function worth(string $item): string
    {
        $sum = fn (string $what, string $from): string => "(SELECT COALESCE(SUM({$what}), 0) FROM {$from} lie "
            ."WHERE lie.item_id = {$item}";

        return $sum('lie.value', 'stock_values').') AS worth, '
            .$sum('lie.quantity', 'balances').' AND lie.owner_id = 0) AS lie';
    }

    /**
     * @param  Row  $row  with what worth() gives
     * @return int cents: part of all stock of the item
     */
    public static function cents(Row $row, BigDecimal $there): int
    {
        $lie = $row->decimal('lie');

        return $lie->isPositive() ? Cents::part($row->decimal('worth')->toInt(), $there, $lie) : 0;
    }

    /**
     * From where items can be taken: 'Main stores, H-1: 12', by balance.
     *
     * @param  Collection<int, int>  $items
     * @return array<int, array<int|string, string>> by item
     */
    public static function lying(Collection $items): array
    {
        if ($items->isEmpty()) {
            return [];
        }
        $balances = DB::table('balances AS b')
            ->join('places AS p', 'p.id', 'b.place_id')
            ->leftJoin('lots AS l', Named::on('l.id', 'b.lot_id'))
            ->whereIn('b.item_id', $items->unique())
            ->where('p.kind', PlaceKind::Store->value)
            ->where('b.owner_id', 0)
            ->where('b.condition', Condition::Free->value)
            ->where('b.quantity', '>', 0)
            ->orderBy('b.id')
            ->limit(500)
            ->select(['b.id', 'b.item_id', 'b.quantity', 'p.name', 'l.code']);
        $lying = [];
        foreach (Row::all($balances, fn (Row $row): Row => $row) as $row) {
            $lying[$row->int('item_id')][$row->int('id')] = $row->text('name')
                .($row->textOrNull('code') === null ? '' : ", {$row->text('code')}")
                .': '.Figures::amount($row->text('quantity'));
        }

        return $lying;
    }
}

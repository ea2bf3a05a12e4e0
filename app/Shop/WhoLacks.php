<?php

namespace App\Shop;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Closure;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\Lacking;
use KeepPace\Core\Planning\OrderState;

/** Orders in the shop that less stock leaves without a part, by rank: told at once from stock, before it is planned. */
final class WhoLacks
{
    /**
     * @param  BigDecimal  $lost  of the item
     * @param  Closure(): BigDecimal  $free  what is left, free of promises; asked only where somebody needs it, for an
     *     item may have a hundred thousand lots
     * @return list<string> numbers of orders
     */
    public static function of(int $item, BigDecimal $lost, Closure $free): array
    {
        $needs = [];
        $open = 'SUM(c.open_quantity)';
        $rows = DB::table('order_components AS c')
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->where('c.item_id', $item)
            ->where('c.supplied_by', 'us')
            ->whereIn('o.state', OrderState::IN_THE_SHOP)
            ->where('o.is_held', false)
            ->groupBy('o.id', 'o.number', 'o.rank', 'o.due_on')
            ->havingRaw("{$open} > 0")
            ->orderBy('o.rank')
            ->orderByRaw('o.due_on IS NULL, o.due_on')
            ->orderBy('o.id')
            ->select('o.number')
            ->selectRaw("{$open} AS need");
        foreach (Row::all($rows, fn (Row $row): Row => $row) as $row) {
            $needs[] = ['order' => $row->text('number'), 'need' => $row->decimal('need')];
        }

        $now = $needs === [] ? BigDecimal::zero() : $free();

        return Lacking::between($needs, $now->plus($lost), $now);
    }
}

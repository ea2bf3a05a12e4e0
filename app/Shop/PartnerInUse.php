<?php

namespace App\Shop;

use App\Models\PartnerKind;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/** What is still open with a customer or supplier: a sentence for each, with where to look. */
final class PartnerInUse
{
    /** So many of each are named. */
    private const NAMED = 6;

    /** @return list<string> none = nothing is */
    public static function says(PartnerKind $kind, int $id): array
    {
        return match ($kind) {
            PartnerKind::Customer => self::customer($id),
            PartnerKind::Supplier => self::supplier($id),
        };
    }

    /** @return list<string> */
    private static function customer(int $id): array
    {
        return self::named([
            'Something is open on customer order' => self::customerOrders($id),
            'Their own material is on hand:' => DB::table('balances AS b')
                ->join('items AS i', 'i.id', 'b.item_id')
                ->where('b.owner_id', $id)
                ->where('b.quantity', '>', 0)
                ->select('i.number AS named'),
        ]);
    }

    /** @return list<string> */
    private static function supplier(int $id): array
    {
        return self::named([
            'Something is to come of purchase' => DB::table('purchase_lines AS l')
                ->join('purchase_orders AS o', 'o.id', 'l.purchase_order_id')
                ->where('o.supplier_id', $id)
                ->where('l.is_open', true)
                ->select('o.number AS named'),
            'It is the usual supplier of' => DB::table('items AS i')
                ->where('i.supplier_id', $id)
                ->whereNull('i.retired_at')
                ->select('i.number AS named'),
            'Pieces are with them, or to go there, of order' => DB::table('order_steps AS s')
                ->join('orders AS o', 'o.id', 's.order_id')
                ->where('s.supplier_id', $id)
                ->whereIn('o.state', OrderState::OPEN)
                ->select('o.number AS named'),
        ]);
    }

    private static function customerOrders(int $id): Builder
    {
        return DB::table('customer_order_lines AS l')
            ->join('customer_orders AS o', 'o.id', 'l.customer_order_id')
            ->where('o.customer_id', $id)
            ->where('l.is_open', true)
            ->select('o.number AS named');
    }

    /**
     * @param  array<string, Builder>  $uses  numbers named, by what is said of them
     * @return list<string>
     */
    private static function named(array $uses): array
    {
        $says = [];
        foreach ($uses as $word => $query) {
            $found = $query->distinct()->orderBy('named')->limit(self::NAMED + 1)->pluck('named');
            $numbers = array_map(fn (mixed $one): string => is_scalar($one) ? (string) $one : '', $found->all());
            $more = count($numbers) > self::NAMED ? ' and others' : '';
            $numbers === [] ?: $says[] = "{$word} ".implode(', ', array_slice($numbers, 0, self::NAMED))."{$more}.";
        }

        return $says;
    }
}

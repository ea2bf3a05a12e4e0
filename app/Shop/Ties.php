<?php

namespace App\Shop;

use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** What is tied to what, as `ties AS t`, for pages and for what is dealt out. */
final class Ties
{
    /** What covers customer lines: `t.line_id`, `t.quantity`. */
    public static function ofLines(): Builder
    {
        return DB::table('ties AS t')->where('t.demand_kind', 'line')->where('t.quantity', '>', 0);
    }

    /** Of it what lies in stock. */
    public static function fromStock(): Builder
    {
        return self::ofLines()->where('t.supply_kind', 'stock');
    }

    /** Of it what orders will give: `out.order_id`. */
    public static function fromOrders(): Builder
    {
        return self::ofLines()->join('order_outputs AS out', 'out.id', 't.output_id');
    }

    /**
     * Whom an order is made for: names of customers.
     *
     * @param  string  $order  the column with its id
     */
    public static function customersOf(Builder $query, string $order): Builder
    {
        return self::linesOf($query, $order)->selectRaw("GROUP_CONCAT(DISTINCT cu.name SEPARATOR ', ')");
    }

    /**
     * Customer lines an order is made for: `l`, with their order `co` and its customer `cu`.
     *
     * @param  string  $order  the column with its id
     */
    public static function linesOf(Builder $query, string $order): Builder
    {
        return $query->from('ties AS t')
            ->join('order_outputs AS made', 'made.id', 't.output_id')
            ->join('customer_order_lines AS l', 'l.id', 't.line_id')
            ->join('customer_orders AS co', 'co.id', 'l.customer_order_id')
            ->join('customers AS cu', 'cu.id', 'co.customer_id')
            ->whereColumn('made.order_id', $order);
    }

    /**
     * @param  list<int>  $lines  of customers
     * @return list<int> orders that will give something to these
     */
    public static function ordersFor(array $lines): array
    {
        return Row::ints(self::fromOrders()->whereIn('t.line_id', $lines), 'out.order_id');
    }

    /**
     * @param  list<int>  $lines  of customers
     * @return list<int> purchase orders of which something is bought for these
     */
    public static function purchasesFor(array $lines): array
    {
        $bought = self::ofLines()->join('purchase_lines AS buy', 'buy.id', 't.purchase_line_id');

        return Row::ints($bought->whereIn('t.line_id', $lines), 'buy.purchase_order_id');
    }

    /** Stock kept hard for orders: `want.order_id`, `want.item_id`, `t.supply_id` its lot, 0 = of any. */
    public static function kept(): Builder
    {
        return DB::table('ties AS t')
            ->join('order_components AS want', 'want.id', 't.component_id')
            ->where('t.demand_kind', 'component')
            ->where('t.supply_kind', 'stock')
            ->where('t.quantity', '>', 0);
    }

    /** The same, and what is bought for orders and is to come: `t.purchase_line_id`. */
    public static function keptOrBought(): Builder
    {
        return DB::table('ties AS t')
            ->join('order_components AS want', 'want.id', 't.component_id')
            ->whereIn('t.supply_kind', ['stock', 'purchase'])
            ->where('t.quantity', '>', 0);
    }

    /** Orders still to give another's part: `out.order_id`, and of whose it is `want.order_id`. */
    public static function madeFor(): Builder
    {
        return self::wereMadeFor()->where('t.quantity', '>', 0);
    }

    /** Those that gave it are told too; not those that were meant to and are not any more. */
    public static function wereMadeFor(): Builder
    {
        return DB::table('ties AS t')
            ->join('order_outputs AS out', 'out.id', 't.output_id')
            ->join('order_components AS want', 'want.id', 't.component_id')
            ->where(fn (Builder $any) => $any->where('t.quantity', '>', 0)->orWhere('out.received_quantity', '>', 0));
    }

    /**
     * @param  list<int>  $orders
     * @return list<int> orders made for a part of these
     */
    public static function partsOf(array $orders): array
    {
        return Row::ints(self::madeFor()->whereIn('want.order_id', $orders)->orderBy('out.order_id'), 'out.order_id');
    }
}

<?php

namespace App\Queries\Demand;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** One customer order: its lines, how each is covered, and what has been booked on it. */
final readonly class CustomerOrderPage
{
    /**
     * @param  Collection<int, \stdClass>  $lines
     * @param  Collection<int, Collection<int, \stdClass>>  $openOrders  open orders with something unpromised, by item
     * @param  Collection<int, \stdClass>  $free  stock not promised, by item
     * @param  Collection<int, \stdClass>  $bookings
     */
    private function __construct(public \stdClass $order, public Collection $lines, public Collection $openOrders, public Collection $free,
        public Collection $bookings)
    {
    }

    public static function of(int $id): ?self
    {
        $order = DB::table('customer_orders AS o')->join('customers AS c', 'c.id', 'o.customer_id')->where('o.id', $id)
            ->first(['o.*', 'c.name AS customer', 'c.number AS customer_number', 'c.contact', 'c.address']);
        if (! $order instanceof \stdClass) {
            return null;
        }
        $lines = CustomerOrderList::lines(order: $id);
        $items = $lines->pluck('item_id')->unique();
        $openOrders = DB::table('orders AS o')->whereIn('o.item_id', $items)->whereIn('o.state', ['firm', 'released', 'running'])
            ->orderBy('o.due_on')
            ->select(['o.id', 'o.number', 'o.item_id', 'o.due_on'])
            ->selectRaw('o.quantity - o.received_quantity - (SELECT COALESCE(SUM(c.quantity), 0) FROM covers c WHERE c.order_id = o.id) AS free')
            ->having('free', '>', 0)->get()->groupBy('item_id');
        $free = DB::table('balances AS b')->join('places AS p', 'p.id', 'b.place_id')->where('p.kind', 'store')
            ->where('b.condition', 'free')->where('b.owner_id', 0)->whereIn('b.item_id', $items)->groupBy('b.item_id')
            ->select('b.item_id')->selectRaw("SUM(b.quantity) - (SELECT COALESCE(SUM(c.quantity), 0) FROM covers c WHERE c.item_id = b.item_id AND c.supply = 'stock') AS free")->get()->keyBy('item_id');
        $bookings = DB::table('bookings AS b')->join('users AS u', 'u.id', 'b.user_id')->leftJoin('bookings AS r', 'r.reverses_id', 'b.id')
            ->where('b.customer_order_id', $id)->orderByDesc('b.id')->limit(100)
            ->get(['b.id', 'b.kind', 'b.says', 'b.reason', 'b.entered_at', 'b.booked_on', 'b.reverses_id', 'u.name AS person',
                'r.id AS reversed_by']);

        return new self($order, $lines, $openOrders, $free, $bookings);
    }
}

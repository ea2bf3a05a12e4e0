<?php

namespace App\Queries\Demand;

use App\Models\Plan;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/** One customer order: its lines, how each is covered, and what has been booked on it. */
final readonly class CustomerOrderPage
{
    /**
     * @param  Collection<int, \stdClass>  $lines
     * @param  Collection<int, Collection<int, \stdClass>>  $openOrders  open orders with something unpromised, by item
     * @param  Collection<int, \stdClass>  $free  stock not promised, by item
     * @param  Collection<int, \stdClass>  $bookings
     * @param  Collection<int|string, Collection<int, \stdClass>>  $others  open lines of other customers that want more
     *     of it, by item
     * @param  array<int, string>  $hangs  purchases and send-outs that hang on what is made for a line
     */
    private function __construct(
        public \stdClass $order,
        public Collection $lines,
        public Collection $openOrders,
        public Collection $free,
        public Collection $bookings,
        public Collection $others,
        public array $hangs,
    ) {
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
        $openOrders = DB::table('orders AS o')->whereIn('o.item_id', $items)->whereIn('o.state', OrderState::OPEN)
            ->orderBy('o.due_on')
            ->select(['o.id', 'o.number', 'o.item_id', 'o.due_on'])
            ->selectRaw(
                'o.quantity - o.received_quantity
                - (SELECT COALESCE(SUM(s.scrap), 0) FROM order_steps s WHERE s.order_id = o.id)
                - (SELECT COALESCE(SUM(c.quantity), 0) FROM covers c WHERE c.order_id = o.id) AS free',
            )
            ->having('free', '>', 0)
            ->get()
            ->groupBy('item_id');
        $free = DB::table('balances AS b')
            ->join('places AS p', 'p.id', 'b.place_id')
            ->where('p.kind', 'store')
            ->where('b.condition', 'free')
            ->where('b.owner_id', 0)
            ->whereIn('b.item_id', $items)
            ->groupBy('b.item_id')
            ->select('b.item_id')
            ->selectRaw(
                "SUM(b.quantity) - (SELECT COALESCE(SUM(c.quantity), 0) FROM covers c WHERE c.item_id = b.item_id AND c.supply = 'stock') AS free",
            )
            ->get()
            ->keyBy('item_id');
        // also what took cover from its lines: a report of scrap at an order they count on
        $ids = DB::table('bookings')->where('customer_order_id', $id)->select('id')
            ->union(
                DB::table('cover_entries AS e')
                    ->join('covers AS c', 'c.id', 'e.cover_id')
                    ->join('customer_order_lines AS l', 'l.id', 'c.line_id')
                    ->where('l.customer_order_id', $id)
                    ->select('e.booking_id'),
            );
        $bookings = DB::table('bookings AS b')
            ->joinSub($ids, 'ids', 'ids.id', 'b.id')
            ->join('people AS u', 'u.id', 'b.user_id')
            ->leftJoin('bookings AS r', 'r.reverses_id', 'b.id')
            ->orderByDesc('b.id')
            ->limit(100)
            ->get([
                'b.id',
                'b.kind',
                'b.says',
                'b.reason',
                'b.entered_at',
                'b.booked_on',
                'b.reverses_id',
                'u.name AS person',
                'r.id AS reversed_by',
            ]);

        $others = DB::table('customer_order_lines AS l')
            ->join('customer_orders AS o', 'o.id', 'l.customer_order_id')
            ->join('customers AS c', 'c.id', 'o.customer_id')
            ->whereIn('l.item_id', $items)
            ->where('l.is_open', true)
            ->whereRaw(
                'l.quantity - l.shipped_quantity - l.cancelled_quantity > (SELECT COALESCE(SUM(v.quantity), 0) FROM covers v WHERE v.line_id = l.id)',
            )
            ->orderBy('l.promised_on')
            ->limit(60)
            ->get(['l.id', 'l.item_id', 'l.position', 'o.number', 'c.name AS customer'])
            ->groupBy('item_id');

        return new self($order, $lines, $openOrders, $free, $bookings, $others, self::hangs($id));
    }

    /** @return array<int, string> by line */
    private static function hangs(int $order): array
    {
        $tied = DB::table('covers AS v')
            ->join('customer_order_lines AS l', 'l.id', 'v.line_id')
            ->where('l.customer_order_id', $order)
            ->where('v.quantity', '>', 0)
            ->whereNotNull('v.order_id')
            ->pluck('v.line_id', 'v.order_id');
        $said = [];
        foreach (
            DB::table('plan_components AS p')
                ->join('order_components AS c', 'c.id', 'p.component_id')
                ->where('p.plan_id', Plan::LIVE)
                ->whereIn('c.order_id', $tied->keys())
                ->where('p.coming', 'like', '%purchase %')
                ->get(['c.order_id', 'p.coming']) as $row
        ) {
            foreach (json_decode($row->coming) as $coming) {
                str_starts_with($coming->supply, 'purchase ')
                    && ($said[$tied[$row->order_id]][$coming->supply] = $coming->supply);
            }
        }
        foreach (
            DB::table('order_steps AS s')
                ->join('orders AS o', 'o.id', 's.order_id')
                ->join('suppliers AS w', 'w.id', 's.supplier_id')
                ->whereIn('s.order_id', $tied->keys())
                ->whereRaw('s.taken_in > s.good + s.scrap')
                ->get(['s.order_id', 'o.number', 'w.name']) as $row
        ) {
            $said[$tied[$row->order_id]][] = "pieces of {$row->number} at {$row->name}";
        }

        return array_map(fn (array $words): string => implode(', ', $words), $said);
    }
}

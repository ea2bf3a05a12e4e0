<?php

namespace App\Queries\Orders;

use App\Models\Plan;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** All that the page of one order shows, in a constant number of queries. */
final readonly class OrderPage
{
    /**
     * @param  Collection<int, \stdClass>  $components
     * @param  Collection<int, \stdClass>  $steps
     * @param  Collection<int, \stdClass>  $ties
     * @param  Collection<int, \stdClass>  $related  orders for its parts, and the one it is for
     * @param  Collection<int, \stdClass>  $bookings
     * @param  Collection<int, \stdClass>  $changes
     * @param  array<string, array{planned: int, actual: int}>  $cost  cents by kind
     */
    private function __construct(
        public \stdClass $order,
        public PaceStrip $strip,
        public Collection $components,
        public Collection $steps,
        public Collection $ties,
        public Collection $related,
        public Collection $bookings,
        public Collection $changes,
        public array $cost,
    ) {
    }

    public static function of(int $id): ?self
    {
        $order = OrderList::base()->addSelect(['o.structure_id', 'o.routing_id', 'o.released_at', 'o.received_value', 'o.planned_material',
            'o.planned_labour', 'o.planned_machine', 'o.planned_overhead', 'o.planned_outside', 's.revision'])
            ->leftJoin('structures AS s', 's.id', 'o.structure_id')->where('o.id', $id)->first();
        if (! $order instanceof \stdClass) {
            return null;
        }
        $components = DB::table('order_components AS c')->join('items AS i', 'i.id', 'c.item_id')->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin('plan_components AS p', fn ($join) => $join->on('p.component_id', 'c.id')->where('p.plan_id', Plan::LIVE))
            ->where('c.order_id', $id)->orderBy('c.position')
            ->get(['c.*', 'i.number AS item_number', 'i.name AS item_name', 'u.code AS unit', 'p.from_stock', 'p.missing', 'p.coming']);
        $steps = DB::table('order_steps AS s')->leftJoin('work_centres AS w', 'w.id', 's.work_centre_id')
            ->leftJoin('suppliers AS v', 'v.id', 's.supplier_id')
            ->leftJoin('plan_steps AS p', fn ($join) => $join->on('p.order_step_id', 's.id')->where('p.plan_id', Plan::LIVE))
            ->where('s.order_id', $id)->orderBy('s.number')
            ->get(['s.*', 'w.code AS work_centre', 'w.name AS work_centre_name', 'v.name AS supplier', 'p.start_at', 'p.end_at',
                'p.machine', DB::raw('IF(s.supplier_id IS NULL, NULL, s.started_at + INTERVAL s.lead_days DAY) AS due_back')]);
        $ties = DB::table('covers AS c')->join('customer_order_lines AS l', 'l.id', 'c.line_id')
            ->join('customer_orders AS co', 'co.id', 'l.customer_order_id')->join('customers AS cu', 'cu.id', 'co.customer_id')
            ->where('c.order_id', $id)->orderBy('c.id')
            ->get(['c.id', 'c.quantity', 'l.position', 'l.promised_on', 'co.id AS customer_order_id', 'co.number',
                'cu.name AS customer']);
        $related = DB::table('orders AS o')->join('items AS i', 'i.id', 'o.item_id')
            ->where(fn ($query) => $query->where('o.for_order_id', $id)->orWhere('o.id', $order->for_order_id))
            ->orderBy('o.id')->get(['o.id', 'o.number', 'o.state', 'o.quantity', 'o.for_order_id', 'i.name AS item_name']);
        // each by its own index: one OR over three tables would read them all
        $ids = DB::table('bookings')->where('order_id', $id)->select('id')
            ->union(DB::table('moves')->where('order_id', $id)->select('booking_id'))
            ->union(DB::table('order_changes')->where('order_id', $id)->select('booking_id'));
        $bookings = DB::table('bookings AS b')->joinSub($ids, 'ids', 'ids.id', 'b.id')->join('users AS u', 'u.id', 'b.user_id')
            ->leftJoin('bookings AS r', 'r.reverses_id', 'b.id')
            ->orderByDesc('b.id')->limit(200)
            ->get(['b.id', 'b.kind', 'b.says', 'b.reason', 'b.entered_at', 'b.booked_on', 'b.reverses_id', 'u.name AS person',
                'r.id AS reversed_by']);
        $changes = DB::table('order_changes AS c')->join('bookings AS b', 'b.id', 'c.booking_id')->join('users AS u', 'u.id', 'b.user_id')
            ->where('c.order_id', $id)->where('c.what', '<>', 'released')
            ->orderByDesc('c.id')->limit(100)->get(['c.what', 'c.before', 'c.after', 'b.entered_at', 'u.name AS person']);

        return new self($order, PaceStrips::for(collect([$order]))[$order->id], $components, $steps, $ties, $related, $bookings, $changes,
            self::cost($order));
    }

    /** @return array<string, array{planned: int, actual: int}> */
    private static function cost(\stdClass $order): array
    {
        $actual = DB::table('cost_entries')->where('order_id', $order->id)->groupBy('kind')->selectRaw('kind, SUM(cents) AS cents')
            ->pluck('cents', 'kind');
        $cost = [];
        foreach (['material', 'labour', 'machine', 'overhead', 'outside'] as $kind) {
            $cost[$kind] = ['planned' => (int) $order->{"planned_{$kind}"}, 'actual' => (int) ($actual[$kind] ?? 0)];
        }
        foreach (['receipt', 'variance'] as $kind) {
            $cost[$kind] = ['planned' => 0, 'actual' => (int) ($actual[$kind] ?? 0)];
        }

        return $cost;
    }
}

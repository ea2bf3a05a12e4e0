<?php

namespace App\Queries\Orders;

use App\Models\Plan;
use App\Queries\Shop\Away;
use App\Queries\Shop\Deliveries;
use App\Wording\ArrivalWords;
use App\Wording\ReadinessWords;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\UsageVariance;

/** All that the page of one order shows, in a constant number of queries. */
final readonly class OrderPage
{
    /**
     * @param  Collection<int, \stdClass>  $components
     * @param  Collection<int, \stdClass>  $reservations  stock kept hard for it
     * @param  Collection<int, \stdClass>  $deviations  components used otherwise than planned, once the order is being
     *     built
     * @param  Collection<int, \stdClass>  $steps
     * @param  Collection<int, \stdClass>  $ties
     * @param  Collection<int, \stdClass>  $related  orders for its parts, and the one it is for
     * @param  Collection<int, \stdClass>  $bookings
     * @param  Collection<int, \stdClass>  $changes
     * @param  array<string, array{planned: int, actual: int}>  $cost  cents by kind
     * @param  BigDecimal  $short  scrapped of its pieces
     * @param  Collection<int, \stdClass>  $remakes  orders that make them again, with their cost, which is kept apart
     * @param  BigDecimal  $toCure  scrapped, neither made again nor settled otherwise
     * @param  string|null  $orderBy  by when what nothing is ordered for has to be, in words
     * @param  bool  $isTooLate  that day has passed
     */
    private function __construct(
        public \stdClass $order,
        public PaceStrip $strip,
        public Collection $components,
        public Collection $reservations,
        public Collection $deviations,
        public Collection $steps,
        public Collection $ties,
        public Collection $related,
        public Collection $bookings,
        public Collection $changes,
        public array $cost,
        public BigDecimal $short,
        public Collection $remakes,
        public BigDecimal $toCure,
        public ?string $orderBy,
        public bool $isTooLate,
    ) {
    }

    public static function of(int $id): ?self
    {
        $order = OrderList::base()
            ->addSelect([
                'o.structure_id',
                'o.routing_id',
                'o.released_at',
                'o.received_value',
                'o.planned_material',
                'o.planned_labour',
                'o.planned_machine',
                'o.planned_overhead',
                'o.planned_outside',
                's.revision',
            ])
            ->leftJoin('structures AS s', 's.id', 'o.structure_id')
            ->where('o.id', $id)
            ->first();
        if (! ($order instanceof \stdClass)) {
            return null;
        }
        $components = DB::table('order_components AS c')
            ->join('items AS i', 'i.id', 'c.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin(
                'plan_components AS p',
                fn ($join) => $join->on('p.component_id', 'c.id')->where('p.plan_id', Plan::LIVE),
            )
            ->where('c.order_id', $id)
            ->orderBy('c.position')
            ->leftJoin('order_components AS sf', 'sf.id', 'c.stands_for_id')
            ->leftJoin('items AS si', 'si.id', 'sf.item_id')
            ->where(
                fn ($shown) => $shown
                    ->where('c.planned_quantity', '>', 0)
                    ->orWhere('c.used_quantity', '>', 0)
                    ->orWhere('c.baseline_quantity', '>', 0),
            )
            ->select([
                'c.*',
                'i.number AS item_number',
                'i.name AS item_name',
                'u.code AS unit',
                'p.from_stock',
                'p.missing',
                'p.coming',
                'si.name AS stands_for',
            ])
            ->selectRaw(
                "(SELECT COALESCE(SUM(b.quantity), 0) FROM balances b JOIN places pl ON pl.id = b.place_id AND pl.kind = 'store' WHERE b.item_id = c.item_id AND b.condition = 'free' AND b.owner_id = IF(c.supplied_by = 'customer', COALESCE(o.owner_id, -1), 0)) AS on_hand",
            )
            ->selectRaw(
                '(SELECT SUM(r.quantity) FROM reservations r WHERE r.order_id = c.order_id AND r.item_id = c.item_id) AS reserved',
            )
            ->selectRaw(
                "(SELECT GROUP_CONCAT(x.code SEPARATOR ', ') FROM (
                    SELECT m.component_id, l.code FROM moves m
                    JOIN places t ON t.id = m.to_place_id
                    JOIN lots l ON l.id = m.lot_id
                    WHERE m.order_id = ? AND m.component_id IS NOT NULL
                    GROUP BY m.component_id, l.code
                    HAVING SUM(IF(t.kind = 'order', m.quantity, -m.quantity)) > 0
                ) x WHERE x.component_id = c.id) AS lots",
                [$id],
            )
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->get();
        $reservations = DB::table('reservations AS r')
            ->join('items AS i', 'i.id', 'r.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin('lots AS l', 'l.id', 'r.lot_id')
            ->where('r.order_id', $id)
            ->where('r.quantity', '>', 0)
            ->orderBy('r.id')
            ->get(['r.id', 'r.quantity', 'i.name AS item_name', 'u.code AS unit', 'l.code AS lot']);
        $steps = DB::table('order_steps AS s')
            ->leftJoin('work_centres AS w', 'w.id', 's.work_centre_id')
            ->leftJoin('suppliers AS v', 'v.id', 's.supplier_id')
            ->leftJoin(
                'plan_steps AS p',
                fn ($join) => $join->on('p.order_step_id', 's.id')->where('p.plan_id', Plan::LIVE),
            )
            ->where('s.order_id', $id)
            ->orderBy('s.number')
            ->get([
                's.*',
                'w.code AS work_centre',
                'w.name AS work_centre_name',
                'v.name AS supplier',
                'p.start_at',
                'p.end_at',
                'p.machine',
            ]);
        $deliveries = Deliveries::now();
        $handfuls = Away::of($steps->whereNotNull('supplier_id')->pluck('id'), $deliveries);
        $steps->each(fn (\stdClass $step) => ($step->handfuls = $handfuls[$step->id] ?? []));
        $ties = DB::table('covers AS c')
            ->join('customer_order_lines AS l', 'l.id', 'c.line_id')
            ->join('customer_orders AS co', 'co.id', 'l.customer_order_id')
            ->join('customers AS cu', 'cu.id', 'co.customer_id')
            ->where('c.order_id', $id)
            ->orderBy('c.id')
            ->get([
                'c.id',
                'c.quantity',
                'l.position',
                'l.promised_on',
                'co.id AS customer_order_id',
                'co.number',
                'cu.name AS customer',
            ]);
        $related = DB::table('orders AS o')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->where(fn ($query) => $query->where('o.for_order_id', $id)->orWhere('o.id', $order->for_order_id))
            ->orderBy('o.id')
            ->get(['o.id', 'o.number', 'o.state', 'o.quantity', 'o.for_order_id', 'i.name AS item_name']);
        // each by its own index: one OR over three tables would read them all
        $ids = DB::table('bookings')->where('order_id', $id)->select('id')
            ->union(DB::table('moves')->where('order_id', $id)->select('booking_id'))
            ->union(DB::table('order_changes')->where('order_id', $id)->select('booking_id'));
        $bookings = DB::table('bookings AS b')
            ->joinSub($ids, 'ids', 'ids.id', 'b.id')
            ->join('people AS u', 'u.id', 'b.user_id')
            ->leftJoin('bookings AS r', 'r.reverses_id', 'b.id')
            ->orderByDesc('b.id')
            ->limit(200)
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
        $changes = DB::table('order_changes AS c')
            ->join('bookings AS b', 'b.id', 'c.booking_id')
            ->join('people AS u', 'u.id', 'b.user_id')
            ->where('c.order_id', $id)
            ->where('c.what', '<>', 'released')
            ->orderByDesc('c.id')
            ->limit(100)
            ->get(['c.what', 'c.before', 'c.after', 'b.entered_at', 'u.name AS person']);

        $short = $steps->reduce(
            fn (BigDecimal $sum, \stdClass $step): BigDecimal => $sum->plus($step->scrap),
            BigDecimal::zero(),
        );
        $remakes = DB::table('orders AS o')
            ->where('o.remake_of_id', $id)
            ->where('o.state', '<>', 'cancelled')
            ->orderBy('o.id')
            ->select(['o.id', 'o.number', 'o.quantity', 'o.state'])
            ->selectRaw(
                "(SELECT COALESCE(SUM(e.cents), 0) FROM cost_entries e WHERE e.order_id = o.id AND e.kind NOT IN ('receipt', 'variance')) AS cost",
            )
            ->get();
        $asked = DB::table('questions')
            ->where('order_id', $id)
            ->where('kind', 'short')
            ->whereNull('answered_at')
            ->sum('open_quantity');
        $toCure = BigDecimal::max(
            0,
            BigDecimal::min(
                (string) $asked,
                $remakes->reduce(
                    fn (BigDecimal $left, \stdClass $row): BigDecimal => $left->minus($row->quantity),
                    $short,
                ),
            ),
        );

        return new self(
            $order,
            PaceStrips::for(collect([$order]))[$order->id],
            $components,
            $reservations,
            self::deviations($id, $components),
            $steps,
            $ties,
            $related,
            $bookings,
            $changes,
            self::cost($order),
            $short,
            $remakes,
            $toCure,
            self::orderBy($order, $deliveries),
            $order->order_by !== null && $order->order_by < $deliveries->today);
    }

    /** By when what it misses has to be ordered to keep its date; and what becomes of it when that is too late. */
    private static function orderBy(\stdClass $order, Deliveries $deliveries): ?string
    {
        if ($order->order_by === null) {
            return null;
        }
        $says = ArrivalWords::orderBy(
            $order->order_by,
            $deliveries->today,
            $deliveries->plant->workingDaysBetween($order->order_by, $deliveries->today),
        );
        $here = collect(ReadinessWords::blocks($order->blocks))->whereNull('supply')->max('at');

        return $order->order_by >= $deliveries->today
            ? "{$says} what it misses, to keep its date"
            : "what it misses is {$says}; ordered today it can be used ".When::onDay((int) $here)
                .($order->finish_at === null ? '' : ', finished '.When::onDay($order->finish_at));
    }

    /**
     * @param  Collection<int, \stdClass>  $components
     * @return Collection<int, \stdClass>
     */
    private static function deviations(int $order, Collection $components): Collection
    {
        $reasons = DB::table('moves AS m')
            ->join('bookings AS b', 'b.id', 'm.booking_id')
            ->where('m.order_id', $order)
            ->whereNotNull('m.component_id')
            ->groupBy('m.component_id')
            ->selectRaw(
                "m.component_id, GROUP_CONCAT(DISTINCT NULLIF(IF(m.reason <> '', m.reason, b.reason), '') SEPARATOR '; ') AS reasons",
            )
            ->pluck('reasons', 'component_id');

        return $components
            ->filter(
                fn (\stdClass $row): bool => $row->used_value !== 0 || ! BigDecimal::of($row->used_quantity)->isZero(),
            )
            ->map(function (\stdClass $row) use ($reasons): \stdClass {
                $variance = UsageVariance::of(
                    BigDecimal::of($row->planned_quantity),
                    (int) $row->planned_value,
                    BigDecimal::of($row->used_quantity),
                    (int) $row->used_value,
                );

                return (object) [
                    'item_name' => $row->item_name,
                    'item_number' => $row->item_number,
                    'unit' => $row->unit,
                    'planned_quantity' => $row->planned_quantity,
                    'used_quantity' => $row->used_quantity,
                    'difference' => $variance->quantity,
                    'by_quantity' => $variance->byQuantity,
                    'by_price' => $variance->byPrice,
                    'reasons' => $reasons[$row->id] ?? '',
                ];
            })
            ->filter(fn (\stdClass $row): bool => ! $row->difference->isZero() || $row->by_price !== 0)
            ->values();
    }

    /** @return array<string, array{planned: int, actual: int}> */
    private static function cost(\stdClass $order): array
    {
        $actual = DB::table('cost_entries')
            ->where('order_id', $order->id)
            ->groupBy('kind')
            ->selectRaw('kind, SUM(cents) AS cents')
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

<?php

namespace App\Queries\Orders;

use App\Models\Plan;
use App\Queries\Bookings\BookedRow;
use App\Reading\Row;
use App\Shop\Away;
use App\Shop\Deliveries;
use App\Shop\Shelves;
use App\Shop\Ties;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What one order consists of and what happened to it, a query each: for its page. */
final class OrderRows
{
    private const BOOKINGS = 200;

    private const CHANGES = 100;

    /** Of a component's item kept hard for the order. */
    private const RESERVED = "SELECT SUM(t.quantity) FROM ties t JOIN order_components want ON want.id = t.component_id
        WHERE t.supply_kind = 'stock' AND want.order_id = c.order_id AND t.item_id = c.item_id";

    /** Lots of a component that lie in the order; of the order. */
    private const LOTS_USED = "SELECT GROUP_CONCAT(x.code SEPARATOR ', ') FROM (
            SELECT m.component_id, l.code FROM moves m
            JOIN places t ON t.id = m.to_place_id
            JOIN lots l ON l.id = m.lot_id
            WHERE m.order_id = ? AND m.component_id IS NOT NULL AND m.lot_id > 0
            GROUP BY m.component_id, l.code
            HAVING SUM(IF(t.kind = 'order', m.quantity, -m.quantity)) > 0
        ) x WHERE x.component_id = c.id";

    /** The order as lists have it, with what only its page shows. */
    public static function head(int $id): Builder
    {
        return OrderList::base()
            ->addSelect([
                'o.planned_material',
                'o.planned_labour',
                'o.planned_machine',
                'o.planned_overhead',
                'o.planned_outside',
                'o.released_at',
                's.revision',
                'o.reference',
                'o.follows_line_id',
                'o.takes_apart',
            ])
            ->selectRaw('EXISTS (
                SELECT 1 FROM order_outputs b WHERE b.order_id = o.id AND b.position > 1
            ) AS has_beside')
            ->leftJoin('structures AS s', 's.id', 'o.structure_id')
            ->where('o.id', $id);
    }

    /** @return Collection<int, OrderPart>  its components, but those that are none any more */
    public static function components(int $id): Collection
    {
        $query = DB::table('order_components AS c')
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->join('items AS i', 'i.id', 'c.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin(
                'plan_components AS p',
                fn (JoinClause $join) => $join->on('p.component_id', 'c.id')->where('p.plan_id', Plan::LIVE),
            )
            ->leftJoin('order_components AS sf', 'sf.id', 'c.stands_for_id')
            ->leftJoin('items AS si', 'si.id', 'sf.item_id')
            ->where('c.order_id', $id)
            ->where(
                fn (Builder $shown) => $shown
                    ->where('c.planned_quantity', '>', 0)
                    ->orWhere('c.used_quantity', '>', 0)
                    ->orWhere('c.baseline_quantity', '>', 0),
            )
            ->orderBy('c.position')
            ->select(['c.*', 'i.number AS item_number', 'i.name AS item_name', 'u.code AS unit'])
            ->addSelect('i.kind')
            ->addSelect(['p.from_stock', 'p.missing', 'p.coming', 'si.name AS stands_for'])
            ->selectSub(self::onHand(), 'on_hand')
            ->selectRaw('('.self::RESERVED.') AS reserved')
            ->selectRaw('('.self::LOTS_USED.') AS lots', [$id]);

        return Row::all($query, OrderPart::from(...));
    }

    /** Free of a component's item, or of the customer's own. */
    private static function onHand(): Builder
    {
        return Shelves::lying()
            ->whereColumn('b.item_id', 'c.item_id')
            ->whereRaw("b.owner_id = IF(c.supplied_by = 'customer', COALESCE(o.owner_id, -1), 0)")
            ->selectRaw('COALESCE(SUM(b.quantity), 0)');
    }

    /** @return Collection<int, KeptForOrder>  what is kept or bought for its components */
    public static function reservations(int $id): Collection
    {
        $query = Ties::keptOrBought()
            ->join('items AS i', 'i.id', 't.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin('lots AS l', 'l.id', 't.lot_id')
            ->leftJoin('purchase_lines AS buy', 'buy.id', 't.purchase_line_id')
            ->where('want.order_id', $id)
            ->orderBy('t.id')
            ->select(['t.id', 't.quantity', 'i.name AS item_name', 'u.code AS unit', 'l.code AS lot'])
            ->addSelect('buy.number AS purchase')
            ->selectRaw('IF(buy.is_draft, NULL, buy.expected_on) AS expected_on');

        return Row::all($query, KeptForOrder::from(...));
    }

    /** @return Collection<int, OrderStepLine> */
    public static function steps(int $id, Deliveries $deliveries): Collection
    {
        $query = DB::table('order_steps AS s')
            ->leftJoin('work_centres AS w', 'w.id', 's.work_centre_id')
            ->leftJoin('suppliers AS v', 'v.id', 's.supplier_id')
            ->leftJoin(
                'plan_steps AS p',
                fn (JoinClause $join) => $join->on('p.order_step_id', 's.id')->where('p.plan_id', Plan::LIVE),
            )
            ->where('s.order_id', $id)
            ->orderBy('s.number')
            ->leftJoin('items AS e', 'e.id', 's.service_item_id')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->leftJoin('shared_run_steps AS r', 'r.order_step_id', 's.id')
            ->select(['s.*', 'w.name AS work_centre_name', 'v.name AS supplier', 'p.start_at', 'p.end_at'])
            ->addSelect(['e.number AS service', 'o.quantity AS pieces', 'r.setup_minutes AS shared_setup']);
        $rows = Row::all($query, fn (Row $row): Row => $row);
        $outside = $rows->filter(fn (Row $row): bool => $row->intOrNull('supplier_id') !== null);
        $away = Away::of($outside->map(fn (Row $row): int => $row->int('id')), $deliveries);

        return $rows->map(fn (Row $row): OrderStepLine => OrderStepLine::from($row, $away));
    }

    /** @return Collection<int, OrderTie>  customer lines that get something of it */
    public static function ties(int $id): Collection
    {
        $query = DB::table('ties AS t')
            ->join('order_outputs AS out', 'out.id', 't.output_id')
            ->join('customer_order_lines AS l', 'l.id', 't.line_id')
            ->join('customer_orders AS co', 'co.id', 'l.customer_order_id')
            ->join('customers AS cu', 'cu.id', 'co.customer_id')
            ->where('out.order_id', $id)
            ->orderBy('t.id')
            ->select(['t.id', 't.quantity', 'l.position', 'l.promised_on', 'co.id AS customer_order_id', 'co.number'])
            ->addSelect('cu.name AS customer');

        return Row::all($query, OrderTie::from(...));
    }

    /** @return Collection<int, RelatedOrder>  orders for its parts, and the one it is for */
    public static function related(int $id): Collection
    {
        $parts = Ties::wereMadeFor()->where('want.order_id', $id)->select('out.order_id')->selectRaw('1 AS is_part');
        $for = Ties::wereMadeFor()->where('out.order_id', $id)->select('want.order_id')->selectRaw('0 AS is_part');

        $query = DB::table('orders AS o')
            ->joinSub($parts->union($for), 'other', 'other.order_id', 'o.id')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->orderBy('o.id')
            ->select(['o.id', 'o.number', 'o.state', 'other.is_part', 'i.name AS item_name']);

        return Row::all($query, RelatedOrder::from(...));
    }

    /** @return Collection<int, BookedRow>  the latest */
    public static function bookings(int $id): Collection
    {
        // each by its own index: one OR over three tables would read them all
        $ids = DB::table('booking_says')->where('order_id', $id)->select('booking_id AS id')
            ->union(DB::table('moves')->where('order_id', $id)->select('booking_id'))
            ->union(DB::table('order_changes')->where('order_id', $id)->select('booking_id'));

        $query = BookedRow::query()->joinSub($ids, 'ids', 'ids.id', 'b.id')->limit(self::BOOKINGS);

        return Row::all($query, BookedRow::from(...));
    }

    /** @return Collection<int, OrderChange>  the latest */
    public static function changes(int $id): Collection
    {
        $query = DB::table('order_changes AS c')
            ->join('bookings AS b', 'b.id', 'c.booking_id')
            ->join('people AS u', 'u.id', 'b.person_id')
            ->where('c.order_id', $id)
            ->where('c.what', '<>', 'released')
            ->orderByDesc('c.id')
            ->limit(self::CHANGES)
            ->select(['c.what', 'c.before', 'c.after', 'b.entered_at', 'u.name AS person']);

        return Row::all($query, OrderChange::from(...));
    }

    /**
     * @param  Collection<int, OrderPart>  $components
     * @return Collection<int, UsageDeviation>
     */
    public static function deviations(int $order, Collection $components): Collection
    {
        $booked = DB::table('moves AS m')
            ->join('bookings AS b', 'b.id', 'm.booking_id')
            ->where('m.order_id', $order)
            ->whereNotNull('m.component_id')
            ->groupBy('m.component_id')
            ->select('m.component_id')
            ->selectRaw(
                "GROUP_CONCAT(DISTINCT NULLIF(IF(m.reason <> '', m.reason, b.reason), '') SEPARATOR '; ') AS reasons",
            );
        $reasons = Row::textsBy($booked, 'reasons', 'component_id');

        return $components
            ->filter(fn (OrderPart $part): bool => $part->isUsed())
            ->map(fn (OrderPart $part): UsageDeviation => UsageDeviation::of($part, $reasons[$part->id] ?? ''))
            ->filter(fn (UsageDeviation $deviation): bool => $deviation->isThere())
            ->values();
    }
}

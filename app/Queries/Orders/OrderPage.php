<?php

namespace App\Queries\Orders;

use App\Models\Plan;
use App\Queries\Bookings\BookedRow;
use App\Queries\Outside\WorkOrdered;
use App\Reading\Row;
use App\Shop\Away;
use App\Shop\Deliveries;
use App\Shop\Shelves;
use App\Shop\Ties;
use App\Wording\ArrivalWords;
use App\Wording\WaitsFor;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Quantity\Cents;

/** All that the page of one order shows, in a constant number of queries. */
final readonly class OrderPage
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

    /**
     * @param  string  $reference  of one's own; '' = none
     * @param  string|null  $revision  of the structure it was copied from
     * @param  Collection<int, OrderPart>  $components
     * @param  Collection<int, KeptForOrder>  $reservations
     * @param  Collection<int, UsageDeviation>  $deviations  once the order is being built
     * @param  Collection<int, OrderStepLine>  $steps
     * @param  Collection<int, Collection<int, TieCandidate>>  $supplies  bought and for nobody yet, by item
     * @param  Collection<int, OrderTie>  $ties
     * @param  Collection<int, RelatedOrder>  $related  orders for its parts, and the one it is for
     * @param  Collection<int, BookedRow>  $bookings
     * @param  Collection<int, OrderChange>  $changes
     * @param  OrderShort  $short  what was scrapped, and how it is made up for
     * @param  string|null  $orderBy  by when what nothing is ordered for has to be, in words
     * @param  bool  $isTooLate  that day has passed
     * @param  list<NewerMaster>  $newer  than what it was copied from
     * @param  Collection<int, BoughtAlone>  $bought  what is bought for it alone
     * @param  list<BesideLine>  $beside  what comes back of it beside the product
     * @param  bool  $followsLine  it came with a customer line
     * @param  array<int, list<WorkOrdered>>  $work  on what the work of steps done outside is ordered, by step
     */
    private function __construct(
        public ListedOrder $order,
        public string $reference,
        public ?string $revision,
        public PaceStrip $strip,
        public Collection $components,
        public Collection $reservations,
        private Collection $supplies,
        public Collection $deviations,
        public Collection $steps,
        public Collection $ties,
        public Collection $related,
        public Collection $bookings,
        public Collection $changes,
        public OrderCostPage $cost,
        public OrderShort $short,
        public ?string $orderBy,
        public bool $isTooLate,
        public array $newer,
        public Collection $bought,
        private array $work,
        public OtherSuppliers $others,
        public WhoSells $sellers,
        public array $beside,
        public bool $followsLine,
    ) {
    }

    public static function of(int $id): ?self
    {
        $found = Row::first(self::head($id), fn (Row $row): Row => $row);

        return $found === null ? null : self::from($id, $found);
    }

    private static function from(int $id, Row $found): self
    {
        $order = ListedOrder::from($found);
        $deliveries = Deliveries::now();
        $components = Row::all(self::components($id), OrderPart::from(...));
        $steps = self::steps($id, $deliveries);

        return new self(
            $order,
            $found->text('reference'),
            $found->textOrNull('revision'),
            PaceStrips::for(collect([$order]))[$order->id],
            $components,
            Row::all(self::reservations($id), KeptForOrder::from(...)),
            TieCandidate::ofItems($components->map(fn (OrderPart $part): int => $part->itemId)),
            self::deviations($id, $components),
            $steps,
            Row::all(self::ties($id), OrderTie::from(...)),
            Row::all(self::related($id), RelatedOrder::from(...)),
            Row::all(self::bookings($id), BookedRow::from(...)),
            Row::all(self::changes($id), OrderChange::from(...)),
            self::cost($id, $found),
            OrderShort::of($id, $steps),
            self::orderBy($order, $deliveries),
            $order->orderBy !== null && $order->orderBy < $deliveries->today,
            NewerMaster::of($id),
            BoughtAlone::of($id),
            self::work($steps),
            OtherSuppliers::of($steps),
            WhoSells::of($components),
            $found->flag('has_beside') ? BesideLine::ofOrders(collect([$id]))[$id] ?? [] : [],
            $found->intOrNull('follows_line_id') !== null,
        );
    }

    /** A part can be bought for it, or made by a supplier. */
    public function canBeHad(OrderPart $part): bool
    {
        return $part->canBeBought() || $this->sellers->canMake($part);
    }

    /** @return list<WorkOrdered> on what the work of a step is ordered */
    public function workOf(OrderStepLine $step): array
    {
        return $this->work[$step->id] ?? [];
    }

    /** The work of a step can be ordered: it is done outside, and nobody ordered it. */
    public function canOrderWork(OrderStepLine $step): bool
    {
        return $step->isOutside()
            && $this->workOf($step) === []
            && $this->order->state->takesCost()
            && $step->good->plus($step->scrap)->isLessThan($this->order->quantity);
    }

    /**
     * @param  Collection<int, OrderStepLine>  $steps
     * @return array<int, list<WorkOrdered>> asked for only where a step is done outside
     */
    private static function work(Collection $steps): array
    {
        $outside = $steps->filter(fn (OrderStepLine $step): bool => $step->isOutside());

        return $outside->isEmpty()
            ? []
            : WorkOrdered::of($outside->map(fn (OrderStepLine $step): int => $step->id)->values());
    }

    /** It may still be changed, and wants time and material. */
    public function isOpen(): bool
    {
        return $this->order->canBeChanged();
    }

    /** @return array<string, string>  from where something can be kept for it, to choose from */
    public function keepFrom(OrderPart $part): array
    {
        $from = ['' => 'from stock'];
        foreach ($this->supplies[$part->itemId] ?? [] as $supply) {
            $supply->key === "order-{$this->order->id}" ?: $from[$supply->key] = $supply->says();
        }

        return $from;
    }

    /** Something can still be booked back: of a closed order what is found of it. */
    public function canComeBack(): bool
    {
        return OrderDeed::ReceiveBeside->whyNot('', $this->order->state, $this->order->isHeld) === null;
    }

    /** What is planned to come back and neither came nor was given up, or is bought for it alone and to come. */
    public function isWaitedFor(): bool
    {
        return array_filter($this->beside, fn (BesideLine $line): bool => $line->open()->isPositive()) !== []
            || $this->bought->contains(fn (BoughtAlone $line): bool => $line->isOpen);
    }

    /** Several lines get something of it and it has not begun: a share can be made by itself again. */
    public function isCombined(): bool
    {
        $open = $this->ties->filter(fn (OrderTie $tie): bool => $tie->quantity->isPositive());

        return $open->count() > 1 && $this->order->state->isFirm();
    }

    /** Of its planned cost what goes with a line: by pieces; null = it is not released yet. Cents. */
    public function shareOf(OrderTie $tie): ?int
    {
        return $this->ties->count() < 2 || ! $this->cost->isPlanned
            ? null
            : Cents::part($this->cost->putIn->planned, $tie->quantity, $this->order->quantity);
    }

    public function isForTheShelf(): bool
    {
        return $this->ties->isEmpty() && ! $this->order->isForAnOrder();
    }

    /** "Structure revision C is in force instead of B and routing revision B is in force instead of A" */
    public function newerSays(): string
    {
        $says = array_map(fn (NewerMaster $one): string => $one->says(), $this->newer);

        return ucfirst(implode(' and ', $says));
    }

    /** The number a step put at its end would have. */
    public function nextStep(): int
    {
        return max([0, ...array_keys($this->stepNumbers())]) + 10;
    }

    /** @return array<int, int>  numbers of its steps, to choose from */
    public function stepNumbers(): array
    {
        return $this->steps
            ->mapWithKeys(fn (OrderStepLine $step): array => [$step->number => $step->number])
            ->all();
    }

    /** What its quantity would be to make up for what is short. */
    public function toppedUp(): BigDecimal
    {
        return $this->order->quantity->plus($this->short->toCure);
    }

    private static function cost(int $id, Row $found): OrderCostPage
    {
        return OrderCostPage::of($id, $found->momentOrNull('released_at') === null ? null : [
            'material' => $found->int('planned_material'),
            'labour' => $found->int('planned_labour'),
            'machine' => $found->int('planned_machine'),
            'overhead' => $found->int('planned_overhead'),
            'outside' => $found->int('planned_outside'),
        ]);
    }

    private static function head(int $id): Builder
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
            ])
            ->selectRaw('EXISTS (
                SELECT 1 FROM order_outputs b WHERE b.order_id = o.id AND b.position > 1
            ) AS has_beside')
            ->leftJoin('structures AS s', 's.id', 'o.structure_id')
            ->where('o.id', $id);
    }

    private static function components(int $id): Builder
    {
        return DB::table('order_components AS c')
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
    }

    /** Free of a component's item, or of the customer's own. */
    private static function onHand(): Builder
    {
        return Shelves::lying()
            ->whereColumn('b.item_id', 'c.item_id')
            ->whereRaw("b.owner_id = IF(c.supplied_by = 'customer', COALESCE(o.owner_id, -1), 0)")
            ->selectRaw('COALESCE(SUM(b.quantity), 0)');
    }

    private static function reservations(int $id): Builder
    {
        return Ties::keptOrBought()
            ->join('items AS i', 'i.id', 't.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin('lots AS l', 'l.id', 't.lot_id')
            ->leftJoin('purchase_lines AS buy', 'buy.id', 't.purchase_line_id')
            ->where('want.order_id', $id)
            ->orderBy('t.id')
            ->select(['t.id', 't.quantity', 'i.name AS item_name', 'u.code AS unit', 'l.code AS lot'])
            ->addSelect('buy.number AS purchase')
            ->selectRaw('IF(buy.is_draft, NULL, buy.expected_on) AS expected_on');
    }

    /** @return Collection<int, OrderStepLine> */
    private static function steps(int $id, Deliveries $deliveries): Collection
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

    private static function ties(int $id): Builder
    {
        return DB::table('ties AS t')
            ->join('order_outputs AS out', 'out.id', 't.output_id')
            ->join('customer_order_lines AS l', 'l.id', 't.line_id')
            ->join('customer_orders AS co', 'co.id', 'l.customer_order_id')
            ->join('customers AS cu', 'cu.id', 'co.customer_id')
            ->where('out.order_id', $id)
            ->orderBy('t.id')
            ->select(['t.id', 't.quantity', 'l.position', 'l.promised_on', 'co.id AS customer_order_id', 'co.number'])
            ->addSelect('cu.name AS customer');
    }

    private static function related(int $id): Builder
    {
        $parts = Ties::wereMadeFor()->where('want.order_id', $id)->select('out.order_id')->selectRaw('1 AS is_part');
        $for = Ties::wereMadeFor()->where('out.order_id', $id)->select('want.order_id')->selectRaw('0 AS is_part');

        return DB::table('orders AS o')
            ->joinSub($parts->union($for), 'other', 'other.order_id', 'o.id')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->orderBy('o.id')
            ->select(['o.id', 'o.number', 'o.state', 'other.is_part', 'i.name AS item_name']);
    }

    private static function bookings(int $id): Builder
    {
        // each by its own index: one OR over three tables would read them all
        $ids = DB::table('booking_says')->where('order_id', $id)->select('booking_id AS id')
            ->union(DB::table('moves')->where('order_id', $id)->select('booking_id'))
            ->union(DB::table('order_changes')->where('order_id', $id)->select('booking_id'));

        return BookedRow::query()->joinSub($ids, 'ids', 'ids.id', 'b.id')->limit(self::BOOKINGS);
    }

    private static function changes(int $id): Builder
    {
        return DB::table('order_changes AS c')
            ->join('bookings AS b', 'b.id', 'c.booking_id')
            ->join('people AS u', 'u.id', 'b.person_id')
            ->where('c.order_id', $id)
            ->where('c.what', '<>', 'released')
            ->orderByDesc('c.id')
            ->limit(self::CHANGES)
            ->select(['c.what', 'c.before', 'c.after', 'b.entered_at', 'u.name AS person']);
    }

    /** By when what it misses has to be ordered to keep its date; and what becomes of it when that is too late. */
    private static function orderBy(ListedOrder $order, Deliveries $deliveries): ?string
    {
        if ($order->orderBy === null) {
            return null;
        }
        $says = ArrivalWords::orderBy(
            $order->orderBy,
            $deliveries->today,
            $deliveries->plant->workingDaysBetween($order->orderBy, $deliveries->today),
        );
        if ($order->orderBy >= $deliveries->today) {
            return "{$says} what it misses, to keep its date";
        }
        $missing = array_filter($order->readiness->blocks(), fn (WaitsFor $one): bool => ! $one->isOrdered());
        $here = When::onDay(max([0, ...array_map(fn (WaitsFor $one): int => $one->arrival->at ?? 0, $missing)]));
        $finished = $order->finishAt === null ? '' : ', finished '.When::onDay($order->finishAt);

        return "what it misses is {$says}; ordered today it can be used {$here}{$finished}";
    }

    /**
     * @param  Collection<int, OrderPart>  $components
     * @return Collection<int, UsageDeviation>
     */
    private static function deviations(int $order, Collection $components): Collection
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

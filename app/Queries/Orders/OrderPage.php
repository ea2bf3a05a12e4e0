<?php

namespace App\Queries\Orders;

use App\Queries\Bookings\BookedRow;
use App\Queries\Outside\WorkOrdered;
use App\Reading\Row;
use App\Shop\Deliveries;
use App\Wording\ArrivalWords;
use App\Wording\WaitsFor;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Quantity\Cents;

/** All that the page of one order shows, in a constant number of queries. */
final readonly class OrderPage
{
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
        public bool $takesApart,
    ) {
    }

    public static function of(int $id): ?self
    {
        $found = Row::first(OrderRows::head($id), fn (Row $row): Row => $row);

        return $found === null ? null : self::from($id, $found);
    }

    private static function from(int $id, Row $found): self
    {
        $order = ListedOrder::from($found);
        $deliveries = Deliveries::now();
        $components = OrderRows::components($id);
        $steps = OrderRows::steps($id, $deliveries);

        return new self(
            $order,
            $found->text('reference'),
            $found->textOrNull('revision'),
            PaceStrips::for(collect([$order]))[$order->id],
            $components,
            OrderRows::reservations($id),
            TieCandidate::ofItems($components->map(fn (OrderPart $part): int => $part->itemId)),
            OrderRows::deviations($id, $components),
            $steps,
            OrderRows::ties($id),
            OrderRows::related($id),
            OrderRows::bookings($id),
            OrderRows::changes($id),
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
            $found->flag('takes_apart'),
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
        return $this->ties->isEmpty() && ! $this->order->isForAnOrder() && ! $this->takesApart;
    }

    /** Where it has no steps. */
    public function noStepsSay(): string
    {
        return $this->takesApart
            ? 'None: it was taken apart.'
            : 'None: it is put together of its components, and received.';
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
}

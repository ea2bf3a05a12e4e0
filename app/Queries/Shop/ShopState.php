<?php

namespace App\Queries\Shop;

use App\Models\Calendar;
use App\Models\Cover;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Calendar\WorkingCalendar;
use KeepPace\Core\Planning\Allocated;
use KeepPace\Core\Planning\Allocation;
use KeepPace\Core\Planning\ComponentNeed;
use KeepPace\Core\Planning\Readiness;
use KeepPace\Core\Planning\Supply;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Pin;
use KeepPace\Core\Scheduling\Problem;

/**
 * All open orders with what they need, read in a constant number of queries and handed to core in one pass:
 * rank, allocation, material date per step, schedule, readiness.
 */
final class ShopState
{
    private const OPEN = ['firm', 'released', 'running'];

    private const STEP = ['id', 'order_id', 'number', 'work_centre_id', 'supplier_id', 'taken_in', 'good', 'scrap', 'started_at',
        'planned_minutes', 'setup_minutes', 'run_basis', 'run_rate', 'batch', 'crew', 'wait_minutes', 'move_minutes', 'lead_days', 'alternatives',
        'transfer_quantity'];

    /** @var Collection<int, \stdClass> open orders by id, in rank order */
    public readonly Collection $orders;

    /** @var array<int, list<\stdClass>> open steps by order, with expected_in and left */
    private array $steps = [];

    /** @var array<int, Allocated> by component id */
    public readonly array $allocated;

    /** @var array<int, list<Allocated>> */
    private array $byOrder = [];

    private function __construct(private readonly CarbonImmutable $now)
    {
        $this->orders = DB::table('orders')->whereIn('state', self::OPEN)->orderBy('rank')->orderByRaw('due_on IS NULL, due_on')
            ->orderBy('id')
            ->get(['id', 'number', 'item_id', 'quantity', 'received_quantity', 'state', 'is_held', 'due_on', 'rank', 'for_order_id',
                'released_at', 'owner_id'])->keyBy('id');
        $this->readSteps();
        $this->allocated = $this->allocate();
        foreach ($this->allocated as $allocated) {
            $this->byOrder[$allocated->need->order][] = $allocated;
        }
    }

    public static function now(): self
    {
        return new self(CarbonImmutable::now());
    }

    /**
     * The schedule's input.
     *
     * @param  int  $days  how far ahead open time is looked up
     * @param  list<int>  $buying  orders whose missing parts are taken to be bought now and to come after their lead time
     * @param  array<int, array{int, Pin}>  $pins  by step id: the work centre and where on it a person has put the step
     */
    public function problem(int $days, array $buying = [], array $pins = []): Problem
    {
        $leadDays = $buying === [] ? [] : $this->leadDays($buying);
        $now = self::minute($this->now);
        $capacity = new Capacity($now, $days);
        $input = new StepInput($capacity, $now);
        $jobs = [];
        foreach ($this->orders as $order) {
            if ($order->is_held) {
                continue;
            }
            $first = $this->firstStep($order->id);
            $steps = [];
            foreach ($this->steps[$order->id] ?? [] as $place => $step) {
                [$materialAt, $after] = $this->material($order->id, $step->number, $first, in_array($order->id, $buying, true) ? $leadDays : []);
                $steps[] = $input->step($step, $order->quantity, $this->steps[$order->id][$place + 1] ?? null, $materialAt, $after, $pins[$step->id] ?? null);
            }
            $jobs[] = new Job($order->id, "order {$order->number}", $order->rank, $this->dueMinute($order->due_on), $steps);
        }

        return new Problem($now, $capacity->workCentres, [...$jobs, ...HeldPromises::jobs($now)], $capacity->crews,
            $this->plantCalendar()?->windows($now - 120 * 1440, $now + $days * 1440));
    }

    /** Its next step is at a supplier, with the pieces. */
    public function isOutside(int $order): bool
    {
        $step = $this->steps[$order][0] ?? null;

        return $step !== null && $step->supplier_id !== null && $step->started_at !== null;
    }

    /** @param  array<int, int>  $finish by order id, from the schedule */
    public function readiness(int $order, array $finish): Readiness
    {
        return Readiness::of($this->byOrder[$order] ?? [], $this->firstStep($order), $finish);
    }

    /**
     * Parts a release would be short of: not ordered at all, or not there for the first step.
     *
     * @return list<string>
     */
    public function shortItems(int $order): array
    {
        $first = $this->firstStep($order);
        $short = array_filter($this->byOrder[$order] ?? [], fn (Allocated $row): bool => $row->missing->isPositive()
            || (! $row->isThere() && $row->need->step <= ($first ?? PHP_INT_MAX)));

        return array_values(array_unique(array_map(fn (Allocated $row): string => $row->need->itemName, $short)));
    }

    /**
     * Parts of these orders that neither stock nor anything ordered will give.
     *
     * @param  list<int>  $orders
     * @return array<string, int> lead time in days, by what it is called
     */
    public function mustBeBought(array $orders): array
    {
        $days = $this->leadDays($orders);
        $buy = [];
        foreach ($orders as $order) {
            foreach ($this->byOrder[$order] ?? [] as $row) {
                if ($row->missing->isPositive() && isset($days[$row->need->item])) {
                    $buy[$row->need->itemName] = $days[$row->need->item];
                }
            }
        }

        return $buy;
    }

    public function dueMinute(?string $dueOn): ?int
    {
        return $dueOn === null ? null : self::minute(CarbonImmutable::parse($dueOn.' '.config()->string('pace.due_hour'), config()
            ->string('pace.zone')));
    }

    public static function minute(\DateTimeInterface $time): int
    {
        return intdiv($time->getTimestamp(), 60);
    }

    public function plantCalendar(): ?WorkingCalendar
    {
        return Calendar::query()->with(['shifts', 'days'])->firstWhere('code', config()->string('pace.calendar'))?->toCore();
    }

    /**
     * @param  list<int>  $orders
     * @return array<int, int> by item
     */
    private function leadDays(array $orders): array
    {
        $items = array_merge(...array_map(fn (int $order): array => array_map(fn (Allocated $row): int => $row->need->item, $this->byOrder[$order] ?? []),
            $orders));

        return DB::table('items')->whereIn('id', $items)->pluck('lead_days', 'id')->map(fn ($days): int => (int) $days)->all();
    }

    private function readSteps(): void
    {
        $expected = [];
        foreach (DB::table('order_steps')->whereIn('order_id', $this->orders->keys())->orderBy('order_id')->orderBy('number')
            ->get(self::STEP) as $step) {
            $order = $this->orders[$step->order_id];
            $in = $expected[$step->order_id]
                ?? ($order->released_at === null ? BigDecimal::of($order->quantity) : BigDecimal::of($step->taken_in));
            $left = $in->minus($step->good)->minus($step->scrap);
            $expected[$step->order_id] = $in->minus($step->scrap);
            if ($left->isPositive()) {
                $step->left = $left;
                $this->steps[$step->order_id][] = $step;
            }
        }
    }

    private function firstStep(int $order): ?int
    {
        return isset($this->steps[$order][0]) ? $this->steps[$order][0]->number : null;
    }

    /** @return array<int, Allocated> */
    private function allocate(): array
    {
        $components = DB::table('order_components AS c')->join('items AS i', 'i.id', 'c.item_id')
            ->whereIn('c.order_id', $this->orders->keys())->whereRaw('c.planned_quantity > c.used_quantity + c.replaced_quantity')
            ->get(['c.id', 'c.order_id', 'c.item_id', 'c.step_number', 'c.planned_quantity', 'c.used_quantity', 'c.replaced_quantity', 'c.supplied_by', 'i.name', 'i.number'])
            ->groupBy('order_id');
        $items = $components->flatten(1)->pluck('item_id')->unique()->values();
        $needs = [];
        $owned = [];
        foreach ($this->orders as $order) {
            foreach ($order->is_held ? [] : $components[$order->id] ?? [] as $row) {
                if ($row->supplied_by === 'customer') {
                    $owned[$row->id] = (int) $order->owner_id;
                }
                $needs[] = new ComponentNeed($row->id, $order->id, $row->item_id, $row->name, $row->step_number,
                    BigDecimal::of($row->planned_quantity)->minus($row->used_quantity)->minus($row->replaced_quantity));
            }
        }
        $promised = Cover::query()->whereIn('item_id', $items)->where('quantity', '>', 0)->groupBy('item_id', 'supply', 'order_id')
            ->selectRaw('item_id, order_id, SUM(quantity) AS quantity')->toBase()->get();
        $stock = [];
        foreach (DB::table('balances AS b')->join('places AS p', 'p.id', 'b.place_id')->whereIn('b.item_id', $items)
            ->where('p.kind', 'store')
            ->where('b.condition', 'free')->where('b.owner_id', 0)->groupBy('b.item_id')
            ->selectRaw('b.item_id, SUM(b.quantity) AS quantity')->get() as $row) {
            $stock[$row->item_id] = BigDecimal::of($row->quantity);
        }
        $kept = [];
        foreach ($promised as $row) {
            if ($row->order_id === null && isset($stock[$row->item_id])) {
                $stock[$row->item_id] = $stock[$row->item_id]->minus($row->quantity);
            } else {
                $kept[$row->order_id] = BigDecimal::of($row->quantity);
            }
        }

        $reserved = [];
        foreach (DB::table('reservations')->whereIn('item_id', $items)->where('quantity', '>', 0)->groupBy('order_id', 'item_id')->selectRaw('order_id, item_id, SUM(quantity) AS quantity')->get() as $row) {
            $reserved["{$row->order_id}-{$row->item_id}"] = BigDecimal::of($row->quantity);
        }
        $own = $this->customersOwn($needs, $owned);

        return Allocation::of($own['ours'], $stock, [...$this->purchases($items), ...$this->ordersComing($items, $kept)], $reserved) + $own['theirs'];
    }

    /**
     * Needs of a customer's own material are met from what that customer has sent, never from ours.
     *
     * @param  list<ComponentNeed>  $needs
     * @param  array<int, int>  $owned  customer by component
     * @return array{ours: list<ComponentNeed>, theirs: array<int, Allocated>}
     */
    private function customersOwn(array $needs, array $owned): array
    {
        $theirs = array_filter($needs, fn (ComponentNeed $need): bool => isset($owned[$need->id]));
        $result = [];
        $stock = $theirs === [] ? collect() : DB::table('balances AS b')->join('places AS p', 'p.id', 'b.place_id')->where('p.kind', 'store')->where('b.condition', 'free')
            ->whereIn('b.owner_id', array_values($owned))->whereIn('b.item_id', array_map(fn (ComponentNeed $need): int => $need->item, $theirs))
            ->groupBy('b.owner_id', 'b.item_id')->selectRaw('b.owner_id, b.item_id, SUM(b.quantity) AS quantity')->get();
        foreach ($stock->groupBy('owner_id') as $owner => $rows) {
            $result += Allocation::of(array_values(array_filter($theirs, fn (ComponentNeed $need): bool => $owned[$need->id] === $owner)),
                $rows->mapWithKeys(fn ($row): array => [$row->item_id => BigDecimal::of($row->quantity)])->all(), []);
        }
        $result += Allocation::of(array_values(array_filter($theirs, fn (ComponentNeed $need): bool => ! isset($result[$need->id]))), [], []);

        return ['ours' => array_values(array_filter($needs, fn (ComponentNeed $need): bool => ! isset($owned[$need->id]))), 'theirs' => $result];
    }

    /**
     * @param  Collection<int, mixed>  $items
     * @return list<Supply>
     */
    private function purchases(Collection $items): array
    {
        return array_values(DB::table('purchases')->where('is_open', true)->whereIn('item_id', $items)->orderBy('expected_on')->get()
            ->map(fn ($row): Supply => new Supply("purchase {$row->number}", $row->item_id, BigDecimal::of($row->quantity)
                ->minus($row->received_quantity)->minus($row->cancelled_quantity),
                at: max(self::minute($this->now),
                    self::minute(CarbonImmutable::parse("{$row->expected_on} 08:00", config()->string('pace.zone'))))))->all());
    }

    /**
     * @param  Collection<int, mixed>  $items
     * @param  array<int, BigDecimal>  $kept  promised to customer lines, by order
     * @return list<Supply>
     */
    private function ordersComing(Collection $items, array $kept): array
    {
        $wanted = array_flip($items->all());
        $supplies = [];
        foreach ($this->orders as $order) {
            $open = BigDecimal::of($order->quantity)->minus($order->received_quantity)->minus($kept[$order->id] ?? BigDecimal::zero());
            if (isset($wanted[$order->item_id]) && $open->isPositive()) {
                $supplies[] = new Supply("order {$order->number}", $order->item_id, $open, order: $order->id,
                    forOrder: isset($this->orders[$order->for_order_id]) ? $order->for_order_id : null);
            }
        }

        return $supplies;
    }

    /**
     * Not before this minute, and after these orders. What nothing is ordered for holds nothing back in time:
     * it is said by readiness, not guessed at by the schedule.
     *
     * @param  array<int, int>  $leadDays  by item, where what is missing is taken to be bought now
     * @return array{int, list<int>}
     */
    private function material(int $order, int $step, ?int $first, array $leadDays): array
    {
        $at = 0;
        $after = [];
        foreach ($this->byOrder[$order] ?? [] as $row) {
            if (max($row->need->step, $first ?? 0) === $step) {
                foreach ($row->coming as ['supply' => $supply]) {
                    $supply->order === null ? $at = max($at, (int) $supply->at) : $after[] = $supply->order;
                }
                if ($row->missing->isPositive() && isset($leadDays[$row->need->item])) {
                    $at = max($at, self::minute($this->now) + $leadDays[$row->need->item] * 1440);
                }
            }
        }

        return [$at, $after];
    }
}

<?php

namespace App\Queries\Shop;

use App\Models\Order;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Calendar\WorkingCalendar;
use KeepPace\Core\Planning\Allocated;
use KeepPace\Core\Planning\Arrival;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Planning\Readiness;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Pin;
use KeepPace\Core\Scheduling\Problem;

/**
 * All open orders with what they need, read in a constant number of queries and handed to core in one pass:
 * rank, allocation, material date per step, schedule, readiness.
 */
final class ShopState
{
    /** Dealing out again changes who waits for whom less each time. */
    private const PASSES = 4;

    private const OPEN = ['firm', 'released', 'running'];

    private const STEP = ['id', 'order_id', 'number', 'work_centre_id', 'supplier_id', 'taken_in', 'good', 'scrap', 'passed_on', 'started_at', 'spell_from',
        'planned_minutes', 'setup_minutes', 'run_basis', 'run_rate', 'batch', 'crew', 'wait_minutes', 'move_minutes', 'lead_time_days', 'alternatives',
        'transfer_quantity'];

    /** @var Collection<int, \stdClass> open orders by id, with ->standing (a Standing), by that */
    public Collection $orders;

    /** @var array<int, list<\stdClass>> open steps by order, with expected_in and left */
    private array $steps = [];

    /** @var array<int, Allocated> by component id */
    public array $allocated = [];

    /** @var array<int, list<Allocated>> */
    private array $byOrder = [];

    public readonly ?WorkingCalendar $plant;

    public readonly Deliveries $deliveries;

    /** @var array<int, int> of what nothing is ordered for, by item; 0 = not known */
    private readonly array $leadTimeDays;

    /** @var array<int, Arrival> of what nothing is ordered for, by item */
    public readonly array $ifOrdered;

    /** @param  list<int>  $first */
    private function __construct(private readonly CarbonImmutable $now, array $first)
    {
        $orders = DB::table('orders')
            ->whereIn('state', self::OPEN)
            ->orderBy('rank')
            ->orderByRaw('due_on IS NULL, due_on')
            ->orderBy('id')
            ->get(['id', 'number', 'item_id', 'quantity', 'received_quantity', 'state', 'is_held', 'due_on', 'rank', 'for_order_id',
                'released_at', 'owner_id'])->keyBy('id');
        $this->orders = $orders;
        $this->plant = Deliveries::plant();
        $this->deliveries = new Deliveries($this->plant ?? Deliveries::everyDay(), self::minute($now));
        $this->readSteps();
        $this->dealOut($orders->only($first)->keys()->all());
        $missing = [];
        foreach ($this->allocated as $allocated) {
            $this->byOrder[$allocated->need->order][] = $allocated;
            if ($allocated->missing->isPositive()) {
                $missing[$allocated->need->item] = true;
            }
        }
        $this->leadTimeDays = DB::table('items')->whereIn('id', array_keys($missing))->pluck('lead_time_days', 'id')
            ->map(fn ($days): int => (int) $days)->all();
        $this->ifOrdered = array_map($this->deliveries->ifOrdered(...), $this->leadTimeDays);
    }

    /** @param  list<int>  $first  orders that are taken to go before all others */
    public static function now(array $first = []): self
    {
        return new self(CarbonImmutable::now(), $first);
    }

    /**
     * The schedule's input.
     *
     * @param  int  $days  how far ahead open time is looked up
     * @param  array<int, array{int, Pin}>  $pins  by step id: the work centre and where on it a person has put the step
     */
    public function problem(int $days, array $pins = []): Problem
    {
        $now = self::minute($this->now);
        $capacity = new Capacity($now, $days);
        $input = new StepInput($capacity, $now);
        $jobs = [];
        foreach ($this->orders as $order) {
            if ($order->is_held) {
                continue;
            }
            $steps = [];
            foreach ($this->steps[$order->id] ?? [] as $place => $step) {
                [$materialAt, $after] = $this->material($order->id, $step->id);
                $steps[] = $input->step($step, $order->quantity, $this->steps[$order->id][$place + 1] ?? null, $materialAt, $after, $pins[$step->id] ?? null);
            }
            $jobs[] = new Job(
                $order->id,
                "order {$order->number}",
                $order->standing->rank,
                $this->dueMinute($order->due_on),
                $steps,
            );
        }

        return new Problem($now, $capacity->workCentres, [...$jobs, ...HeldPromises::jobs($now)], $capacity->crews,
            $this->plant?->windows($now - 120 * 1440, $now + $days * 1440));
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
        return Readiness::of($this->byOrder[$order] ?? [], $this->firstStep($order), $finish, $this->ifOrdered);
    }

    /**
     * Parts a release would be short of: not ordered at all, or not there for the first step.
     *
     * @return list<Allocated>
     */
    public function shortParts(int $order): array
    {
        $first = $this->firstStep($order);

        return array_values(array_filter(
            $this->byOrder[$order] ?? [],
            fn (Allocated $row): bool => $row->missing->isPositive()
                || (! $row->isThere() && $row->need->step <= ($first ?? PHP_INT_MAX)),
        ));
    }

    /**
     * Parts of these orders that neither stock nor anything ordered will give.
     *
     * @param  list<int>  $orders
     * @return array<string, Arrival> when it could be here if it were ordered today, by what it is called
     */
    public function mustBeBought(array $orders): array
    {
        $buy = [];
        foreach ($orders as $order) {
            foreach ($this->missing($order) as $row) {
                $buy[$row->need->itemName] = $this->ifOrdered[$row->need->item];
            }
        }

        return $buy;
    }

    /** Parts of an order nothing is ordered for. @return list<Allocated> */
    public function missing(int $order): array
    {
        return array_values(array_filter(
            $this->byOrder[$order] ?? [],
            fn (Allocated $row): bool => $row->missing->isPositive(),
        ));
    }

    /** Orders whose output an order waits for. @return list<int> */
    public function waitsFor(int $order): array
    {
        $orders = [];
        foreach ($this->byOrder[$order] ?? [] as $row) {
            foreach ($row->coming as ['supply' => $supply]) {
                $orders[] = $supply->order;
            }
        }

        return array_values(array_unique(array_filter($orders)));
    }

    /**
     * Orders that an order waits for, and those that these wait for: what is needed first comes first.
     *
     * @return list<int>
     */
    public function servants(int $order): array
    {
        $all = [];
        $take = function (int $of) use (&$take, &$all): void {
            foreach ($this->waitsFor($of) as $one) {
                if (! isset($all[$one])) {
                    $all[$one] = false;
                    $take($one);
                    unset($all[$one]);
                    $all[$one] = true;
                }
            }
        };
        $take($order);

        return array_values(array_diff(array_keys($all), [$order]));
    }

    /** The open step a need is for: its own, or the next that is left. */
    public function stepOf(Allocated $row): ?int
    {
        $last = null;
        foreach ($this->steps[$row->need->order] ?? [] as $step) {
            $last = $step->id;
            if ($step->number >= $row->need->step) {
                break;
            }
        }

        return $last;
    }

    /** The last day on which a missing part can be ordered to be there by a minute. */
    public function orderBy(int $item, int $neededAt): string
    {
        return $this->deliveries->orderBy($this->leadTimeDays[$item], $neededAt);
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

    /**
     * Deals out what there is by the orders' standing. What an order waits for stands at least as high as the order
     * itself, for parts and for machines: one put first would else wait for castings dealt out by its gear order's own
     * place. Who waits for whom is known only when it has been dealt out, so it is done until it stays as it is.
     *
     * @param  list<int>  $first  orders that are taken to go before all others
     */
    private function dealOut(array $first): void
    {
        $parts = new PartsGiven($this->orders, $this->deliveries);
        $waiting = [];
        foreach ($this->orders as $order) {
            $waiting[$order->id][] = $order->for_order_id;
        }
        for ($pass = 0; $pass < self::PASSES; $pass++) {
            $was = $this->orders->keys()->all();
            $this->stand($first, $waiting);
            $is = $this->orders->keys()->all();
            if ($pass > 0 && $was === $is) {
                break;
            }
            $this->allocated = $parts->dealt($is);
            foreach ($this->allocated as $row) {
                foreach ($row->coming as ['supply' => $supply]) {
                    if ($supply->order !== null) {
                        $waiting[$supply->order][] = $row->need->order;
                    }
                }
            }
        }
    }

    /**
     * @param  list<int>  $first
     * @param  array<int, list<int|null>>  $waiting  who waits for an order, by order
     */
    private function stand(array $first, array $waiting): void
    {
        foreach ($this->orders as $order) {
            $order->standing = Standing::own($order, in_array($order->id, $first, true));
        }
        do {
            $moved = false;
            foreach ($this->orders as $order) {
                foreach ($waiting[$order->id] ?? [] as $id) {
                    $parent = $id === null || $id === $order->id ? null : $this->orders[$id] ?? null;
                    if ($parent !== null && ! $parent->is_held && $order->standing->isBehind($parent->standing)) {
                        $order->standing = $order->standing->before($parent->standing);
                        $moved = true;
                    }
                }
            }
        } while ($moved);
        $this->orders = $this->orders->sort(
            fn (\stdClass $a, \stdClass $b): int => $a->standing->key <=> $b->standing->key,
        );
    }

    private function readSteps(): void
    {
        $expected = [];
        $alive = [];
        $away = Away::handfuls()->get()->groupBy('order_step_id');
        foreach (DB::table('order_steps')->whereIn('order_id', $this->orders->keys())->orderBy('order_id')->orderBy('number')
            ->get(self::STEP) as $step) {
            $order = $this->orders[$step->order_id];
            $in = $expected[$step->order_id]
                ?? ($order->released_at === null ? BigDecimal::of($order->quantity) : BigDecimal::of($step->taken_in));
            if ($order->released_at !== null) {
                $alive[$step->order_id][] = BigDecimal::of($step->taken_in)
                    ->minus($step->scrap)
                    ->minus($step->passed_on);
            }
            $untouched = $step->good === '0.000000' && $step->scrap === '0.000000'; // most are: no arithmetic for them
            $left = $untouched ? $in : $in->minus($step->good)->minus($step->scrap);
            $expected[$step->order_id] = $untouched ? $in : $in->minus($step->scrap);
            if ($left->isPositive()) {
                $step->left = $left;
                $step->back_at = $this->backAt($step, $away[$step->id] ?? collect());
                $this->steps[$step->order_id][] = $step;
            }
        }
        foreach ($this->orders as $order) {
            $order->will_give = Order::given(OrderState::from($order->state), $order->released_at !== null, BigDecimal::of($order->quantity),
                BigDecimal::of($order->received_quantity), $alive[$order->id] ?? []);
        }
    }

    /**
     * When what is left of a step is back from its supplier; null = nothing is there. What has not gone yet is away for
     * the lead time from now on.
     *
     * @param  Collection<int, \stdClass>  $handfuls
     */
    private function backAt(\stdClass $step, Collection $handfuls): ?int
    {
        if ($handfuls->isEmpty()) {
            return null;
        }
        $away = $handfuls->reduce(
            fn (BigDecimal $sum, \stdClass $one): BigDecimal => $sum->plus($one->away),
            BigDecimal::zero(),
        );
        $back = $handfuls->max(
            fn (\stdClass $one): int => $this->deliveries->back($one->back_at, $one->ask_again_on)->at,
        );

        return $step->left->isGreaterThan($away)
            ? max($back, self::minute($this->now) + $step->lead_time_days * 1440)
            : (int) $back;
    }

    private function firstStep(int $order): ?int
    {
        return isset($this->steps[$order][0]) ? $this->steps[$order][0]->number : null;
    }

    /**
     * Not before this minute, and after these orders. What nothing is ordered for is taken to be ordered or made today.
     *
     * @return array{int, list<int>}
     */
    private function material(int $order, int $step): array
    {
        $at = 0;
        $after = [];
        foreach ($this->byOrder[$order] ?? [] as $row) {
            if ($this->stepOf($row) === $step) {
                foreach ($row->coming as ['supply' => $supply]) {
                    $supply->order === null ? $at = max($at, $supply->arrival->at ?? 0) : $after[] = $supply->order;
                }
                if ($row->missing->isPositive()) {
                    $at = max($at, $this->ifOrdered[$row->need->item]->at);
                }
            }
        }

        return [$at, $after];
    }
}

<?php

namespace App\Queries\Shop;

use App\Models\Calendar;
use App\Models\Order;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Calendar\WorkingCalendar;
use KeepPace\Core\Planning\Allocated;
use KeepPace\Core\Planning\Allocation;
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
    private const OPEN = ['firm', 'released', 'running'];

    private const STEP = ['id', 'order_id', 'number', 'work_centre_id', 'supplier_id', 'taken_in', 'good', 'scrap', 'passed_on', 'started_at', 'spell_from',
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
        $this->allocated = (new PartsGiven($this->orders, self::minute($now)))->allocate();
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
        $alive = [];
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
                $this->steps[$step->order_id][] = $step;
            }
        }
        foreach ($this->orders as $order) {
            $order->will_give = Order::given(OrderState::from($order->state), $order->released_at !== null, BigDecimal::of($order->quantity),
                BigDecimal::of($order->received_quantity), $alive[$order->id] ?? []);
        }
    }

    private function firstStep(int $order): ?int
    {
        return isset($this->steps[$order][0]) ? $this->steps[$order][0]->number : null;
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

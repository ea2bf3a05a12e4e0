<?php

namespace App\Shop;

use App\Reading\Row;
use App\Settings\Setting;
use App\Settings\Settings;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Calendar\WorkingCalendar;
use KeepPace\Core\Planning\Allocated;
use KeepPace\Core\Planning\Arrival;
use KeepPace\Core\Planning\Readiness;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Pin;
use KeepPace\Core\Scheduling\Plan\HeldBack;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;

/**
 * All open orders with what they need, read in a constant number of queries and handed to core in one pass:
 * rank, allocation, material date per step, schedule, readiness.
 */
final class ShopState
{
    /** @var Collection<int, OpenOrder> open orders by id, by their standing */
    public readonly Collection $orders;

    /** @var Collection<int, OpenOrder> by id, as they were read */
    private readonly Collection $open;

    public readonly PartsDealt $parts;

    /** Where the numbers of what stands for an order without steps begin: below those of held promises. */
    private const WITHOUT_STEPS = -1_000_000_000;

    public readonly OpenSteps $steps;

    public readonly ?WorkingCalendar $plant;

    public readonly Deliveries $deliveries;

    /** @var array<int, LeadTime> of what nothing is ordered for, by item */
    private readonly array $leadTimes;

    /** @var array<int, Arrival> of what nothing is ordered for, by item */
    public readonly array $ifOrdered;

    /**
     * @param  list<int>  $first
     * @param  self|null  $read  the same shop, of which only the parts are dealt out otherwise
     */
    private function __construct(
        private readonly CarbonImmutable $now,
        private readonly array $first,
        Supposed $supposed,
        ?self $read = null,
    ) {
        $this->open = $read === null
            ? OpenOrder::all()
            : $read->open->map(fn (OpenOrder $one): OpenOrder => clone $one);
        $this->plant = $read === null ? PlantCalendar::known() : $read->plant;
        $this->deliveries = $read->deliveries
            ?? new Deliveries($this->plant ?? PlantCalendar::orEveryDay(), self::minute($now));
        $this->steps = $read->steps ?? new OpenSteps($this->open, $this->deliveries, self::minute($now));
        $this->parts = new PartsDealt(
            new PartsGiven($this->open, $this->deliveries, $supposed),
            $this->open,
            array_values(array_intersect($first, $this->open->keys()->all())),
        );
        $this->orders = $this->parts->orders;
        $this->leadTimes = self::leadTimes($this->parts->missingItems());
        $this->ifOrdered = array_map($this->deliveries->ifOrdered(...), $this->leadTimes);
    }

    /** @param  list<int>  $first  orders that are taken to go before all others */
    public static function now(array $first = []): self
    {
        return new self(CarbonImmutable::now(), $first, Supposed::nothing());
    }

    /** The shop that was read, with its parts dealt out as if it were so: a third of the time to read it all anew. */
    public function supposing(Supposed $supposed): self
    {
        return new self($this->now, $this->first, $supposed, $this);
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
        $days = $this->untilLoadedLate($days);
        $capacity = new Capacity($now, $days);
        $input = new StepInput($capacity, $this->deliveries, $now, $now + $days * 1440);
        $plant = $this->plant?->windows($now - 120 * 1440, $now + $days * 1440);
        $held = new HeldBack($capacity->workCentres, $plant, Settings::whole(Setting::LateMargin));
        $jobs = [];
        foreach ($this->orders as $id => $order) {
            if ($order->isHeld) {
                continue;
            }
            $job = new Job(
                $id,
                "order {$order->number}",
                $order->standing->rank,
                $this->dueMinute($order->dueOn),
                $this->stepsOf($order, $input, $pins),
            );
            $jobs[] = $this->isLoadedLate($order) ? $held->job($job) : $job;
        }

        return new Problem($now, $capacity->workCentres, [...$jobs, ...HeldPromises::jobs($now)], $capacity->crews,
            $plant);
    }

    /**
     * @param  array<int, array{int, Pin}>  $pins  by step id
     * @return list<Step>
     */
    private function stepsOf(OpenOrder $order, StepInput $input, array $pins): array
    {
        $steps = [];
        $open = $this->steps->of($order->id);
        foreach ($open as $place => $step) {
            [$at, $after] = $this->material($order->id, $step->id);
            $next = $open[$place + 1] ?? null;
            $steps[] = $input->step($step, $order->quantity, $next, $at, $after, $pins[$step->id] ?? null);
        }
        if ($this->steps->areNone($order->id)) {
            // put together when all is there, in the minute before: it takes no machine and stands on no board
            [$at, $after] = $this->arrives($this->parts->of($order->id));
            $number = self::WITHOUT_STEPS - $order->id;
            $steps[] = new Step($number, null, 1, materialAt: max(0, $at - 1), afterJobs: $after);
        }

        return $steps;
    }

    /** By itself, or because all are; without a date nothing is. */
    private function isLoadedLate(OpenOrder $order): bool
    {
        return $order->dueOn !== null
            && ($order->isLoadedLate || Settings::text(Setting::Loading) === Setting::LATE);
    }

    /** What is loaded as late as its date allows has its open time there: as many days are looked up. */
    private function untilLoadedLate(int $days): int
    {
        $late = $this->orders->filter(fn (OpenOrder $order): bool => $this->isLoadedLate($order));
        $due = $late->map(fn (OpenOrder $order): int => (int) $this->dueMinute($order->dueOn))->all();
        $until = intdiv(max([0, ...$due]) - self::minute($this->now), 1440) + 2;

        return max($days, min($until, config()->integer('pace.horizon_days')));
    }

    /** The order without steps that this number of a step stands for; null = it is a step. */
    public static function orderWithoutSteps(int $step): ?int
    {
        return $step <= self::WITHOUT_STEPS ? self::WITHOUT_STEPS - $step : null;
    }

    /** @param  array<int, int>  $finish by order id, from the schedule */
    public function readiness(int $order, array $finish): Readiness
    {
        return Readiness::of(
            $this->parts->of($order),
            $this->steps->first($order),
            $finish,
            $this->ifOrdered,
            $this->steps->areNone($order),
        );
    }

    /**
     * Parts a release would be short of: not ordered at all, or not there for the first step.
     *
     * @return list<Allocated>
     */
    public function shortParts(int $order): array
    {
        $first = $this->steps->first($order);

        return array_values(array_filter(
            $this->parts->of($order),
            fn (Allocated $row): bool => $row->missing->isPositive()
                || (! $row->isThere() && $row->need->step <= ($first ?? PHP_INT_MAX)),
        ));
    }

    /** What a component of an order is to get by rank; null = it wants nothing any more. */
    public function part(int $order, int $component): ?Allocated
    {
        foreach ($this->parts->of($order) as $part) {
            if ($part->need->id === $component) {
                return $part;
            }
        }

        return null;
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
            foreach ($this->parts->missing($order) as $row) {
                $buy[$row->need->itemName] = $this->ifOrdered[$row->need->item];
            }
        }

        return $buy;
    }

    /** The last day on which a missing part can be ordered to be there by a minute. */
    public function orderBy(int $item, int $neededAt): string
    {
        return $this->deliveries->orderBy($this->leadTimes[$item], $neededAt);
    }

    public function dueMinute(?string $dueOn): ?int
    {
        return $dueOn === null
            ? null
            : self::minute(
                CarbonImmutable::parse($dueOn.' '.Settings::text(Setting::DueHour), config()->string('pace.zone')),
            );
    }

    /**
     * @param  list<int>  $items
     * @return array<int, LeadTime> by item
     */
    private static function leadTimes(array $items): array
    {
        $rows = LeadTime::on(DB::table('items AS i')->whereIn('i.id', $items)->select('i.id'));
        $times = [];
        foreach (Row::all($rows, fn (Row $row): Row => $row) as $row) {
            $times[$row->int('id')] = LeadTime::from($row);
        }

        return $times;
    }

    /** SQL for the UTC minute of a column that holds a time. */
    public static function minuteOf(string $column): string
    {
        return "TIMESTAMPDIFF(MINUTE, '1970-01-01', {$column})";
    }

    public static function minute(\DateTimeInterface $time): int
    {
        return intdiv($time->getTimestamp(), 60);
    }

    /**
     * Not before this minute, and after these orders. What nothing is ordered for is taken to be ordered or made today.
     *
     * @return array{int, list<int>}
     */
    private function material(int $order, int $step): array
    {
        return $this->arrives(array_values(array_filter(
            $this->parts->of($order),
            fn (Allocated $row): bool => $this->steps->takes($row->need) === $step,
        )));
    }

    /**
     * @param  list<Allocated>  $parts
     * @return array{int, list<int>}
     */
    private function arrives(array $parts): array
    {
        $at = 0;
        $after = [];
        foreach ($parts as $row) {
            foreach ($row->coming as ['supply' => $supply]) {
                $order = $supply->by->orderId();
                $order === null ? $at = max($at, $supply->arrival->at ?? 0) : $after[] = $order;
            }
            if ($row->missing->isPositive()) {
                $at = max($at, $this->ifOrdered[$row->need->item]->at);
            }
        }

        return [$at, $after];
    }
}

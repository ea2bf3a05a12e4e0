<?php

namespace App\Shop;

use App\Models\Item;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\PurchaseLine;
use App\Models\SupplierItem;
use App\Wording\Figures;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use KeepPace\Core\Planning\Allocated;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Lever\Levers;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;

/**
 * What could be done about the material an order waits for: a purchase hurried, bought of another supplier, taken from
 * an order that needs it later, another item in its place. Each is supposed, and tried; what it does to the material of
 * steps is kept as the lever.
 *
 * @phpstan-import-type Kept from LeverDeed
 *
 * @phpstan-type Lever array{kind: string, steps: array<int, array{int, list<int>}>, says: string,
 *     deed: Kept, costs?: string}
 */
final class MaterialLevers
{
    /** So many purchases, those that come last, and so many orders to take from are tried. */
    private const TRIED = 3;

    /** Each of these is searched, which takes a part of a second. */
    private const MOST = 8;

    private readonly ShopState $shop;

    private readonly Problem $now;

    private readonly Deliveries $deliveries;

    private readonly string $number;

    private ?int $finish = null;

    /** @param  Problem  $problem  the plan was computed from */
    public function __construct(
        private readonly StandingPlan $standing,
        private readonly Problem $problem,
        private readonly int $order,
    ) {
        $this->shop = $standing->shop();
        $this->now = $standing->near($this->shop);
        $this->deliveries = Deliveries::now();
        $this->number = Order::query()->findOrFail($order)->number;
    }

    /** @return list<Lever> */
    public function all(): array
    {
        $orders = [...$this->shop->parts->servants($this->order), $this->order];
        $waits = [];
        foreach ($orders as $order) {
            foreach ($this->shop->parts->of($order) as $row) {
                $row->isThere() ?: $waits[] = $row;
            }
        }
        $levers = [];
        foreach ($this->purchases($waits) as $line) {
            array_push($levers, $this->hurried($line), ...$this->ofOthers($line));
        }
        foreach ($waits as $row) {
            array_push($levers, ...$this->taken($row), ...$this->substituted($row));
        }

        return array_slice(array_values(array_filter($levers)), 0, self::MOST);
    }

    /**
     * @param  list<Allocated>  $waits
     * @return Collection<int, PurchaseLine> the order waits for, what comes last first
     */
    private function purchases(array $waits): Collection
    {
        $lines = [];
        foreach ($waits as $row) {
            foreach ($row->coming as ['supply' => $supply]) {
                $supply->by->isPurchase() && ($lines[] = $supply->by->id);
            }
        }

        return PurchaseLine::query()
            ->with('order.supplier', 'item.unit')
            ->whereKey(array_unique($lines))
            ->get()
            ->sortByDesc(fn (PurchaseLine $line): string => $this->comes($line))
            ->take(self::TRIED)
            ->values();
    }

    /** The day that is planned with. */
    private function comes(PurchaseLine $line): string
    {
        return $this->deliveries->ordered($line->expected_on, $line->ask_again_on)->on ?? $line->expected_on;
    }

    /**
     * The last day on which it would help as much as tomorrow: nobody is asked to hurry more than that.
     *
     * @return Lever|null
     */
    private function hurried(PurchaseLine $line): ?array
    {
        $is = $this->comes($line);
        $days = [];
        for ($day = $this->deliveries->plant->workingDaysFrom($this->deliveries->today, 1); $day < $is;) {
            $days[] = $day;
            $day = $this->deliveries->plant->workingDaysFrom($day, 1);
        }
        if ($days === []) {
            return null;
        }
        [$best, $steps] = $this->finishIf(Supposed::comes($line->id, $days[0]));
        if ($best >= $this->finish()) {
            return null;
        }
        [$low, $high, $on] = [1, count($days) - 1, $days[0]];
        while ($low <= $high) {
            $middle = intdiv($low + $high, 2);
            [$finish, $with] = $this->finishIf(Supposed::comes($line->id, $days[$middle]));
            if ($finish <= max($best, $this->due())) {
                [$low, $on, $steps] = [$middle + 1, $days[$middle], $with];
            } else {
                $high = $middle - 1;
            }
        }

        $open = $line->openQuantity();
        $part = BigDecimal::min($open, $this->wantedOf($line));
        $isPart = $part->isPositive() && $part->isLessThan($open);
        $what = self::what($line->item, $isPart ? $part : $open).($isPart ? ' of '.Figures::amount($open) : '');

        return $this->lever(
            $steps,
            "Hurry {$line->number} of {$line->order->supplier->name}, {$what}, to ".When::day($on).' instead of '
                .When::day($is),
            $isPart ? $this->askForPart($line, $part, $on) : $this->askFor($line, $is, $on),
        );
    }

    /** Of a line, as much as the order and those that are made for it wait for. */
    private function wantedOf(PurchaseLine $line): BigDecimal
    {
        $wanted = BigDecimal::zero();
        foreach ([...$this->shop->parts->servants($this->order), $this->order] as $order) {
            foreach ($this->shop->parts->of($order) as $row) {
                foreach ($row->coming as ['supply' => $supply, 'quantity' => $quantity]) {
                    $isOfIt = $supply->by->isPurchase() && $supply->by->id === $line->id;
                    $wanted = $isOfIt ? $wanted->plus($quantity) : $wanted;
                }
            }
        }

        return $wanted;
    }

    private function askFor(PurchaseLine $line, string $is, string $on): LeverDeed
    {
        return new LeverDeed('Ask for it', 'purchase', 'put', 'purchases.update', $line->id, [
            // as it was given, though it may be a closed day
            'expected_on' => "{$is}!",
            'asked_for' => $on,
            'reason' => "order {$this->number} waits for it",
        ]);
    }

    private function askForPart(PurchaseLine $line, BigDecimal $part, string $on): LeverDeed
    {
        return new LeverDeed('Ask for so much', 'purchase', 'post', 'purchase-lines.part', $line->id, [
            'quantity' => Amount::plain($part),
            'asked_for' => $on,
            'reason' => "order {$this->number} waits for it",
        ]);
    }

    /** @return list<Lever> */
    private function ofOthers(PurchaseLine $line): array
    {
        $open = $line->order->lines->filter(fn (PurchaseLine $one): bool => $one->openQuantity()->isPositive());
        if ($open->count() !== 1) {
            return [];
        }
        $others = SupplierItem::query()
            ->with('supplier', 'prices')
            ->where('item_id', $line->item_id)
            ->where('supplier_id', '<>', $line->order->supplier_id)
            ->get();
        $levers = [];
        foreach ($others as $terms) {
            $on = $this->deliveries->comesOn(LeadTime::agreed($line->item, $terms->supplier_id, $terms));
            if ($terms->supplier->retired_at !== null || $on >= $this->comes($line)) {
                continue;
            }
            $levers[] = $this->tried(
                Supposed::comes($line->id, $on),
                self::saysOther($line, $terms, $on),
                new LeverDeed('Put it on a draft there', 'purchase', 'put', 'purchase-orders.supplier',
                    $line->purchase_order_id, [
                        'version' => $line->order->version,
                        'supplier' => $terms->supplier_id,
                        'reason' => "order {$this->number} waits for it",
                    ]),
                self::costsOther($line, $terms),
            );
        }

        return array_values(array_filter($levers));
    }

    private static function saysOther(PurchaseLine $line, SupplierItem $terms, string $on): string
    {
        return "Buy what is open of {$line->number}, ".self::what($line->item, $line->openQuantity())
            .", of {$terms->supplier->name}: here on ".When::day($on);
    }

    private static function costsOther(PurchaseLine $line, SupplierItem $terms): string
    {
        $price = $terms->breaks()?->price($line->openQuantity());

        return $price === null
            ? ''
            : Figures::price((string) $price).' € each instead of '.Figures::price($line->price).' €';
    }

    /**
     * What stock gives to orders that are due later.
     *
     * @return list<Lever>
     */
    private function taken(Allocated $row): array
    {
        $short = $row->need->open->minus($row->fromStock);
        $due = $this->shop->orders[$row->need->order]->dueOn ?? '9999';
        $givers = array_filter(
            $this->shop->parts->allocated,
            fn (Allocated $other): bool => $other->need->item === $row->need->item
                && $other->fromStock->isPositive()
                && ($this->shop->orders[$other->need->order]->dueOn ?? '9999') > $due,
        );
        usort($givers, fn (Allocated $a, Allocated $b): int => $this->dueOf($b) <=> $this->dueOf($a));
        $item = Item::query()->with('unit')->findOrFail($row->need->item);
        $levers = [];
        foreach (array_slice($givers, 0, self::TRIED) as $giver) {
            $take = BigDecimal::min($short, $giver->fromStock);
            $levers[] = $this->tried(
                Supposed::kept($row->need->order, $item->id, $take),
                'Take '.self::what($item, $take)." from order {$this->shop->orders[$giver->need->order]->number}, due "
                    .When::day($this->shop->orders[$giver->need->order]->dueOn ?? ''),
                new LeverDeed('Keep it for this one', 'reserve', 'post', 'reservations.store', 0, [
                    'order' => $row->need->order,
                    'item' => $item->id,
                    'quantity' => Amount::plain($take),
                    'reason' => 'needed sooner',
                ]),
            );
        }

        return array_values(array_filter($levers));
    }

    private function dueOf(Allocated $row): string
    {
        return $this->shop->orders[$row->need->order]->dueOn ?? '9999';
    }

    /**
     * Where all of another item that may stand in is there, and nothing of the part was used yet.
     *
     * @return list<Lever>
     */
    private function substituted(Allocated $row): array
    {
        $component = OrderComponent::query()->with('item.unit')->findOrFail($row->need->id);
        if (! $component->openQuantity()->isEqualTo($component->planned_quantity)) {
            return [];
        }
        $order = Order::query()->findOrFail($component->order_id);
        $levers = [];
        foreach (MayStandIn::today($component->item_id) as $other) {
            $quantity = $other->instead($row->need->open);
            if ($other->free->isLessThan($quantity)) {
                continue;
            }
            $levers[] = $this->tried(
                Supposed::instead($component->id, $other->id, $quantity),
                'Use '.Figures::amount($quantity)." {$other->unit} {$other->number} {$other->name} in place of "
                    .$component->item->label()." for order {$order->number}",
                new LeverDeed('Put it in its place', 'change-order', 'put', 'order-components.swap', $component->id, [
                    'version' => $order->version,
                    'item' => $other->number,
                    'quantity' => Amount::plain($quantity),
                    'reason' => "{$component->item->number} comes too late",
                ]),
            );
        }

        return array_values(array_filter($levers));
    }

    /** @return Lever|null null = it changes nothing about any step */
    private function tried(Supposed $supposed, string $says, LeverDeed $deed, string $costs = ''): ?array
    {
        [, $steps] = $this->finishIf($supposed);

        return $steps === [] ? null : [...$this->lever($steps, $says, $deed), 'costs' => $costs];
    }

    /**
     * @param  array<int, array{int, list<int>}>  $steps
     * @return Lever
     */
    private function lever(array $steps, string $says, LeverDeed $deed): array
    {
        return ['kind' => PlanLever::MATERIAL, 'steps' => $steps, 'says' => $says, 'deed' => $deed->kept()];
    }

    /**
     * When the order would be finished in the sequences that stand, were it so.
     *
     * @return array{int, array<int, array{int, list<int>}>} UTC minute, and what differs in material
     */
    private function finishIf(Supposed $supposed): array
    {
        $steps = Levers::materialOf($this->now, $this->standing->near($this->standing->shop($supposed)));

        return [$this->finishOf(Levers::material($this->problem, $steps)), $steps];
    }

    private function finish(): int
    {
        return $this->finish ??= $this->finishOf($this->problem);
    }

    /** In the sequences that stand, or taken out of them and put in again where it can go now. */
    private function finishOf(Problem $problem): int
    {
        $steps = $this->standing->steps();
        $own = array_flip(array_map(fn (Step $step): int => $step->id, $this->job()->steps ?? []));
        $finish = array_map(
            fn (array $kept): int => KeptSequence::load($problem, $kept)->finish[$this->order] ?? PHP_INT_MAX,
            [$steps, array_diff_key($steps, $own)],
        );

        return min($finish);
    }

    private function job(): ?Job
    {
        foreach ($this->problem->jobs as $job) {
            if ($job->id === $this->order) {
                return $job;
            }
        }

        return null;
    }

    private function due(): int
    {
        return $this->job()->due ?? 0;
    }

    private static function what(Item $item, BigDecimal $quantity): string
    {
        return Figures::amount($quantity)." {$item->unit->code} {$item->number}";
    }
}

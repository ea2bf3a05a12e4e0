<?php

namespace App\Shop;

use App\Models\PurchaseLine;
use App\Models\SupplierItem;
use App\Wording\Figures;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use KeepPace\Core\Planning\Allocated;
use KeepPace\Core\Quantity\Amount;

/**
 * What could be done about purchases an order waits for: hurry one, no more than helps, or buy it of another supplier.
 */
final class PurchaseLevers
{
    /** So many purchases, those that come last, are tried. */
    private const TRIED = 3;

    private readonly Deliveries $deliveries;

    /** @param  string  $number  of the order */
    public function __construct(private readonly MaterialTrial $trial, private readonly string $number)
    {
        $this->deliveries = Deliveries::now();
    }

    /**
     * @param  list<Allocated>  $waits
     * @return list<PlanLever|null>
     */
    public function all(array $waits): array
    {
        $levers = [];
        foreach ($this->purchases($waits) as $line) {
            array_push($levers, $this->hurried($line), ...$this->ofOthers($line));
        }

        return $levers;
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

    /** The last day on which it would help as much as tomorrow: nobody is asked to hurry more than that. */
    private function hurried(PurchaseLine $line): ?PlanLever
    {
        $is = $this->comes($line);
        $days = $this->workedUntil($is);
        if ($days === []) {
            return null;
        }
        [$best, $steps] = $this->trial->finishIf(Supposed::comes($line->id, $days[0]));
        if ($best >= $this->trial->finish()) {
            return null;
        }
        [$low, $high, $on] = [1, count($days) - 1, $days[0]];
        while ($low <= $high) {
            $middle = intdiv($low + $high, 2);
            [$finish, $with] = $this->trial->finishIf(Supposed::comes($line->id, $days[$middle]));
            if ($finish <= max($best, $this->trial->due())) {
                [$low, $on, $steps] = [$middle + 1, $days[$middle], $with];
            } else {
                $high = $middle - 1;
            }
        }

        $open = $line->openQuantity();
        $part = BigDecimal::min($open, $this->wantedOf($line));
        $isPart = $part->isPositive() && $part->isLessThan($open);
        $what = MaterialTrial::what($line->item, $isPart ? $part : $open)
            .($isPart ? ' of '.Figures::amount($open) : '');

        return $this->trial->lever(
            $steps,
            "Hurry {$line->number} of {$line->order->supplier->name}, {$what}, to ".When::day($on).' instead of '
                .When::day($is),
            $isPart ? $this->askForPart($line, $part, $on) : $this->askFor($line, $is, $on),
        );
    }

    /** @return list<string> days we work, from the next one on */
    private function workedUntil(string $end): array
    {
        $days = [];
        for ($day = $this->deliveries->plant->workingDaysFrom($this->deliveries->today, 1); $day < $end;) {
            $days[] = $day;
            $day = $this->deliveries->plant->workingDaysFrom($day, 1);
        }

        return $days;
    }

    /** Of a line, as much as the order and those that are made for it wait for. */
    private function wantedOf(PurchaseLine $line): BigDecimal
    {
        $wanted = BigDecimal::zero();
        foreach ($this->trial->orders() as $order) {
            foreach ($this->trial->shop->parts->of($order) as $row) {
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

    /** @return list<PlanLever> */
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
            $levers[] = $this->trial->tried(
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
        return "Buy what is open of {$line->number}, ".MaterialTrial::what($line->item, $line->openQuantity())
            .", of {$terms->supplier->name}: here on ".When::day($on);
    }

    private static function costsOther(PurchaseLine $line, SupplierItem $terms): string
    {
        $price = $terms->breaks()?->price($line->openQuantity());

        return $price === null
            ? ''
            : Figures::price((string) $price).' € each instead of '.Figures::price($line->price).' €';
    }
}

<?php

namespace App\Actions\Purchasing;

use App\Actions\Work\GatheredPrice;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Numbers;
use App\Models\CustomerOrderLine;
use App\Models\Item;
use App\Models\OrderComponent;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Models\Supplier;
use App\Models\SupplierItem;
use App\Shop\Deliveries;
use App\Shop\LeadTime;
use App\Shop\Suppliers;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Carbon\CarbonImmutable;
use KeepPace\Core\Planning\DemandKind;
use KeepPace\Core\Planning\TieDemand;
use KeepPace\Core\Purchasing\PurchaseKind;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Purchasing\PurchaseState;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** Lines that are ordered, within a deed: their terms, and the purchase orders they stand on. */
final class NewPurchases
{
    private readonly Deliveries $deliveries;

    /** @var array<int, PurchaseOrder> made by this deed, by supplier */
    private array $made = [];

    /** @var list<string> what would be cheaper */
    private array $hints = [];

    /** @param  bool  $isDraft  they are not sent yet */
    public function __construct(
        private readonly Ledger $ledger,
        private readonly bool $isDraft,
        private readonly PurchaseKind $kind = PurchaseKind::Goods,
    ) {
        $this->deliveries = Deliveries::now();
    }

    /**
     * @param  list<LineToBuy>  $lines
     * @param  array<int, PurchaseOrder>  $open  to which lines are added, by supplier
     * @return list<string> what was ordered of whom
     *
     * @throws Refused with a sentence for each line that is wrong
     */
    public function write(array $lines, array $open): array
    {
        $wrong = [];
        $bySupplier = [];
        foreach ($lines as $line) {
            try {
                [$supplier, $row] = $this->row($line);
                $bySupplier[$supplier][] = [$line, $row];
            } catch (Refused $refused) {
                $wrong["items.{$line->key}"] = $refused->getMessage();
            }
        }
        if ($wrong !== []) {
            throw new Refused($wrong);
        }
        ksort($bySupplier);
        $said = [];
        foreach ($bySupplier as $supplier => $rows) {
            $said[] = $this->order($supplier, $open[$supplier] ?? $this->made[$supplier] ?? null, $rows);
        }

        return $said;
    }

    /** @return array{int, array<string, mixed>} supplier, and the line */
    private function row(LineToBuy $line): array
    {
        $item = Item::query()->with('unit', 'units.unit')->findOrFail($line->item);
        $item->assertMoreOfIt();
        $supplier = $line->supplier
            ?? $item->supplier_id
            ?? throw PurchaseRefused::noSupplier($item->label());
        $quantity = $item->quantity($line->quantity, $line->unit)->amount;
        $typed = $item->conversion($line->unit ?? $item->unit->code);
        $terms = SupplierItem::of($item->id, $supplier);
        SoldAtLeast::assert($item, $terms, $quantity);

        return [
            $supplier,
            [
                'item_id' => $item->id,
                'quantity' => (string) $quantity,
                'typed_quantity' => $line->quantity,
                'typed_unit_id' => $item->unitId($typed->unit->code),
                'ratio_p' => (string) $typed->ratio->getNumerator(),
                'ratio_q' => (string) $typed->ratio->getDenominator(),
                'price' => $line->charge->price
                    ?? $line->price
                    ?? $this->agreed($item, $terms, $quantity)
                    ?? $item->cost,
                'expected_on' => $this->day($line, $item, $supplier, $terms),
                'words' => $line->words,
                'cost_order_id' => $line->costOrder,
                'order_step_id' => $line->step?->id,
                'setup_cents' => $line->charge->setup ?? 0,
                'minimum_cents' => $line->charge->minimum ?? 0,
            ],
        ];
    }

    /** @throws Refused when it should come before today */
    private function day(LineToBuy $line, Item $item, int $supplier, ?SupplierItem $terms): string
    {
        $expected = $line->expectedOn
            ?? $this->deliveries->comesOn(LeadTime::agreed($item, $supplier, $terms));
        if ($expected < now(config()->string('pace.zone'))->toDateString()) {
            throw PurchaseRefused::dayHasPassed(null);
        }

        return $expected;
    }

    /** What would be cheaper, in a sentence; '' = nothing. */
    public function hint(): string
    {
        return $this->hints === [] ? '' : 'Worth a look: '.implode('; ', $this->hints).'.';
    }

    /** The price agreed with the supplier for so many, in euros; that more would cost less is said. */
    private function agreed(Item $item, ?SupplierItem $terms, BigDecimal $quantity): ?string
    {
        $breaks = $terms?->breaks();
        $cheaper = $breaks?->cheaper($quantity);
        if ($cheaper !== null) {
            $this->hints[] = 'of '.$item->number.' '.Amount::plain($cheaper['more']).' more costs '
                .number_format($cheaper['saves'] / 100, 2).' € less';
        }

        return $breaks === null ? null : (string) $breaks->price($quantity);
    }

    /** @param  list<array{LineToBuy, array<string, mixed>}>  $rows */
    private function order(int $supplier, ?PurchaseOrder $order, array $rows): string
    {
        $isNew = $order === null;
        $today = now(config()->string('pace.zone'))->toDateString();
        $of = Supplier::query()->findOrFail($supplier);
        if ($of->retired_at !== null) {
            throw PurchaseRefused::retired($of->name);
        }
        $order ??= $this->head($of, $today);
        $this->made[$supplier] = $order;
        $place = (int) $order->lines()->max('position');
        foreach ($rows as [$asked, $row]) {
            $line = PurchaseLine::query()->create([
                ...$row,
                'is_draft' => $this->isDraft,
                'purchase_order_id' => $order->id,
                'position' => ++$place,
                'number' => "{$order->number}/{$place}",
            ]);
            $this->tied($line->refresh(), $asked);
            self::madeOf($line, $of);
        }
        $isNew || $this->isDraft ?: $order->changed_on = $today;
        GatheredPrice::settle($order);
        $this->ledger->concernsPurchase($order);
        $this->least($order, $of);

        return count($rows)
            .(count($rows) === 1 ? ' item' : ' items')
            .($isNew ? ' on ' : ' added to ')
            .($this->isDraft ? 'draft ' : '')
            ."{$order->number} of {$of->name}";
    }

    /** Parts of ours go along where the terms say so. */
    private static function madeOf(PurchaseLine $line, Supplier $supplier): void
    {
        $terms = $line->isWork() ? null : SupplierItem::of($line->item_id, $supplier->id);
        foreach ($terms?->parts()->get() ?? [] as $part) {
            GoAlong::put(null, $line, $part->item_id, BigDecimal::of($part->quantity));
        }
    }

    private function head(Supplier $supplier, string $today): PurchaseOrder
    {
        return PurchaseOrder::query()->create([
            'number' => Numbers::next('purchase'),
            'supplier_id' => $supplier->id,
            'kind' => $this->kind,
            'ordered_on' => $today,
            'sent_on' => $this->isDraft ? null : $today,
            'cut_off_on' => $this->kind === PurchaseKind::Service ? self::cutOffOn($supplier, $today) : null,
            'version' => 0,
        ]);
    }

    /** The next day on which the supplier takes orders, if he has such days: what gathers for him goes out then. */
    private static function cutOffOn(Supplier $supplier, string $today): ?string
    {
        $weekdays = Suppliers::weekdays($supplier->orders_on);
        for ($i = 0; $weekdays !== [] && $i < 7; $i++) {
            $day = CarbonImmutable::parse($today)->addDays($i);
            if (in_array($day->isoWeekday(), $weekdays, true)) {
                return $day->toDateString();
            }
        }

        return null;
    }

    private function tied(PurchaseLine $line, LineToBuy $asked): void
    {
        $asked->for === null ?: $this->ledger->bought->asWanted($line, $asked->for);
        $asked->insteadOf === null
            ?: $this->ledger->bought->moveOver(PurchaseLine::query()->findOrFail($asked->insteadOf), $line);
    }

    /**
     * Orders that lines are added to: the newest that is still open, or the newest draft, of each supplier.
     *
     * @param  list<LineToBuy>  $lines
     * @return list<int>
     */
    public static function newest(
        array $lines,
        bool $isDraft,
        PurchaseKind $kind = PurchaseKind::Goods,
    ): array {
        $usual = Item::query()
            ->whereKey(array_map(fn (LineToBuy $line): int => $line->item, $lines))
            ->pluck('supplier_id', 'id');
        $suppliers = array_map(fn (LineToBuy $line): mixed => $line->supplier ?? $usual[$line->item] ?? null, $lines);
        $newest = PurchaseOrder::query()
            ->whereIn('supplier_id', array_filter($suppliers))
            ->where('kind', $kind)
            ->whereIn('state', $isDraft ? [PurchaseState::Draft] : PurchaseState::COMING)
            ->groupBy('supplier_id')
            ->selectRaw('MAX(id) AS newest');

        return array_values($newest->pluck('newest')->map(fn ($id): int => (int) $id)->all());
    }

    /**
     * What must be held for whom the lines are bought, and for the orders they are added to.
     *
     * @param  list<LineToBuy>  $lines
     */
    public static function needs(array $lines, bool $add, bool $isDraft): Needs
    {
        $demands = array_filter(array_map(fn (LineToBuy $line): ?TieDemand => $line->for, $lines));
        $of = fn (DemandKind $kind): array => array_map(
            fn (TieDemand $for): int => $for->id,
            array_filter($demands, fn (TieDemand $for): bool => $for->kind === $kind),
        );

        return Needs::purchaseOrders($add ? self::newest($lines, $isDraft) : [])
            ->and(Needs::customerOrders(
                CustomerOrderLine::query()->whereKey($of(DemandKind::Line))->pluck('customer_order_id'),
            ))
            ->and(Needs::orders(
                OrderComponent::query()->whereKey($of(DemandKind::Component))->pluck('order_id'),
            ));
    }

    /** An order below what the supplier asks at least is told, not stopped. */
    private function least(PurchaseOrder $order, Supplier $supplier): void
    {
        $value = $order->lines()->get()->reduce(
            fn (BigDecimal $sum, PurchaseLine $line): BigDecimal => $sum->plus(
                BigDecimal::of($line->quantity)->minus($line->cancelled_quantity)->multipliedBy($line->price),
            ),
            BigDecimal::zero(),
        );
        if ($value->isLessThan($supplier->minimum_order)) {
            $euros = fn (BigDecimal $value): string => (string) $value->toScale(2, RoundingMode::HALF_UP);
            $this->hints[] = "{$order->number} comes to {$euros($value)} €, {$supplier->name} asks for "
                ."{$euros(BigDecimal::of($supplier->minimum_order))} € at least";
        }
    }
}

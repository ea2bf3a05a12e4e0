<?php

namespace App\Actions\Purchasing;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Numbers;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Models\Supplier;
use App\Models\SupplierItem;
use App\Shop\Deliveries;
use App\Shop\LeadTime;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use KeepPace\Core\Planning\PurchaseRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** Orders items of their suppliers, many at once: one purchase order a supplier, or new lines on one that is open. */
final class RaisePurchases
{
    private Deliveries $deliveries;

    /** @var list<string> what would be cheaper */
    private array $hints = [];

    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  list<LineToBuy>  $lines
     * @param  bool  $add  to the supplier's newest order that is still open, where there is one
     *
     * @throws Refused with a sentence for each line that is wrong
     */
    public function handle(array $lines, bool $add, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Purchased, $signed, new Part(
            fn (): Needs => Needs::purchaseOrders($add ? $this->newestOpen($lines) : []),
            function (Ledger $ledger, Held $held) use (
                $lines,
            ): void {
                if ($lines === []) {
                    throw PurchaseRefused::nothingToOrder();
                }
                $this->deliveries = Deliveries::now();
                $this->hints = [];
                $wrong = [];
                $bySupplier = [];
                foreach ($lines as $line) {
                    try {
                        [$supplier, $row] = $this->row($line);
                        $bySupplier[$supplier][] = $row;
                    } catch (Refused $refused) {
                        $wrong["items.{$line->key}"] = $refused->getMessage();
                    }
                }
                if ($wrong !== []) {
                    throw new Refused($wrong);
                }
                ksort($bySupplier);
                $open = $held->purchaseOrders->keyBy('supplier_id');
                $said = [];
                foreach ($bySupplier as $supplier => $rows) {
                    $said[] = $this->order($ledger, $supplier, $open->get($supplier), $rows);
                }
                $ledger->says('Ordered: '.implode('; ', $said).'.');
                $this->hint($ledger);
            },
        ));
    }

    /**
     * The newest order that is still open, of each supplier something is ordered from.
     *
     * @param  list<LineToBuy>  $lines
     * @return list<int>
     */
    private function newestOpen(array $lines): array
    {
        $usual = Item::query()
            ->whereKey(array_map(fn (LineToBuy $line): int => $line->item, $lines))
            ->pluck('supplier_id', 'id');
        $of = fn (LineToBuy $line): mixed => $line->supplier ?? $usual[$line->item] ?? null;
        $suppliers = array_map($of, $lines);

        return array_values(
            PurchaseOrder::query()
                ->whereIn('supplier_id', array_filter($suppliers))
                ->whereHas('lines', fn ($line) => $line->where('is_open', true))
                ->groupBy('supplier_id')
                ->selectRaw('MAX(id) AS newest')
                ->pluck('newest')
                ->map(fn ($id): int => (int) $id)
                ->all(),
        );
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
        $terms = SupplierItem::query()
            ->with('prices', 'supplier')
            ->where('item_id', $item->id)
            ->where('supplier_id', $supplier)
            ->first();
        $this->assertEnough($item, $terms, $quantity);

        return [
            $supplier,
            [
                'item_id' => $item->id,
                'quantity' => (string) $quantity,
                'typed_quantity' => $line->quantity,
                'typed_unit_id' => $item->unitId($typed->unit->code),
                'ratio_p' => (string) $typed->ratio->getNumerator(),
                'ratio_q' => (string) $typed->ratio->getDenominator(),
                'price' => $line->price ?? $this->agreed($item, $terms, $quantity) ?? $item->cost,
                'expected_on' => $this->day($line, $item, $supplier, $terms),
            ],
        ];
    }

    /** @throws Refused when it should come before today */
    private function day(LineToBuy $line, Item $item, int $supplier, ?SupplierItem $terms): string
    {
        $days = $terms === null || $terms->lead_time_days === 0 ? $item->lead_time_days : $terms->lead_time_days;
        $expected = $line->expectedOn ?? $this->deliveries->comesOn(new LeadTime($days, $supplier));
        if ($expected < now(config()->string('pace.zone'))->toDateString()) {
            throw PurchaseRefused::dayHasPassed(null);
        }

        return $expected;
    }

    /** @throws Refused when the supplier does not sell so few */
    private function assertEnough(Item $item, ?SupplierItem $terms, BigDecimal $quantity): void
    {
        $least = BigDecimal::of($terms->minimum_quantity ?? '0');
        if ($terms !== null && $quantity->isLessThan($least)) {
            throw PurchaseRefused::tooFew(
                $terms->supplier->name,
                Amount::plain($least)." {$item->unit->code} of {$item->number}",
                Amount::plain($quantity),
            );
        }
    }

    private function hint(Ledger $ledger): void
    {
        if ($this->hints !== []) {
            $ledger->says('Worth a look: '.implode('; ', $this->hints).'.');
        }
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

    /** @param  list<array<string, mixed>>  $rows */
    private function order(Ledger $ledger, int $supplier, ?PurchaseOrder $order, array $rows): string
    {
        $isNew = $order === null;
        $today = now(config()->string('pace.zone'))->toDateString();
        $of = Supplier::query()->findOrFail($supplier);
        if ($of->retired_at !== null) {
            throw PurchaseRefused::retired($of->name);
        }
        $order ??= PurchaseOrder::query()->create([
            'number' => Numbers::next('purchase'),
            'supplier_id' => $supplier,
            'ordered_on' => $today,
            'sent_on' => $today,
            'version' => 0,
        ]);
        $place = (int) $order->lines()->max('position');
        foreach ($rows as $row) {
            PurchaseLine::query()->create([
                ...$row,
                'purchase_order_id' => $order->id,
                'position' => ++$place,
                'number' => "{$order->number}/{$place}",
            ]);
        }
        $ledger->touch($order);
        $this->least($order, $of);

        return count($rows)
            .(count($rows) === 1 ? ' item' : ' items')
            .($isNew ? ' on ' : ' added to ')
            ."{$order->number} of {$of->name}";
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

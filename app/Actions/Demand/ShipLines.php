<?php

namespace App\Actions\Demand;

use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Models\CustomerOrder;
use App\Models\CustomerOrderLine;
use App\Shop\Ties;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\CoverRefused;
use KeepPace\Core\Planning\SupplyKind;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\Withdrawal;

/** A part of a deed: lines of one customer order go from stock, whole or in part. */
final class ShipLines
{
    /**
     * What its needs name is held.
     *
     * @param  array<int, array{quantity: string, lot: int, lots?: list<int>}>  $lines  by line id; lot 0 = oldest
     *     first; several lots where just these go
     *
     * @throws Refused
     */
    public function write(
        Ledger $ledger,
        Held $held,
        int $customerOrderId,
        array $lines,
        bool $inParts = false,
    ): void {
        $order = $held->customerOrder($customerOrderId)->load('customer');
        $rows = CustomerOrderLine::query()
            ->with('item.unit', 'item.units.unit')
            ->where('customer_order_id', $order->id)
            ->whereKey(array_keys($lines))
            ->orderBy('id')
            ->get();
        if ($rows->isEmpty()) {
            throw CoverRefused::nothingToShip();
        }
        $ledger->concerns(customerOrder: $order);
        $items = array_values($rows->pluck('item_id')->unique()->all());
        $ledger->stock->readFree($items);
        $wrong = [];
        $said = [];
        foreach ($rows as $line) {
            try {
                $typed = $lines[$line->id];
                $said[] = $this->ship($ledger, $line, $typed['quantity'], self::lots($typed));
            } catch (Refused $refused) {
                $wrong["lines.{$line->id}.quantity"] = $refused->getMessage();
            }
        }
        if ($wrong !== []) {
            throw new Refused($wrong);
        }
        foreach ($rows->unique('item_id') as $line) {
            $ledger->kept->assertThere($line->item);
        }
        if ($order->customer->is_whole_only && ! $inParts) {
            $this->assertWhole($order->refresh()->load('customer', 'lines.item.unit'));
        }
        $ledger->says("Shipped to {$order->customer->name}: ".implode(', ', $said).'.');
    }

    /**
     * What covers these lines beyond what is shipped is given back: by each supply's own lock.
     *
     * @param  list<int>  $lines
     */
    public function needs(int $customerOrder, array $lines): Needs
    {
        $orders = Ties::ordersFor($lines);
        $items = CustomerOrderLine::query()
            ->where('customer_order_id', $customerOrder)
            ->whereKey($lines)
            ->pluck('item_id');

        return Needs::customerOrders([$customerOrder])
            ->and(Needs::purchaseOrders(Ties::purchasesFor($lines)))
            ->and(Needs::orders($orders))
            ->and(Needs::items($items));
    }

    /** @throws Refused when something of the order would still be open */
    private function assertWhole(CustomerOrder $order): void
    {
        $open = $order->lines->filter(fn (CustomerOrderLine $line): bool => $line->is_open);
        if ($open->isNotEmpty()) {
            throw CoverRefused::wholeOnly($order->customer->name, array_values($open->map(
                fn (CustomerOrderLine $line): string => Amount::plain($line->openQuantity())
                    ." {$line->item->unit->code} of line {$line->position}",
            )->all()));
        }
    }

    /**
     * @param  array{quantity: string, lot: int, lots?: list<int>}  $typed
     * @return list<int> none = any
     */
    private static function lots(array $typed): array
    {
        return $typed['lots'] ?? ($typed['lot'] === 0 ? [] : [$typed['lot']]);
    }

    /** @param  list<int>  $lots  none = any */
    private function ship(Ledger $ledger, CustomerOrderLine $line, string $typed, array $lots): string
    {
        $quantity = $line->item->quantity($typed)->amount;
        $open = $line->openQuantity();
        if ($quantity->isGreaterThan($open)) {
            throw CoverRefused::notSoMuchToShip($quantity, $open);
        }
        $this->leave($ledger, $line, $quantity, $lots);
        $line->shipped_quantity = (string) BigDecimal::of($line->shipped_quantity)->plus($quantity);
        $line->is_open = $line->openQuantity()->isPositive();
        $line->save();
        self::untie($ledger, $line);

        return Amount::plain($quantity)." {$line->item->unit->code} {$line->item->label()}";
    }

    /**
     * From stock, of the lots that were chosen; what was kept for the line is taken first.
     *
     * @param  list<int>  $lots  none = any
     */
    private function leave(Ledger $ledger, CustomerOrderLine $line, BigDecimal $quantity, array $lots): void
    {
        $own = $line->covers()->where('supply_kind', SupplyKind::Stock)->first();
        $kept = BigDecimal::of($own->quantity ?? '0');
        $withdrawal = Withdrawal::decide(
            $line->item->label(),
            array_merge(...array_map(
                fn (int $lot): array => $ledger->stock->onHand($line->item_id, $lot),
                $lots === [] ? [0] : $lots,
            )),
            $quantity,
            $ledger->stock->promised($line->item_id)->minus($kept),
            $ledger->stock->quantity($line->item_id),
        );
        foreach ($withdrawal->parts as $part) {
            $from = End::stock($part['key']);
            $ledger->moves->move($line->item, $part['quantity'], null, $from, End::customer($line->id));
        }
        $released = BigDecimal::min($quantity, $kept);
        if ($own !== null && $released->isPositive()) {
            $ledger->ties->change($own, $released->negated());
        }
    }

    /** What other supplies cover is no longer wanted by a line beyond what is open. */
    private static function untie(Ledger $ledger, CustomerOrderLine $line): void
    {
        $over = $line->covered()->minus($line->openQuantity());
        foreach ($line->covers()->where('quantity', '>', 0)->orderByDesc('id')->get() as $cover) {
            $take = BigDecimal::min($over, $cover->quantity);
            if ($take->isPositive()) {
                $ledger->ties->change($cover, $take->negated());
                $over = $over->minus($take);
            }
        }
    }
}

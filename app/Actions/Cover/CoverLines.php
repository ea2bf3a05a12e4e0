<?php

namespace App\Actions\Cover;

use App\Actions\Orders\LineBuilds;
use App\Actions\Orders\MissingParts;
use App\Actions\Purchasing\LineToBuy;
use App\Actions\Purchasing\NewPurchases;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\CustomerOrderLine;
use App\Models\Item;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\CoverRefused;
use KeepPace\Core\Planning\TieDemand;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * Covers what is open of one line, or of every line of a customer order: from stock, by a new order, or both. What is
 * bought is put on a draft to its supplier.
 */
final class CoverLines
{
    public function __construct(
        private readonly Bookings $bookings,
        private readonly MissingParts $parts,
        private readonly LineBuilds $builds,
    ) {
    }

    /**
     * @param  list<int>  $lineIds  of one customer order
     * @param  string|null  $quantity  in the stock unit; null = all that is uncovered
     * @param  bool  $withParts  also make orders for made parts that will be short
     *
     * @throws Refused
     */
    public function handle(
        array $lineIds,
        CoverBy $by,
        ?string $quantity,
        bool $withParts,
        Signed $signed,
    ): Booking {
        return $this->bookings->once(BookingKind::Cover, $signed, new Part(
            $this->needs($lineIds),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $lineIds, $by, $quantity, $withParts),
        ));
    }

    /**
     * @param  list<int>  $lineIds
     *
     * @throws Refused
     */
    private function write(
        Ledger $ledger,
        Held $held,
        array $lineIds,
        CoverBy $by,
        ?string $quantity,
        bool $withParts,
    ): void {
        $order = $held->customerOrder(CustomerOrderLine::query()->findOrFail($lineIds[0] ?? 0)->customer_order_id);
        $lines = CustomerOrderLine::query()
            ->with('item.unit', 'item.units.unit', 'customerOrder.customer')
            ->where('customer_order_id', $order->id)
            ->whereKey($lineIds)
            ->orderBy('position')
            ->get();
        $said = [];
        $wrong = [];
        $buy = new NewPurchases($ledger, true);
        foreach ($lines as $line) {
            $want = $this->wanted($line, $quantity);
            if (! $want->isPositive()) {
                continue;
            }
            try {
                $said[] = $this->cover($ledger, $line, $by, $want, $withParts, $buy);
            } catch (Refused $refused) {
                $wrong[] = "Line {$line->position}: {$refused->getMessage()}";
            }
        }
        if ($wrong !== []) {
            throw new Refused($wrong);
        }
        if ($said === []) {
            throw CoverRefused::allCovered();
        }
        $ledger->concerns(customerOrder: $order);
        $ledger->says("{$order->number} covered: ".implode('; ', $said).'.');
    }

    /** @param  list<int>  $lineIds */
    private function needs(array $lineIds): Needs
    {
        $lines = CustomerOrderLine::query()->whereKey($lineIds);

        $bought = Item::query()
            ->whereIn('id', (clone $lines)->select('item_id'))
            ->get()
            ->filter(fn (Item $item): bool => ! $item->kind->isMadeHere())
            ->map(fn (Item $item): LineToBuy => new LineToBuy($item->id, '1'));

        return Needs::customerOrders([(clone $lines)->value('customer_order_id')])
            ->and(Needs::purchaseOrders(NewPurchases::newest(array_values($bought->all()), true)))
            ->and(Needs::items($lines->pluck('item_id')));
    }

    private function wanted(CustomerOrderLine $line, ?string $quantity): BigDecimal
    {
        $open = $line->uncovered();
        if ($quantity === null) {
            return $open;
        }
        $asked = $line->item->quantity($quantity)->amount;
        if ($asked->isGreaterThan($open)) {
            throw CoverRefused::notSoMuchOpen($asked, $open, $line->position);
        }

        return $asked;
    }

    private function cover(
        Ledger $ledger,
        CustomerOrderLine $line,
        CoverBy $by,
        BigDecimal $want,
        bool $withParts,
        NewPurchases $buy,
    ): string {
        $said = [];
        if ($by !== CoverBy::NewOrder) {
            $free = $ledger->covers->free($line->item_id);
            $take = $want->isGreaterThan($free) ? $free : $want;
            if ($by === CoverBy::Stock && ! $take->isEqualTo($want)) {
                throw CoverRefused::notSoMuchInStock($want, $take, $line->item->label());
            }
            if ($take->isPositive()) {
                $ledger->covers->add($line, null, $take);
                $want = $want->minus($take);
                $said[] = Amount::plain($take).' from stock';
            }
        }
        if ($want->isPositive() && ! $line->item->kind->isMadeHere()) {
            $said[] = $this->bought($ledger, $line, $want, $buy);
        } elseif ($want->isPositive()) {
            $said[] = Amount::plain($want).' from '.$this->made($ledger, $line, $want, $withParts);
        }

        return "line {$line->position}: ".implode(', ', $said);
    }

    private function made(Ledger $ledger, CustomerOrderLine $line, BigDecimal $want, bool $withParts): string
    {
        $made = $this->builds->make($ledger, $line, $want);
        $order = $made->order;
        $parts = $withParts ? count($this->parts->make($ledger, $order)) : 0;
        $what = $order->follows_line_id === null ? 'new order' : 'build';

        return "{$what} {$order->number}".($parts > 0 ? " (and {$parts} for its parts)" : '')
            .($made->taken === '' ? '' : '.'.rtrim($made->taken, '.'));
    }

    private function bought(Ledger $ledger, CustomerOrderLine $line, BigDecimal $want, NewPurchases $buy): string
    {
        $drafts = $ledger->held()->purchaseOrders->keyBy('supplier_id')->all();
        $wanted = new LineToBuy($line->item_id, Amount::plain($want), for: TieDemand::line($line->id));

        return Amount::plain($want).' bought: '.implode('; ', $buy->write([$wanted], $drafts));
    }
}

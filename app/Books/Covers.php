<?php

namespace App\Books;

use App\Models\Cover;
use App\Models\CoverEntry;
use App\Models\CustomerOrder;
use App\Models\CustomerOrderLine;
use App\Models\Item;
use App\Models\Move;
use App\Models\Order;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\StockRefused;

/** What covers customer lines: stock, or what an order will give. */
final class Covers implements Book
{
    public function __construct(private readonly Ledger $ledger)
    {
    }

    /**
     * Adds to (or takes from) what one supply covers of a customer line.
     *
     * @param  Order|null  $order null = stock
     */
    public function add(CustomerOrderLine $line, ?Order $order, BigDecimal $quantity): void
    {
        $cover = Cover::query()->firstOrCreate(
            ['line_id' => $line->id, 'supply' => $order === null ? Cover::STOCK : Cover::byOrder($order->id)],
            ['item_id' => $line->item_id, 'order_id' => $order?->id, 'quantity' => '0'],
        );
        if ($order !== null && $order->owner_id === null) {
            $order->owner_id = CustomerOrder::query()->findOrFail($line->customer_order_id)->customer_id;
            $this->ledger->touch($order);
        }
        $this->change($cover, $quantity);
    }

    public function change(Cover $cover, BigDecimal $quantity): void
    {
        // added in SQL: the check of the column refuses what would fall below zero
        Cover::query()->whereKey($cover->id)->update(['quantity' => DB::raw("quantity + {$quantity}")]);
        $cover->quantity = (string) BigDecimal::of($cover->quantity)->plus($quantity);
        $cover->syncOriginal();
        $this->ledger->booking->coverEntries()->create(['cover_id' => $cover->id, 'quantity' => (string) $quantity]);
    }

    /**
     * An order covers no more than it will still give: what scrap took, and what a built order still promised, is no
     * longer covered from this moment. Who was promised latest loses first.
     *
     * @param  array<int, OrderFacts>  $facts  by order
     */
    public function fit(array $facts): void
    {
        $covers = $facts === []
            ? []
            : Cover::query()
                ->with('line.customerOrder')
                ->whereIn('order_id', array_keys($facts))
                ->where('quantity', '>', 0)
                ->get()
                ->sortBy(fn (Cover $cover): array => [$cover->line->promised_on, $cover->id])
                ->groupBy('order_id');
        foreach ($covers as $id => $of) {
            $left = $facts[$id]->willCome();
            foreach ($of as $cover) {
                $kept = BigDecimal::max(0, BigDecimal::min($left, $cover->quantity));
                $left = $left->minus($kept);
                $lost = BigDecimal::of($cover->quantity)->minus($kept);
                if ($lost->isPositive()) {
                    $this->change($cover, $lost->negated());
                    $this->ledger->says('It covers '.Amount::plain($lost)." less of {$cover->line->label()}.");
                }
            }
        }
    }

    /** What of an item's stock can be promised: neither promised nor kept for an order. */
    public function free(int $item): BigDecimal
    {
        $free = $this->ledger->stock->unpromised($item)->minus($this->ledger->kept->sum($item));

        return BigDecimal::max(0, $free);
    }

    /**
     * What is promised to customer lines is still there. Asked after so many were taken, on locked balances.
     *
     * @throws StockRefused with the numbers
     */
    public function assertStillThere(Item $item, BigDecimal $taken): void
    {
        $stock = $this->ledger->stock;
        if ($stock->isOverpromised($item->id)) {
            $there = $stock->quantity($item->id)->plus($taken);
            throw StockRefused::promised($item->label(), $taken, $there, $stock->promised($item->id));
        }
    }

    public function locks(Undone $undone): Needs
    {
        $covers = Cover::query()->with('line')->whereKey(self::of($undone)->pluck('cover_id'))->get();

        return Needs::customerOrders($covers->pluck('line.customer_order_id'))
            ->and(Needs::orders($covers->pluck('order_id')))
            ->and(Needs::items($covers->pluck('item_id')));
    }

    public function against(Undone $undone): array
    {
        return [];
    }

    /** @throws Refused when stock that goes back is promised */
    public function reverse(Undone $undone): void
    {
        foreach (self::of($undone)->reverse() as $entry) {
            $cover = Cover::query()->with('order', 'line')->findOrFail($entry->cover_id);
            $back = BigDecimal::of($entry->quantity)->negated();
            if ($back->isPositive()) {
                $back = $this->stillPossible($cover, $back);
            } elseif ($back->negated()->isGreaterThan($cover->quantity)) {
                // the rest has been shipped or untied since and stays so
                $back = BigDecimal::of($cover->quantity)->negated();
            }
            if (! $back->isZero()) {
                $this->change($cover, $back);
            }
        }
        $items = array_unique($undone->moves->map(fn (Move $move): int => $move->item_id)->all());
        foreach ($items as $item) {
            if ($this->ledger->stock->isOverpromised($item)) {
                throw Refused::because(
                    'What came in by this '.($undone->isWhole ? 'booking' : 'line')
                        .' is promised to a customer line. Untie the line first.',
                );
            }
        }
    }

    public function flush(): void
    {
    }

    /** A promise comes back only as far as the order or the stock can still keep it and the line still wants it. */
    private function stillPossible(Cover $cover, BigDecimal $back): BigDecimal
    {
        $wanted = $cover->line->openQuantity()->minus((string) $cover->line->covers()->sum('quantity'));
        $limits = [$wanted];
        if ($cover->order === null) {
            $limits[] = $this->free($cover->item_id);
        } else {
            $order = Order::query()->findOrFail($cover->order->id);
            $limits[] = $order->state === OrderState::Cancelled
                ? BigDecimal::zero()
                : $order
                    ->willGive()
                    ->minus($order->received())
                    ->minus((string) $order->covers()->sum('quantity'));
        }

        return BigDecimal::max(0, BigDecimal::min($back, ...$limits));
    }

    /** @return Collection<int, CoverEntry> */
    private static function of(Undone $undone): Collection
    {
        return $undone->isWhole ? $undone->booking->coverEntries : new Collection();
    }
}

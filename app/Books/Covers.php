<?php

namespace App\Books;

use App\Models\CustomerOrder;
use App\Models\CustomerOrderLine;
use App\Models\Item;
use App\Models\Move;
use App\Models\Order;
use App\Models\Tie;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Planning\TieDemand;
use KeepPace\Core\Planning\TieSupply;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\StockRefused;

/** What covers customer lines: stock, or what an order will give. */
final readonly class Covers
{
    public function __construct(private Ledger $ledger)
    {
    }

    /**
     * Adds to (or takes from) what one supply covers of a customer line.
     *
     * @param  Order|null  $order null = stock
     */
    public function add(CustomerOrderLine $line, ?Order $order, BigDecimal $quantity): void
    {
        if ($order !== null && $order->owner_id === null) {
            $order->owner_id = CustomerOrder::query()->findOrFail($line->customer_order_id)->customer_id;
            $this->ledger->touch($order);
        }
        $this->ledger->ties->add(
            TieDemand::line($line->id),
            $order === null ? TieSupply::stock() : TieSupply::output(self::output($order, $line->item_id)),
            true,
            $line->item_id,
            $quantity,
        );
    }

    private static function output(Order $order, int $item): int
    {
        return $order->outputOf($item)->id ?? throw new \LogicException("Order {$order->number} gives another item.");
    }

    /** Another line gets what this cover gave, of the same supply. */
    public function addLike(Tie $cover, CustomerOrderLine $line, BigDecimal $quantity): void
    {
        if ($cover->purchase !== null) {
            $this->ledger->bought->forLine($cover->purchase, $line, $quantity);
        } else {
            $order = $cover->output === null ? null : $this->ledger->held()->order($cover->output->order_id);
            $this->add($line, $order, $quantity);
        }
    }

    /**
     * No more is tied to an order than it will still give: what scrap took, and what a built order still promised, is
     * so no longer from this moment. Who was promised latest loses first, after orders it was only made for.
     *
     * @param  array<int, OrderFacts>  $facts  by order
     */
    public function fit(array $facts): void
    {
        $left = [];
        foreach ($facts as $fact) {
            $left[$fact->product->id] = $fact->willCome();
            foreach ($fact->beside as $output) {
                $left[$output->id] = $fact->willComeOf($output);
            }
        }
        $ties = $left === []
            ? []
            : Tie::query()
                ->with('line.customerOrder', 'component.order', 'output.order')
                ->whereIn('output_id', array_keys($left))
                ->where('quantity', '>', 0)
                ->get()
                ->sortBy(fn (Tie $tie): array => $tie->turn());
        foreach ($ties as $tie) {
            $kept = BigDecimal::max(0, BigDecimal::min($left[$tie->output_id], $tie->quantity));
            $left[$tie->output_id] = $left[$tie->output_id]->minus($kept);
            $lost = $tie->left()->minus($kept);
            if ($lost->isPositive()) {
                $this->ledger->ties->change($tie, $lost->negated());
                self::sayLost($this->ledger, $tie, $lost);
            }
        }
    }

    /** Whoever was promised it is told; an order it was only made for takes what comes by its rank. */
    private static function sayLost(Ledger $ledger, Tie $tie, BigDecimal $lost): void
    {
        match (true) {
            $tie->line !== null => $ledger->says('It covers '.Amount::plain($lost)." less of {$tie->line->label()}."),
            $tie->is_hard => $ledger->says('It keeps '.Amount::plain($lost)." less for {$tie->forWhom()}."),
            default => null,
        };
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

    /**
     * What a booking did to a cover is taken back, as far as it still can be.
     *
     * @param  BigDecimal  $changed  what the booking had done to it
     */
    public function back(Tie $cover, BigDecimal $changed): void
    {
        $back = $changed->negated();
        $back = $back->isPositive()
            ? $this->stillPossible($cover, $back)
            // the rest has been shipped or untied since and stays so
            : BigDecimal::max($back, $cover->left()->negated());
        $back->isZero() ?: $this->ledger->ties->change($cover, $back);
    }

    /** @throws Refused when stock that goes back is promised */
    public function assertLeft(Undone $undone): void
    {
        foreach (array_unique($undone->moves->map(fn (Move $move): int => $move->item_id)->all()) as $item) {
            if ($this->ledger->stock->isOverpromised($item)) {
                throw Refused::because(
                    'What came in by this '.($undone->isWhole ? 'booking' : 'line')
                        .' is promised to a customer line. Untie the line first.',
                );
            }
        }
    }

    /** A promise comes back only as far as the order or the stock can still keep it and the line still wants it. */
    private function stillPossible(Tie $cover, BigDecimal $back): BigDecimal
    {
        $line = $cover->line ?? throw new \LogicException('It covers no line.');
        $wanted = $line->uncovered();
        if ($cover->output === null) {
            return BigDecimal::max(0, BigDecimal::min($back, $wanted, $this->free($cover->item_id)));
        }
        $order = Order::query()->findOrFail($cover->output->order_id);
        $gives = $order->state === OrderState::Cancelled
            ? BigDecimal::zero()
            : $order->unpromisedOf($line->item_id);

        return BigDecimal::max(0, BigDecimal::min($back, $wanted, $gives));
    }
}

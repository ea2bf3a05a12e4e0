<?php

namespace App\Books;

use App\Models\CustomerOrderLine;
use App\Models\Item;
use App\Models\Move;
use App\Models\OrderComponent;
use App\Models\OrderOutput;
use App\Models\Place;
use App\Models\PurchaseLine;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\PlaceKind;
use KeepPace\Core\Stock\ScrapClass;
use KeepPace\Core\Stock\StockKey;

/**
 * Takes back moves of an earlier booking, all or some, with what they did to components, lines, purchases and orders.
 */
final class MovesBack
{
    /** @var Collection<int, Item> */
    private readonly Collection $items;

    /** @var Collection<int, Place> */
    private readonly Collection $places;

    public function __construct(private readonly Ledger $ledger, private readonly Undone $undone)
    {
        $this->places = Place::all()->keyBy('id');
        $this->items = Item::query()
            ->with('unit')
            ->whereKey($undone->moves->pluck('item_id')->unique())
            ->get()
            ->keyBy('id');
    }

    public static function needs(Undone $undone): Needs
    {
        $moves = $undone->moves;

        return Needs::items($moves->pluck('item_id'))
            ->and(Needs::orders($moves->pluck('order_id')))
            ->and(Needs::purchaseOrders(
                PurchaseLine::query()
                    ->whereKey($moves->pluck('purchase_line_id')->filter())
                    ->pluck('purchase_order_id'),
            ))
            ->and(Needs::customerOrders(
                CustomerOrderLine::query()->whereKey($moves->pluck('line_id')->filter())->pluck('customer_order_id'),
            ));
    }

    /** @throws Refused when what followed stands on them, naming it */
    public function write(): void
    {
        $keys = [];
        foreach ($this->undone->moves as $move) {
            foreach ([$this->from($move)->stock, $this->to($move)->stock] as $key) {
                $key === null ?: $keys[$key->sortKey()] = $key;
            }
        }
        $this->ledger->stock->read(array_values($keys));
        foreach ($this->undone->moves->reverse() as $move) {
            $this->back($move);
        }
    }

    /** @throws Refused */
    private function back(Move $move): void
    {
        $from = $this->to($move);
        try {
            $this->ledger->moves->back($this->items[$move->item_id], $move, $from, $this->from($move));
        } catch (Refused $refused) {
            throw $from->stock !== null
                ? LaterBookings::ofStock($this->undone->booking, $from->stock)->refused(
                    'What came in by this has been used since.',
                )
                : $refused;
        }
        $quantity = BigDecimal::of($move->quantity);
        $this->component($move, $quantity);
        $move->line_id === null ?: $this->shipped($move->line_id, $quantity);
        $move->purchase_line_id === null ?: $this->purchased($move, $move->purchase_line_id, $quantity);
        if ($this->isReceipt($move)) {
            $order = $this->ledger->held()->order((int) $move->order_id);
            $output = $move->output_id === $order->output()->id
                ? $order->output()
                : OrderOutput::query()->findOrFail($move->output_id);
            $this->ledger->outputs->received($order, $output, $quantity->negated(), -$move->value);
        }
    }

    private function shipped(int $line, BigDecimal $quantity): void
    {
        $line = CustomerOrderLine::query()->findOrFail($line);
        $line->shipped_quantity = (string) BigDecimal::of($line->shipped_quantity)->minus($quantity);
        $line->is_open = true;
        $line->save();
        $this->ledger->touch($this->ledger->held()->customerOrder($line->customer_order_id));
    }

    /** What came in is to come again; what had been sent back is here again, and wanted. */
    private function purchased(Move $move, int $line, BigDecimal $quantity): void
    {
        $purchase = PurchaseLine::query()->findOrFail($line);
        $received = BigDecimal::of($purchase->received_quantity);
        if ($this->places[$move->to_place_id]->kind === PlaceKind::Outside->value) {
            $received = $received->plus($quantity);
            $most = BigDecimal::max(0, BigDecimal::of($purchase->quantity)->minus($received));
            $purchase->cancelled_quantity = (string) BigDecimal::min($purchase->cancelled_quantity, $most);
            $purchase->returned_quantity = (string) BigDecimal::of($purchase->returned_quantity)->minus($quantity);
        } else {
            $received = $received->minus($quantity);
        }
        if ($received->isNegative()) {
            throw PurchaseRefused::wentBack($purchase->number);
        }
        $isReceipt = $received->isLessThan($purchase->received_quantity);
        if ($isReceipt && $received->isLessThan($purchase->billed_quantity)) {
            throw PurchaseRefused::billedAlready($purchase->number);
        }
        $purchase->received_quantity = (string) $received;
        $purchase->save();
        $this->ledger->touch($this->ledger->held()->purchaseOrder($purchase->purchase_order_id));
    }

    /** Goods an order gave; what a closing settled afterwards moves value alone. */
    private function isReceipt(Move $move): bool
    {
        return $this->places[$move->from_place_id]->kind === PlaceKind::Order->value
            && $move->output_id !== null
            && BigDecimal::of($move->quantity)->isPositive();
    }

    private function component(Move $move, BigDecimal $quantity): void
    {
        if ($move->component_id === null) {
            return;
        }
        // a return put back is used again
        $sign = $this->places[$move->to_place_id]->kind === PlaceKind::Order->value ? -1 : 1;
        $component = OrderComponent::query()->findOrFail($move->component_id);
        $component->used_quantity = (string) BigDecimal::of($component->used_quantity)->plus(
            $quantity->multipliedBy($sign),
        );
        $component->used_value += $sign * $move->value;
        if (BigDecimal::of($component->used_quantity)->isNegative()) {
            throw Refused::because(
                "Of {$this->items[$move->item_id]->label()} some has gone back to stores since. Reverse that return "
                    .'first.',
            );
        }
        $component->save();
        if ($component->stands_for_id !== null) {
            $planned = OrderComponent::query()->findOrFail($component->stands_for_id);
            $planned->replaced_quantity = (string) BigDecimal::of($planned->replaced_quantity)->plus(
                $quantity->multipliedBy($sign),
            );
            $planned->save();
        }
    }

    private function from(Move $move): End
    {
        return $this->end($move, $this->places[$move->from_place_id], $move->from_condition);
    }

    private function to(Move $move): End
    {
        return $this->end($move, $this->places[$move->to_place_id], $move->to_condition);
    }

    private function end(Move $move, Place $place, string $condition): End
    {

        return $place->holdsStock()
            ? End::stock(new StockKey(
                $move->item_id,
                $place->id,
                $move->lot_id,
                Condition::from($condition),
                $move->owner_id,
            ))
            : End::again(
                PlaceKind::from($place->kind),
                $move->purchase_line_id,
                $move->order_id,
                $move->component_id,
                $move->line_id,
                $move->scrap_class === '' ? null : ScrapClass::from($move->scrap_class),
                $move->output_id,
            );
    }
}

<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderComponent;
use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;

/** What one order takes, changed row by row, each change told in its history. */
final class OrderParts
{
    public function __construct(private readonly Ledger $ledger, private readonly Order $order)
    {
    }

    /** It takes so much of it, in its stock unit. */
    public function set(OrderComponent $component, BigDecimal $amount): void
    {
        $was = Amount::plain($component->planned_quantity);
        $this->ledger->change($this->order, "component {$component->item->number}", $was, Amount::plain($amount));
        $component->planned_quantity = (string) $amount;
        $component->save();
    }

    /** Another item, at a step. */
    public function put(Item $item, BigDecimal $amount, int $stepNumber): void
    {
        $this->row("component {$item->number}", $amount, ['item_id' => $item->id, 'step_number' => $stepNumber]);
    }

    /**
     * Another item, at the step and in the way of the one it stands in for.
     *
     * @param  bool  $asItsPart  it is a part of that one, not another one of its kind
     */
    public function putFor(OrderComponent $for, Item $item, BigDecimal $amount, bool $asItsPart = false): void
    {
        $this->row("component {$item->number}, for {$for->item->number}", $amount, [
            'item_id' => $item->id,
            'step_number' => $for->step_number,
            'issue_by' => $for->issue_by,
            'phantom_item_id' => $asItsPart ? $for->item_id : null,
        ]);
    }

    /** @param  array<string, mixed>  $columns */
    private function row(string $what, BigDecimal $amount, array $columns): void
    {
        $this->order->components()->create($columns + [
            'position' => ($this->order->components()->max('position') ?? 0) + 10,
            'baseline_quantity' => '0',
            'planned_quantity' => (string) $amount,
        ]);
        $this->ledger->change($this->order, $what, '', Amount::plain($amount));
    }
}

<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderComponent;
use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Structure\ByHand;
use KeepPace\Core\Structure\LineBasis;

/** What one order takes, changed row by row, each change told in its history. */
final class OrderParts
{
    public function __construct(private readonly Ledger $ledger, private readonly Order $order)
    {
    }

    /** It takes so much of it, in its stock unit; as much as the structure says goes by that again. */
    public function set(OrderComponent $component, BigDecimal $amount): void
    {
        $isAsCopied = $component->takes() !== null && $amount->isEqualTo($component->baseline_quantity);
        $this->plan($component, $amount, $isAsCopied ? null : $this->alike($component, $amount));
    }

    /** It takes no more of it than it has. */
    public function stop(OrderComponent $component): void
    {
        $this->plan($component, $component->taken(), ByHand::forTheOrder($component->taken()));
    }

    /** Another item, at a step. */
    public function put(Item $item, BigDecimal $amount, int $stepNumber, LineBasis $basis): void
    {
        $byHand = $basis === LineBasis::PerUnit
            ? ByHand::forPieces($amount, BigDecimal::of($this->order->quantity))
            : ByHand::forTheOrder($amount);
        $columns = ['item_id' => $item->id, 'step_number' => $stepNumber, 'basis' => $basis];
        $this->row("component {$item->number}", $amount, $byHand, $columns);
    }

    /** Another item, at the step and in the way of the one it stands in for, which takes no more. */
    public function putInstead(OrderComponent $of, Item $item, BigDecimal $amount): void
    {
        $byHand = $of->isPerOrder()
            ? ByHand::forTheOrder($amount)
            : ByHand::instead(
                $amount,
                BigDecimal::of($this->order->quantity),
                BigDecimal::of($of->planned_quantity),
                $of->openQuantity(),
            );
        $this->stop($of);
        $this->row("component {$item->number}, for {$of->item->number}", $amount, $byHand, self::place($of, $item));
    }

    /** A part of a sub-assembly, at its step and in its way. */
    public function putPart(OrderComponent $of, Item $item, BigDecimal $amount): void
    {
        $columns = ['phantom_item_id' => $of->item_id, ...self::place($of, $item)];
        $what = "component {$item->number}, for {$of->item->number}";
        $this->row($what, $amount, $this->alike($of, $amount), $columns);
    }

    /** @return array<string, mixed> columns */
    private static function place(OrderComponent $of, Item $item): array
    {
        return [
            'item_id' => $item->id,
            'step_number' => $of->step_number,
            'issue_by' => $of->issue_by,
            'basis' => $of->basis,
        ];
    }

    /** It goes with the pieces as that component does. */
    private function alike(OrderComponent $of, BigDecimal $amount): ByHand
    {
        return $of->isPerOrder()
            ? ByHand::forTheOrder($amount)
            : ByHand::forPieces($amount, BigDecimal::of($this->order->quantity));
    }

    private function plan(OrderComponent $component, BigDecimal $amount, ?ByHand $byHand): void
    {
        $was = Amount::plain($component->planned_quantity);
        $this->ledger->change($this->order, "component {$component->item->number}", $was, Amount::plain($amount));
        $component->plan($amount, $byHand);
        $component->save();
    }

    /** @param  array<string, mixed>  $columns */
    private function row(string $what, BigDecimal $amount, ByHand $byHand, array $columns): void
    {
        $this->order->components()->create($columns + [
            'position' => ($this->order->components()->max('position') ?? 0) + 10,
            'baseline_quantity' => '0',
            'planned_quantity' => (string) $amount,
            ...OrderComponent::planned($byHand),
        ]);
        $this->ledger->change($this->order, $what, '', Amount::plain($amount));
    }
}

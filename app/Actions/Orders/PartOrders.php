<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\Tie;
use App\Shop\ShopState;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Amount;

/** Orders made for a part of another order, when that wants less of it. */
final readonly class PartOrders
{
    public function __construct(private OrderQuantity $quantity)
    {
    }

    /**
     * What is made for a component beyond what it still takes, and stock will not give, is made no more, as far as it
     * has not begun. The orders made for its order are locked.
     *
     * @return string what became of them; '' = none was made for it
     */
    public function less(Ledger $ledger, OrderComponent $component): string
    {
        $ties = Tie::query()
            ->with('output')
            ->where('component_id', $component->id)
            ->whereNotNull('output_id')
            ->where('quantity', '>', 0)
            ->orderByDesc('id')
            ->get();
        $tied = BigDecimal::sum(0, ...$ties->map(fn (Tie $tie): BigDecimal => $tie->left())->all());
        if ($tied->isZero()) {
            return '';
        }
        $fromStock = ShopState::now()->part($component->order_id, $component->id)->fromStock ?? BigDecimal::zero();
        $over = $tied->minus(BigDecimal::max(0, $component->openQuantity()->minus($fromStock)));
        $said = '';
        foreach ($ties as $tie) {
            $fewer = BigDecimal::min($over, $tie->left());
            if ($fewer->isPositive()) {
                $over = $over->minus($fewer);
                $said .= ' '.$this->fewer($ledger, $tie, $fewer);
            }
        }

        return $said;
    }

    private function fewer(Ledger $ledger, Tie $tie, BigDecimal $fewer): string
    {
        $ledger->ties->change($tie, $fewer->negated());
        $order = Order::query()->with('item.unit')->findOrFail($tie->output?->order_id);
        if ($order->item_id !== $tie->item_id || ! $order->state->isFirm()) {
            return "Order {$order->number} goes on: ".Amount::plain($fewer).' of it are for whoever ranks first.';
        }
        $left = BigDecimal::of($order->quantity)->minus($fewer);
        if ($left->isPositive() && $left->isGreaterThanOrEqualTo($order->promised())) {
            $this->quantity->set($ledger, $order, $left);

            return "Order {$order->number} makes ".Amount::plain($left).' now.';
        }
        if ($left->isZero() && $order->may(OrderDeed::Cancel)) {
            $ledger->change($order, 'state', $order->state->value, OrderState::Cancelled->value);
            $order->state = OrderState::Cancelled;

            return "Order {$order->number} is cancelled.";
        }

        return "Order {$order->number} goes on as it is.";
    }
}

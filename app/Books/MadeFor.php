<?php

namespace App\Books;

use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\Tie;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\TieDemand;
use KeepPace\Core\Planning\TieSupply;

/**
 * Orders made for a part of another order: it gets what they give before anybody else. How much it still needs is asked
 * when parts are dealt out, so that what is guarded by one order's lock is not changed under another's.
 */
final readonly class MadeFor
{
    public function __construct(private Ledger $ledger)
    {
    }

    public function tie(Order $order, OrderComponent $component, BigDecimal $quantity): void
    {
        $this->ledger->ties->add(
            TieDemand::component($component->id),
            TieSupply::output($order->output()->id),
            false,
            $order->item_id,
            $quantity,
        );
    }

    /**
     * Made for whom another order was made for, as far as these need more than is tied to them: a remake.
     *
     * @param  BigDecimal  $quantity  at most
     */
    public function tieLike(Order $order, Order $like, BigDecimal $quantity): void
    {
        foreach ($this->of($like) as $tie) {
            $component = $tie->component ?? throw new \LogicException('It is for no part.');
            $tied = Tie::query()->where('component_id', $component->id)->whereNotNull('output_id')->sum('quantity');
            $give = BigDecimal::min($quantity, $component->openQuantity()->minus((string) $tied));
            if ($give->isPositive()) {
                $this->tie($order, $component, $give);
                $quantity = $quantity->minus($give);
            }
        }
    }

    /** What is made for an order is for whoever ranks first from now on. */
    public function release(Order $order): void
    {
        $ties = Tie::query()->whereNotNull('output_id')->where('quantity', '>', 0)
            ->whereIn('component_id', $order->components()->pluck('id'));
        foreach ($ties->get() as $tie) {
            $this->ledger->ties->change($tie, $tie->left()->negated());
        }
    }

    /**
     * What a booking did to it is taken back, as far as the order still can give it.
     *
     * @param  BigDecimal  $changed  what the booking had done to it
     */
    public function back(Tie $tie, BigDecimal $changed): void
    {
        $back = $changed->negated();
        if ($back->isPositive()) {
            $order = Order::query()->findOrFail($tie->output?->order_id);
            $tied = (string) Tie::query()->where('output_id', $tie->output_id)->sum('quantity');
            $gives = $order->state->isOpen()
                ? self::comes($order, $tie)->minus($tied)
                : BigDecimal::zero();
            $back = BigDecimal::max(0, BigDecimal::min($back, $gives));
        }
        $back = BigDecimal::max($back, $tie->left()->negated());
        $back->isZero() ?: $this->ledger->ties->change($tie, $back);
    }

    /** What is to come of what it was to give. */
    private static function comes(Order $order, Tie $tie): BigDecimal
    {
        $output = $tie->output ?? throw new \LogicException('No order gives it.');

        return $output->isProduct() ? $order->willGive()->minus($order->received()) : $output->openQuantity();
    }

    /** @return list<Tie> what it was made for */
    private function of(Order $order): array
    {
        return array_values(
            Tie::query()
                ->with('component')
                ->where('output_id', $order->output()->id)
                ->whereNotNull('component_id')
                ->orderBy('id')
                ->get()
                ->all(),
        );
    }
}

<?php

namespace App\Actions\Orders;

use App\Books\Held;
use App\Books\Ledger;
use App\Models\CustomerOrderLine;
use App\Models\Order;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Builder;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * Orders made for customer lines. Where the item is set so it is a build of the line's own, which comes with it and
 * follows its quantity and day.
 */
final readonly class LineBuilds
{
    public function __construct(
        private OrderCopy $copy,
        private OrderQuantity $quantity,
        private DueDay $due,
        private MissingParts $parts,
    ) {
    }

    /**
     * An order made for a line, promised to it; it follows the line where its item is set so. What is put together and
     * not there goes in as its parts, where that is set so.
     *
     * @throws Refused when the item cannot be made
     */
    public function make(Ledger $ledger, CustomerOrderLine $line, BigDecimal $quantity): MadeForLine
    {
        $order = $this->copy->make($ledger, $line->item, $quantity, $this->dueOn($line));
        $order->follows_line_id = $line->item->comesByBuild() ? $line->id : null;
        $ledger->covers->add($line, $order, $quantity);
        $ledger->touch($order);

        return new MadeForLine($order, $this->parts->take($ledger, $order));
    }

    /**
     * The line wants another quantity, or another day. It is not saved yet; its builds are held.
     *
     * @param  BigDecimal  $more  than before; below zero: less
     * @return string what became of its builds; '' = it has none
     *
     * @throws Refused
     */
    public function follow(Ledger $ledger, Held $held, CustomerOrderLine $line, BigDecimal $more): string
    {
        $said = [];
        $builds = self::open($line->id)->get()->map(fn (Order $order): Order => $held->order($order->id));
        foreach ($builds as $order) {
            $order->load('item.unit', 'item.units.unit');
            $taken = '';
            if ($line->isDirty('promised_on')) {
                $this->due->set($ledger, $order, $this->dueOn($line));
            }
            if ($more->isPositive()) {
                $this->quantity->set($ledger, $order, $more->plus($order->quantity));
                $ledger->covers->add($line, $order, $more);
                $ledger->touch($order);
                $taken = $this->parts->take($ledger, $order);
                $more = BigDecimal::zero();
            } elseif ($more->isNegative()) {
                $more = $more->plus($this->less($ledger, $line, $order, $more->negated()));
            }
            $said[] = $order->state === OrderState::Cancelled
                ? "Build {$order->number} is cancelled."
                : "Build {$order->number} follows: ".Amount::plain($order->quantity).".{$taken}";
        }
        if ($more->isPositive() && $line->item->comesByBuild()) {
            $made = $this->make($ledger, $line, $more);
            $said[] = "Build {$made->order->number} comes with it.{$made->taken}";
        }

        return implode(' ', $said);
    }

    /** @return Builder<Order> those of a line that are not done, the first one first */
    public static function open(int $line): Builder
    {
        return Order::query()->where('follows_line_id', $line)->whereIn('state', OrderState::OPEN)->orderBy('id');
    }

    /**
     * What it still gives of so many is not wanted any more.
     *
     * @return BigDecimal how many fewer it makes
     *
     * @throws Refused when they are begun
     */
    private function less(Ledger $ledger, CustomerOrderLine $line, Order $order, BigDecimal $fewer): BigDecimal
    {
        $tie = $order->covers()->where('line_id', $line->id)->where('quantity', '>', 0)->first();
        $fewer = BigDecimal::min($fewer, $tie->quantity ?? '0', $order->openQuantity());
        $left = BigDecimal::of($order->quantity)->minus($fewer);
        $isNone = $tie === null || ! $fewer->isPositive();
        if ($isNone || ($left->isZero() && ! $order->may(OrderDeed::Cancel))) {
            return BigDecimal::zero();
        }
        $ledger->ties->change($tie, $fewer->negated());
        if ($left->isPositive()) {
            $this->quantity->set($ledger, $order, $left);
        } else {
            $ledger->change($order, 'state', $order->state->value, 'cancelled');
            $order->state = OrderState::Cancelled;
        }

        return $fewer;
    }

    private function dueOn(CustomerOrderLine $line): string
    {
        return $this->copy->finishBy($line->promised_on, $line->customerOrder->customer->finish_days);
    }
}

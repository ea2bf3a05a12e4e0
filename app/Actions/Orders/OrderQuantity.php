<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Models\Order;
use App\Models\OrderComponent;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Quantity;
use KeepPace\Core\Refused;

/** How many pieces an order makes: components, steps, planned cost and what stands at the first step follow. */
final class OrderQuantity
{
    public function __construct(private readonly OrderCopy $copy, private readonly PlannedCost $cost)
    {
    }

    /** @throws Refused when fewer are wanted than are spoken for, or than were begun */
    public function set(Ledger $ledger, Order $order, BigDecimal $quantity): void
    {
        self::assertEnough($order, $quantity);
        $order->released_at === null ?: self::begin($ledger, $order, $quantity->minus($order->quantity));
        $ledger->change($order, 'quantity', Amount::plain($order->quantity), Amount::plain($quantity));
        foreach ($order->components()->with('item.unit')->get() as $component) {
            self::follow($component, $quantity);
        }
        foreach ($order->steps()->get() as $step) {
            $step->planned_minutes = $this->copy->minutes($step, $quantity);
            $step->save();
        }
        if ($order->released_at !== null) {
            $this->cost->rescale($order, BigDecimal::of($order->quantity), $quantity);
        }
        $order->quantity = (string) $quantity;
    }

    /** @throws Refused */
    private static function assertEnough(Order $order, BigDecimal $quantity): void
    {
        if (! $quantity->isPositive()) {
            throw OrderRefused::nothingWanted();
        }
        $promised = $order->promised()
            ->plus($order->received())
            ->plus(CureShort::scrapped($order));
        if ($quantity->isLessThan($promised)) {
            throw OrderRefused::tooFew($promised);
        }
    }

    /**
     * So many more, or fewer, stand at the first step.
     *
     * @throws Refused when fewer are left to begin there
     */
    private static function begin(Ledger $ledger, Order $order, BigDecimal $more): void
    {
        $first = $order->steps()->first();
        if ($first === null) {
            return;
        }
        if ($more->isNegative() && $more->negated()->isGreaterThan($first->pieces()->toDo())) {
            throw OrderRefused::begun($first->pieces()->toDo());
        }
        $ledger->counts->set($first, $first->pieces()->takeIn($more));
    }

    /** What was added by hand stays as it was typed; what was changed by hand stays changed. */
    private static function follow(OrderComponent $component, BigDecimal $quantity): void
    {
        $takes = $component->takes();
        if ($takes === null) {
            return;
        }
        $unit = $component->item->unit->toCore();
        $baseline = (string) Quantity::roundedUp($takes->for(BigRational::of($quantity)), $unit)->amount;
        if (BigDecimal::of($component->planned_quantity)->isEqualTo($component->baseline_quantity)) {
            $component->planned_quantity = BigDecimal::of($baseline)->isLessThan($component->used_quantity)
                ? $component->used_quantity
                : $baseline;
        }
        $component->baseline_quantity = $baseline;
        $component->save();
    }
}

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

    /**
     * @return list<string> what a person planned of components, and follows: "24 pc NUT-8 Nut"
     *
     * @throws Refused when fewer are wanted than are spoken for, or than were begun
     */
    public function set(Ledger $ledger, Order $order, BigDecimal $quantity): array
    {
        self::assertEnough($order, $quantity);
        $order->released_at === null ?: self::begin($ledger, $order, $quantity->minus($order->quantity));
        $ledger->change($order, 'quantity', Amount::plain($order->quantity), Amount::plain($quantity));
        $byHand = array_filter(
            $order->components()->with('item.unit')->get()
                ->map(fn (OrderComponent $component): string => self::follow($ledger, $order, $component, $quantity))
                ->all(),
        );
        foreach ($order->steps()->get() as $step) {
            $step->planned_minutes = $this->copy->minutes($step, $quantity);
            $step->save();
        }
        if ($order->released_at !== null) {
            $this->cost->rescale($order, BigDecimal::of($order->quantity), $quantity);
        }
        $order->quantity = (string) $quantity;

        return array_values($byHand);
    }

    /** @throws Refused */
    private static function assertEnough(Order $order, BigDecimal $quantity): void
    {
        if (! $quantity->isPositive()) {
            throw OrderRefused::nothingWanted();
        }
        $promised = $order->promised()
            ->plus($order->received())
            ->plus(MadeAgain::scrapped($order));
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

    /**
     * What was copied goes by the structure, what a person planned as it was planned; never below what was used.
     *
     * @return string what becomes of what a person planned; '' = it stays, or nobody did
     */
    private static function follow(
        Ledger $ledger,
        Order $order,
        OrderComponent $component,
        BigDecimal $quantity,
    ): string {
        $unit = $component->item->unit->toCore();
        $up = fn (BigRational $exact): BigDecimal => Quantity::roundedUp($exact, $unit)->amount;
        $byHand = $component->byHand();
        $takes = $component->takes();
        $was = BigDecimal::of($component->planned_quantity);
        if ($takes !== null) {
            $component->baseline_quantity = (string) $up($takes->for(BigRational::of($quantity)));
        }
        $exact = $byHand?->for($quantity) ?? $takes?->for(BigRational::of($quantity));
        if ($exact !== null) {
            $component->planned_quantity = (string) BigDecimal::max($component->used_quantity, $up($exact));
        }
        $component->save();
        $is = Amount::plain($component->planned_quantity);
        if ($byHand === null || $was->isEqualTo($component->planned_quantity)) {
            return '';
        }
        $ledger->change($order, "component {$component->item->number}", Amount::plain($was), $is);

        return "{$is} {$unit->code} {$component->item->label()}";
    }
}

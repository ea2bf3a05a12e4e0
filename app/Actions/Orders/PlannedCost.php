<?php

namespace App\Actions\Orders;

use App\Models\Item;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\WorkCentre;
use App\Reading\Row;
use App\Shop\RolledUp;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Costing\JointCost;
use KeepPace\Core\Costing\PlannedValue;
use KeepPace\Core\Costing\StockValue;
use KeepPace\Core\Quantity\Cents;

/** What an order should cost, at the prices and rates of its release. */
final class PlannedCost
{
    /** At release: rates and prices of today are kept on the order, and what it should cost by them. */
    public function freeze(Order $order): void
    {
        foreach ($order->components()->with('item')->get() as $component) {
            // what a customer brings is worth nothing to us
            $component->planned_value = $component->supplied_by !== 'us' ? 0 : self::of(
                $component->item,
                BigDecimal::of($component->planned_quantity),
            );
            $component->save();
        }
        foreach ($order->steps()->with('workCentre')->get() as $step) {
            if ($step->workCentre !== null) {
                self::rates($step, $step->workCentre);
                $step->save();
            }
        }
        self::values($order);
        $this->sum($order);
    }

    /** What one of each output is worth, where what comes back carries some of the cost by that. */
    private static function values(Order $order): void
    {
        $beside = $order->beside()->with('item')->get();
        foreach ($beside as $output) {
            $output->unit_value = $output->share ?? $output->item->cost;
            $output->save();
        }
        if ($beside->isNotEmpty()) {
            $product = $order->output();
            $product->unit_value = $order->item->cost;
            $product->save();
        }
    }

    /**
     * Of one component, at what stock of it is worth today; where there is none and its item says no cost, at what it
     * costs to make so many. Cents.
     */
    public static function of(Item $item, BigDecimal $quantity): int
    {
        $there = DB::table('stock_values')->where('item_id', $item->id)->where('quantity', '>', 0)
            ->selectRaw('COALESCE(SUM(quantity), 0) AS quantity, COALESCE(SUM(value), 0) AS value');
        $value = Row::first($there, fn (Row $row): StockValue => new StockValue(
            $row->decimal('quantity'),
            $row->int('value'),
        ));

        $rule = CostingRule::from($item->costing);
        $value ??= StockValue::none();
        $isSaid = $rule === CostingRule::Standard
            || ! $value->quantity->isZero()
            || BigDecimal::of($item->cost)->isPositive();

        return $isSaid || ! $item->kind->isMadeHere()
            ? PlannedValue::of($quantity, $item->cost, $rule, $value)
            : self::made($item, $quantity);
    }

    /** What it takes to make them, by the structures, routings and rates of today; cents. */
    private static function made(Item $item, BigDecimal $quantity): int
    {
        $rolled = RolledUp::of([$item->id])->cost->of($item->number, $quantity);

        return $rolled->total()->total()->toScale(0, RoundingMode::HALF_UP)->toInt();
    }

    public static function rates(OrderStep $step, WorkCentre $centre): void
    {
        $step->fill($centre->only(OrderStep::RATES));
    }

    /** After the quantity of a released order changed: another amount at the same prices and rates. */
    public function rescale(Order $order, BigDecimal $from, BigDecimal $to): void
    {
        foreach ($order->components()->get() as $component) {
            $component->planned_value = Cents::part($component->planned_value, $to, $from);
            $component->save();
        }
        $this->sum($order, $to);
    }

    /** As long as people work at it; all of its minutes where somebody said how many it takes. */
    private static function labour(OrderStep $step, BigDecimal $quantity): int
    {
        $time = $step->time();

        return $time->isTended() ? $step->planned_minutes * $step->crew : $time->labour($quantity, $step->crew);
    }

    private function sum(Order $order, ?BigDecimal $quantity = null): void
    {
        $cost = ['material' => (int) $order->components()
            ->sum('planned_value'), 'labour' => 0, 'machine' => 0, 'overhead' => 0, 'outside' => 0];
        $quantity ??= BigDecimal::of($order->quantity);
        foreach ($order->steps()->get() as $step) {
            if ($step->isOutside()) {
                $cost['outside'] += $step->charge()->of($quantity);
            } else {
                $minutes = $step->planned_minutes;
                $labour = self::labour($step, $quantity);
                foreach ($step->rates()->cost($labour, $minutes, $quantity) as $kind => $cents) {
                    $cost[$kind] += $cents;
                }
            }
        }
        foreach ($cost as $kind => $cents) {
            $order->setAttribute("planned_{$kind}", $cents);
        }
        self::share($order, $quantity);
    }

    /** What of it is to be carried by what comes back; the product carries the rest. */
    private static function share(Order $order, BigDecimal $quantity): void
    {
        $beside = $order->beside()->with('item.unit')->get()->keyBy('id');
        if ($beside->isEmpty()) {
            return;
        }
        $product = $order->output();
        $joint = [$product->id => $product->joint($quantity)];
        foreach ($beside as $output) {
            $joint[$output->id] = $output->joint($output->comesWith($quantity));
        }
        $shares = JointCost::planned($order->plannedCost()->total(), $joint);
        foreach ($beside as $output) {
            $output->planned_value = $shares[$output->id];
            $output->save();
        }
    }
}

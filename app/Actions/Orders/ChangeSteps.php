<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\WorkCentre;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\StepRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** Changes the steps of one order; the master routing is not touched. */
final class ChangeSteps
{
    public function __construct(private readonly OrderChange $change, private readonly OrderCopy $copy)
    {
    }

    /**
     * @param  array{work_centre_id: ?int, setup_minutes: string, run_rate: string}  $to
     * @param  array<string, string>  $overheads  by column of OrderStep::OVERHEADS; what is not given stays
     */
    public function change(int $stepId, int $version, array $to, array $overheads, Signed $signed): Booking
    {
        $orderId = OrderStep::query()->findOrFail($stepId)->order_id;

        return $this->change->handle($orderId, $version, $signed, function (Ledger $ledger, Order $order) use (
            $stepId,
            $to,
            $overheads,
            $signed,
        ): string {
            $step = OrderStep::query()->findOrFail($stepId);
            $others = array_filter(
                $overheads,
                fn (string $rate, string $field): bool => ! BigDecimal::of($rate)
                    ->isEqualTo($step->getAttribute($field) ?? '0'),
                ARRAY_FILTER_USE_BOTH,
            );
            if ($step->pieces()->isDone() && BigDecimal::of($step->taken_in)->isPositive()) {
                throw StepRefused::stepDone($step->number);
            }
            $this->move($ledger, $order, $step, (int) $to['work_centre_id']);
            self::times($ledger, $order, $step, $to);
            $this->overheads($ledger, $order, $step, $others, $signed->reason);
            if ($step->run_basis === 'units_per_hour' && ! BigDecimal::of($step->run_rate)->isPositive()) {
                throw StepRefused::noRate();
            }
            $step->planned_minutes = $this->copy->minutes($step, BigDecimal::of($order->quantity));
            $step->save();

            return "Order {$order->number} step {$step->number} changed.";
        });
    }

    /** To another work centre, whose rates hold from now on. */
    private function move(Ledger $ledger, Order $order, OrderStep $step, int $to): void
    {
        if ($step->isOutside() || $to === $step->work_centre_id) {
            return;
        }
        self::assertAlone($step);
        $centre = WorkCentre::query()->findOrFail($to);
        $was = (string) WorkCentre::query()->find($step->work_centre_id)?->code;
        $ledger->change($order, "step {$step->number}, work centre", $was, $centre->code);
        $step->work_centre_id = $centre->id;
        if ($step->labour_rate !== null) {
            PlannedCost::rates($step, $centre);
        }
    }

    /** @throws Refused where it is set up with steps of other orders */
    private static function assertAlone(OrderStep $step): void
    {
        if ($step->sharedSetup() !== null) {
            throw StepRefused::setUpWithOthers($step->label());
        }
    }

    /** @param  array{work_centre_id: ?int, setup_minutes: string, run_rate: string}  $to */
    private static function times(Ledger $ledger, Order $order, OrderStep $step, array $to): void
    {
        foreach (['setup_minutes' => 'setup', 'run_rate' => 'run'] as $field => $name) {
            [$was, $is] = [(string) $step->getAttribute($field), $to[$field]];
            if (! BigDecimal::of($is)->isEqualTo($was)) {
                $ledger->change($order, "step {$step->number}, {$name}", Amount::plain($was), Amount::plain($is));
                $step->setAttribute($field, $is);
            }
        }
    }

    /**
     * Other than what the work centre had at the release, or has where the step moves to; from the next count on.
     *
     * @param  array<string, string>  $others  by column, those that differ from what stood on the step
     */
    private function overheads(Ledger $ledger, Order $order, OrderStep $step, array $others, string $reason): void
    {
        if ($others === []) {
            return;
        }
        if ($step->labour_rate === null) {
            throw StepRefused::noRatesYet($order->number);
        }
        if (trim($reason) === '') {
            throw StepRefused::overheadUnexplained($step->number);
        }
        foreach ($others as $field => $rate) {
            $ledger->change(
                $order,
                "step {$step->number}, ".str_replace('_', ' ', $field),
                Amount::plain($step->getAttribute($field) ?? '0'),
                Amount::plain($rate),
            );
            $step->setAttribute($field, $rate);
        }
    }

    /**
     * Puts a step in, where no pieces have been yet.
     *
     * @param  array{number: int, name: string, work_centre_id: int, setup_minutes: string, run_rate: string}  $step
     *     run_rate in minutes per unit
     */
    public function add(int $orderId, int $version, array $step, Signed $signed): Booking
    {
        return $this->change->handle($orderId, $version, $signed, function (Ledger $ledger, Order $order) use (
            $step,
        ): string {
            self::assertCanStand($order, $step['number']);
            $centre = WorkCentre::query()->findOrFail($step['work_centre_id']);
            $new = new OrderStep([
                'order_id' => $order->id,
                ...$step,
                'run_basis' => 'min_per_unit',
                'batch' => '1',
                'crew' => 1,
                'baseline_minutes' => 0,
                'supplier_id' => null,
            ]);
            if ($order->released_at !== null) {
                PlannedCost::rates($new, $centre);
            }
            $new->planned_minutes = $this->copy->minutes($new, BigDecimal::of($order->quantity));
            $new->save();
            $ledger->change($order, "step {$new->number}", '', "{$new->name} at {$centre->code}");

            return "Order {$order->number} gets step {$new->number} {$new->name}.";
        });
    }

    /** @throws Refused where there is a step of that number, or pieces have gone past it */
    private static function assertCanStand(Order $order, int $number): void
    {
        $steps = $order->steps()->get();
        if ($steps->isEmpty() && $order->released_at !== null) {
            throw StepRefused::putTogether($order->number);
        }
        if ($steps->contains('number', $number)) {
            throw StepRefused::stepThere($order->number, $number);
        }
        $reached = $steps->last(fn (OrderStep $other): bool => BigDecimal::of($other->taken_in)->isPositive());
        if (
            $reached !== null
            && ($number < $reached->number
                || ($reached->is($steps->last()) && BigDecimal::of($reached->passed_on)->isPositive()))
        ) {
            throw StepRefused::reached($reached->label());
        }
    }

    /** Takes a step out that nothing has reached; what was to be used at it is used at the next. */
    public function remove(int $stepId, int $version, Signed $signed): Booking
    {
        return $this->change->handle(fn (): int => OrderStep::query()->findOrFail($stepId)
            ->order_id, $version, $signed, function (Ledger $ledger, Order $order) use ($stepId): string {
                $step = OrderStep::query()->findOrFail($stepId);
                if (
                    BigDecimal::of($step->taken_in)->isPositive()
                    || DB::table('step_entries')->where('order_step_id', $step->id)->exists()
                ) {
                    throw StepRefused::stepStays($step->label());
                }
                self::assertAlone($step);
                $other = $order->steps()->where('number', '>', $step->number)->first()
                    ?? $order->steps()->where('id', '<>', $step->id)->get()->last();
                if ($other === null) {
                    throw StepRefused::onlyStep($order->number, $step->label());
                }
                $order->components()->where('step_number', $step->number)->update(['step_number' => $other->number]);
                DB::table('plan_steps')->where('order_step_id', $step->id)->delete();
                $step->delete();
                $ledger->change($order, "step {$step->number}", $step->name, '');

                return "Order {$order->number} no longer has step {$step->number} {$step->name}.";
            });
    }
}

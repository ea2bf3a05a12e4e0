<?php

namespace App\Actions\Purchasing;

use App\Actions\Orders\ChangedMeanwhile;
use App\Actions\Orders\OrderCopy;
use App\Actions\Orders\PlannedCost;
use App\Actions\Work\WorkGivenUp;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\WorkCentre;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\StepRefused;
use KeepPace\Core\Refused;

/** A step that a supplier was to do is done here. What is ordered of him and has not come is given up. */
final class WorkHere
{
    public function __construct(private readonly Bookings $bookings, private readonly OrderCopy $copy)
    {
    }

    /**
     * @param  int  $version  of the order as the person saw it
     * @param  array{work_centre_id: int, setup_minutes: string, run_rate: string}  $here  where, and how long it takes;
     *     the rate as its basis counts it
     *
     * @throws Refused when pieces are with the supplier, when it is done here already, and without a time
     */
    public function handle(int $stepId, int $version, array $here, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::OrderChanged, $signed, new Part(
            fn () => WorkGivenUp::needsOfStep(OrderStep::query()->findOrFail($stepId)),
            function (Ledger $ledger, Held $held) use ($stepId, $version, $here): void {
                $step = OrderStep::query()->with('supplier')->findOrFail($stepId);
                $order = $held->order($step->order_id)->load('item');
                ChangedMeanwhile::check($order, $version);
                $order->assertMay(OrderDeed::Change);
                self::assertCan($step, $here['run_rate']);
                $wasOrdered = WorkGivenUp::ofStep($ledger, $step);
                $ledger->concerns($order);
                $ledger->says($this->move($ledger, $order, $step, $here)
                    .($wasOrdered ? ' What was ordered of it is given up.' : ''));
            },
        ));
    }

    /** @throws Refused */
    private static function assertCan(OrderStep $step, string $rate): void
    {
        if (! $step->isOutside()) {
            throw StepRefused::isHere($step->label());
        }
        if (BigDecimal::of($rate)->isZero()) {
            throw StepRefused::noTimeHere($step->label());
        }
        WorkGivenUp::assertNoneThere($step);
    }

    /** @param  array{work_centre_id: int, setup_minutes: string, run_rate: string}  $here */
    private function move(Ledger $ledger, Order $order, OrderStep $step, array $here): string
    {
        $centre = WorkCentre::query()->findOrFail($here['work_centre_id']);
        $was = (string) $step->supplier?->name;
        $ledger->change($order, "step {$step->number}, where", $was, $centre->code);
        $step->fill(['supplier_id' => null, ...$here]);
        $step->unsetRelation('supplier');
        if ($order->released_at !== null) {
            PlannedCost::rates($step, $centre);
        }
        $step->planned_minutes = $this->copy->minutes($step, BigDecimal::of($order->quantity));
        $step->save();

        return "{$order->number} {$step->label()} is done here, at {$centre->name}, not by {$was}.";
    }
}

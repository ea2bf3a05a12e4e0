<?php

namespace App\Shop;

use App\Models\OrderStep;
use App\Models\Plan;
use App\Models\PurchaseLine;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** How much work is wanted of the supplier of a step, and when. */
final class WorkWanted
{
    /** Pieces that will reach the step, less those whose work came or is ordered. */
    public static function of(OrderStep $step): BigDecimal
    {
        $lost = OrderStep::query()->where('order_id', $step->order_id)->where('number', '<', $step->number);
        $ordered = PurchaseLine::query()->where('order_step_id', $step->id)->get()->reduce(
            fn (BigDecimal $sum, PurchaseLine $line): BigDecimal => $sum->plus($line->openQuantity()),
            BigDecimal::zero(),
        );

        return BigDecimal::of($step->order()->firstOrFail()->quantity)
            ->minus((string) $lost->sum('scrap'))
            ->minus($step->good)
            ->minus($step->scrap)
            ->minus($ordered);
    }

    /** The day on which its supplier confirmed the work, where that has not passed. */
    public static function confirmedOn(int $step): ?string
    {
        $day = PurchaseLine::query()
            ->where('order_step_id', $step)
            ->where('is_open', true)
            ->whereNotNull('confirmed_on')
            ->where('expected_on', '>=', Deliveries::now()->today)
            ->max('expected_on');

        return is_string($day) ? $day : null;
    }

    /** The day on which the live plan has it back; where it is not planned, its lead time from today. */
    public static function backOn(OrderStep $step): string
    {
        $zone = config()->string('pace.zone');
        $end = DB::table('plan_steps')->where('plan_id', Plan::LIVE)->where('order_step_id', $step->id);
        $planned = Row::first($end->select('end_at'), fn (Row $row): CarbonImmutable => $row->moment('end_at'));
        $deliveries = Deliveries::now();
        $on = ($planned ?? CarbonImmutable::now()->addDays($step->daysAway()))->setTimezone($zone);

        return $deliveries->plant->workingDaysFrom(max($on->subDay()->toDateString(), $deliveries->today), 1);
    }
}

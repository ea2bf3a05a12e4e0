<?php

namespace App\Queries\Orders;

use App\Reading\Row;
use App\Settings\Setting;
use App\Settings\Settings;
use App\Shop\PlantCalendar;
use App\Shop\ShopState;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * The pace strips of a set of orders: steps to scale of planned time, how far each is, where the order should be by
 * now.
 */
final class PaceStrips
{
    /**
     * @param  Collection<int, ListedOrder>  $orders
     * @return array<int, PaceStrip> by order id
     */
    public static function for(Collection $orders): array
    {
        $steps = self::segments($orders->pluck('id'));
        $untilDue = self::untilDue($orders);
        $strips = [];
        foreach ($orders as $order) {
            $segments = $steps[$order->id] ?? [];
            $total = array_sum(array_map(fn (PaceSegment $segment): int => $segment->minutes, $segments));
            $left = $untilDue[$order->id] ?? null;
            $isKnown = $left !== null && $total > 0;
            $shouldBe = $isKnown ? max(0.0, min(1.0, ($total - $left) / $total)) : null;
            $strips[$order->id] = new PaceStrip($segments, $total, $shouldBe);
        }

        return $strips;
    }

    /**
     * Shares are worked out where the figures are: a list has thousands of steps.
     *
     * @param  Collection<int, int>  $orders  ids
     * @return array<int, list<PaceSegment>> by order id
     */
    private static function segments(Collection $orders): array
    {
        $steps = DB::table('order_steps AS s')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->whereIn('s.order_id', $orders)
            ->orderBy('s.order_id')
            ->orderBy('s.number')
            ->select(['s.order_id', 's.number', 's.name', 's.supplier_id', 's.planned_minutes', 's.started_at'])
            ->selectRaw(
                'LEAST(1000000, COALESCE((s.good + s.scrap) * 1000000 DIV NULLIF(o.quantity, 0), 0)) AS millionths',
            )
            ->selectRaw('s.taken_in > s.good + s.scrap AS here');
        $segments = [];
        $day = Settings::whole(Setting::OutsideDayMinutes);
        foreach (Row::all($steps, fn (Row $row): Row => $row) as $step) {
            $isOutside = $step->intOrNull('supplier_id') !== null;
            $minutes = $step->int('planned_minutes');
            $segments[$step->int('order_id')][] = new PaceSegment(
                $step->int('number'),
                $step->text('name'),
                max(1, $isOutside ? intdiv($minutes, 1440) * $day : $minutes),
                $step->int('millionths') / 1_000_000,
                $isOutside,
                $step->textOrNull('started_at') !== null,
                $step->flag('here'),
            );
        }

        return $segments;
    }

    /**
     * Working minutes of the plant from now to each due time, 0 when it has passed.
     *
     * @param  Collection<int, ListedOrder>  $orders
     * @return array<int, int>
     */
    private static function untilDue(Collection $orders): array
    {
        $now = ShopState::minute(CarbonImmutable::now());
        $dues = $onDay = [];
        foreach ($orders as $order) {
            if ($order->dueOn !== null) {
                $dues[$order->id] = $onDay[$order->dueOn] ??= ShopState::minute(
                    CarbonImmutable::parse(
                        $order->dueOn.' '.Settings::text(Setting::DueHour),
                        config()->string('pace.zone'),
                    ),
                );
            }
        }
        $plant = PlantCalendar::known();
        if ($plant === null || $dues === [] || max($dues) <= $now) {
            return array_map(fn (int $due): int => max(0, $due - $now), $dues);
        }
        $windows = $plant->windows($now, min(max($dues), $now + 90 * 1440));

        return array_map(fn (int $due): int => max(0, $windows->minutesBetween($now, $due)), $dues);
    }
}

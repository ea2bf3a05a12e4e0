<?php

namespace App\Queries\Orders;

use App\Models\Calendar;
use App\Queries\Shop\ShopState;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** The pace strips of a set of orders: steps to scale of planned time, how far each is, where the order should be by now. */
final class PaceStrips
{
    private const DAY = 480; // working minutes an outside day is drawn as

    /**
     * @param  Collection<int, \stdClass>  $orders  with id, due_on
     * @return array<int, PaceStrip> by order id
     */
    public static function for(Collection $orders): array
    {
        // shares are worked out where the figures are: a list has thousands of steps
        $steps = DB::table('order_steps AS s')->join('orders AS o', 'o.id', 's.order_id')->whereIn('s.order_id', $orders->pluck('id'))
            ->orderBy('s.order_id')->orderBy('s.number')
            ->get(['s.order_id', 's.number', 's.name', 's.supplier_id', 's.planned_minutes', 's.lead_days', 's.started_at',
                DB::raw('LEAST(1, COALESCE((s.good + s.scrap) / NULLIF(o.quantity, 0), 0)) AS done'),
                DB::raw('s.taken_in > s.good + s.scrap AS here')])
            ->groupBy('order_id');
        $untilDue = self::untilDue($orders);
        $strips = [];
        foreach ($orders as $order) {
            $segments = [];
            foreach ($steps[$order->id] ?? [] as $step) {
                $minutes = max(1, $step->supplier_id === null ? $step->planned_minutes : $step->lead_days * self::DAY);
                $segments[] = new PaceSegment($step->number, $step->name, $minutes, (float) $step->done, $step->supplier_id !== null,
                    $step->started_at !== null, (bool) $step->here);
            }
            $total = array_sum(array_map(fn (PaceSegment $segment): int => $segment->minutes, $segments));
            $left = $untilDue[$order->id] ?? null;
            $strips[$order->id] = new PaceStrip($segments, $total, $left === null || $total === 0 ? null
                : max(0.0, min(1.0, ($total - $left) / $total)));
        }

        return $strips;
    }

    /**
     * Working minutes of the plant from now to each due time, 0 when it has passed.
     *
     * @param  Collection<int, \stdClass>  $orders
     * @return array<int, int>
     */
    private static function untilDue(Collection $orders): array
    {
        $now = ShopState::minute(CarbonImmutable::now());
        $dues = $onDay = [];
        foreach ($orders as $order) {
            if ($order->due_on !== null) {
                $dues[$order->id] = $onDay[$order->due_on] ??= ShopState::minute(CarbonImmutable::parse($order->due_on.' '.config()
                    ->string('pace.due_hour'), config()->string('pace.zone')));
            }
        }
        $plant = Calendar::query()->with(['shifts', 'days'])->firstWhere('code', config()->string('pace.calendar'))?->toCore();
        if ($plant === null || $dues === [] || max($dues) <= $now) {
            return array_map(fn (int $due): int => max(0, $due - $now), $dues);
        }
        $windows = $plant->windows($now, min(max($dues), $now + 90 * 1440));

        return array_map(fn (int $due): int => max(0, $windows->minutesBetween($now, $due)), $dues);
    }
}

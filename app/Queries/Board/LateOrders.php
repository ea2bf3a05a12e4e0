<?php

namespace App\Queries\Board;

use App\Models\Plan;
use App\Queries\Orders\OrderList;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\LateFor;

/** Orders that will miss their date, each with its cause in a sentence; latest first. */
final class LateOrders
{
    /** @return Collection<int, \stdClass> as in the order list, with ->finish_at, ->due_at, ->late_for, ->cause */
    public static function all(): Collection
    {
        $late = DB::table('plan_orders')
            ->where('plan_id', Plan::LIVE)
            ->where('late_minutes', '>', 0)
            ->orderByDesc('late_minutes')
            ->get(['order_id', 'finish_at', 'due_at', 'late_minutes', 'late_for', 'order_by']);
        if ($late->isEmpty()) {
            return collect();
        }
        $standing = StandingPlan::of();
        $causes = Cache::remember("late-causes.{$standing->plan->stamp}", 3600, function () use (
            $standing,
            $late,
        ): array {
            $why = new WhyLate($standing);

            return $late
                ->mapWithKeys(fn (\stdClass $row): array => [$row->order_id => $why->sentence($row->order_id)])
                ->all();
        });
        $orders = OrderList::find(array_map(intval(...), $late->pluck('order_id')->all()))->keyBy('id');

        return $late
            ->filter(fn (\stdClass $row): bool => isset($orders[$row->order_id]))
            ->map(function (\stdClass $row) use ($orders, $causes): \stdClass {
                $order = $orders[$row->order_id];
                $order->finish_at = $row->finish_at;
                $order->due_at = $row->due_at;
                $order->late_for = LateFor::tryFrom($row->late_for);
                $order->cause = $causes[$row->order_id] ?? '';

                return $order;
            })->values();
    }
}

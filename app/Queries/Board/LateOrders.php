<?php

namespace App\Queries\Board;

use App\Models\Plan;
use App\Queries\Orders\ListedOrder;
use App\Queries\Orders\OrderList;
use App\Shop\StandingPlan;
use App\Shop\WhyLate;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** Orders that will miss their date, each with its cause in a sentence; latest first. */
final class LateOrders
{
    /** @return Collection<int, LateOrder> */
    public static function all(): Collection
    {
        $ids = DB::table('plan_orders AS p')
            ->join('orders AS o', 'o.id', 'p.order_id')
            ->where('p.plan_id', Plan::LIVE)
            ->where('p.late_minutes', '>', 0)
            ->orderByDesc('p.late_minutes')
            ->orderBy('p.order_id')
            ->pluck('p.order_id')
            ->map(intval(...));
        if ($ids->isEmpty()) {
            return collect();
        }
        $causes = self::causes($ids);

        return OrderList::find(array_values($ids->all()))
            ->map(fn (ListedOrder $order): LateOrder => new LateOrder($order, $causes[$order->id] ?? ''));
    }

    /**
     * @param  Collection<int, int>  $orders
     * @return array<int, string>  by order
     */
    private static function causes(Collection $orders): array
    {
        $standing = StandingPlan::of();
        $work = function () use ($standing, $orders): array {
            $why = new WhyLate($standing);

            return $orders->mapWithKeys(fn (int $order): array => [$order => $why->sentence($order)])->all();
        };

        return Cache::remember("late-causes.{$standing->plan->stamp}", 3600, $work);
    }
}

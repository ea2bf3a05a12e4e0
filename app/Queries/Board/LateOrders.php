<?php

namespace App\Queries\Board;

use App\Models\Plan;
use App\Queries\Orders\ListedOrder;
use App\Queries\Orders\OrderList;
use App\Reading\Row;
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
        $late = DB::table('plan_orders AS p')
            ->join('orders AS o', 'o.id', 'p.order_id')
            ->where('p.plan_id', Plan::LIVE)
            ->where('p.late_minutes', '>', 0)
            ->orderByDesc('p.late_minutes')
            ->orderBy('p.order_id');
        $ids = Row::ints($late, 'p.order_id');
        if ($ids === []) {
            return collect();
        }
        $causes = self::causes($ids);

        return OrderList::find($ids)
            ->map(fn (ListedOrder $order): LateOrder => new LateOrder($order, $causes[$order->id] ?? ''));
    }

    /**
     * @param  list<int>  $orders
     * @return array<int, string>  by order
     */
    private static function causes(array $orders): array
    {
        $standing = StandingPlan::of();
        $work = function () use ($standing, $orders): array {
            $why = new WhyLate($standing);

            return array_combine($orders, array_map($why->sentence(...), $orders));
        };

        /** @var array<int, string> */
        return Cache::remember("late-causes.{$standing->plan->stamp}", 3600, $work);
    }
}

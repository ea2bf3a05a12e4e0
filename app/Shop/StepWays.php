<?php

namespace App\Shop;

use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Where else steps of orders can be done, and in how much of their time. */
final class StepWays
{
    /** @return Builder of order_step_ways AS y, with the steps AS s of open orders */
    public static function open(): Builder
    {
        return DB::table('order_step_ways AS y')
            ->join('order_steps AS s', 's.id', 'y.order_step_id')
            ->whereColumn('y.work_centre_id', '<>', 's.work_centre_id')
            ->orderBy('y.id');
    }

    /**
     * @param  iterable<int>  $orders  ids
     * @return array<int, array<int, int>> percent of the time, by work centre, by step
     */
    public static function ofOrders(iterable $orders): array
    {
        return self::byStep(self::open()->whereIn('s.order_id', $orders));
    }

    /** @return array<int, array<int, int>> percent of the time, by work centre, by step */
    public static function ofPlan(int $plan): array
    {
        return self::byStep(
            self::open()->join('plan_steps AS p', 'p.order_step_id', 's.id')->where('p.plan_id', $plan),
        );
    }

    /** @return array<int, array<int, int>> */
    private static function byStep(Builder $query): array
    {
        $ways = [];
        Row::all(
            $query->select(['y.order_step_id', 'y.work_centre_id', 'y.percent']),
            function (Row $row) use (&$ways): Row {
                $ways[$row->int('order_step_id')][$row->int('work_centre_id')] = $row->int('percent');

                return $row;
            },
        );

        return $ways;
    }
}

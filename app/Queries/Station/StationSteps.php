<?php

namespace App\Queries\Station;

use App\Models\Plan;
use Closure;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/** Steps of orders in the shop that have pieces, or a place in the plan; what a StationJob is read from. */
final class StationSteps
{
    public static function open(): Builder
    {
        return DB::table('order_steps AS s')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin('plan_steps AS p', self::live('p', 'order_step_id', 's.id'))
            ->leftJoin('plan_orders AS po', self::live('po', 'order_id', 'o.id'))
            ->leftJoin('routing_steps AS m', 'm.id', 's.source_step_id')
            ->leftJoin('routings AS r', 'r.id', 'm.routing_id')
            ->leftJoin('people AS w', 'w.id', 's.started_by')
            ->whereIn('o.state', OrderState::IN_THE_SHOP)
            ->where('o.is_held', false)
            ->whereRaw('(s.taken_in > s.good + s.scrap OR s.good > s.passed_on OR p.id IS NOT NULL)')
            ->select([
                's.*',
                'o.number AS order_number',
                'o.quantity',
                'o.item_id',
                'i.number AS item_number',
                'i.name AS item_name',
                'u.code AS unit',
                'p.start_at',
                'po.late_minutes',
                'w.name AS worker',
                'r.item_id AS made_by_item',
                'm.number AS made_by_step',
            ])
            ->selectSub(self::next(), 'next_number')
            ->selectSub(self::partsOpen(), 'parts_open');
    }

    /** @return Closure(JoinClause): JoinClause rows of the live plan */
    private static function live(string $rows, string $column, string $of): Closure
    {
        return fn (JoinClause $join): JoinClause => $join
            ->on("{$rows}.{$column}", $of)
            ->where("{$rows}.plan_id", Plan::LIVE);
    }

    /** Those of a work centre: planned there, or with pieces there and not planned elsewhere. */
    public static function at(int $workCentre): Builder
    {
        // found by two indexes first: the rest is then read of a hundred steps and not of all in the shop
        $planned = DB::table('plan_steps')
            ->where('plan_id', Plan::LIVE)
            ->where('work_centre_id', $workCentre)
            ->select('order_step_id AS id');
        $there = DB::table('orders AS o')
            ->join('order_steps AS s', 's.order_id', 'o.id')
            ->whereIn('o.state', OrderState::IN_THE_SHOP)
            ->where('s.work_centre_id', $workCentre)
            ->whereRaw('(s.taken_in > s.good + s.scrap OR s.good > s.passed_on)')
            ->select('s.id');

        return self::open()
            ->joinSub($planned->union($there), 'near', 'near.id', 's.id')
            ->whereRaw('COALESCE(p.work_centre_id, s.work_centre_id) = ?', [$workCentre]);
    }

    private static function next(): Builder
    {
        return DB::table('order_steps AS n')
            ->whereColumn('n.order_id', 'o.id')
            ->whereColumn('n.number', '>', 's.number')
            ->selectRaw('MIN(n.number)');
    }

    private static function partsOpen(): Builder
    {
        return DB::table('order_components AS c')
            ->whereColumn('c.order_id', 'o.id')
            ->whereColumn('c.step_number', 's.number')
            ->where('c.open_quantity', '>', 0)
            ->where('c.issue_by', 'hand')
            ->selectRaw('COUNT(*)');
    }
}

<?php

namespace App\Queries\Board;

use App\Models\Plan;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;

/** Steps of the live plan in sequence, with what a `DispatchRow` says of them. */
final class DispatchSteps
{
    /** Components of a step in a plan. */
    private const PARTS = 'SELECT COUNT(*) FROM order_components c
        JOIN plan_components k ON k.component_id = c.id AND k.plan_id = ?
        WHERE c.order_id = o.id AND c.step_number = s.number';

    /** Components of a step that have to be brought to it still. */
    private const TO_ISSUE = "SELECT COUNT(*) FROM order_components c
        WHERE c.order_id = o.id AND c.step_number = s.number
        AND c.open_quantity > 0 AND c.issue_by = 'hand'";

    public static function planned(): Builder
    {
        return DB::table('plan_steps AS p')
            ->join('order_steps AS s', 's.id', 'p.order_step_id')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin(
                'plan_orders AS po',
                fn (JoinClause $join) => $join->on('po.order_id', 'o.id')->where('po.plan_id', Plan::LIVE),
            )
            ->leftJoin('families AS f', 'f.id', 's.family_id')
            ->leftJoin('shared_run_steps AS r', 'r.order_step_id', 's.id')
            ->where('p.plan_id', Plan::LIVE)
            ->orderBy('p.start_at')
            ->orderBy('s.id')
            ->select([
                's.id', 's.order_id', 's.number', 's.name', 's.started_at', 's.instructions', 's.tools',
                'o.number AS order', 'o.state', 'o.quantity', 'i.number AS item_number', 'i.name AS item_name',
                'u.code AS unit', 'p.work_centre_id', 'p.machine', 'p.start_at', 'p.run_at', 'p.end_at',
                'po.late_minutes', 'f.code AS family', 'r.shared_run_id AS run',
            ])
            ->selectRaw('s.taken_in > s.good + s.scrap AS has_pieces')
            ->selectRaw('('.self::PARTS.' AND k.missing > 0) AS missing', [Plan::LIVE])
            ->selectRaw('('.self::PARTS." AND k.missing = 0 AND k.coming <> '[]') AS coming", [Plan::LIVE])
            ->selectRaw('('.self::TO_ISSUE.') AS to_issue');
    }
}

<?php

namespace App\Queries\Board;

use App\Models\Plan;
use App\Reading\Row;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** The live plan and the what-ifs beside it with the figures they are compared by. */
final class PlanList
{
    /** @return Collection<int, ListedPlan> the live one first */
    public static function all(): Collection
    {
        $facts = PlanComparison::facts();
        $moved = self::moved();
        $plans = DB::table('plans AS p')
            ->leftJoin('people AS u', 'u.id', 'p.person_id')
            ->leftJoin('plan_orders AS o', 'o.plan_id', 'p.id')
            ->groupBy('p.id', 'p.name', 'p.says', 'p.is_live', 'p.made_at', 'p.booking_id', 'u.name')
            ->orderByDesc('p.is_live')
            ->orderByDesc('p.id')
            ->select(['p.id', 'p.name', 'p.says', 'p.is_live', 'p.made_at', 'p.booking_id', 'u.name AS person'])
            ->selectRaw('SUM(o.late_minutes > 0) AS late')
            ->selectRaw('SUM(GREATEST(o.late_minutes, 0)) AS minutes')
            ->selectRaw('MAX(o.finish_at) AS finish');

        return Row::all($plans, fn (Row $row): ListedPlan => ListedPlan::from($row, $moved, $facts));
    }

    public static function movedIn(int $plan): int
    {
        return self::moved()[$plan] ?? 0;
    }

    /** @return array<int, int> how many steps stand elsewhere than in the live plan, by what-if */
    private static function moved(): array
    {
        $moved = DB::table('plan_steps AS b')
            ->join(
                'plan_steps AS a',
                fn (JoinClause $join) => $join
                    ->on('a.order_step_id', 'b.order_step_id')
                    ->where('a.plan_id', Plan::LIVE),
            )
            ->where('b.plan_id', '<>', Plan::LIVE)
            ->whereRaw(
                'NOT (a.start_at <=> b.start_at AND a.machine <=> b.machine AND a.work_centre_id <=> b.work_centre_id)',
            )
            ->groupBy('b.plan_id')
            ->selectRaw('b.plan_id, COUNT(*) AS n');

        return Row::intsBy($moved, 'n', 'plan_id');
    }
}

<?php

namespace App\Queries\Board;

use App\Models\Plan;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** The live plan and the what-ifs beside it with the figures they are compared by; and the last search. */
final class PlanList
{
    /** @return Collection<int, \stdClass> the live one first */
    public static function all(): Collection
    {
        $facts = PlanComparison::facts();
        $moved = self::moved();

        return DB::table('plans AS p')
            ->leftJoin('people AS u', 'u.id', 'p.user_id')
            ->leftJoin('plan_orders AS o', 'o.plan_id', 'p.id')
            ->groupBy('p.id', 'p.name', 'p.says', 'p.is_live', 'p.made_at', 'p.booking_id', 'p.levers', 'u.name')
            ->orderByDesc('p.is_live')
            ->orderByDesc('p.id')
            ->select([
                'p.id',
                'p.name',
                'p.says',
                'p.is_live',
                'p.made_at',
                'p.booking_id',
                'p.levers',
                'u.name AS person',
            ])
            ->selectRaw(
                'SUM(o.late_minutes > 0) AS late, SUM(GREATEST(o.late_minutes, 0)) AS minutes, MAX(o.finish_at) AS finish',
            )
            ->get()
            ->each(function (\stdClass $plan) use ($facts, $moved): void {
                $plan->isStale = ! $plan->is_live && $facts > (int) $plan->booking_id;
                $plan->moved = $moved[$plan->id] ?? 0;
            });
    }

    public static function lastSearch(): ?\stdClass
    {
        return DB::table('searches AS s')
            ->join('people AS u', 'u.id', 's.user_id')
            ->orderByDesc('s.id')
            ->first(['s.*', 'u.name AS person']);
    }

    /** @return array<int, int> how many steps stand elsewhere than in the live plan, by what-if */
    private static function moved(): array
    {
        return DB::table('plan_steps AS b')
            ->join(
                'plan_steps AS a',
                fn ($join) => $join->on('a.order_step_id', 'b.order_step_id')->where('a.plan_id', Plan::LIVE),
            )
            ->where('b.plan_id', '<>', Plan::LIVE)
            ->whereRaw(
                'NOT (a.start_at <=> b.start_at AND a.machine <=> b.machine AND a.work_centre_id <=> b.work_centre_id)',
            )
            ->groupBy('b.plan_id')
            ->selectRaw('b.plan_id, COUNT(*) AS n')
            ->pluck('n', 'plan_id')
            ->map(fn ($n): int => (int) $n)
            ->all();
    }
}

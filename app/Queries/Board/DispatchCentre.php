<?php

namespace App\Queries\Board;

use App\Models\Plan;
use App\Models\WorkCentre;
use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What a work centre does and what it does next, before its whole list is opened. */
final readonly class DispatchCentre
{
    /** Days ahead that are counted. */
    private const DAYS = 7;

    /**
     * @param  Collection<int, DispatchRow>  $running
     * @param  DispatchRow|null  $next  the first that is not begun
     * @param  int  $steps  planned to begin within seven days, those that run with them
     * @param  int  $late  of these, of orders that will miss their date
     */
    private function __construct(
        public int $id,
        public string $name,
        public int $machines,
        public Collection $running,
        public ?DispatchRow $next,
        public int $steps,
        public int $late,
    ) {
    }

    /** @return Collection<int, self> */
    public static function all(): Collection
    {
        $counts = Row::all(self::counts(), fn (Row $row): Row => $row)->keyBy(
            fn (Row $row): int => $row->int('work_centre_id'),
        );
        $steps = DispatchSteps::planned()->whereIn('s.id', self::atHand());
        $rows = Row::all($steps, DispatchRow::from(...))->groupBy('centre');

        return WorkCentre::inOrder()->toBase()->map(function (WorkCentre $centre) use ($counts, $rows): self {
            $atHand = $rows[$centre->id] ?? collect();
            $count = $counts[$centre->id] ?? null;

            return new self(
                $centre->id,
                $centre->name,
                $centre->machines,
                $atHand->filter(fn (DispatchRow $row): bool => $row->isRunning)->values(),
                $atHand->first(fn (DispatchRow $row): bool => ! $row->isRunning),
                $count?->int('steps') ?? 0,
                $count?->int('late') ?? 0,
            );
        });
    }

    private static function counts(): Builder
    {
        return DB::table('plan_steps AS p')
            ->join('order_steps AS s', 's.id', 'p.order_step_id')
            ->leftJoin('plan_orders AS po', fn (JoinClause $join) => $join
                ->on('po.order_id', 's.order_id')
                ->where('po.plan_id', Plan::LIVE))
            ->where('p.plan_id', Plan::LIVE)
            ->whereNotNull('p.work_centre_id')
            ->where('p.start_at', '<', now()->addDays(self::DAYS))
            ->groupBy('p.work_centre_id')
            ->select('p.work_centre_id')
            ->selectRaw('COUNT(*) AS steps, SUM(COALESCE(po.late_minutes, 0) > 0) AS late');
    }

    /**
     * Of each work centre the steps that run, and the next of the others.
     *
     * @return Collection<int, int> their ids
     */
    private static function atHand(): Collection
    {
        $inOrder = DB::table('plan_steps AS p')
            ->join('order_steps AS s', 's.id', 'p.order_step_id')
            ->where('p.plan_id', Plan::LIVE)
            ->whereNotNull('p.work_centre_id')
            ->select(['s.id', 's.started_at'])
            ->selectRaw('ROW_NUMBER() OVER (
                PARTITION BY p.work_centre_id, s.started_at IS NULL
                ORDER BY p.start_at, s.id
            ) AS place');

        return DB::query()
            ->fromSub($inOrder, 'q')
            ->where(fn (Builder $any) => $any->where('place', 1)->orWhereNotNull('started_at'))
            ->pluck('id');
    }
}

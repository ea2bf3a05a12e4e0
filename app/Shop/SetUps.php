<?php

namespace App\Shop;

use App\Models\WorkCentre;
use App\Reading\Row;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Changeovers;
use KeepPace\Core\Scheduling\SharedRun;

/** How long work centres take from one setup family to the next, and what they are set up for now. */
final readonly class SetUps
{
    /** Counts back among which the last at a work centre is looked for: longer ago nobody would say. */
    private const COUNTS = 5000;

    /**
     * @param  array<int, array<int, array<int, int>>>  $minutes  by work centre, family before, family after
     * @param  array<int, string>  $now  family by work centre
     * @param  array<int, array<string, SharedRun>>  $runs  by work centre, by key
     */
    private function __construct(private array $minutes, private array $now, private array $runs)
    {
    }

    /** @param  Collection<int, WorkCentre>  $centres */
    public static function of(Collection $centres): self
    {
        $runs = SharedRuns::byCentre();
        $ids = array_map(
            fn (WorkCentre $centre): int => $centre->id,
            array_values($centres->filter(fn (WorkCentre $centre): bool => $centre->has_changeovers
                || isset($runs[$centre->id]))->all()),
        );
        if ($ids === []) {
            return new self([], [], []); // most shops: nothing is asked
        }
        $minutes = $now = [];
        Row::all(self::table($ids), function (Row $row) use (&$minutes): Row {
            $before = $row->int('from_family_id');
            $minutes[$row->int('work_centre_id')][$before][$row->int('to_family_id')] = $row->int('minutes');

            return $row;
        });
        Row::all(self::last($ids, array_keys($runs)), function (Row $row) use (&$now, $runs): Row {
            $centre = $row->int('work_centre_id');
            $run = SharedRun::key($row->intOrNull('shared_run_id') ?? 0);
            $now[$centre] = isset($runs[$centre][$run]) ? $run : (string) $row->intOrNull('family_id');

            return $row;
        });

        return new self($minutes, $now, $runs);
    }

    public function changeovers(WorkCentre $centre): ?Changeovers
    {
        $runs = $this->runs[$centre->id] ?? [];

        return $centre->has_changeovers || $runs !== []
            ? new Changeovers(
                $this->minutes[$centre->id] ?? [],
                $centre->has_changeovers ? $centre->other_changeover : 0,
                $runs,
            )
            : null;
    }

    /**
     * What the last step that was counted there left it set up for; of several machines nobody knows which.
     *
     * @return array<int, string> family by machine
     */
    public function familyNow(WorkCentre $centre): array
    {
        return $centre->machines === 1 && isset($this->now[$centre->id]) ? [1 => $this->now[$centre->id]] : [];
    }

    /** @param  list<int>  $centres */
    private static function table(array $centres): Builder
    {
        return DB::table('changeovers')
            ->whereIn('work_centre_id', $centres)
            ->select(['work_centre_id', 'from_family_id', 'to_family_id', 'minutes']);
    }

    /**
     * @param  list<int>  $centres
     * @param  list<int>  $shared  of them, where runs are shared: there anything else ends a run
     */
    private static function last(array $centres, array $shared): Builder
    {
        $counted = DB::table('step_entries AS e')
            ->join('order_steps AS s', 's.id', 'e.order_step_id')
            ->whereRaw('e.id + '.self::COUNTS.' > (SELECT MAX(id) FROM step_entries)')
            ->leftJoin('shared_run_steps AS r', 'r.order_step_id', 's.id')
            ->whereIn('s.work_centre_id', $centres)
            ->where(fn (Builder $any) => $any->whereNotNull('s.family_id')->orWhereIn('s.work_centre_id', $shared))
            ->where('e.good', '>', 0)
            ->select(['s.work_centre_id', 's.family_id', 'r.shared_run_id'])
            ->selectRaw('ROW_NUMBER() OVER (PARTITION BY s.work_centre_id ORDER BY e.id DESC) AS n');

        return DB::query()->fromSub($counted, 'c')->where('n', 1);
    }
}

<?php

namespace App\Shop;

use App\Models\WorkCentre;
use App\Reading\Row;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Changeovers;

/** How long work centres take from one setup family to the next, and what they are set up for now. */
final readonly class SetUps
{
    /** Counts back among which the last at a work centre is looked for: longer ago nobody would say. */
    private const COUNTS = 5000;

    /**
     * @param  array<int, array<int, array<int, int>>>  $minutes  by work centre, family before, family after
     * @param  array<int, string>  $now  family by work centre
     */
    private function __construct(private array $minutes, private array $now)
    {
    }

    /** @param  Collection<int, WorkCentre>  $centres */
    public static function of(Collection $centres): self
    {
        $ids = array_map(
            fn (WorkCentre $centre): int => $centre->id,
            array_values($centres->filter(fn (WorkCentre $centre): bool => $centre->has_changeovers)->all()),
        );
        if ($ids === []) {
            return new self([], []); // most shops: nothing is asked
        }
        $minutes = $now = [];
        Row::all(self::table($ids), function (Row $row) use (&$minutes): Row {
            $before = $row->int('from_family_id');
            $minutes[$row->int('work_centre_id')][$before][$row->int('to_family_id')] = $row->int('minutes');

            return $row;
        });
        Row::all(self::last($ids), function (Row $row) use (&$now): Row {
            $now[$row->int('work_centre_id')] = (string) $row->int('family_id');

            return $row;
        });

        return new self($minutes, $now);
    }

    public function changeovers(WorkCentre $centre): ?Changeovers
    {
        return $centre->has_changeovers
            ? new Changeovers($this->minutes[$centre->id] ?? [], $centre->other_changeover)
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

    /** @param  list<int>  $centres */
    private static function last(array $centres): Builder
    {
        $counted = DB::table('step_entries AS e')
            ->join('order_steps AS s', 's.id', 'e.order_step_id')
            ->whereRaw('e.id + '.self::COUNTS.' > (SELECT MAX(id) FROM step_entries)')
            ->whereIn('s.work_centre_id', $centres)
            ->whereNotNull('s.family_id')
            ->where('e.good', '>', 0)
            ->select(['s.work_centre_id', 's.family_id'])
            ->selectRaw('ROW_NUMBER() OVER (PARTITION BY s.work_centre_id ORDER BY e.id DESC) AS n');

        return DB::query()->fromSub($counted, 'c')->where('n', 1);
    }
}

<?php

namespace App\Queries\Board;

use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Plan;
use App\Wording\When;
use Illuminate\Database\Eloquent\Collection as EloquentCollection;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Plan\Comparison;
use KeepPace\Core\Scheduling\Plan\DailyLoad;

/** A what-if beside the live plan: late orders, total lateness, load of the next days, what moves. */
final readonly class PlanComparison
{
    /**
     * @param  array<string, mixed>  $effect  as EffectWords says it
     * @param  Collection<int, \stdClass>  $late  orders late in one or both: number, name, before, after (minutes),
     *     finishes
     * @param  Collection<int, \stdClass>  $moves  steps that move: name, from, to, machine
     * @param  list<array{name: string, before: list<int>, after: list<int>, capacity: list<int>}>  $load
     * @param  list<int>  $days  UTC minutes
     * @param  EloquentCollection<int, Booking>  $since  what was booked since it was worked out
     */
    private function __construct(
        public Plan $plan,
        public array $effect,
        public Collection $late,
        public Collection $moves,
        public array $load,
        public array $days,
        public EloquentCollection $since,
    ) {
    }

    public static function of(int $planId): self
    {
        $live = StandingPlan::of();
        $other = StandingPlan::of($planId);
        $problem = $live->problem();
        $comparison = Comparison::of(
            $problem->jobs,
            $live->finishes(),
            $other->finishes(),
            $live->steps(),
            $other->steps(),
            $problem->lateIn,
        );
        $from = When::today();
        $days = BoardData::days(intdiv($from->getTimestamp(), 60), intdiv($from->addDays(10)->getTimestamp(), 60));
        $before = DailyLoad::of($problem, $live->steps(), $days);
        $after = DailyLoad::of($other->problem(), $other->steps(), $days);
        $capacity = DailyLoad::capacity($other->problem(), $days);
        $load = [];
        foreach ($problem->workCentres as $id => $centre) {
            $load[] = [
                'name' => $centre->name,
                'before' => $before[$id],
                'after' => $after[$id] ?? [],
                'capacity' => $capacity[$id] ?? [],
            ];
        }

        return new self(
            $other->plan,
            EffectWords::of($comparison),
            self::late($planId, $comparison),
            self::moves($planId, $comparison),
            $load,
            $days,
            self::since($other->plan),
        );
    }

    /** The newest booking that changed facts. @param  int|null  $before  older than this booking */
    public static function facts(?int $before = null): ?int
    {
        return Booking::query()
            ->whereNotIn('kind', BookingKind::withoutFacts())
            ->when($before !== null, fn ($query) => $query->where('id', '<', $before))
            ->orderByDesc('id')
            ->value('id');
    }

    /** @return EloquentCollection<int, Booking> */
    private static function since(Plan $plan): EloquentCollection
    {
        return Booking::query()
            ->with('user')
            ->whereNotIn('kind', BookingKind::withoutFacts())
            ->where('id', '>', $plan->booking_id ?? 0)
            ->orderByDesc('id')
            ->limit(20)
            ->get();
    }

    /** @return Collection<int, \stdClass> */
    private static function late(int $plan, Comparison $comparison): Collection
    {
        $ids = array_keys($comparison->lateBefore + $comparison->lateAfter);

        return DB::table('orders AS o')->join('items AS i', 'i.id', 'o.item_id')
            ->leftJoin('plan_orders AS a', fn ($join) => $join
                ->on('a.order_id', 'o.id')
                ->where('a.plan_id', Plan::LIVE))
            ->leftJoin('plan_orders AS b', fn ($join) => $join->on('b.order_id', 'o.id')->where('b.plan_id', $plan))
            ->whereIn('o.id', $ids)
            ->get(['o.id', 'o.number', 'i.name', 'a.due_at', 'a.finish_at', 'b.finish_at AS finish_with'])
            ->each(function (\stdClass $row) use ($comparison): void {
                $row->before = $comparison->lateBefore[$row->id] ?? 0;
                $row->after = $comparison->lateAfter[$row->id] ?? 0;
            })->sortByDesc(fn (\stdClass $row): int => max($row->before, $row->after))->values();
    }

    /** @return Collection<int, \stdClass> those that change machine first, then by how far they move */
    private static function moves(int $plan, Comparison $comparison): Collection
    {
        return DB::table('plan_steps AS b')
            ->join(
                'plan_steps AS a',
                fn ($join) => $join->on('a.order_step_id', 'b.order_step_id')->where('a.plan_id', Plan::LIVE),
            )
            ->join('order_steps AS s', 's.id', 'b.order_step_id')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->leftJoin('work_centres AS w', 'w.id', 'b.work_centre_id')
            ->leftJoin('suppliers AS v', 'v.id', 's.supplier_id')
            ->where('b.plan_id', $plan)
            ->whereIn('b.order_step_id', $comparison->moved)
            ->orderByRaw(
                '(a.machine <=> b.machine AND a.work_centre_id <=> b.work_centre_id), ABS(TIMESTAMPDIFF(MINUTE, a.start_at, b.start_at)) DESC',
            )
            ->limit(60)
            ->get([
                'o.id AS order_id',
                'o.number AS order',
                's.number',
                's.name',
                'a.start_at AS from_at',
                'b.start_at AS to_at',
                'a.machine AS from_machine',
                'b.machine AS to_machine',
                DB::raw('COALESCE(w.name, v.name) AS `where`'),
            ]);
    }
}

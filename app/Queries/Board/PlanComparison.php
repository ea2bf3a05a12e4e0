<?php

namespace App\Queries\Board;

use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Plan;
use App\Reading\Row;
use App\Shop\PlanLever;
use App\Shop\StandingPlan;
use App\Wording\Figures;
use App\Wording\When;
use Illuminate\Database\Eloquent\Collection as EloquentCollection;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Plan\Comparison;
use KeepPace\Core\Scheduling\Plan\DailyLoad;

/** A what-if beside the live plan: late orders, total lateness, load of the next days, what moves. */
final readonly class PlanComparison
{
    /** So many bookings are said of those made since. */
    private const SAID = 3;

    /**
     * @param  array{
     *     late: list<array{id: int, number: string, says: string}>,
     *     saved: list<array{id: int, number: string, says: string}>,
     *     other: list<array{id: int, number: string, says: string}>,
     *     moved: int,
     *     lateBefore: int,
     *     lateAfter: int,
     *     totalBefore: int,
     *     totalAfter: int,
     * }  $effect
     * @param  Collection<int, ComparedOrder>  $late  in one plan or in both
     * @param  Collection<int, MovedStep>  $moves
     * @param  list<ComparedLoad>  $load
     * @param  list<int>  $days  UTC minutes
     * @param  EloquentCollection<int, Booking>  $since  what was booked since it was worked out
     * @param  list<BrokenPromise>  $broken  promises told to customers that it breaks and the live plan keeps
     * @param  string  $againstRank  who is later for one that stands behind him; '' = nobody
     */
    private function __construct(
        public Plan $plan,
        public array $effect,
        public Collection $late,
        public Collection $moves,
        public array $load,
        private array $days,
        public EloquentCollection $since,
        public array $broken,
        public string $againstRank,
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
            $load[] = ComparedLoad::of($centre->name, $before[$id], $after[$id] ?? [], $capacity[$id] ?? []);
        }

        return new self(
            $other->plan,
            EffectWords::of($comparison),
            self::late($comparison),
            self::moves($planId, $comparison),
            $load,
            $days,
            self::since($other->plan),
            BrokenPromise::newIn($planId),
            AgainstRank::says($comparison->lateBefore, $comparison->lateAfter),
        );
    }

    /** "From 4 late orders to 2. All lateness from 12.5 h to 3.0 h." */
    public function says(): string
    {
        ['lateBefore' => $before, 'lateAfter' => $after] = $this->effect;
        $orders = $before === $after
            ? "{$after} orders late, as in the live plan."
            : "From {$before} late orders to {$after}.";

        return "{$orders} All lateness from ".Figures::hours($this->effect['totalBefore']).' h to';
    }

    public function totalAfter(): string
    {
        return Figures::hours($this->effect['totalAfter']).' h';
    }

    /** "In time again: 218, 220."; nothing where none is. */
    public function savedSays(): string
    {
        $numbers = implode(', ', array_column($this->effect['saved'], 'number'));

        return $numbers === '' ? '' : "In time again: {$numbers}.";
    }

    /** "Becomes late: 231 (1 day late)."; nothing where none does. */
    public function lateSays(): string
    {
        $says = array_map(fn (array $one): string => "{$one['number']} ({$one['says']})", $this->effect['late']);

        return $says === [] ? '' : 'Becomes late: '.implode(', ', $says).'.';
    }

    /**
     * What it takes to be so, and whether going live does it.
     *
     * @return list<array{says: string, becomes: string}>
     */
    public function levers(): array
    {
        return array_map(fn (PlanLever $lever): array => [
            'says' => $lever->says,
            'becomes' => $lever->kind->canBeFact() ? 'Going live makes that so.' : 'A plan cannot make that true.',
        ], PlanLever::ofPlan($this->plan));
    }

    public function sinceSays(): string
    {
        $said = $this->since->take(self::SAID)->pluck('says')->implode(' ');

        return $said.($this->since->count() > self::SAID ? ' And more.' : '');
    }

    public function movesTitle(): string
    {
        $shown = $this->moves->count();

        return 'What moves'.($shown < $this->effect['moved'] ? ", the {$shown} that move most" : '');
    }

    /** @return list<string>  "Thu 26", the days of the load */
    public function dayNames(): array
    {
        return array_map(fn (int $day): string => When::local($day)->format('D j'), array_slice($this->days, 0, -1));
    }

    /**
     * The newest booking that changed facts.
     *
     * @param  int|null  $before  older than this booking
     */
    public static function facts(?int $before = null): ?int
    {
        $newest = DB::table('bookings')
            ->whereNotIn('kind', BookingKind::withoutFacts())
            ->when($before !== null, fn (Builder $query) => $query->where('id', '<', $before))
            ->max('id');

        return is_numeric($newest) ? (int) $newest : null;
    }

    /** @return EloquentCollection<int, Booking> */
    private static function since(Plan $plan): EloquentCollection
    {
        /** @var EloquentCollection<int, Booking> */
        return Booking::query()
            ->with('person')
            ->whereNotIn('kind', BookingKind::withoutFacts())
            ->where('id', '>', $plan->booking_id ?? 0)
            ->orderByDesc('id')
            ->limit(20)
            ->get();
    }

    /** @return Collection<int, ComparedOrder> */
    private static function late(Comparison $comparison): Collection
    {
        $orders = DB::table('orders AS o')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->leftJoin('plan_orders AS a', fn (JoinClause $join) => $join
                ->on('a.order_id', 'o.id')
                ->where('a.plan_id', Plan::LIVE))
            ->whereIn('o.id', array_keys($comparison->lateBefore + $comparison->lateAfter))
            ->select(['o.id', 'o.number', 'i.name', 'a.due_at']);

        return Row::all($orders, fn (Row $row): ComparedOrder => ComparedOrder::from($row, $comparison))
            ->sortByDesc(fn (ComparedOrder $order): int => max($order->before, $order->after))
            ->values();
    }

    /** @return Collection<int, MovedStep> those that change machine first, then by how far they move */
    private static function moves(int $plan, Comparison $comparison): Collection
    {
        $steps = DB::table('plan_steps AS b')
            ->join(
                'plan_steps AS a',
                fn (JoinClause $join) => $join
                    ->on('a.order_step_id', 'b.order_step_id')
                    ->where('a.plan_id', Plan::LIVE),
            )
            ->join('order_steps AS s', 's.id', 'b.order_step_id')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->leftJoin('work_centres AS w', 'w.id', 'b.work_centre_id')
            ->leftJoin('suppliers AS v', 'v.id', 's.supplier_id')
            ->where('b.plan_id', $plan)
            ->whereIn('b.order_step_id', $comparison->moved)
            ->orderByRaw('a.machine <=> b.machine AND a.work_centre_id <=> b.work_centre_id')
            ->orderByRaw('ABS(TIMESTAMPDIFF(MINUTE, a.start_at, b.start_at)) DESC')
            ->limit(60)
            ->select([
                'o.id AS order_id',
                'o.number AS order',
                's.number',
                's.name',
                'a.start_at AS from_at',
                'b.start_at AS to_at',
                'a.machine AS from_machine',
                'b.machine AS to_machine',
            ])
            ->selectRaw('COALESCE(w.name, v.name) AS `where`');

        return Row::all($steps, MovedStep::from(...));
    }
}

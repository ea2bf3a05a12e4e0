<?php

namespace App\Queries\Board;

use App\Models\Plan;
use App\Reading\Row;
use App\Wording\Figures;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** A search as one watches it: its cost falling, who is late before and now, and in words what it has won. */
final readonly class SearchPage
{
    /**
     * @param  Collection<int, ComparedOrder>  $late  late in the plan that stands or in the best so far
     * @param  int|null  $moved  steps that stand elsewhere in what it came to; null = it is not there yet
     * @param  list<BrokenPromise>  $broken  promises told to customers that what it came to breaks
     * @param  string  $againstRank  who is later for one that stands behind him; '' = nobody
     */
    private function __construct(
        public LastSearch $search,
        public DrawnCourse $course,
        public Collection $late,
        private ?int $moved,
        public array $broken,
        public string $againstRank,
    ) {
    }

    /** @return self|null null where there is no such search */
    public static function of(int $id): ?self
    {
        $search = LastSearch::find($id);
        $kept = Row::first(
            DB::table('searches')->where('id', $id)->select(['course', 'late_before', 'late_now']),
            fn (Row $row): Row => $row,
        );
        if ($search === null || $kept === null) {
            return null;
        }
        $before = self::minutes($kept->textOrNull('late_before'));
        $isFound = $search->planId !== null || $search->isUnderWay();
        $now = $isFound ? self::minutes($kept->textOrNull('late_now')) : $before;
        $isEarly = $search->isUnderWay() && $search->iterations === 0;

        return new self(
            $search,
            DrawnCourse::of($search, $kept->textOrNull('course') ?? '[]'),
            self::late($before, $isEarly ? $before : $now),
            $search->planId === null ? null : PlanList::movedIn($search->planId),
            $search->planId === null ? [] : BrokenPromise::newIn($search->planId),
            $search->planId === null ? '' : AgainstRank::says($before, $now),
        );
    }

    /** "3 fewer late, 41 h less; 12 steps move."; what it has won so far, or nothing. */
    public function gain(): string
    {
        $orders = $this->lateBefore() - $this->lateNow();
        $gained = fn (ComparedOrder $order): int => $order->before - $order->after;
        $minutes = (int) $this->late->sum($gained);
        $parts = array_filter([
            match (true) {
                $orders > 0 => Figures::count($orders, 'order').' fewer late',
                $orders < 0 => Figures::count(-$orders, 'order').' more late',
                default => '',
            },
            match (true) {
                $minutes > 0 => Figures::hours($minutes).' h less lateness',
                $minutes < 0 => Figures::hours(-$minutes).' h more lateness, where it counts less',
                default => '',
            },
        ]);
        if ($parts === []) {
            return $this->search->planId === null
                ? ''
                : 'As late as before, counted by rank it is better.'.$this->moves();
        }

        return ucfirst(implode(', ', $parts)).($this->moved === null ? '.' : ';'.$this->moves());
    }

    private function moves(): string
    {
        return match ($this->moved) {
            null => '',
            1 => ' 1 step moves.',
            default => ' '.Figures::count($this->moved, 'step').' move.',
        };
    }

    public function lateBefore(): int
    {
        return $this->late->filter(fn (ComparedOrder $order): bool => $order->before > 0)->count();
    }

    public function lateNow(): int
    {
        return $this->late->filter(fn (ComparedOrder $order): bool => $order->after > 0)->count();
    }

    /** It found nothing, and orders are late all the same: what keeps them is not the sequence alone. */
    public function needsCures(): bool
    {
        return ! $this->search->isUnderWay() && ! $this->search->isBroken() && $this->search->planId === null
            && $this->lateNow() > 0;
    }

    /** @return array<int, int> open minutes by order */
    private static function minutes(?string $json): array
    {
        /** @var array<int, int> */
        return json_decode($json ?? '[]', true, flags: JSON_THROW_ON_ERROR);
    }

    /**
     * @param  array<int, int>  $before
     * @param  array<int, int>  $now
     * @return Collection<int, ComparedOrder>
     */
    private static function late(array $before, array $now): Collection
    {
        $orders = DB::table('orders AS o')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->leftJoin('plan_orders AS p', fn (JoinClause $join) => $join
                ->on('p.order_id', 'o.id')
                ->where('p.plan_id', Plan::LIVE))
            ->whereIn('o.id', array_keys($before + $now))
            ->select(['o.id', 'o.number', 'i.name', 'p.due_at']);

        return Row::all($orders, fn (Row $row): ComparedOrder => ComparedOrder::of($row, $before, $now))
            ->sortByDesc(fn (ComparedOrder $order): array => [max($order->before, $order->after), -$order->id])
            ->values();
    }
}

<?php

namespace App\Queries\Today;

use App\Models\Plan;
use App\Queries\Demand\CustomerOrderList;
use App\Queries\Demand\DemandLine;
use App\Queries\Orders\ListedOrder;
use App\Queries\Orders\OrderList;
use App\Queries\Orders\PaceStrip;
use App\Queries\Orders\PaceStrips;
use App\Queries\Orders\ReceiveList;
use App\Queries\Outside\AtSuppliers;
use App\Queries\Outside\PiecesThere;
use App\Queries\Outside\ReadyList;
use App\Queries\Questions\ArrivalList;
use App\Queries\Questions\ArrivalQuestion;
use App\Queries\Questions\OpenQuestion;
use App\Queries\Questions\QuestionList;
use App\Reading\Cut;
use App\Reading\Row;
use App\Shop\Deliveries;
use App\Shop\Ties;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/**
 * The page a supervisor opens first: what can be released, what is stuck and for what, what will be late, what else
 * waits.
 */
final readonly class TodayPage
{
    private const LATE = 9;

    private const SHOWN = 7;

    private const ARRIVALS = 4;

    /**
     * @param  Collection<int, ListedOrder>  $release  orders that can be released, the first of them
     * @param  Collection<int, ListedOrder>  $stuck  likewise
     * @param  Collection<int, ListedOrder>  $late  latest first, likewise
     * @param  array{
     *     release: int, stuck: int, late: int, for_parts: int, receive: int, shippable: int, outside: int, to_go: int,
     * }  $counts
     * @param  Cut<DemandLine>  $uncovered  customer lines, the first of them
     * @param  Collection<int, PiecesThere>  $outside  pieces at suppliers, what is due first first
     * @param  array<string, int>  $missing  how many stuck orders miss which item, the most first
     * @param  array<int, PaceStrip>  $strips
     * @param  Collection<int, OpenQuestion>  $questions  open ones, the oldest of them
     * @param  list<ArrivalQuestion>  $arrivals  what should be here, the first of it
     * @param  list<string>  $days  somebody is likely to name
     */
    private function __construct(
        public Collection $release,
        public Collection $stuck,
        public Collection $late,
        public array $counts,
        public Cut $uncovered,
        public Collection $outside,
        private array $missing,
        public array $strips,
        public ?string $lastBooking,
        public Collection $questions,
        public int $questionCount,
        public int $short,
        public array $arrivals,
        public array $days,
        public bool $nothingIsOpen,
    ) {
    }

    public static function now(): self
    {
        $open = self::open();
        $stuck = $open->filter(fn (OpenOrder $order): bool => $order->isStuck());
        $release = $open->filter(fn (OpenOrder $order): bool => $order->canBeReleased());
        $late = $open->filter(fn (OpenOrder $order): bool => $order->isLate())->sortByDesc('lateMinutes');
        $shown = self::shown($late->take(self::LATE), $stuck->take(self::SHOWN), $release->take(self::SHOWN));
        $deliveries = Deliveries::now();
        $arrivals = ArrivalList::asked($deliveries);

        return new self(
            self::rows($release->take(self::SHOWN), $shown),
            self::rows($stuck->take(self::SHOWN), $shown),
            self::rows($late->take(self::LATE), $shown),
            self::counted($release, $stuck, $late),
            CustomerOrderList::page('uncovered', ''),
            AtSuppliers::first(self::SHOWN),
            self::missing($stuck),
            PaceStrips::for($shown->values()),
            Row::firstText(DB::table('bookings')->where('kind', '<>', 'import')->orderByDesc('id'), 'entered_at'),
            ($asked = QuestionList::open(5))->rows,
            $asked->count + count($arrivals),
            self::missingItems(),
            array_slice($arrivals, 0, self::ARRIVALS),
            $deliveries->likely(),
            $open->isEmpty(),
        );
    }

    /**
     * @param  Collection<int, OpenOrder>  $release
     * @param  Collection<int, OpenOrder>  $stuck
     * @param  Collection<int, OpenOrder>  $late
     * @return array{
     *     release: int, stuck: int, late: int, for_parts: int, receive: int, shippable: int, outside: int, to_go: int,
     * }
     */
    private static function counted(Collection $release, Collection $stuck, Collection $late): array
    {
        return [
            'release' => $release->count(),
            'stuck' => $stuck->count(),
            'late' => $late->count(),
            'for_parts' => $late->filter(fn (OpenOrder $order): bool => $order->isLateForParts())->count(),
            'receive' => ReceiveList::count(),
            'shippable' => self::shippable(),
            'outside' => AtSuppliers::count(),
            'to_go' => ReadyList::count(),
        ];
    }

    /** Lines that wait with stock kept for them. */
    private static function shippable(): int
    {
        return Ties::fromStock()
            ->join('customer_order_lines AS l', 'l.id', 't.line_id')
            ->where('l.is_open', true)
            ->count();
    }

    /** Items that open orders miss. */
    private static function missingItems(): int
    {
        return DB::table('plan_components AS p')
            ->join('order_components AS c', 'c.id', 'p.component_id')
            ->where('p.plan_id', Plan::LIVE)
            ->where('p.missing', '>', 0)
            ->distinct()
            ->count('c.item_id');
    }

    /** What most of the stuck orders miss: ", for the drive motor", ", 3 of them for the casting". */
    public function stuckFor(): string
    {
        $most = current($this->missing);
        if ($most === false) {
            return '';
        }
        $of = match (true) {
            $this->counts['stuck'] === 1 => 'for the',
            $most === $this->counts['stuck'] => 'all for the',
            default => "{$most} of them for the",
        };

        return ", {$of} ".lcfirst((string) array_key_first($this->missing));
    }

    /** How many of those that will be late are late for parts nobody has ordered. */
    public function lateForParts(): string
    {
        $all = $this->counts['for_parts'] === $this->counts['late'];

        return $this->counts['for_parts'] === 0
            ? ''
            : ', '.($all ? 'all' : $this->counts['for_parts']).' of them for parts nobody has ordered';
    }

    /** @return Collection<int, OpenOrder>  in rank order */
    private static function open(): Collection
    {
        return Row::all(
            DB::table('orders AS o')
                ->leftJoin('plan_orders AS p', fn (JoinClause $join) => $join
                    ->on('p.order_id', 'o.id')
                    ->where('p.plan_id', Plan::LIVE))
                ->whereIn('o.state', OrderState::OPEN)
                ->orderByRaw('p.place_in_rank IS NULL, p.place_in_rank, o.id')
                ->select(['o.id', 'o.state', 'o.is_held', 'p.readiness', 'p.can_start', 'p.late_minutes'])
                ->addSelect(['p.late_for', 'p.unplaced'])
                ->selectRaw("IF(p.readiness = 'stuck', p.blocks, '[]') AS blocks"),
            OpenOrder::from(...),
        );
    }

    /**
     * @param  Collection<int, OpenOrder>  $orders
     * @param  Collection<int, ListedOrder>  $shown  by id
     * @return Collection<int, ListedOrder>
     */
    private static function rows(Collection $orders, Collection $shown): Collection
    {
        return $orders->map(fn (OpenOrder $order): ListedOrder => $shown[$order->id])->values();
    }

    /**
     * @param  Collection<int, OpenOrder>  ...$lists
     * @return Collection<int, ListedOrder>  by id
     */
    private static function shown(Collection ...$lists): Collection
    {
        $ids = [];
        foreach ($lists as $list) {
            array_push($ids, ...$list->map(fn (OpenOrder $order): int => $order->id));
        }

        return OrderList::find(array_values(array_unique($ids)))->keyBy('id');
    }

    /**
     * @param  Collection<int, OpenOrder>  $stuck
     * @return array<string, int>  how many of them miss which item, the most first
     */
    private static function missing(Collection $stuck): array
    {
        $missing = array_count_values($stuck->flatMap(fn (OpenOrder $order): array => $order->notOrdered())->all());
        arsort($missing);

        return $missing;
    }
}

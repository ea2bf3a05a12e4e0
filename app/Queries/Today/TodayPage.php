<?php

namespace App\Queries\Today;

use App\Models\Plan;
use App\Queries\Cut;
use App\Queries\Demand\CustomerOrderList;
use App\Queries\Orders\OrderList;
use App\Queries\Orders\PaceStrip;
use App\Queries\Orders\PaceStrips;
use App\Queries\Orders\ReceiveList;
use App\Queries\Questions\ArrivalList;
use App\Queries\Questions\QuestionList;
use App\Queries\Shop\Deliveries;
use App\Queries\Station\OutsideJob;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\LateFor;
use KeepPace\Core\Planning\OrderState;

/**
 * The page a supervisor opens first: what can be released, what is stuck and for what, what will be late, what else
 * waits.
 */
final readonly class TodayPage
{
    private const LATE = 9;

    private const SHOWN = 7;

    /**
     * @param  Collection<int, \stdClass>  $release  orders that can be released, the first of them
     * @param  Collection<int, \stdClass>  $stuck  likewise
     * @param  Collection<int, \stdClass>  $late  latest first, likewise
     * @param  array{release: int, stuck: int, late: int, for_parts: int, receive: int, shippable: int}  $counts
     * @param  Cut<\stdClass>  $uncovered  customer lines, the first of them
     * @param  Collection<int, OutsideJob>  $outside  steps at suppliers
     * @param  array<string, int>  $missing  how many stuck orders miss which item
     * @param  array<int, PaceStrip>  $strips
     * @param  Collection<int, \stdClass>  $questions  open ones, the oldest of them
     */
    private function __construct(
        public Collection $release,
        public Collection $stuck,
        public Collection $late,
        public array $counts,
        public Cut $uncovered,
        public Collection $outside, public array $missing, public array $strips, public ?string $lastBooking,
        public Collection $questions, public int $questionCount, public int $short)
    {
    }

    public static function now(): self
    {
        $open = DB::table('orders AS o')
            ->join('plan_orders AS p', fn ($join) => $join->on('p.order_id', 'o.id')->where('p.plan_id', Plan::LIVE))
            ->whereIn('o.state', OrderState::OPEN)->orderBy('p.place_in_rank')
            ->selectRaw(
                "o.id, o.state, o.is_held, p.readiness, p.can_start, p.late_minutes, p.late_for, IF(p.readiness = 'stuck', p.blocks, '[]') AS blocks",
            )
            ->get();
        $stuck = $open->filter(fn (\stdClass $row): bool => $row->readiness === 'stuck' && ! $row->is_held);
        $release = $open->filter(
            fn (\stdClass $row): bool => $row->state === OrderState::Firm->value
                && $row->can_start
                && $row->readiness !== 'stuck',
        );
        $late = $open->filter(fn (\stdClass $row): bool => (int) $row->late_minutes > 0)->sortByDesc('late_minutes');
        $missing = [];
        foreach ($stuck as $order) {
            foreach (
                collect(json_decode($order->blocks, true))->whereNull('supply')->pluck('item')->unique() as $item
            ) {
                $missing[$item] = ($missing[$item] ?? 0) + 1;
            }
        }
        arsort($missing);
        $shown = OrderList::find(
            array_values(
                $late
                    ->take(self::LATE)
                    ->concat($stuck->take(self::SHOWN))
                    ->concat($release->take(self::SHOWN))
                    ->pluck('id')
                    ->unique()
                    ->map(intval(...))
                    ->all(),
            ),
        )->keyBy('id');
        $rows = fn (Collection $of, int $most): Collection => $of
            ->take($most)
            ->map(fn (\stdClass $row): \stdClass => $shown[$row->id])
            ->values();

        $deliveries = Deliveries::now();

        return new self(
            $rows($release, self::SHOWN),
            $rows($stuck, self::SHOWN),
            $rows($late, self::LATE),
            [
                'release' => $release->count(),
                'stuck' => $stuck->count(),
                'late' => $late->count(),
                'for_parts' => $late->where('late_for', LateFor::Parts->value)->count(),
                'receive' => ReceiveList::count(),
                'shippable' => DB::table('covers AS c')
                    ->join('customer_order_lines AS l', 'l.id', 'c.line_id')
                    ->where('l.is_open', true)
                    ->where('c.supply', 'stock')
                    ->where('c.quantity', '>', 0)
                    ->count(),
            ],
            CustomerOrderList::page('uncovered', ''),
            OutsideJob::all($deliveries),
            $missing,
            PaceStrips::for($shown->values()),
            DB::table('bookings')->where('kind', '<>', 'import')->orderByDesc('id')->value('entered_at'),
            ($open = QuestionList::open(5))->rows,
            $open->count + count(ArrivalList::asked($deliveries)),
            DB::table('plan_components AS p')
                ->join('order_components AS c', 'c.id', 'p.component_id')
                ->where('p.plan_id', Plan::LIVE)
                ->where('p.missing', '>', 0)
                ->distinct()
                ->count('c.item_id'),
        );
    }
}

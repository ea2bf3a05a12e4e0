<?php

namespace App\Queries\Orders;

use App\Models\OrderOutput;
use App\Models\Plan;
use App\Reading\Like;
use App\Reading\Row;
use App\Shop\Ties;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/** Orders with their plan, as the lists show them. */
final class OrderList
{
    private const ORDER = [
        'o.id', 'o.number', 'o.quantity', 'out.received_quantity', 'o.state', 'o.is_held', 'o.is_loaded_late',
        'o.due_on', 'o.rank', 'o.version', 'o.short_reason', 'o.item_id', 'o.created_at',
        'i.number AS item_number', 'i.name AS item_name', 'i.tracking', 'u.code AS unit', 'p.finish_at',
        'p.due_at', 'p.late_minutes', 'p.readiness', 'p.can_start', 'p.blocks', 'p.unplaced', 'p.order_by',
        'p.late_for',
    ];

    public const PAGE = 80;

    /** @return Collection<int, ListedOrder> one page, in rank order; what is over newest first */
    public static function rows(OrderFilter $filter): Collection
    {
        $query = self::matching($filter);
        in_array($filter->state, ['closed', 'cancelled', 'all'], true) ? $query->orderByDesc('o.id')
            : $query->orderByRaw("o.state = 'built', p.place_in_rank IS NULL, p.place_in_rank, o.id");

        return self::find(Row::ints($query->offset($filter->skip)->limit(self::PAGE), 'o.id'));
    }

    /**
     * All open orders by the rank itself, as it is stored.
     *
     * @return Collection<int, ListedOrder>
     */
    public static function ranked(): Collection
    {
        $ranked = DB::table('orders')
            ->whereIn('state', OrderState::OPEN)
            ->orderBy('rank')
            ->orderByRaw('due_on IS NULL, due_on')
            ->orderBy('id');

        return self::find(Row::ints($ranked, 'id'));
    }

    public static function count(OrderFilter $filter): int
    {
        return self::matching($filter)->count();
    }

    /**
     * Orders by id, in the order asked for: what is costly is asked for these alone.
     *
     * @param  list<int>  $ids
     * @return Collection<int, ListedOrder>
     */
    public static function find(array $ids): Collection
    {
        $place = array_flip($ids);

        return Row::all(self::base()->whereIn('o.id', $ids), ListedOrder::from(...))
            ->sortBy(fn (ListedOrder $order): int => $place[$order->id])
            ->values();
    }

    private static function matching(OrderFilter $filter): Builder
    {
        $query = DB::table('orders AS o')->leftJoin(
            'plan_orders AS p',
            fn (JoinClause $join) => $join->on('p.order_id', 'o.id')->where('p.plan_id', Plan::LIVE),
        );
        self::inState($query, $filter);
        self::atPace($query, $filter);
        self::about($query, $filter);

        return $query;
    }

    private static function inState(Builder $query, OrderFilter $filter): void
    {
        match ($filter->state) {
            OrderFilter::OPEN => $query->whereIn('o.state', [...OrderState::OPEN, OrderState::Built]),
            'all' => null,
            default => $query->where('o.state', $filter->state),
        };
        match ($filter->readiness) {
            'can-release' => $query->where('o.state', 'firm')->where('o.is_held', false)->where('p.can_start', true)
                ->where('p.readiness', '<>', 'stuck'),
            'held' => $query->where('o.is_held', true),
            '' => null,
            default => $query->where('p.readiness', $filter->readiness)->where('o.is_held', false),
        };
    }

    private static function atPace(Builder $query, OrderFilter $filter): void
    {
        match ($filter->pace) {
            'late' => $query->where('p.late_minutes', '>', 0)->whereIn('o.state', OrderState::OPEN),
            'soon' => $query->whereIn('o.state', OrderState::OPEN)
                ->whereBetween('o.due_on', [now()->subYear()->toDateString(), now()->addDays(3)->toDateString()]),
            'outside' => $query->whereExists(
                fn (Builder $step) => $step
                    ->from('order_steps')
                    ->whereColumn('order_id', 'o.id')
                    ->whereNotNull('supplier_id')
                    ->whereRaw('taken_in > good + scrap'),
            ),
            default => null,
        };
    }

    /** What is looked for: words, an item, a customer, a work centre. */
    private static function about(Builder $query, OrderFilter $filter): void
    {
        if ($filter->text !== '') {
            $key = Like::insideKey($filter->text);
            $query->join('items AS i', 'i.id', 'o.item_id')
                ->where(fn (Builder $text) => $text
                    ->where('o.number_key', 'like', $key)
                    ->orWhere('i.number_key', 'like', $key)
                    ->orWhere('i.name', 'like', Like::inside($filter->text)));
        }
        if ($filter->item !== 0) {
            $query->where('o.item_id', $filter->item);
        }
        if ($filter->customer !== 0) {
            $query->whereExists(
                fn (Builder $ties) => Ties::linesOf($ties, 'o.id')->where('co.customer_id', $filter->customer),
            );
        }
        if ($filter->workCentre !== 0) {
            $query->whereExists(fn (Builder $step) => $step->from('order_steps')->whereColumn('order_id', 'o.id')
                ->where('work_centre_id', $filter->workCentre));
        }
    }

    /** Orders with item, unit, plan, customers they are made for and their last booking. */
    public static function base(): Builder
    {
        return DB::table('orders AS o')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->join('order_outputs AS out', fn (JoinClause $join) => $join
                ->on('out.order_id', 'o.id')
                ->where('out.position', OrderOutput::PRODUCT))
            ->leftJoin('plan_orders AS p', fn (JoinClause $join) => $join
                ->on('p.order_id', 'o.id')
                ->where('p.plan_id', Plan::LIVE))
            ->select(self::ORDER)
            ->selectSub(
                fn (Builder $cover) => Ties::customersOf($cover, 'o.id'),
                'customers',
            )
            ->selectSub(
                Ties::wereMadeFor()
                    ->join('orders AS parent', 'parent.id', 'want.order_id')
                    ->whereColumn('out.order_id', 'o.id')
                    ->selectRaw("GROUP_CONCAT(DISTINCT parent.number SEPARATOR ', ')"),
                'for_number',
            )
            ->selectSub(
                fn (Builder $booking) => $booking
                    ->from('booking_says AS s')
                    ->join('bookings AS b', 'b.id', 's.booking_id')
                    ->whereColumn('s.order_id', 'o.id')
                    ->orderByDesc('s.booking_id')
                    ->limit(1)
                    ->select('b.entered_at'),
                'last_booking',
            );
    }
}

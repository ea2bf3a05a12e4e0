<?php

namespace App\Queries\Shortages;

use App\Models\Plan;
use App\Queries\Orders\Coming;
use App\Reading\Cut;
use App\Reading\Row;
use App\Shop\Deliveries;
use App\Shop\LeadTime;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/**
 * What open orders need and neither stock nor anything ordered will give; and what is coming too late. From the live
 * plan.
 */
final readonly class ShortageList
{
    private const COMPONENT = [
        'c.id', 'c.order_id', 'c.item_id', 'c.step_number', 'p.missing', 'p.coming', 'p.from_stock',
        'p.order_by', 'p.needed_at', 'o.number AS order_number', 'o.state', 'o.due_on', 'o.version', 'o.short_reason',
        'i.number AS item_number', 'i.name AS item_name', 'i.lot_sizing', 'i.lot_quantity', 'i.lot_least',
        'u.code AS unit', 's.name AS supplier', 'po.late_minutes', 'po.place_in_rank',
    ];

    private const HOLDERS = 4;

    /** Items, or orders, on the page at first: what has to be ordered first stands first. */
    private const SHOWN = 80;

    /**
     * @param  Collection<int, ShortPart>  $parts  the first to be ordered first
     * @param  Collection<int, ShortPart>  $waiting  whose purchase comes too late for their order to keep its date
     * @param  Collection<int, Collection<int, ComingLine>>  $coming  open purchase lines by item
     * @param  Collection<int, Collection<int, ShortPart>>  $holders  by item, of open orders that have some of it
     * @param  Collection<int, ReleasedShort>  $released
     */
    private function __construct(
        public Collection $parts,
        public Collection $waiting,
        private Collection $coming,
        private Collection $holders,
        public Collection $released,
        private Deliveries $deliveries,
    ) {
    }

    public static function now(): self
    {
        $deliveries = Deliveries::now();
        $parts = Row::all(self::components()->where('p.missing', '>', 0), ShortPart::from(...));
        $late = self::components()
            ->where('p.missing', 0)
            ->whereRaw("p.coming <> '[]'")
            ->where('po.late_minutes', '>', 0);
        $waiting = Row::all($late, ShortPart::from(...))
            ->filter(fn (ShortPart $part): bool => $part->tooLate() !== []);
        $items = $parts->pluck('itemId')->merge($waiting->pluck('itemId'))->unique()->values();
        $holders = self::components()
            ->whereIn('c.item_id', $parts->pluck('itemId')->unique())
            ->where('p.from_stock', '>', 0);

        return new self(
            self::sorted($parts),
            self::sorted($waiting),
            Row::all(self::purchases($items, $deliveries->today), ComingLine::from(...))->groupBy('itemId'),
            Row::all($holders, ShortPart::from(...))->groupBy('itemId'),
            self::releasedShort(),
            $deliveries,
        );
    }

    /**
     * The plant's.
     *
     * @return string "YYYY-MM-DD"
     */
    public function today(): string
    {
        return $this->deliveries->today;
    }

    /** @return Collection<int, ShortItem>  the first to be ordered first */
    public function byItem(): Collection
    {
        return $this->parts
            ->groupBy('itemId')
            ->map(fn (Collection $parts): ShortItem => ShortItem::of($parts, $this->deliveries))
            ->values();
    }

    /** @return Collection<int, Collection<int, ShortPart>> */
    public function byOrder(): Collection
    {
        return $this->parts->groupBy('orderId')->values();
    }

    /**
     * The first of a list, or all of it where that is asked for.
     *
     * @template T
     *
     * @param  Collection<int, T>  $list
     * @return Cut<T>
     */
    public static function cut(Collection $list, bool $isWhole): Cut
    {
        return new Cut($isWhole ? $list : $list->take(self::SHOWN), $list->count());
    }

    public function orderCount(): int
    {
        return $this->parts->pluck('orderId')->unique()->count();
    }

    public function releasedCount(): int
    {
        return $this->released->pluck('part.orderId')->unique()->count();
    }

    /** @return Collection<int, ComingLine>  open purchase lines of an item */
    public function comingOf(int $item): Collection
    {
        return $this->coming[$item] ?? collect();
    }

    /** The line that brings it. */
    public function lineOf(ShortPart $part, Coming $coming): ?ComingLine
    {
        return $this->comingOf($part->itemId)->firstWhere('number', $coming->by->number);
    }

    /** @return Collection<int, ShortPart>  of other orders that have some of the item's stock */
    public function holders(ShortPart $part): Collection
    {
        $holders = $this->holders[$part->itemId] ?? collect();

        return $holders->where('orderId', '<>', $part->orderId)->take(self::HOLDERS);
    }

    /** @param  Collection<int, int>  $items */
    private static function purchases(Collection $items, string $today): Builder
    {
        return DB::table('purchase_lines AS u')
            ->join('purchase_orders AS po', 'po.id', 'u.purchase_order_id')
            ->join('suppliers AS s', 's.id', 'po.supplier_id')
            ->whereIn('u.item_id', $items)
            ->where('u.is_open', true)
            ->orderBy('u.expected_on')
            ->orderBy('u.id')
            ->select(['u.id', 'u.item_id', 'u.number', 'u.expected_on', 'u.asked_for', 's.name AS supplier'])
            ->selectRaw('u.quantity - u.received_quantity - u.cancelled_quantity AS open')
            ->selectRaw('IF(u.expected_on < ?, NULL, u.expected_on) AS still_expected_on', [$today]);
    }

    private static function components(): Builder
    {
        return LeadTime::on(DB::table('plan_components AS p')
            ->join('order_components AS c', 'c.id', 'p.component_id')
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->join('items AS i', 'i.id', 'c.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin('suppliers AS s', 's.id', 'i.supplier_id')
            ->join('plan_orders AS po', fn (JoinClause $join) => $join
                ->on('po.order_id', 'o.id')
                ->where('po.plan_id', Plan::LIVE))
            ->where('p.plan_id', Plan::LIVE)
            ->whereIn('o.state', OrderState::OPEN)
            ->select(self::COMPONENT)
            // the first open step at or after the one that needs it
            ->selectRaw(
                '(SELECT MIN(ps.start_at) FROM order_steps os
                    JOIN plan_steps ps ON ps.order_step_id = os.id AND ps.plan_id = ?
                    WHERE os.order_id = c.order_id AND os.number >= c.step_number) AS hurts',
                [Plan::LIVE],
            ));
    }

    /**
     * @param  Collection<int, ShortPart>  $parts
     * @return Collection<int, ShortPart>
     */
    private static function sorted(Collection $parts): Collection
    {
        return $parts
            ->sortBy(fn (ShortPart $part): array => [$part->orderBy ?? '9999', $part->placeInRank, $part->id])
            ->values();
    }

    /**
     * Until it is issued: what has arrived still has to be brought.
     *
     * @return Collection<int, ReleasedShort>
     */
    private static function releasedShort(): Collection
    {
        $released = self::components()
            ->where('c.short_at_release', true)
            ->leftJoin('people AS w', 'w.id', 'o.released_by')
            ->addSelect('w.name AS person')
            ->addSelect('c.open_quantity AS to_issue')
            ->selectRaw("p.missing = 0 AND p.coming = '[]' AS is_there");

        return Row::all($released, ReleasedShort::from(...))
            ->sortBy(fn (ReleasedShort $one): array => [$one->part->hurts ?? '9999', $one->part->id])
            ->values();
    }
}

<?php

namespace App\Queries\Shortages;

use App\Models\Plan;
use App\Queries\Shop\Deliveries;
use App\Wording\ArrivalWords;
use App\Wording\Figures;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/**
 * What open orders need and neither stock nor anything ordered will give; and what is coming too late. From the live
 * plan.
 */
final readonly class ShortageList
{
    /**
     * @param  Collection<int, \stdClass>  $rows  one for each component, the first to be ordered first: missing,
     *     order_by, hurts (UTC, when its step is planned to start), order, item
     * @param  Collection<int, \stdClass>  $waiting  components whose purchase makes their order late
     * @param  array<int, Collection<int, \stdClass>>  $coming  open purchase lines by item
     * @param  array<int, Collection<int, \stdClass>>  $holders  by item, other open orders that have some of its stock
     *     given or kept
     * @param  Collection<int, \stdClass>  $released  released short, what of it is still missing
     */
    private function __construct(
        public Collection $rows,
        public Collection $waiting,
        public array $coming,
        public array $holders,
        public Collection $released,
        private Deliveries $deliveries,
    ) {
    }

    public static function now(): self
    {
        $deliveries = Deliveries::now();
        $rows = self::components()->where('p.missing', '>', 0)->get();
        $waiting = self::components()
            ->where('p.missing', 0)
            ->whereRaw("p.coming <> '[]'")
            ->where('po.late_minutes', '>', 0)
            ->get()
            ->filter(
                fn (\stdClass $row): bool => collect(json_decode($row->coming))->contains(
                    fn (\stdClass $coming): bool => str_starts_with($coming->supply, 'purchase '),
                ),
            )
            ->values();
        $items = $rows->pluck('item_id')->merge($waiting->pluck('item_id'))->unique()->values();
        $coming = DB::table('purchases AS u')
            ->join('suppliers AS s', 's.id', 'u.supplier_id')
            ->whereIn('u.item_id', $items)
            ->where('u.is_open', true)
            ->orderBy('u.expected_on')
            // a day that has passed is no day to offer again
            ->selectRaw('IF(u.expected_on < ?, NULL, u.expected_on) AS still_expected_on', [$deliveries->today])
            ->addSelect([
                'u.id',
                'u.item_id',
                'u.number',
                'u.expected_on',
                'u.ask_again_on',
                'u.asked_for',
                's.name AS supplier',
                DB::raw('u.quantity - u.received_quantity - u.cancelled_quantity AS open'),
            ])
            ->get()
            ->groupBy('item_id')
            ->all();
        $holders = self::components()
            ->whereIn('c.item_id', $rows->pluck('item_id')->unique())
            ->where('p.from_stock', '>', 0)
            ->get()
            ->groupBy('item_id')
            ->all();

        return new self(
            self::sorted($rows),
            self::sorted($waiting),
            $coming,
            $holders,
            self::releasedShort(),
            $deliveries,
        );
    }

    /** The plant's. @return string "YYYY-MM-DD" */
    public function today(): string
    {
        return $this->deliveries->today;
    }

    /** By item: by when it has to be ordered, all that is missing, the orders. @return Collection<int, \stdClass> */
    public function byItem(): Collection
    {
        $today = $this->today();

        return $this->rows
            ->groupBy('item_id')
            ->map(function (Collection $rows) use ($today): \stdClass {
                $first = $rows->first();
                $lead = (int) $first->lead_time_days;

                return (object) [
                    'item_id' => $first->item_id,
                    'item_number' => $first->item_number,
                    'item_name' => $first->item_name,
                    'kind' => $first->kind,
                    'unit' => $first->unit,
                    'supplier' => $first->supplier,
                    'supplier_id' => $first->supplier_id,
                    'order_by' => ($by = $rows->pluck('order_by')->filter()->min()),
                    'is_too_late' => $by !== null && $by < $today,
                    'says' => ArrivalWords::hasToBeOrdered($by, $today),
                    'comes' => When::day($this->deliveries->comesOn($lead)).' if today',
                    'lead' => $lead > 0
                            ? Figures::count($lead, 'working day')
                            : 'lead time not known, '
                                .Figures::count(config()->integer('pace.lead_time_days'), 'day')
                                .' taken',
                    'hurts' => $first->hurts,
                    'missing' => (string) $rows->reduce(
                        fn (BigDecimal $sum, \stdClass $row): BigDecimal => $sum->plus($row->missing),
                        BigDecimal::zero(),
                    ),
                    'rows' => $rows,
                ];
            })
            ->values();
    }

    /** @return Collection<int|string, Collection<int, \stdClass>> */
    public function byOrder(): Collection
    {
        return $this->rows->groupBy('order_id');
    }

    private static function components(): \Illuminate\Database\Query\Builder
    {
        return DB::table('plan_components AS p')
            ->join('order_components AS c', 'c.id', 'p.component_id')
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->join('items AS i', 'i.id', 'c.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin('suppliers AS s', 's.id', 'i.supplier_id')
            ->join('plan_orders AS po', fn ($join) => $join->on('po.order_id', 'o.id')->where('po.plan_id', Plan::LIVE))
            ->where('p.plan_id', Plan::LIVE)
            ->whereIn('o.state', OrderState::OPEN)
            ->select([
                'c.id',
                'c.order_id',
                'c.item_id',
                'c.step_number',
                'p.missing',
                'p.coming',
                'p.from_stock',
                'p.order_by',
                'o.number AS order_number',
                'o.state',
                'o.due_on',
                'o.version',
                'o.short_reason',
                'i.number AS item_number',
                'i.name AS item_name',
                'i.kind',
                'i.supplier_id',
                'i.lead_time_days',
                'u.code AS unit',
                's.name AS supplier',
                'po.late_minutes',
                'po.place_in_rank',
            ])
            // the first open step at or after the one that needs it
            ->selectRaw(
                '(SELECT MIN(ps.start_at) FROM order_steps os JOIN plan_steps ps ON ps.order_step_id = os.id AND ps.plan_id = ? WHERE os.order_id = c.order_id AND os.number >= c.step_number) AS hurts',
                [Plan::LIVE],
            );
    }

    /**
     * @param  Collection<int, \stdClass>  $rows
     * @return Collection<int, \stdClass>
     */
    private static function sorted(Collection $rows): Collection
    {
        return $rows
            ->sortBy(fn (\stdClass $row): array => [$row->order_by ?? '9999', $row->place_in_rank, $row->id])
            ->values();
    }

    /** @return Collection<int, \stdClass> */
    private static function releasedShort(): Collection
    {
        // listed until it is issued: a part that has arrived still has to be brought to the job
        return self::components()
            ->where('c.short_at_release', true)
            ->leftJoin('people AS w', 'w.id', 'o.released_by')
            ->addSelect('w.name AS person')
            ->selectRaw('GREATEST(c.planned_quantity - c.used_quantity - c.replaced_quantity, 0) AS to_issue')
            ->selectRaw("p.missing = 0 AND p.coming = '[]' AS is_there")
            ->get()
            ->sortBy(fn (\stdClass $row): array => [$row->hurts ?? '9999', $row->id])->values();
    }
}

<?php

namespace App\Queries\Usage;

use App\Models\Slip;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Stock\Tracking;

/**
 * One usage slip with its lines: planned, used, proposed, on hand, lots, what is still to be named. A constant number
 * of queries.
 */
final readonly class SlipPage
{
    /**
     * @param  Collection<int, \stdClass>  $lines  with ->splits, ->left
     *     (still to be named, null where nothing is to be), ->units
     * @param  array<int, Collection<int, \stdClass>>  $lots  free lots by item
     * @param  Collection<int, \stdClass>  $orders
     */
    private function __construct(
        public Slip $slip,
        public Collection $lines,
        public array $lots,
        public Collection $orders,
    ) {
    }

    public static function of(Slip $slip): self
    {
        $lines = DB::table('slip_lines AS l')
            ->join('orders AS o', 'o.id', 'l.order_id')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin('order_components AS c', 'c.id', 'l.component_id')
            ->leftJoin('items AS ci', 'ci.id', 'c.item_id')
            ->where('l.slip_id', $slip->id)
            ->orderBy('o.rank')
            ->orderBy('o.due_on')
            ->orderBy('o.id')
            ->orderBy('l.position')
            ->orderBy('l.id')
            ->get([
                'l.id',
                'l.order_id',
                'l.component_id',
                'l.item_id',
                'l.step_number',
                'l.proposed',
                'l.typed',
                'l.unit',
                'l.reason',
                'l.is_out',
                'o.number AS order_number',
                'o.is_held',
                'o.state',
                'i.number AS item_number',
                'i.name AS item_name',
                'i.tracking',
                'i.lot_rule',
                'u.code AS stock_unit',
                'c.planned_quantity',
                'c.used_quantity',
                'c.replaced_quantity',
                'c.supplied_by',
                'ci.number AS planned_number',
                'ci.name AS planned_name',
            ]);
        $items = $lines->pluck('item_id')->unique()->values();
        $splits = DB::table('slip_splits AS s')
            ->leftJoin('places AS p', 'p.id', 's.place_id')
            ->whereIn('s.slip_line_id', $lines->pluck('id'))
            ->orderBy('s.id')
            ->get(['s.id', 's.slip_line_id', 's.code', 's.typed', 's.is_picked', 's.place_id', 'p.name AS place'])
            ->groupBy('slip_line_id');
        $stock = DB::table('balances AS b')
            ->join('places AS p', 'p.id', 'b.place_id')
            ->leftJoin('lots AS t', 't.id', 'b.lot_id')
            ->whereIn('b.item_id', $items)
            ->where('p.kind', 'store')
            ->where('b.condition', 'free')
            ->where('b.quantity', '>', 0)
            ->orderBy('b.lot_id')
            ->get(['b.item_id', 'b.owner_id', 'b.quantity', 't.code', 't.expires_on', 'p.name AS place'])
            ->groupBy('item_id');
        $units = DB::table('item_units AS x')
            ->join('units AS u', 'u.id', 'x.unit_id')
            ->whereIn('x.item_id', $items)
            ->get(['x.item_id', 'u.code', 'x.p', 'x.q'])
            ->groupBy('item_id');
        $lots = [];
        foreach ($lines as $line) {
            $line->splits = $splits[$line->id] ?? collect();
            $line->units = $units[$line->item_id] ?? collect();
            $line->on_hand = self::sum(
                ($stock[$line->item_id] ?? collect())->filter(
                    fn (\stdClass $row): bool => ($row->owner_id !== 0) === ($line->supplied_by === 'customer'),
                ),
            );
            $line->left = self::left($line);
            if ($line->tracking !== Tracking::None->value) {
                $lots[$line->item_id] ??= ($stock[$line->item_id] ?? collect())
                    ->filter(fn (\stdClass $row): bool => $row->code !== null)
                    ->values();
            }
        }
        $orders = $lines
            ->unique('order_id')
            ->map(
                fn (\stdClass $line): \stdClass => (object) [
                    'id' => $line->order_id,
                    'number' => $line->order_number,
                    'says' => $line->is_held
                        ? 'held'
                        : (OrderState::from($line->state)->isInTheShop()
                            ? ''
                            : $line->state),
                ],
            )
            ->keyBy('id');

        return new self($slip, $lines, $lots, $orders);
    }

    /** Lines on which something is still to be named. */
    public function unnamed(): int
    {
        return $this->lines
            ->filter(fn (\stdClass $line): bool => ! $line->is_out && $line->left !== null && ! $line->left->isZero())
            ->count();
    }

    /** What a line comes to in the stock unit; null where what was typed is no number. */
    public static function amount(\stdClass $line): ?BigDecimal
    {
        $unit = $line->unit === '' || $line->unit === $line->stock_unit
                ? null
                : $line->units->firstWhere('code', $line->unit);
        if (
            ! is_numeric($line->typed === '' ? '0' : $line->typed)
            || ($unit === null && $line->unit !== '' && $line->unit !== $line->stock_unit)
        ) {
            return null;
        }
        $amount = BigDecimal::of($line->typed === '' ? '0' : $line->typed);

        return $unit === null
            ? $amount
            : $amount
                ->multipliedBy($unit->p)
                ->dividedBy($unit->q, 6, \Brick\Math\RoundingMode::HALF_UP)
                ->stripTrailingZeros();
    }

    private static function left(\stdClass $line): ?BigDecimal
    {
        $amount = $line->tracking === Tracking::None->value ? null : self::amount($line);
        if ($amount === null) {
            return null;
        }
        foreach ($line->splits as $split) {
            $amount = $split->code !== '' && is_numeric($split->typed) ? $amount->minus($split->typed) : $amount;
        }

        return $amount;
    }

    /** @param  Collection<int, \stdClass>  $rows */
    private static function sum(Collection $rows): string
    {
        return (string) $rows->reduce(
            fn (BigDecimal $sum, \stdClass $row): BigDecimal => $sum->plus($row->quantity),
            BigDecimal::zero(),
        );
    }
}

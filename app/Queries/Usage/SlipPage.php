<?php

namespace App\Queries\Usage;

use App\Models\Slip;
use App\Reading\Named;
use App\Reading\Row;
use App\Shop\Shelves;
use App\Wording\Figures;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * One usage slip with its lines: planned, used, proposed, on hand, lots, what is still to be named. A constant number
 * of queries.
 */
final readonly class SlipPage
{
    /**
     * @param  Collection<int, SlipRow>  $lines
     * @param  Collection<int, Collection<int, FreeLot>>  $lots  of tracked items, each code once, by item
     */
    private function __construct(public Slip $slip, public Collection $lines, public Collection $lots)
    {
    }

    public static function of(int $id): self
    {
        $slip = Slip::query()->with('changedBy')->findOrFail($id);
        $rows = Row::all(self::lines($slip), fn (Row $row): Row => $row);
        $items = $rows->map(fn (Row $row): int => $row->int('item_id'))->unique()->values();
        $ids = $rows->map(fn (Row $row): int => $row->int('id'));
        $splits = Row::all(self::splits($ids), SlipSplitRow::from(...))->groupBy('lineId');
        $stock = Row::all(self::stock($items), FreeLot::from(...))->groupBy('itemId');
        $units = Row::all(self::units($items), SlipUnit::from(...))->groupBy('itemId');
        $lines = $rows->map(fn (Row $row): SlipRow => SlipRow::from(
            $row,
            $splits[$row->int('id')] ?? collect(),
            $stock[$row->int('item_id')] ?? collect(),
            $units[$row->int('item_id')] ?? collect(),
        ));
        $tracked = $lines
            ->filter(fn (SlipRow $line): bool => $line->isTracked())
            ->map(fn (SlipRow $line): int => $line->itemId)
            ->unique();
        $lots = $tracked->mapWithKeys(fn (int $item): array => [
            $item => ($stock[$item] ?? collect())->whereNotNull('code')->unique('code')->values(),
        ]);

        return new self($slip, $lines, $lots);
    }

    public function isOpen(): bool
    {
        return $this->slip->state === Slip::OPEN;
    }

    /** "3 lines for 2 orders, all that is planned." */
    public function says(): string
    {
        $lines = $this->lines->where('isOut', false)->count();
        $orders = $this->orders();
        $for = $orders->count() === 1 ? "order {$orders->first()}" : "{$orders->count()} orders";

        return Figures::count($lines, 'line')." for {$for}, {$this->slip->partSays()}.";
    }

    /** What is to be done with an open one. */
    public function todo(): string
    {
        $unnamed = $this->lines->filter(fn (SlipRow $line): bool => ! $line->isOut && ! $line->isNamed())->count();

        return match ($unnamed) {
            0 => 'A proposal: change what is not so, then book it at once.',
            1 => '1 line has lots or serials to be named.',
            default => "{$unnamed} lines have lots or serials to be named.",
        };
    }

    /** @return Collection<int, string>  their numbers, by id */
    public function orders(): Collection
    {
        return $this->lines->pluck('order', 'orderId');
    }

    /** The line before is of the same order. */
    public function isOfOrderAbove(int $at): bool
    {
        return $at > 0 && $this->lines[$at - 1]->orderId === $this->lines[$at]->orderId;
    }

    public function firstStep(): int
    {
        return $this->lines->first()->step ?? 10;
    }

    private static function lines(Slip $slip): Builder
    {
        return DB::table('slip_lines AS l')
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
            ->select([
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
                'u.code AS stock_unit',
                'c.planned_quantity',
                'c.used_quantity',
                'c.replaced_quantity',
                'c.supplied_by',
                'ci.number AS planned_number',
                'ci.name AS planned_name',
            ]);
    }

    /** @param  Collection<int, int>  $lines */
    private static function splits(Collection $lines): Builder
    {
        return DB::table('slip_splits AS s')
            ->leftJoin('places AS p', 'p.id', 's.place_id')
            ->whereIn('s.slip_line_id', $lines)
            ->orderBy('s.id')
            ->select(['s.slip_line_id', 's.code', 's.typed', 's.place_id', 'p.name AS place']);
    }

    /** @param  Collection<int, int>  $items */
    private static function stock(Collection $items): Builder
    {
        return Shelves::lying()
            ->leftJoin('lots AS t', Named::on('t.id', 'b.lot_id'))
            ->whereIn('b.item_id', $items)
            ->orderBy('b.lot_id')
            ->select(['b.item_id', 'b.owner_id', 'b.quantity', 't.code', 't.expires_on', 'p.name AS place']);
    }

    /** @param  Collection<int, int>  $items */
    private static function units(Collection $items): Builder
    {
        return DB::table('item_units AS x')
            ->join('units AS u', 'u.id', 'x.unit_id')
            ->whereIn('x.item_id', $items)
            ->select(['x.item_id', 'u.code', 'x.p', 'x.q']);
    }
}

<?php

namespace App\Queries\Purchasing;

use App\Models\Item;
use App\Models\Plan;
use App\Reading\Row;
use App\Shop\Away;
use App\Shop\Deliveries;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;

/**
 * All that is due from suppliers: purchase lines that are open, and pieces that are with them. Of work whose pieces are
 * there the pieces are due, on the same day, and not its line as well.
 */
final class DueList
{
    /** @return list<DueRow> that somebody should ask about, worst first by what it holds up */
    public static function toChase(): array
    {
        $rows = array_filter(self::all(null), fn (DueRow $row): bool => $row->wantsChasing());
        usort($rows, fn (DueRow $a, DueRow $b): int => [$b->worst(), $b->lateOrders(), $b->isLate(), $a->given, $a->id]
            <=> [$a->worst(), $a->lateOrders(), $a->isLate(), $b->given, $b->id]);

        return $rows;
    }

    /**
     * What comes in through the gate. Of work only pieces that are there come.
     *
     * @return list<DueRow> soonest first; what nobody knows a day of is left out
     */
    public static function dated(): array
    {
        $deliveries = Deliveries::now();
        $goods = self::lines(self::open(null)->whereNull('l.order_step_id'), $deliveries);
        $rows = array_filter(
            [...$goods, ...self::handfuls(null, $deliveries)],
            fn (DueRow $row): bool => ! $row->isUnknown,
        );
        usort($rows, fn (DueRow $a, DueRow $b): int => [$a->given, $a->supplier, $a->id]
            <=> [$b->given, $b->supplier, $b->id]);

        return $rows;
    }

    /** @return list<DueRow> of one supplier, soonest first */
    public static function of(int $supplier): array
    {
        $rows = self::all($supplier);
        usort($rows, fn (DueRow $a, DueRow $b): int => [$a->given, $a->kind, $a->id] <=> [$b->given, $b->kind, $b->id]);

        return $rows;
    }

    /** @return list<DueRow> */
    private static function all(?int $supplier): array
    {
        $deliveries = Deliveries::now();
        $there = Away::handfuls()->whereColumn('h.order_step_id', 'l.order_step_id');

        return [
            ...self::lines(self::open($supplier)->whereNotExists($there), $deliveries),
            ...self::handfuls($supplier, $deliveries),
        ];
    }

    private static function open(?int $supplier): Builder
    {
        return DB::table('purchase_lines AS l')
            ->join('purchase_orders AS o', 'o.id', 'l.purchase_order_id')
            ->join('suppliers AS s', 's.id', 'o.supplier_id')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->where('l.is_open', true)
            ->when($supplier !== null, fn (Builder $query) => $query->where('o.supplier_id', $supplier))
            ->select(['l.id', 'l.number', 'l.expected_on', 'l.first_expected_on', 'l.days_passed', 'l.ask_again_on'])
            ->addSelect(['l.purchase_order_id'])
            ->selectRaw('COALESCE(l.confirmed_on, o.confirmed_on) AS confirmed_on')
            ->addSelect(['o.supplier_id', 's.name AS supplier'])
            ->selectRaw(Item::SHOWN_NUMBER)
            ->selectRaw("COALESCE(NULLIF(l.words, ''), i.name) AS item")
            ->addSelect('u.code AS unit')
            ->selectRaw('l.quantity - l.received_quantity - l.cancelled_quantity AS open');
    }

    /** @return list<DueRow> */
    private static function lines(Builder $lines, Deliveries $deliveries): array
    {
        $waiting = HeldUp::byLine();

        return array_values(Row::all(
            $lines,
            fn (Row $row): DueRow => DueRow::line($row, $deliveries, $waiting[$row->text('number')] ?? []),
        )->all());
    }

    /** @return list<DueRow> */
    private static function handfuls(?int $supplier, Deliveries $deliveries): array
    {
        $handfuls = DB::query()->fromSub(Away::handfuls(), 'a')
            ->join('order_steps AS s', 's.id', 'a.order_step_id')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->join('suppliers AS v', 'v.id', 's.supplier_id')
            ->leftJoin('plan_orders AS po', fn (JoinClause $join) => $join
                ->on('po.order_id', 'o.id')
                ->where('po.plan_id', Plan::LIVE))
            ->when($supplier !== null, fn (Builder $query) => $query->where('s.supplier_id', $supplier))
            ->select(['a.id', 'a.away', 'a.back_at', 'a.first_back_at', 'a.days_passed', 'a.ask_again_on'])
            ->addSelect(['o.id AS order_id', 'o.number', 's.number AS step', 's.name AS step_name'])
            ->addSelect(['i.name AS item', 'i.number AS item_number', 'u.code AS unit'])
            ->addSelect(['s.supplier_id', 'v.name AS supplier'])
            ->selectRaw('GREATEST(COALESCE(po.late_minutes, 0), 0) AS late');

        return array_values(Row::all(
            $handfuls,
            fn (Row $row): DueRow => DueRow::handful($row, $deliveries),
        )->all());
    }
}

<?php

namespace App\Queries\Flow;

use App\Queries\Purchasing\DueList;
use App\Queries\Purchasing\DueRow;
use App\Reading\Row;
use App\Shop\Ties;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * What comes and what goes on one day, for whoever opens the gate: what is overdue stands with today, for it can come
 * any hour.
 */
final readonly class DayList
{
    private const SHOWN = 300;

    private const EVER = '1970-01-01';

    /**
     * @param  string  $day  "YYYY-MM-DD"
     * @param  list<DayRow>  $comes
     * @param  list<DayRow>  $goes
     */
    private function __construct(public string $day, public array $comes, public array $goes)
    {
    }

    /**
     * @param  string  $day  "YYYY-MM-DD"
     * @param  string  $today  "YYYY-MM-DD"
     */
    public static function of(string $day, string $today): self
    {
        $from = $day === $today ? self::EVER : $day;

        return new self($day, self::comes($from, $day), self::goes($from, $day));
    }

    /** @return list<DayRow> */
    private static function comes(string $from, string $to): array
    {
        $rows = [];
        foreach (DueList::dated() as $due) {
            if ($due->given >= $from && $due->given <= $to) {
                $rows[] = new DayRow(
                    $due->given,
                    $due->supplier,
                    $due->item,
                    $due->itemNumber,
                    $due->quantity,
                    $due->unit,
                    $due->document,
                    $due->kind === DueRow::LINE
                        ? route('deliveries.index', ['supplier' => $due->supplierId])
                        : $due->to,
                );
            }
        }

        return $rows;
    }

    /** @return list<DayRow> */
    private static function goes(string $from, string $to): array
    {
        return array_values(Row::all(
            self::lines()->whereBetween('l.promised_on', [$from, $to]),
            fn (Row $row): DayRow => new DayRow(
                $row->text('promised_on'),
                $row->text('customer'),
                $row->text('item'),
                $row->text('item_number'),
                $row->decimal('open'),
                $row->text('unit'),
                "line {$row->int('position')} of {$row->text('number')}",
                route('customer-orders.show', $row->int('customer_order_id')),
                ! $row->decimal('ready')->isLessThan($row->decimal('open')),
            ),
        )->all());
    }

    private static function lines(): Builder
    {
        $ready = Ties::fromStock()->whereColumn('t.line_id', 'l.id')->selectRaw('COALESCE(SUM(t.quantity), 0)');

        return DB::table('customer_order_lines AS l')
            ->join('customer_orders AS o', 'o.id', 'l.customer_order_id')
            ->join('customers AS c', 'c.id', 'o.customer_id')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->where('l.is_open', true)
            ->orderBy('l.promised_on')
            ->orderBy('l.id')
            ->limit(self::SHOWN)
            ->select(['l.promised_on', 'l.position', 'o.number', 'o.id AS customer_order_id', 'c.name AS customer'])
            ->addSelect(['i.name AS item', 'i.number AS item_number', 'u.code AS unit'])
            ->selectRaw('l.quantity - l.shipped_quantity - l.cancelled_quantity AS open')
            ->selectSub($ready, 'ready');
    }
}

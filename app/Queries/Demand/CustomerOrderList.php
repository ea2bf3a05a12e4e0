<?php

namespace App\Queries\Demand;

use App\Models\Plan;
use App\Reading\Cut;
use App\Reading\Like;
use App\Reading\Row;
use App\Shop\Deliveries;
use App\Shop\Ties;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Customer lines with how each is covered, by promise date. */
final class CustomerOrderList
{
    public const SHOWS = [
        'open' => 'open',
        'uncovered' => 'not covered',
        'late' => 'will be late',
        'ready' => 'ready to ship',
        'shipped' => 'shipped',
    ];

    private const SHOWN = 300;

    private const COVERED = '(SELECT COALESCE(SUM(t.quantity), 0) FROM ties t WHERE t.line_id = l.id)';

    /**
     * @param  string  $show  open, uncovered, late, ready, shipped
     * @return Collection<int, DemandLine> all of them
     */
    public static function lines(string $show = 'open', string $text = '', int $order = 0): Collection
    {
        $lines = self::withCovers(Row::all(self::query($show, $text, $order), fn (Row $row): Row => $row));

        // the database compares with midnight in UTC; what counts is the plant's day
        return $show === 'late' ? $lines->filter(fn (DemandLine $line): bool => $line->isLate())->values() : $lines;
    }

    /**
     * As lines(), for a page: no more than can be read.
     *
     * @return Cut<DemandLine>
     */
    public static function page(string $show, string $text, int $most = self::SHOWN): Cut
    {
        if ($show === 'late') {
            $late = self::lines($show, $text);

            return new Cut($late->take($most), $late->count());
        }
        $cut = Cut::read(self::query($show, $text, 0), $most, fn (Row $row): Row => $row);

        return new Cut(self::withCovers($cut->rows), $cut->count);
    }

    /**
     * What is open with a customer.
     *
     * @return Cut<DemandLine>
     */
    public static function ofCustomer(int $customer): Cut
    {
        $query = self::query('open', '', 0)->where('o.customer_id', $customer);
        $cut = Cut::read($query, self::SHOWN, fn (Row $row): Row => $row);

        return new Cut(self::withCovers($cut->rows), $cut->count);
    }

    private static function query(string $show, string $text, int $order): Builder
    {
        $query = DB::table('customer_order_lines AS l')->join('customer_orders AS o', 'o.id', 'l.customer_order_id')
            ->join('customers AS cu', 'cu.id', 'o.customer_id')
            ->join('items AS i', 'i.id', 'l.item_id')->join('units AS u', 'u.id', 'i.unit_id')
            ->join('units AS t', 't.id', 'l.typed_unit_id')
            ->select([
                'l.*',
                'o.number',
                'o.reference',
                'o.customer_id',
                'cu.name AS customer',
                'i.number AS item_number',
                'i.name AS item_name',
                'i.kind',
                'u.code AS unit',
                't.code AS typed_unit',
            ]);
        if ($order !== 0) {
            return $query->where('l.customer_order_id', $order)->orderBy('l.position');
        }
        self::shown($query, $show);
        if ($text !== '') {
            self::named($query, $text);
        }

        return $show === 'shipped' ? $query : $query->orderBy('l.promised_on')->orderBy('l.id');
    }

    private static function shown(Builder $query, string $show): void
    {
        match ($show) {
            'shipped' => $query->where('l.is_open', false)->orderByDesc('l.id'),
            'uncovered' => $query->where('l.is_open', true)
                ->whereRaw(self::COVERED.' < l.quantity - l.shipped_quantity - l.cancelled_quantity'),
            'late' => self::late($query->where('l.is_open', true)),
            'ready' => $query
                ->where('l.is_open', true)
                ->whereExists(
                    fn (Builder $stock): Builder => $stock
                        ->from('ties AS tie')
                        ->whereColumn('tie.line_id', 'l.id')
                        ->where('tie.supply_kind', 'stock')
                        ->where('tie.quantity', '>', 0),
                ),
            default => $query->where('l.is_open', true),
        };
    }

    /** Those that may be: from when what was bought can be used, only the calendars say. */
    private static function late(Builder $query): void
    {
        $query->where(fn (Builder $any): Builder => $any
            ->whereExists(fn (Builder $late): Builder => $late
                ->from('ties AS tie')
                ->join('order_outputs AS out', 'out.id', 'tie.output_id')
                ->join('plan_orders AS p', 'p.order_id', 'out.order_id')
                ->where('p.plan_id', Plan::LIVE)
                ->whereColumn('tie.line_id', 'l.id')
                ->where('tie.quantity', '>', 0)
                ->whereColumn('p.finish_at', '>', 'l.promised_on'))
            ->orWhereExists(fn (Builder $bought): Builder => $bought
                ->from('ties AS tie')
                ->whereColumn('tie.line_id', 'l.id')
                ->where('tie.supply_kind', 'purchase')
                ->where('tie.quantity', '>', 0)));
    }

    private static function named(Builder $query, string $text): void
    {
        $inside = Like::inside($text);
        $key = Like::insideKey($text);
        $query->where(fn (Builder $any): Builder => $any
            ->where('o.number_key', 'like', $key)
            ->orWhere('cu.name', 'like', $inside)
            ->orWhere('o.reference', 'like', $inside)
            ->orWhere('i.number_key', 'like', $key)
            ->orWhere('i.name', 'like', $inside));
    }

    /** @param  Collection<int, int>  $lines */
    private static function covers(Collection $lines): Builder
    {
        return Ties::ofLines()
            ->leftJoin('order_outputs AS out', 'out.id', 't.output_id')
            ->leftJoin('orders AS o', 'o.id', 'out.order_id')
            ->leftJoin('purchase_lines AS buy', 'buy.id', 't.purchase_line_id')
            ->leftJoin('plan_orders AS p', fn (JoinClause $join): JoinClause => $join
                ->on('p.order_id', 'o.id')
                ->where('p.plan_id', Plan::LIVE))
            ->whereIn('t.line_id', $lines)
            ->orderBy('t.id')
            ->select(['t.id', 't.line_id', 't.quantity', 'out.order_id'])
            ->addSelect(['o.number AS order_number', 'p.finish_at'])
            ->addSelect(['buy.purchase_order_id', 'buy.number AS purchase_number', 'buy.is_draft'])
            ->addSelect(['buy.expected_on', 'buy.ask_again_on']);
    }

    /**
     * @param  Collection<int, Row>  $lines
     * @return Collection<int, DemandLine>
     */
    private static function withCovers(Collection $lines): Collection
    {
        $rows = Row::all(
            self::covers($lines->map(fn (Row $row): int => $row->int('id'))),
            fn (Row $row): Row => $row,
        );
        $isBought = fn (Row $row): bool => $row->intOrNull('purchase_order_id') !== null;
        $deliveries = $rows->contains($isBought) ? Deliveries::now() : null;
        $covers = $rows
            ->map(fn (Row $row): LineCover => LineCover::from($row, $deliveries))
            ->groupBy('lineId');

        return $lines->map(
            fn (Row $row): DemandLine => DemandLine::from($row, $covers[$row->int('id')] ?? collect()),
        );
    }
}

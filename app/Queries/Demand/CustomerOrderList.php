<?php

namespace App\Queries\Demand;

use App\Models\Plan;
use App\Queries\Cut;
use App\Queries\Like;
use App\Wording\When;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Customer lines with how each is covered, by promise date. */
final class CustomerOrderList
{
    private const SHOWN = 300;

    /**
     * @param  string  $show  open, uncovered, late, ready, shipped
     * @return Collection<int, \stdClass> all of them, each with ->covers
     */
    public static function lines(string $show = 'open', string $text = '', int $order = 0): Collection
    {
        return self::late($show, self::withCovers(self::query($show, $text, $order)->get()));
    }

    /**
     * As lines(), for a page: no more than can be read.
     *
     * @return Cut<\stdClass>
     */
    public static function page(string $show, string $text): Cut
    {
        if ($show === 'late') {
            $late = self::lines($show, $text);

            return new Cut($late->take(self::SHOWN), $late->count());
        }
        $cut = Cut::of(self::query($show, $text, 0), self::SHOWN);
        self::withCovers($cut->rows);

        return $cut;
    }

    /**
     * The database compares with midnight in UTC; what counts is the plant's day.
     *
     * @param  Collection<int, \stdClass>  $lines
     * @return Collection<int, \stdClass>
     */
    private static function late(string $show, Collection $lines): Collection
    {
        return $show === 'late' ? $lines->filter(fn (\stdClass $line): bool => $line->late)->values() : $lines;
    }

    private static function query(string $show, string $text, int $order): Builder
    {
        $covered = '(SELECT COALESCE(SUM(c.quantity), 0) FROM covers c WHERE c.line_id = l.id)';
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
            ])
            ->selectRaw("{$covered} AS covered");
        if ($order !== 0) {
            $query->where('l.customer_order_id', $order)->orderBy('l.position');
        } else {
            match ($show) {
                'shipped' => $query->where('l.is_open', false)->orderByDesc('l.id'),
                'uncovered' => $query->where('l.is_open', true)
                    ->whereRaw("{$covered} < l.quantity - l.shipped_quantity - l.cancelled_quantity"),
                'late' => $query
                    ->where('l.is_open', true)
                    ->whereExists(
                        fn ($late) => $late
                            ->from('covers AS c')
                            ->join('plan_orders AS p', 'p.order_id', 'c.order_id')
                            ->whereColumn('c.line_id', 'l.id')
                            ->where('c.quantity', '>', 0)
                            ->whereColumn('p.finish_at', '>', 'l.promised_on'),
                    ),
                'ready' => $query
                    ->where('l.is_open', true)
                    ->whereExists(
                        fn ($stock) => $stock
                            ->from('covers AS c')
                            ->whereColumn('c.line_id', 'l.id')
                            ->where('c.supply', 'stock')
                            ->where('c.quantity', '>', 0),
                    ),
                default => $query->where('l.is_open', true),
            };
            if ($text !== '') {
                $inside = Like::inside($text);
                $key = Like::insideKey($text);
                $query->where(fn ($any) => $any
                    ->where('o.number_key', 'like', $key)
                    ->orWhere('cu.name', 'like', $inside)
                    ->orWhere('o.reference', 'like', $inside)
                    ->orWhere('i.number_key', 'like', $key)
                    ->orWhere('i.name', 'like', $inside));
            }
            $show === 'shipped' ?: $query->orderBy('l.promised_on')->orderBy('l.id');
        }

        return $query;
    }

    /**
     * @param  Collection<int, \stdClass>  $lines
     * @return Collection<int, \stdClass> each with ->covers and ->late: what covers it is finished after its promised
     *     day
     */
    private static function withCovers(Collection $lines): Collection
    {
        $covers = DB::table('covers AS c')->leftJoin('orders AS o', 'o.id', 'c.order_id')
            ->leftJoin('plan_orders AS p', fn ($join) => $join
                ->on('p.order_id', 'o.id')
                ->where('p.plan_id', Plan::LIVE))
            ->whereIn('c.line_id', $lines->pluck('id'))
            ->where('c.quantity', '>', 0)
            ->orderBy('c.id')
            ->get([
                'c.id',
                'c.line_id',
                'c.quantity',
                'c.order_id',
                'o.number AS order_number',
                'o.state',
                'p.finish_at',
                'p.late_minutes',
            ])
            ->groupBy('line_id');

        return $lines->each(function (\stdClass $line) use ($covers): void {
            $line->covers = $covers[$line->id] ?? collect();
            $line->late = $line->covers->contains(fn (\stdClass $cover): bool => $cover->finish_at !== null
                && When::local($cover->finish_at)->toDateString() > $line->promised_on);
        });
    }
}

<?php

namespace App\Queries\Demand;

use App\Queries\Builds\LineBuild;
use App\Reading\Named;
use App\Reading\Row;
use App\Shop\Ties;
use App\Wording\Figures;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/** Customer lines that can ship now: what stock covers of each, the lots it lies in, and what is built as it goes. */
final class ShipList
{
    /** @return Collection<int, Collection<int, ShipLine>> by customer order */
    public static function byOrder(): Collection
    {
        $rows = Row::all(self::lines(), fn (Row $row): Row => $row);
        $items = $rows->map(fn (Row $row): int => $row->int('item_id'))->unique();
        $lots = Row::all(self::lots($items), ShipLot::from(...))->groupBy('itemId');
        $builds = LineBuild::ofLines();

        return $rows
            ->map(fn (Row $row): ShipLine => ShipLine::from(
                $row,
                $lots[$row->int('item_id')] ?? collect(),
                $builds[$row->int('id')] ?? null,
            ))
            ->groupBy('customerOrderId');
    }

    /**
     * "18 lines of 14 customer orders can go, 2 of them when they are built. Of 1 more nothing can be built yet."
     *
     * @param  Collection<int, Collection<int, ShipLine>>  $orders
     */
    public static function says(Collection $orders): string
    {
        $lines = $orders->flatMap(fn (Collection $of): array => $of->all());
        $ready = $lines->filter(fn (ShipLine $line): bool => $line->ready()->isPositive());
        $built = $ready->filter(fn (ShipLine $line): bool => $line->built()->isEqualTo($line->ready()))->count();
        $waits = $lines->count() - $ready->count();
        $of = Figures::count($ready->groupBy('customerOrderId')->count(), 'customer order');

        return ($ready->isEmpty()
            ? 'No customer line has stock waiting for it.'
            : Figures::count($ready->count(), 'line')." of {$of} can go".match ($built) {
                0 => '.',
                1 => ', 1 of them when it is built.',
                default => ", {$built} of them when they are built.",
            }).($waits === 0 ? '' : " Of {$waits} more nothing can be built yet.");
    }

    private static function lines(): Builder
    {
        return DB::table('customer_order_lines AS l')
            ->leftJoinSub(Ties::fromStock()->select(['t.line_id', 't.quantity']), 't', 't.line_id', 'l.id')
            ->join('customer_orders AS o', 'o.id', 'l.customer_order_id')
            ->join('customers AS cu', 'cu.id', 'o.customer_id')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->where('l.is_open', true)
            ->where(fn (Builder $line) => $line
                ->whereNotNull('t.line_id')
                ->orWhereIn('l.id', DB::table('orders')
                    ->whereNotNull('follows_line_id')
                    ->whereIn('state', OrderState::OPEN)
                    ->select('follows_line_id')))
            ->orderBy('l.promised_on')
            ->orderBy('l.id')
            ->select(['l.id', 'l.customer_order_id', 'l.position', 'l.item_id', 'l.promised_on'])
            ->addSelect(['o.number', 'cu.name AS customer', 'cu.is_whole_only'])
            ->selectRaw("COALESCE(NULLIF(o.ship_to, ''), NULLIF(cu.ship_to, ''), cu.address) AS goes_to")
            ->addSelect(['i.number AS item_number', 'i.name AS item_name', 'i.tracking', 'u.code AS unit'])
            ->selectRaw('COALESCE(t.quantity, 0) AS there')
            ->selectRaw('l.quantity - l.shipped_quantity - l.cancelled_quantity AS open');
    }

    /** @param  Collection<int, int>  $items */
    private static function lots(Collection $items): Builder
    {
        return DB::table('balances AS b')
            ->join('lots AS t', Named::on('t.id', 'b.lot_id'))
            ->join('places AS p', 'p.id', 'b.place_id')
            ->where('p.kind', 'store')
            ->where('b.condition', 'free')
            ->where('b.quantity', '>', 0)
            ->whereIn('b.item_id', $items)
            ->orderBy('t.id')
            ->select(['b.item_id', 't.id', 't.code', 'b.quantity']);
    }
}

<?php

namespace App\Shop;

use App\Models\CustomerOrderLine;
use App\Models\Order;
use App\Models\Tie;
use App\Reading\Row;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\Combining;

/** Customer lines and orders as core asks about them before they are made as one. */
final class Combinable
{
    /**
     * @param  Collection<int, CustomerOrderLine>  $lines  with their customer orders
     * @param  Collection<int, Order>  $orders
     * @param  int|null  $main  with whose orders the other items come: they count as it; null = none does
     * @return list<Combining>
     */
    public static function of(Collection $lines, Collection $orders, ?int $main = null): array
    {
        $theirs = self::takeTheirs($lines->pluck('item_id')->merge($orders->pluck('item_id'))->unique());
        $changed = self::changed($orders);
        $covered = self::covered($lines);
        $customers = self::customers($orders);

        return [
            ...array_values($lines->map(fn (CustomerOrderLine $line): Combining => new Combining(
                $line->label(),
                $main ?? $line->item_id,
                $line->promised_on,
                $line->customerOrder->customer_id,
                isset($theirs[$line->item_id]),
                isCovered: isset($covered[$line->id]),
            ))->all()),
            ...array_values($orders->map(fn (Order $order): Combining => new Combining(
                "order {$order->number}",
                $order->item_id,
                $order->due_on,
                $customers[$order->id] ?? null,
                isset($theirs[$order->item_id]),
                "{$order->structure_id}-{$order->routing_id}",
                isset($changed[$order->id]),
                $order->state,
            ))->all()),
        ];
    }

    /**
     * @param  Collection<int, mixed>  $items
     * @return array<int, true> those whose structure in force takes a customer's own material
     */
    private static function takeTheirs(Collection $items): array
    {
        $found = Row::ints(DB::table('structure_lines AS l')
            ->join('structures AS s', 's.id', 'l.structure_id')
            ->whereIn('s.item_id', $items)
            ->where('s.status', 'approved')
            ->where('l.supplied_by', 'customer')
            ->distinct(), 's.item_id');

        return array_fill_keys($found, true);
    }

    /**
     * @param  Collection<int, CustomerOrderLine>  $lines
     * @return array<int, true> those of which nothing is left to be made
     */
    private static function covered(Collection $lines): array
    {
        $sums = Ties::ofLines()
            ->whereIn('t.line_id', $lines->pluck('id'))
            ->groupBy('t.line_id')
            ->selectRaw('t.line_id, SUM(t.quantity) AS quantity');
        $tied = Row::all($sums, fn (Row $row): Row => $row)->keyBy(fn (Row $row): int => $row->int('line_id'));
        $covered = [];
        foreach ($lines as $line) {
            if ($line->openQuantity()->isLessThanOrEqualTo($tied->get($line->id)?->decimal('quantity') ?? 0)) {
                $covered[$line->id] = true;
            }
        }

        return $covered;
    }

    /**
     * @param  Collection<int, Order>  $orders
     * @return array<int, true> those with a part or a step that was added or changed by hand
     */
    private static function changed(Collection $orders): array
    {
        $ids = $orders->pluck('id');
        $parts = Row::ints(DB::table('order_components')
            ->whereIn('order_id', $ids)
            ->whereRaw('(source_line_id IS NULL OR planned_quantity <> baseline_quantity)'), 'order_id');
        $steps = Row::ints(DB::table('order_steps')
            ->whereIn('order_id', $ids)
            ->whereRaw('(source_step_id IS NULL OR planned_minutes <> baseline_minutes)'), 'order_id');

        return array_fill_keys([...$parts, ...$steps], true);
    }

    /**
     * @param  Collection<int, Order>  $orders
     * @return array<int, int> customer by order, of those that are for one
     */
    private static function customers(Collection $orders): array
    {
        $ties = Tie::query()
            ->with('line.customerOrder', 'output')
            ->whereHas('output', fn ($output) => $output->whereIn('order_id', $orders->pluck('id')))
            ->whereNotNull('line_id')
            ->where('quantity', '>', 0)
            ->get();
        $customers = [];
        foreach ($ties as $tie) {
            if ($tie->line !== null && $tie->output !== null) {
                $customers[$tie->output->order_id] = $tie->line->customerOrder->customer_id;
            }
        }

        return $customers;
    }
}

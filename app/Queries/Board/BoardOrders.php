<?php

namespace App\Queries\Board;

use App\Reading\Row;
use App\Shop\ShopState;
use App\Wording\Figures;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Problem;

/** The orders of a plan as the board's script reads them: who waits for each, and what it waits for. */
final class BoardOrders
{
    /**
     * @return array<int, array{
     *     number: string, state: string, quantity: string, item: string, name: string, late: int, due: int|null,
     *     finish: int|null, for: int|null, needs: list<int>, customer: string, unplaced: string,
     * }> by order
     */
    public static function of(int $planId, Problem $problem): array
    {
        $needs = self::needs($problem);
        $rows = Row::all(self::inPlan($planId), fn (Row $row): Row => $row)
            ->keyBy(fn (Row $row): int => $row->int('id'));
        [$for, $customers] = self::tied(array_values($rows->keys()->all()));

        return $rows->map(fn (Row $row, int $id): array => [
            'number' => $row->text('number'),
            'state' => $row->text('state'),
            'quantity' => Figures::amount($row->text('quantity')),
            'item' => $row->text('item'),
            'name' => $row->text('name'),
            'late' => $row->intOrNull('late_minutes') ?? 0,
            'due' => $row->intOrNull('due'),
            'finish' => $row->intOrNull('finish'),
            'for' => $rows->has($for[$id] ?? 0) ? $for[$id] : null,
            'needs' => array_values($needs[$id] ?? []),
            'customer' => $customers[$id] ?? '',
            'unplaced' => $row->text('unplaced'),
        ])->all();
    }

    private static function inPlan(int $planId): Builder
    {
        return DB::table('plan_orders AS p')
            ->join('orders AS o', 'o.id', 'p.order_id')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->where('p.plan_id', $planId)
            ->orderBy('p.place_in_rank')
            ->select(['o.id', 'o.number', 'o.state', 'o.quantity', 'i.number AS item', 'i.name'])
            ->addSelect(['p.late_minutes', 'p.unplaced'])
            ->selectRaw(ShopState::minuteOf('p.due_at').' AS due')
            ->selectRaw(ShopState::minuteOf('p.finish_at').' AS finish');
    }

    /** @return array<int, array<int, int>> the orders whose parts it waits for, by order */
    private static function needs(Problem $problem): array
    {
        $needs = [];
        foreach ($problem->jobs as $job) {
            foreach ($job->steps as $step) {
                foreach ($step->afterJobs as $part) {
                    $needs[$job->id][$part] = $part;
                }
            }
        }

        return $needs;
    }

    /**
     * Whose part an order is made for, by order, and who waits for it: its own customer line, or the one of the order
     * it is made for.
     *
     * @param  list<int>  $orders
     * @return array{array<int, int>, array<int, string>}
     */
    private static function tied(array $orders): array
    {
        $ties = DB::table('ties AS t')
            ->join('order_outputs AS out', 'out.id', 't.output_id')
            ->leftJoin('order_components AS want', 'want.id', 't.component_id')
            ->leftJoin('customer_order_lines AS l', 'l.id', 't.line_id')
            ->leftJoin('customer_orders AS co', 'co.id', 'l.customer_order_id')
            ->leftJoin('customers AS k', 'k.id', 'co.customer_id')
            ->whereIn('out.order_id', $orders)
            ->where('t.quantity', '>', 0)
            ->orderBy('t.id')
            ->select(['out.order_id', 'want.order_id AS for_order_id', 'k.name']);
        $for = $direct = [];
        foreach (Row::all($ties, fn (Row $row): Row => $row) as $row) {
            $order = $row->int('order_id');
            $parent = $row->intOrNull('for_order_id');
            $customer = $row->textOrNull('name');
            $parent === null ?: $for[$order] ??= $parent;
            $customer === null ?: $direct[$order] = $customer;
        }
        $customers = [];
        foreach ($orders as $order) {
            $one = $order;
            for ($up = 0; $one !== null && $up < 50; $one = $for[$one] ?? null, $up++) {
                if (isset($direct[$one])) {
                    $customers[$order] = $direct[$one];
                    break;
                }
            }
        }

        return [$for, $customers];
    }
}

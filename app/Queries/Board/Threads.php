<?php

namespace App\Queries\Board;

use App\Models\Order;
use App\Queries\Orders\Coming;
use App\Reading\Row;
use App\Shop\Away;
use App\Shop\Deliveries;
use App\Shop\Handful;
use App\Wording\ArrivalWords;
use App\Wording\Figures;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * All an order hangs on in a plan, and what hangs on it, with days: customer lines, orders it is a part of, its parts
 * from stock, from orders and from purchases, what nobody has ordered, and work outside.
 */
final readonly class Threads
{
    /** So many levels of parts are followed, up and down. */
    private const DEEP = 20;

    /** @param  array<string, list<Thread>>  $groups  by heading; none is empty */
    private function __construct(public Order $order, public array $groups)
    {
    }

    public static function of(int $planId, int $orderId): self
    {
        $order = Order::query()->with('item')->findOrFail($orderId);
        $above = self::above($orderId);
        $parts = self::parts($planId, $orderId);
        $orders = array_values(array_unique([$orderId, ...$parts->map(fn (Row $row): int => $row->int('order_id'))]));
        $groups = [
            'For whom' => self::lines($planId, [$orderId, ...$above]),
            'Part of' => self::orders($planId, $above),
            'Its parts, what is not there first' => $parts
                ->flatMap(fn (Row $row): array => self::comes($row, $orderId))
                ->sortBy(fn (Thread $thread): int => $thread->order)
                ->all(),
            'Outside' => self::outside($planId, $orders),
        ];

        return new self(
            $order,
            array_map(array_values(...), array_filter($groups, fn (array $threads): bool => $threads !== [])),
        );
    }

    /** @return list<int> orders it is made for, and those these are made for */
    private static function above(int $order): array
    {
        $above = [];
        $next = [$order];
        for ($level = 0; $next !== [] && $level < self::DEEP; $level++) {
            $made = DB::table('ties AS t')
                ->join('order_outputs AS out', 'out.id', 't.output_id')
                ->join('order_components AS want', 'want.id', 't.component_id')
                ->whereIn('out.order_id', $next)
                ->where('t.quantity', '>', 0);
            $next = array_values(array_diff(Row::ints($made, 'want.order_id'), $above, [$order]));
            $above = array_values(array_unique([...$above, ...$next]));
        }

        return $above;
    }

    /**
     * @param  list<int>  $orders
     * @return list<Thread> customer lines
     */
    private static function lines(int $planId, array $orders): array
    {
        $lines = DB::table('ties AS t')
            ->join('order_outputs AS out', 'out.id', 't.output_id')
            ->join('customer_order_lines AS l', 'l.id', 't.line_id')
            ->join('customer_orders AS co', 'co.id', 'l.customer_order_id')
            ->join('customers AS k', 'k.id', 'co.customer_id')
            ->leftJoin('plan_orders AS p', fn (JoinClause $join) => $join
                ->on('p.order_id', 'out.order_id')
                ->where('p.plan_id', $planId))
            ->whereIn('out.order_id', $orders)
            ->where('t.quantity', '>', 0)
            ->orderBy('l.promised_on')
            ->orderBy('l.id')
            ->select(['co.id', 'co.number', 'l.position', 'l.promised_on', 'k.name', 't.quantity', 'p.finish_at']);

        return array_values(Row::all($lines, function (Row $row): Thread {
            $finish = $row->momentOrNull('finish_at');
            $promised = $row->text('promised_on');

            return new Thread(
                "{$row->text('number')}/{$row->int('position')} {$row->text('name')}",
                Figures::amount($row->decimal('quantity')).', promised '.When::day($promised)
                    .($finish === null ? '' : ', finished '.When::day($finish)),
                route('customer-orders.show', $row->int('id')),
                $finish !== null && When::local($finish)->toDateString() > $promised,
            );
        })->all());
    }

    /**
     * @param  list<int>  $orders
     * @return list<Thread>
     */
    private static function orders(int $planId, array $orders): array
    {
        $rows = DB::table('orders AS o')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->leftJoin('plan_orders AS p', fn (JoinClause $join) => $join
                ->on('p.order_id', 'o.id')
                ->where('p.plan_id', $planId))
            ->whereIn('o.id', $orders)
            ->orderBy('p.finish_at')
            ->orderBy('o.id')
            ->select(['o.id', 'o.number', 'o.quantity', 'i.name', 'p.finish_at', 'p.late_minutes']);

        return array_values(Row::all($rows, fn (Row $row): Thread => new Thread(
            "{$row->text('number')} ".Figures::amount($row->decimal('quantity'))." {$row->text('name')}",
            $row->momentOrNull('finish_at') === null ? 'no place in the plan' : 'finished '
                .When::day($row->moment('finish_at')),
            route('orders.show', $row->int('id')),
            ($row->intOrNull('late_minutes') ?? 1) > 0,
        ))->all());
    }

    /** @return Collection<int, Row> components of it and of the orders that make its parts, with what comes for each */
    private static function parts(int $planId, int $order): Collection
    {
        $parts = collect();
        $done = [];
        $next = [$order];
        for ($level = 0; $next !== [] && $level < self::DEEP; $level++) {
            $rows = Row::all(self::components($planId, $next), fn (Row $row): Row => $row);
            $parts = $parts->concat($rows);
            $done = [...$done, ...$next];
            $made = $rows
                ->flatMap(fn (Row $row): array => Coming::all($row->text('coming')))
                ->map(fn (Coming $coming): ?int => $coming->by->orderId());
            $next = array_values(array_diff(array_filter($made->unique()->all(), is_int(...)), $done));
        }

        return $parts;
    }

    /** @param  list<int>  $orders */
    private static function components(int $planId, array $orders): Builder
    {
        return DB::table('plan_components AS p')
            ->join('order_components AS c', 'c.id', 'p.component_id')
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->join('items AS i', 'i.id', 'c.item_id')
            ->where('p.plan_id', $planId)
            ->whereIn('c.order_id', $orders)
            ->orderBy('o.id')
            ->orderBy('c.position')
            ->select(['c.order_id', 'o.number AS order_number', 'i.id AS item_id', 'i.name', 'p.from_stock'])
            ->addSelect(['p.missing', 'p.coming']);
    }

    /** @return list<Thread> where a component comes from */
    private static function comes(Row $row, int $order): array
    {
        $name = ($row->int('order_id') === $order ? '' : "{$row->text('order_number')}: ").$row->text('name');
        $threads = [];
        $some = fn (BigDecimal $of): string => Figures::amount($of);
        if ($row->decimal('from_stock')->isPositive()) {
            $says = $some($row->decimal('from_stock')).' from stock';
            $threads[] = new Thread($name, $says, route('stock.show', $row->int('item_id')), order: 2);
        }
        foreach (Coming::all($row->text('coming')) as $coming) {
            $by = $coming->by->orderId();
            $threads[] = new Thread(
                $name,
                $coming->says(),
                $by === null ? route('find', ['q' => $coming->by->number]) : route('orders.show', $by),
                $coming->arrival?->isLate() ?? true,
            );
        }
        if ($row->decimal('missing')->isPositive()) {
            $says = $some($row->decimal('missing')).' nobody has ordered';
            $threads[] = new Thread($name, $says, route('shortages.index', ['item' => $row->int('item_id')]), true);
        }

        return $threads;
    }

    /**
     * @param  list<int>  $orders
     * @return list<Thread> work at suppliers: pieces that are there, else when it is planned
     */
    private static function outside(int $planId, array $orders): array
    {
        $steps = DB::table('order_steps AS s')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->join('suppliers AS v', 'v.id', 's.supplier_id')
            ->join('plan_steps AS p', fn (JoinClause $join) => $join
                ->on('p.order_step_id', 's.id')
                ->where('p.plan_id', $planId))
            ->whereIn('s.order_id', $orders)
            ->orderBy('p.start_at')
            ->orderBy('s.id')
            ->select(['s.id', 's.order_id', 's.number', 's.name', 'o.number AS order_number', 'v.name AS supplier'])
            ->addSelect(['p.start_at', 'p.end_at']);
        $rows = Row::all($steps, fn (Row $row): Row => $row);
        $away = Away::of($rows->map(fn (Row $row): int => $row->int('id')), Deliveries::now());

        return array_values($rows->map(
            fn (Row $row): Thread => self::outsideStep($row, $away[$row->int('id')] ?? []),
        )->all());
    }

    /** @param  list<Handful>  $there  pieces of it that are at the supplier */
    private static function outsideStep(Row $row, array $there): Thread
    {
        $planned = 'planned '.When::day($row->moment('start_at')).' to '.When::day($row->moment('end_at'));
        $back = array_map(
            fn (Handful $one): string => Figures::amount($one->away).' back '.ArrivalWords::day($one->back),
            $there,
        );

        return new Thread(
            "{$row->text('order_number')} {$row->int('number')} {$row->text('name')}, {$row->text('supplier')}",
            $back === [] ? $planned : implode(', ', $back),
            route('orders.show', $row->int('order_id')),
            array_filter($there, fn (Handful $one): bool => $one->back->isLate()) !== [],
        );
    }
}

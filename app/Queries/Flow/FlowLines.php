<?php

namespace App\Queries\Flow;

use App\Models\Plan;
use App\Reading\Row;
use App\Settings\Setting;
use App\Settings\Settings;
use App\Shop\Deliveries;
use App\Shop\PartsToGo;
use App\Shop\Shelves;
use App\Wording\When;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\Expected;
use KeepPace\Core\Planning\OrderState;

/**
 * All of items that will come and go, from the live plan: purchases, orders' outputs, needs of orders and of suppliers
 * who make something of them, customer lines.
 * Orders that are held have no time; what they would give or take stands undated.
 */
final class FlowLines
{
    private readonly Deliveries $deliveries;

    /** @param  int|null  $item  null = all */
    public function __construct(private readonly ?int $item)
    {
        $this->deliveries = Deliveries::now();
    }

    /** @return list<FlowLine> */
    public function all(): array
    {
        return [
            ...$this->purchases(),
            ...$this->inspected(),
            ...$this->outputs(),
            ...$this->needs(),
            ...$this->partsToGo(),
            ...$this->lines(),
        ];
    }

    /** @return list<FlowLine> */
    private function purchases(): array
    {
        $lines = DB::table('purchase_lines AS l')
            ->join('purchase_orders AS o', 'o.id', 'l.purchase_order_id')
            ->join('suppliers AS s', 's.id', 'o.supplier_id')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->where('l.is_open', true)
            ->select(['l.id', 'l.item_id', 'l.number', 'l.expected_on', 'l.ask_again_on', 'l.purchase_order_id'])
            ->addSelect(['s.name AS supplier', 'i.inspection_days'])
            ->selectRaw('l.quantity - l.received_quantity - l.cancelled_quantity AS open');

        return array_values(Row::all($this->narrow($lines, 'l.item_id'), function (Row $row): FlowLine {
            $arrival = $this->deliveries->ordered(
                $row->text('expected_on'),
                $row->textOrNull('ask_again_on'),
                $row->int('inspection_days'),
            );

            return FlowLine::of(
                $row,
                $arrival->at,
                $row->decimal('open'),
                "purchase {$row->text('number')}",
                route('purchases.show', $row->int('purchase_order_id')),
                $row->text('supplier').($arrival->rests === Expected::Overdue ? ', overdue' : ''),
            );
        })->all());
    }

    /** @return list<FlowLine> */
    private function inspected(): array
    {
        $lying = $this->narrow(Shelves::inspected(), 'b.item_id');

        return array_values(Row::all($lying, function (Row $row): FlowLine {
            $arrival = $this->deliveries->inspected($row->text('came_on'), $row->int('inspection_days'));

            return FlowLine::of(
                $row,
                $arrival->at,
                $row->decimal('quantity'),
                "inspection of {$row->text('number')}",
                route('stock.show', $row->int('item_id')),
                'came '.When::day($row->text('came_on')).($arrival->isLate() ? ', overdue' : ''),
            );
        })->all());
    }

    /** @return list<FlowLine> */
    private function outputs(): array
    {
        $outputs = DB::table('order_outputs AS u')
            ->join('orders AS o', 'o.id', 'u.order_id')
            ->leftJoin('plan_orders AS p', fn (JoinClause $join) => $join
                ->on('p.order_id', 'o.id')
                ->where('p.plan_id', Plan::LIVE))
            ->where('u.is_open', true)
            ->whereIn('o.state', OrderState::OPEN)
            ->select(['u.id', 'u.item_id', 'o.number', 'o.id AS order_id', 'o.is_held', 'p.finish_at'])
            ->selectRaw('u.planned_quantity - u.received_quantity - u.given_up_quantity AS open');

        return array_values(Row::all($this->narrow($outputs, 'u.item_id'), fn (Row $row): FlowLine => FlowLine::of(
            $row,
            self::minute($row, 'finish_at'),
            $row->decimal('open'),
            "order {$row->text('number')}",
            route('orders.show', $row->int('order_id')),
            $row->flag('is_held') ? 'held' : 'made here',
        ))->all());
    }

    /** @return list<FlowLine> */
    private function needs(): array
    {
        $needs = $this->narrow(self::components(), 'c.item_id');

        return array_values(Row::all($needs, fn (Row $row): FlowLine => FlowLine::of(
            $row,
            self::minute($row, 'start_at') ?? self::minute($row, 'finish_at'),
            $row->decimal('open')->negated(),
            "order {$row->text('number')}, step {$row->int('step_number')}",
            route('orders.show', $row->int('order_id')),
            $row->text('product').($row->flag('is_held') ? ', held' : ''),
        ))->all());
    }

    /** @return list<FlowLine> what goes along to suppliers: as soon as it can, for they wait for it */
    private function partsToGo(): array
    {
        $parts = $this->narrow(PartsToGo::lines(), 'p.item_id');

        return array_values(Row::all($parts, fn (Row $row): FlowLine => FlowLine::of(
            $row,
            self::now(),
            $row->decimal('open')->negated(),
            "purchase {$row->text('number')}, goes along",
            route('purchases.show', $row->int('purchase_order_id')),
            $row->text('supplier'),
        ))->all());
    }

    private static function components(): Builder
    {
        return DB::table('order_components AS c')
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->leftJoin('plan_orders AS p', fn (JoinClause $join) => $join
                ->on('p.order_id', 'o.id')
                ->where('p.plan_id', Plan::LIVE))
            ->whereIn('o.state', OrderState::OPEN)
            ->where('c.supplied_by', 'us')
            ->where('c.open_quantity', '>', 0)
            ->select(['c.id', 'c.item_id', 'o.number', 'o.id AS order_id', 'o.is_held', 'c.step_number'])
            ->addSelect(['i.name AS product', 'p.finish_at'])
            ->addSelect('c.open_quantity AS open')
            ->selectRaw(
                '(SELECT MIN(ps.start_at) FROM order_steps os
                    JOIN plan_steps ps ON ps.order_step_id = os.id AND ps.plan_id = ?
                    WHERE os.order_id = c.order_id AND os.number >= c.step_number) AS start_at',
                [Plan::LIVE],
            );
    }

    /** @return list<FlowLine> */
    private function lines(): array
    {
        $hour = Settings::text(Setting::DueHour);
        $lines = DB::table('customer_order_lines AS l')
            ->join('customer_orders AS o', 'o.id', 'l.customer_order_id')
            ->join('customers AS c', 'c.id', 'o.customer_id')
            ->where('l.is_open', true)
            ->select(['l.id', 'l.item_id', 'l.position', 'l.promised_on', 'o.number', 'o.id AS customer_order_id'])
            ->addSelect('c.name AS customer')
            ->selectRaw('l.quantity - l.shipped_quantity - l.cancelled_quantity AS open');

        return array_values(Row::all($this->narrow($lines, 'l.item_id'), fn (Row $row): FlowLine => FlowLine::of(
            $row,
            max($this->deliveries->plant->minute($row->text('promised_on'), $hour), self::now()),
            $row->decimal('open')->negated(),
            "customer order {$row->text('number')}/{$row->int('position')}",
            route('customer-orders.show', $row->int('customer_order_id')),
            $row->text('customer'),
        ))->all());
    }

    private function narrow(Builder $query, string $column): Builder
    {
        return $this->item === null ? $query : $query->where($column, $this->item);
    }

    /** What should have come or gone already is still to: now at the soonest. */
    private static function minute(Row $row, string $column): ?int
    {
        $at = $row->textOrNull($column);

        return $at === null ? null : max(intdiv(CarbonImmutable::parse($at, 'UTC')->getTimestamp(), 60), self::now());
    }

    private static function now(): int
    {
        return intdiv(now()->getTimestamp(), 60);
    }
}

<?php

namespace App\Queries\Demand;

use App\Models\Plan;
use App\Queries\Outside\PartAlong;
use App\Queries\Outside\WorkOrdered;
use App\Reading\Row;
use App\Shop\Away;
use App\Shop\Deliveries;
use App\Wording\ArrivalWords;
use App\Wording\Figures;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Purchasing\PurchaseState;

/**
 * The whole chain of a customer line: what is bought for it, the orders that make it and their parts, step by step and
 * from supplier to supplier, and its shipment; with days, where the pieces are, and what to do next.
 */
final readonly class LineChain
{
    /** So many levels of parts are followed. */
    private const DEEP = 50;

    /** @param  list<ChainGroup>  $groups  in the order of the work */
    private function __construct(public DemandLine $line, public array $groups)
    {
    }

    public static function of(int $id): ?self
    {
        $order = DB::table('customer_order_lines')->where('id', $id)->value('customer_order_id');
        $line = is_numeric($order)
            ? CustomerOrderList::lines(order: (int) $order)->firstWhere('id', $id)
            : null;
        if ($line === null) {
            return null;
        }
        $orders = Row::all(self::orders($id), fn (Row $row): Row => $row);
        $steps = self::steps($orders->map(fn (Row $row): int => $row->int('id')));

        return new self($line, array_values(array_filter([
            self::bought($id, $orders),
            ...$orders->map(fn (Row $row): ChainGroup => self::order($row, $steps[$row->int('id')] ?? [])),
            self::shipment($line),
        ])));
    }

    /** What there is to do now, in the order of the work. */
    public function says(): string
    {
        $next = [];
        foreach ($this->groups as $group) {
            foreach ($group->rows as $row) {
                $isToDo = $row->address !== null && $row->next !== '';
                ! $isToDo || in_array(lcfirst($row->next), $next, true) ?: $next[] = lcfirst($row->next);
            }
        }

        return $next === [] ? 'Nothing is to be done outside now.' : 'To do: '.implode('; ', $next).'.';
    }

    /** Orders that make it, and those that make their parts: the deepest first. */
    private static function orders(int $line): Builder
    {
        $deep = self::DEEP;
        $gives = '(t.quantity > 0 OR made.received_quantity > 0)';

        return DB::table('orders AS o')
            ->join(DB::raw(<<<SQL
                (WITH RECURSIVE chain AS (
                    SELECT made.order_id, 0 AS deep
                    FROM ties t
                        JOIN order_outputs made ON made.id = t.output_id
                    WHERE t.line_id = {$line} AND {$gives}
                    UNION
                    SELECT made.order_id, c.deep + 1
                    FROM chain c
                        JOIN order_components w ON w.order_id = c.order_id
                        JOIN ties t ON t.component_id = w.id
                        JOIN order_outputs made ON made.id = t.output_id
                    WHERE c.deep < {$deep} AND {$gives}
                ) SELECT order_id, MAX(deep) AS deep FROM chain GROUP BY order_id) d
                SQL), 'd.order_id', 'o.id')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin('plan_orders AS p', fn (JoinClause $join) => $join
                ->on('p.order_id', 'o.id')
                ->where('p.plan_id', Plan::LIVE))
            ->orderByDesc('d.deep')
            ->orderBy('o.id')
            ->select(['o.id', 'o.number', 'o.quantity', 'o.state', 'i.name AS item', 'u.code AS unit', 'p.finish_at']);
    }

    /**
     * @param  Collection<int, int>  $orders
     * @return array<int, list<ChainStep>> by order
     */
    private static function steps(Collection $orders): array
    {
        $query = DB::table('order_steps AS s')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->leftJoin('suppliers AS v', 'v.id', 's.supplier_id')
            ->leftJoin('work_centres AS w', 'w.id', 's.work_centre_id')
            ->leftJoin('plan_steps AS p', fn (JoinClause $join) => $join
                ->on('p.order_step_id', 's.id')
                ->where('p.plan_id', Plan::LIVE))
            ->whereIn('s.order_id', $orders)
            ->orderBy('s.order_id')
            ->orderBy('s.number')
            ->select(['s.id', 's.order_id', 's.number', 's.name', 'v.name AS supplier', 'w.name AS work_centre'])
            ->addSelect(['o.quantity', 's.good', 's.work_ordered', 'p.end_at'])
            ->selectRaw('s.taken_in - s.good - s.scrap AS to_do')
            ->selectRaw('(SELECT COALESCE(SUM(b.scrap), 0) FROM order_steps b
                WHERE b.order_id = s.order_id AND b.number <= s.number) AS lost');
        $rows = Row::all($query, fn (Row $row): Row => $row);
        $ids = $rows->map(fn (Row $row): int => $row->int('id'));
        [$work, $away] = [WorkOrdered::of($ids), Away::of($ids, Deliveries::now())];
        $steps = [];
        foreach ($rows as $row) {
            $steps[$row->int('order_id')][] = ChainStep::from($row, $work, $away);
        }

        return $steps;
    }

    /** @param  list<ChainStep>  $steps */
    private static function order(Row $order, array $steps): ChainGroup
    {
        $rows = $here = [];
        foreach ($steps as $step) {
            if ($step->isOutside()) {
                $here === [] ?: $rows[] = ChainStep::here($here);
                $here = [];
                $rows[] = $step->asRow();
            } else {
                $here[] = $step;
            }
        }
        $here === [] ?: $rows[] = ChainStep::here($here);
        $state = $order->enum('state', OrderState::class);
        $finish = $order->momentOrNull('finish_at');
        $quantity = Figures::amount($order->text('quantity')).' '.$order->text('unit');

        return new ChainGroup(
            "{$order->text('number')} {$order->text('item')}",
            "{$quantity}, {$state->value}".($finish === null ? '' : ', finished by the plan '.When::say($finish)),
            route('orders.show', $order->int('id')),
            $rows,
        );
    }

    /**
     * What is bought for the line or for components of its orders, with what goes along for it.
     *
     * @param  Collection<int, Row>  $orders
     */
    private static function bought(int $line, Collection $orders): ?ChainGroup
    {
        $ids = $orders->map(fn (Row $row): int => $row->int('id'));
        $lines = Row::all(self::purchases($line, $ids), fn (Row $row): Row => $row);
        $along = PartAlong::onLines(array_values($lines->map(fn (Row $row): int => $row->int('id'))->all()));
        $deliveries = Deliveries::now();
        $rows = [];
        foreach ($lines as $row) {
            $rows[] = self::purchase($row, $deliveries);
            $of = $along->filter(fn (PartAlong $part): bool => $part->lineId === $row->int('id'));
            array_push($rows, ...$of->map(self::part(...))->values());
        }

        return $rows === [] ? null : new ChainGroup('Bought', 'for this line or for what makes it', null, $rows);
    }

    /** @param  Collection<int, int>  $orders */
    private static function purchases(int $line, Collection $orders): Builder
    {
        return DB::table('purchase_lines AS l')
            ->join('purchase_orders AS o', 'o.id', 'l.purchase_order_id')
            ->join('suppliers AS v', 'v.id', 'o.supplier_id')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->whereExists(fn (Builder $tie) => $tie
                ->from('ties AS t')
                ->leftJoin('order_components AS c', 'c.id', 't.component_id')
                ->whereColumn('t.purchase_line_id', 'l.id')
                ->whereRaw('(t.quantity > 0 OR l.received_quantity > 0)')
                ->where(fn (Builder $of) => $of->where('t.line_id', $line)->orWhereIn('c.order_id', $orders)))
            ->orderBy('l.id')
            ->select(['l.id', 'l.purchase_order_id', 'l.number', 'i.name AS item', 'v.name AS supplier', 'l.is_draft'])
            ->addSelect(['l.quantity', 'l.received_quantity', 'l.expected_on', 'l.ask_again_on', 'l.is_open'])
            ->selectRaw('l.confirmed_on IS NOT NULL AS is_confirmed');
    }

    private static function purchase(Row $row, Deliveries $deliveries): ChainRow
    {
        $isOpen = $row->flag('is_open');
        $isConfirmed = $row->flag('is_confirmed');
        $hasCome = $row->decimal('received_quantity')->isPositive();
        $state = PurchaseState::ofLine($row->flag('is_draft'), $isConfirmed, $isOpen, $hasCome);
        $arrival = $isOpen ? $deliveries->ordered($row->text('expected_on'), $row->textOrNull('ask_again_on')) : null;
        $isLate = $arrival !== null && $arrival->isLate();

        return new ChainRow(
            "{$row->text('number')} {$row->text('item')}",
            $row->text('supplier'),
            true,
            Figures::amount($row->text('received_quantity')).' of '.Figures::amount($row->text('quantity')),
            $state->label(),
            $arrival === null ? '' : ArrivalWords::day($arrival),
            $isLate,
            ! $isOpen && ! $state->isDraft(),
            match (true) {
                $state->isDraft() => 'Send the order',
                $isLate => 'Ask when it comes',
                $isOpen && ! $isConfirmed => 'Have it confirmed',
                default => '',
            },
            route('purchases.show', $row->int('purchase_order_id')),
        );
    }

    private static function part(PartAlong $part): ChainRow
    {
        $toGo = $part->toGo();

        return new ChainRow(
            "goes along: {$part->item}",
            $part->supplier,
            true,
            '',
            $part->there->isPositive() ? Figures::amount((string) $part->there)." {$part->unit} there" : '',
            '',
            isDone: $toGo->isZero(),
            next: $toGo->isZero() ? '' : 'Send '.Figures::amount((string) $toGo)." {$part->unit} along",
            address: $toGo->isZero() ? null : route('send-outs.index'),
        );
    }

    private static function shipment(DemandLine $line): ChainGroup
    {
        $fromStock = $line->covers->filter(fn (LineCover $cover): bool => $cover->address() === null);
        $inStock = BigDecimal::sum(0, ...$fromStock->map(fn (LineCover $cover): BigDecimal => $cover->quantity)->all());
        $isDone = $line->wanted()->isZero();

        return new ChainGroup("To {$line->customer}", 'promised '.When::day($line->promisedOn), null, [new ChainRow(
            'Ship',
            'here',
            false,
            Figures::amount((string) $line->shipped).' of '.Figures::amount((string) $line->quantity),
            $inStock->isPositive() ? Figures::amount((string) $inStock).' in stock' : '',
            $isDone ? '' : When::day($line->promisedOn),
            $line->isOverdue(),
            $isDone,
            $inStock->isPositive() ? 'Ship them' : '',
            $inStock->isPositive() ? route('ship.index')."#o{$line->customerOrderId}" : null,
        )]);
    }
}

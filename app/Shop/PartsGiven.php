<?php

namespace App\Shop;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\Allocated;
use KeepPace\Core\Planning\Allocation;
use KeepPace\Core\Planning\ComponentNeed;
use KeepPace\Core\Planning\Document;
use KeepPace\Core\Planning\Supply;
use KeepPace\Core\Structure\ItemKind;

/**
 * What open orders still need, and the stock, reservations and receipts that are given to them: read once, dealt out by
 * any order of the orders.
 */
final class PartsGiven
{
    /** @var array<int, list<ComponentNeed>> by order */
    private array $needs = [];

    /** @var array<int, int> customer by component, of needs he supplies himself */
    private array $owned = [];

    /** @var array<int, BigDecimal> free and unpromised, by item */
    private array $stock = [];

    /** @var array<string, BigDecimal> promised to customer lines, by "order-item" */
    private array $promised = [];

    /** @var array<string, array<int, BigDecimal>> what orders are to give to others, by "order-item" and whose part */
    private array $madeFor = [];

    /** @var array<int, BigDecimal> bought for customer lines, by purchase line */
    private array $boughtForLines = [];

    /** @var array<int, array<int, BigDecimal>> bought for orders, by purchase line and by order */
    private array $boughtFor = [];

    /** @var array<string, BigDecimal> of the stock, kept hard: by "order-item" */
    private array $reserved = [];

    /** @var list<Supply> */
    private readonly array $supplies;

    /** @var list<ComponentNeed> of suppliers who make something of parts of ours: they wait for them */
    private readonly array $toGo;

    /** @var array<int, Allocated>|null by component */
    private ?array $theirs = null;

    /** @param  Collection<int, OpenOrder>  $orders  open ones by id */
    public function __construct(
        private readonly Collection $orders,
        private readonly Deliveries $deliveries,
        private readonly Supposed $supposed,
    ) {
        $this->readNeeds();
        $items = collect($this->needs)->flatten()->pluck('item')->unique()->values();
        $this->readStock($items);
        $this->toGo = PartsToGo::needs($items);
        $this->supplies = [
            ...$this->inspected($items),
            ...$this->purchases($items),
            ...$this->ordersComing($items),
        ];
    }

    /**
     * @param  list<int>  $orders  who is served first comes first
     * @return array<int, Allocated> by component id
     */
    public function dealt(array $orders): array
    {
        $needs = array_merge(...array_map(fn (int $order): array => $this->needs[$order] ?? [], $orders));
        $this->theirs ??= $this->customersOwn($needs);
        $ours = array_filter($needs, fn (ComponentNeed $need): bool => ! isset($this->owned[$need->id]));
        $dealt = Allocation::of([...$this->toGo, ...$ours], $this->stock, $this->supplies, $this->reserved);

        return array_filter($dealt, fn (int $component): bool => $component > 0, ARRAY_FILTER_USE_KEY) + $this->theirs;
    }

    /** Consumables, time and work done outside lie on no shelf: no order waits for them. */
    private function readNeeds(): void
    {
        $components = DB::table('order_components AS c')
            ->join('items AS i', 'i.id', 'c.item_id')
            ->whereIn('c.order_id', $this->orders->keys())
            ->whereNotIn('i.kind', ItemKind::NEVER_ISSUED)
            ->where('c.open_quantity', '>', 0)
            ->select(['c.id', 'c.order_id', 'c.item_id', 'c.step_number', 'c.supplied_by', 'i.name'])
            ->addSelect('c.open_quantity AS open');
        foreach (Row::all($components, fn (Row $row): Row => $row) as $row) {
            $order = $this->orders[$row->int('order_id')];
            $order->isHeld ?: $this->need($order, $row, $row->int('id'));
        }
    }

    private function need(OpenOrder $order, Row $row, int $id): void
    {
        if ($row->text('supplied_by') === 'customer') {
            $this->owned[$id] = $order->owner;
        }
        [$item, $open] = $this->supposed->of($id) ?? [$row->int('item_id'), $row->decimal('open')];
        $this->needs[$order->id][] = new ComponentNeed(
            $id,
            $order->id,
            $item,
            $row->text('name'),
            $row->int('step_number'),
            $open,
        );
    }

    /** @param  Collection<int, mixed>  $items */
    private function readStock(Collection $items): void
    {
        foreach (Row::all(Shelves::sums()->whereIn('b.item_id', $items), fn (Row $row): Row => $row) as $row) {
            $this->stock[$row->int('item_id')] = $row->decimal('quantity');
        }
        foreach (Row::all(self::ties($items), fn (Row $row): Row => $row) as $row) {
            $this->tied($row, $row->int('item_id'), $row->decimal('quantity'));
        }
        foreach ($this->supposed->kept as $key => $quantity) {
            $this->reserved[$key] = ($this->reserved[$key] ?? BigDecimal::zero())->plus($quantity);
        }
    }

    /**
     * What of these items is promised, kept, made or bought for somebody, each with the order or the purchase line that
     * gives it and the order that gets it.
     *
     * @param  Collection<int, mixed>  $items
     */
    private static function ties(Collection $items): Builder
    {
        return DB::table('ties AS t')
            ->leftJoin('order_outputs AS out', 'out.id', 't.output_id')
            ->leftJoin('order_components AS want', 'want.id', 't.component_id')
            ->whereIn('t.item_id', $items)
            ->where('t.quantity', '>', 0)
            ->groupBy('t.item_id', 't.demand_kind', 't.supply_kind', 'out.order_id', 'want.order_id')
            ->groupBy('t.purchase_line_id')
            ->select(['t.item_id', 't.demand_kind', 't.supply_kind', 'out.order_id AS gives', 'want.order_id AS gets'])
            ->addSelect('t.purchase_line_id AS brings')
            ->selectRaw('SUM(t.quantity) AS quantity');
    }

    private function tied(Row $tie, int $item, BigDecimal $quantity): void
    {
        $gets = $tie->intOrNull('gets');
        $gives = $tie->intOrNull('gives');
        $brings = $tie->intOrNull('brings');
        if ($brings !== null && $gets !== null) {
            $this->boughtFor[$brings][$gets] = $quantity;
        } elseif ($brings !== null) {
            $this->boughtForLines[$brings] = $quantity;
        } elseif ($gives !== null && $gets !== null) {
            // made for its part, or what falls out beside it kept for it
            $this->madeFor["{$gives}-{$item}"][$gets] = $quantity->plus($this->madeFor["{$gives}-{$item}"][$gets] ?? 0);
        } elseif ($gives !== null) {
            $this->promised["{$gives}-{$item}"] = $quantity;
        } elseif ($gets !== null) {
            $this->reserved["{$gets}-{$item}"] = $quantity;
        } elseif (isset($this->stock[$item])) {
            $this->stock[$item] = $this->stock[$item]->minus($quantity);
        }
    }

    /** @return array<int, list<int>> orders it is made for a part of, by order */
    public function madeFor(): array
    {
        $orders = [];
        foreach ($this->madeFor as $key => $for) {
            $order = (int) explode('-', $key)[0];
            $orders[$order] = array_values(array_unique([...$orders[$order] ?? [], ...array_keys($for)]));
        }

        return $orders;
    }

    /**
     * Needs of a customer's own material are met from what that customer has sent, never from ours.
     *
     * @param  list<ComponentNeed>  $needs
     * @return array<int, Allocated> by component
     */
    private function customersOwn(array $needs): array
    {
        $owned = $this->owned;
        $theirs = array_filter($needs, fn (ComponentNeed $need): bool => isset($owned[$need->id]));
        $result = [];
        foreach ($theirs === [] ? [] : $this->lyingOf($theirs) as $owner => $stock) {
            $result += Allocation::of(
                array_values(array_filter($theirs, fn (ComponentNeed $need): bool => $owned[$need->id] === $owner)),
                $stock,
                [],
            );
        }

        return $result + Allocation::of(
            array_values(array_filter($theirs, fn (ComponentNeed $need): bool => ! isset($result[$need->id]))),
            [],
            [],
        );
    }

    /**
     * @param  array<ComponentNeed>  $needs
     * @return array<int, array<int, BigDecimal>>  what lies here, by owner and item
     */
    private function lyingOf(array $needs): array
    {
        $lying = Shelves::lying()
            ->whereIn('b.owner_id', array_values($this->owned))
            ->whereIn('b.item_id', array_map(fn (ComponentNeed $need): int => $need->item, $needs))
            ->groupBy('b.owner_id', 'b.item_id')
            ->selectRaw('b.owner_id, b.item_id, SUM(b.quantity) AS quantity');
        $stock = [];
        foreach (Row::all($lying, fn (Row $row): Row => $row) as $row) {
            $stock[$row->int('owner_id')][$row->int('item_id')] = $row->decimal('quantity');
        }

        return $stock;
    }

    /**
     * What came and is being looked at counts from the day it is free (W7).
     *
     * @param  Collection<int, mixed>  $items
     * @return list<Supply>
     */
    private function inspected(Collection $items): array
    {
        $lying = Shelves::inspected()->whereIn('b.item_id', $items);

        return array_values(Row::all($lying, fn (Row $row): Supply => new Supply(
            Document::inspection($row->int('item_id'), $row->text('number')),
            $row->int('item_id'),
            $row->decimal('quantity'),
            $this->deliveries->inspected($row->text('came_on'), $row->int('inspection_days')),
        ))->all());
    }

    /**
     * @param  Collection<int, mixed>  $items
     * @return list<Supply>
     */
    private function purchases(Collection $items): array
    {
        $open = DB::table('purchase_lines AS l')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->where('l.is_open', true)
            ->whereIn('l.item_id', $items)
            ->orderBy('l.expected_on')
            ->orderBy('l.id')
            ->select(['l.id', 'l.number', 'l.item_id', 'l.quantity', 'l.received_quantity', 'l.cancelled_quantity'])
            ->addSelect(['l.expected_on', 'l.ask_again_on', 'i.inspection_days']);
        $supplies = [];
        foreach (Row::all($open, fn (Row $row): Row => $row) as $row) {
            $id = $row->int('id');
            $left = $row->decimal('quantity')
                ->minus($row->decimal('received_quantity'))
                ->minus($row->decimal('cancelled_quantity'))
                ->minus($this->boughtForLines[$id] ?? BigDecimal::zero());
            array_push($supplies, ...$this->shared(
                new Supply(
                    Document::purchase($id, $row->text('number')),
                    $row->int('item_id'),
                    $left,
                    $this->deliveries->ordered(
                        $this->supposed->days[$id] ?? $row->text('expected_on'),
                        isset($this->supposed->days[$id]) ? null : $row->textOrNull('ask_again_on'),
                        $row->int('inspection_days'),
                    ),
                ),
                $this->boughtFor[$id] ?? [],
            ));
        }

        return $supplies;
    }

    /**
     * @param  Collection<int, mixed>  $items
     * @return list<Supply>
     */
    private function ordersComing(Collection $items): array
    {
        $outputs = DB::table('order_outputs')
            ->where('is_open', true)
            ->whereIn('item_id', $items)
            ->orderBy('position')
            ->select(['order_id', 'item_id', 'planned_quantity', 'received_quantity', 'given_up_quantity']);
        $open = Row::all($outputs, fn (Row $row): Row => $row)->groupBy(fn (Row $row): int => $row->int('order_id'));
        $supplies = [];
        foreach ($this->orders as $id => $order) {
            foreach ($open[$id] ?? [] as $output) {
                $key = "{$id}-{$output->int('item_id')}";
                $left = $output->decimal('planned_quantity')
                    ->minus($output->decimal('received_quantity'))
                    ->minus($output->decimal('given_up_quantity'))
                    ->minus($this->promised[$key] ?? BigDecimal::zero());
                if ($left->isPositive()) {
                    $by = Document::order($id, $order->number);
                    array_push($supplies, ...$this->shared(
                        new Supply($by, $output->int('item_id'), $left),
                        $this->madeFor[$key] ?? [],
                    ));
                }
            }
        }

        return $supplies;
    }

    /**
     * What comes, first to the orders it is made or bought for, as far as these still need it; the rest to anybody.
     *
     * @param  array<int, BigDecimal>  $for  by order
     * @return list<Supply>
     */
    private function shared(Supply $all, array $for): array
    {
        $supplies = [];
        $left = $all->open;
        foreach ($for as $order => $tied) {
            $share = BigDecimal::min($left, $tied, $this->needed($order, $all->item));
            if ($share->isPositive()) {
                $supplies[] = $all->part($share, $order);
                $left = $left->minus($share);
            }
        }

        return $left->isPositive() ? [...$supplies, $all->part($left)] : $supplies;
    }

    /** What an order still takes of an item; one that is not open, or is held, takes nothing. */
    private function needed(int $order, int $item): BigDecimal
    {
        $needs = array_filter($this->needs[$order] ?? [], fn (ComponentNeed $need): bool => $need->item === $item);

        return BigDecimal::sum(0, ...array_map(fn (ComponentNeed $need): BigDecimal => $need->open, $needs));
    }
}

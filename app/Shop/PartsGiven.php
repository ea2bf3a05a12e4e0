<?php

namespace App\Shop;

use App\Models\Cover;
use App\Models\OrderOutput;
use App\Reading\Row;
use Brick\Math\BigDecimal;
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

    /** @var array<int, BigDecimal> promised to customer lines, by order */
    private array $promised = [];

    /** @var array<string, BigDecimal> of the stock, kept hard: by "order-item" */
    private array $reserved = [];

    /** @var list<Supply> */
    private readonly array $supplies;

    /** @var array<int, Allocated>|null by component */
    private ?array $theirs = null;

    /** @param  Collection<int, \stdClass>  $orders  open ones by id */
    public function __construct(private readonly Collection $orders, private readonly Deliveries $deliveries)
    {
        $this->readNeeds();
        $items = collect($this->needs)->flatten()->pluck('item')->unique()->values();
        $this->readStock($items);
        $this->supplies = [...$this->purchases($items), ...$this->ordersComing($items)];
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

        return Allocation::of(array_values($ours), $this->stock, $this->supplies, $this->reserved) + $this->theirs;
    }

    /** Consumables, time and work done outside lie on no shelf: no order waits for them. */
    private function readNeeds(): void
    {
        $components = DB::table('order_components AS c')
            ->join('items AS i', 'i.id', 'c.item_id')
            ->whereIn('c.order_id', $this->orders->keys())
            ->whereNotIn('i.kind', ItemKind::NEVER_ISSUED)
            ->whereRaw('c.planned_quantity > c.used_quantity + c.replaced_quantity')
            ->get([
                'c.id', 'c.order_id', 'c.item_id', 'c.step_number', 'c.planned_quantity', 'c.used_quantity',
                'c.replaced_quantity', 'c.supplied_by', 'i.name',
            ]);
        foreach ($components as $row) {
            $order = $this->orders[$row->order_id];
            if ($order->is_held) {
                continue;
            }
            if ($row->supplied_by === 'customer') {
                $this->owned[$row->id] = (int) $order->owner_id;
            }
            $open = BigDecimal::of($row->planned_quantity)->minus($row->used_quantity)->minus($row->replaced_quantity);
            $this->needs[$order->id][] = new ComponentNeed(
                $row->id,
                $order->id,
                $row->item_id,
                $row->name,
                $row->step_number,
                $open,
            );
        }
    }

    /** @param  Collection<int, mixed>  $items */
    private function readStock(Collection $items): void
    {
        foreach (Shelves::sums()->whereIn('b.item_id', $items)->get() as $row) {
            $this->stock[$row->item_id] = BigDecimal::of($row->quantity);
        }
        $promised = Cover::query()->whereIn('item_id', $items)->where('quantity', '>', 0)
            ->groupBy('item_id', 'supply', 'order_id')
            ->selectRaw('item_id, order_id, SUM(quantity) AS quantity')->toBase();
        foreach ($promised->get() as $row) {
            if ($row->order_id === null && isset($this->stock[$row->item_id])) {
                $this->stock[$row->item_id] = $this->stock[$row->item_id]->minus($row->quantity);
            } else {
                $this->promised[$row->order_id] = BigDecimal::of($row->quantity);
            }
        }
        $reserved = DB::table('reservations')->whereIn('item_id', $items)->where('quantity', '>', 0)
            ->groupBy('order_id', 'item_id')->selectRaw('order_id, item_id, SUM(quantity) AS quantity');
        foreach ($reserved->get() as $row) {
            $this->reserved["{$row->order_id}-{$row->item_id}"] = BigDecimal::of($row->quantity);
        }
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
        $stock = $theirs === []
                ? collect()
                : Shelves::lying()
                    ->whereIn('b.owner_id', array_values($owned))
                    ->whereIn('b.item_id', array_map(fn (ComponentNeed $need): int => $need->item, $theirs))
                    ->groupBy('b.owner_id', 'b.item_id')
                    ->selectRaw('b.owner_id, b.item_id, SUM(b.quantity) AS quantity')
                    ->get();
        foreach ($stock->groupBy('owner_id') as $owner => $rows) {
            $result += Allocation::of(
                array_values(array_filter($theirs, fn (ComponentNeed $need): bool => $owned[$need->id] === $owner)),
                $rows->mapWithKeys(fn ($row): array => [$row->item_id => BigDecimal::of($row->quantity)])->all(),
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
     * @param  Collection<int, mixed>  $items
     * @return list<Supply>
     */
    private function purchases(Collection $items): array
    {
        $open = DB::table('purchases')->where('is_open', true)->whereIn('item_id', $items)->orderBy('expected_on');

        return array_values(Row::all($open, fn (Row $row): Supply => new Supply(
            Document::purchase($row->int('id'), $row->text('number')),
            $row->int('item_id'),
            $row->decimal('quantity')->minus($row->decimal('received_quantity'))
                ->minus($row->decimal('cancelled_quantity')),
            arrival: $this->deliveries->ordered($row->text('expected_on'), $row->textOrNull('ask_again_on')),
        ))->all());
    }

    /**
     * @param  Collection<int, mixed>  $items
     * @return list<Supply>
     */
    private function ordersComing(Collection $items): array
    {
        $products = DB::table('order_outputs')
            ->where('is_open', true)
            ->where('position', OrderOutput::PRODUCT)
            ->whereIn('item_id', $items)
            ->select(['order_id', 'item_id', 'planned_quantity', 'received_quantity', 'given_up_quantity']);
        $open = Row::all($products, fn (Row $row): Row => $row)->keyBy(fn (Row $row): int => $row->int('order_id'));
        $supplies = [];
        foreach ($this->orders as $id => $order) {
            $number = is_string($order->number) ? $order->number : '';
            $left = isset($open[$id])
                ? $open[$id]->decimal('planned_quantity')
                    ->minus($open[$id]->decimal('received_quantity'))
                    ->minus($open[$id]->decimal('given_up_quantity'))
                    ->minus($this->promised[$id] ?? BigDecimal::zero())
                : BigDecimal::zero();
            if ($left->isPositive()) {
                $supplies[] = new Supply(
                    Document::order($id, $number),
                    $open[$id]->int('item_id'),
                    $left,
                    forOrder: isset($this->orders[$order->for_order_id]) ? $order->for_order_id : null,
                );
            }
        }

        return $supplies;
    }
}

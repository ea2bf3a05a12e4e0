<?php

namespace App\Queries\Shop;

use App\Models\Cover;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\Allocated;
use KeepPace\Core\Planning\Allocation;
use KeepPace\Core\Planning\ComponentNeed;
use KeepPace\Core\Planning\Supply;

/** What open orders still need, and the stock, reservations and receipts that are given to them by rank. */
final class PartsGiven
{
    /**
     * @param  Collection<int, \stdClass>  $orders  open ones by id, in rank order
     */
    public function __construct(private readonly Collection $orders, private readonly Deliveries $deliveries)
    {
    }

    /** @return array<int, Allocated> by component id */
    public function allocate(): array
    {
        $components = DB::table('order_components AS c')->join('items AS i', 'i.id', 'c.item_id')
            ->whereIn('c.order_id', $this->orders->keys())->where('i.kind', '<>', 'consumable')->whereRaw('c.planned_quantity > c.used_quantity + c.replaced_quantity')
            ->get(['c.id', 'c.order_id', 'c.item_id', 'c.step_number', 'c.planned_quantity', 'c.used_quantity', 'c.replaced_quantity', 'c.supplied_by', 'i.name', 'i.number', 'i.lead_days'])
            ->groupBy('order_id');
        $items = $components->flatten(1)->pluck('item_id')->unique()->values();
        $needs = [];
        $owned = [];
        foreach ($this->orders as $order) {
            foreach ($order->is_held ? [] : $components[$order->id] ?? [] as $row) {
                if ($row->supplied_by === 'customer') {
                    $owned[$row->id] = (int) $order->owner_id;
                }
                $needs[] = new ComponentNeed($row->id, $order->id, $row->item_id, $row->name, $row->step_number,
                    BigDecimal::of($row->planned_quantity)->minus($row->used_quantity)->minus($row->replaced_quantity));
            }
        }
        $promised = Cover::query()->whereIn('item_id', $items)->where('quantity', '>', 0)->groupBy('item_id', 'supply', 'order_id')
            ->selectRaw('item_id, order_id, SUM(quantity) AS quantity')->toBase()->get();
        $stock = [];
        foreach (DB::table('balances AS b')->join('places AS p', 'p.id', 'b.place_id')->whereIn('b.item_id', $items)
            ->where('p.kind', 'store')
            ->where('b.condition', 'free')->where('b.owner_id', 0)->groupBy('b.item_id')
            ->selectRaw('b.item_id, SUM(b.quantity) AS quantity')->get() as $row) {
            $stock[$row->item_id] = BigDecimal::of($row->quantity);
        }
        $kept = [];
        foreach ($promised as $row) {
            if ($row->order_id === null && isset($stock[$row->item_id])) {
                $stock[$row->item_id] = $stock[$row->item_id]->minus($row->quantity);
            } else {
                $kept[$row->order_id] = BigDecimal::of($row->quantity);
            }
        }

        $reserved = [];
        foreach (DB::table('reservations')->whereIn('item_id', $items)->where('quantity', '>', 0)->groupBy('order_id', 'item_id')->selectRaw('order_id, item_id, SUM(quantity) AS quantity')->get() as $row) {
            $reserved["{$row->order_id}-{$row->item_id}"] = BigDecimal::of($row->quantity);
        }
        $own = $this->customersOwn($needs, $owned);

        return Allocation::of($own['ours'], $stock, [...$this->purchases($items), ...$this->ordersComing($items, $kept)], $reserved) + $own['theirs'];
    }

    /**
     * Needs of a customer's own material are met from what that customer has sent, never from ours.
     *
     * @param  list<ComponentNeed>  $needs
     * @param  array<int, int>  $owned  customer by component
     * @return array{ours: list<ComponentNeed>, theirs: array<int, Allocated>}
     */
    private function customersOwn(array $needs, array $owned): array
    {
        $theirs = array_filter($needs, fn (ComponentNeed $need): bool => isset($owned[$need->id]));
        $result = [];
        $stock = $theirs === [] ? collect() : DB::table('balances AS b')->join('places AS p', 'p.id', 'b.place_id')->where('p.kind', 'store')->where('b.condition', 'free')
            ->whereIn('b.owner_id', array_values($owned))->whereIn('b.item_id', array_map(fn (ComponentNeed $need): int => $need->item, $theirs))
            ->groupBy('b.owner_id', 'b.item_id')->selectRaw('b.owner_id, b.item_id, SUM(b.quantity) AS quantity')->get();
        foreach ($stock->groupBy('owner_id') as $owner => $rows) {
            $result += Allocation::of(array_values(array_filter($theirs, fn (ComponentNeed $need): bool => $owned[$need->id] === $owner)),
                $rows->mapWithKeys(fn ($row): array => [$row->item_id => BigDecimal::of($row->quantity)])->all(), []);
        }
        $result += Allocation::of(array_values(array_filter($theirs, fn (ComponentNeed $need): bool => ! isset($result[$need->id]))), [], []);

        return ['ours' => array_values(array_filter($needs, fn (ComponentNeed $need): bool => ! isset($owned[$need->id]))), 'theirs' => $result];
    }

    /**
     * @param  Collection<int, mixed>  $items
     * @return list<Supply>
     */
    private function purchases(Collection $items): array
    {
        return array_values(DB::table('purchases')->where('is_open', true)->whereIn('item_id', $items)->orderBy('expected_on')->get()
            ->map(fn ($row): Supply => new Supply(
                "purchase {$row->number}",
                $row->item_id,
                BigDecimal::of($row->quantity)->minus($row->received_quantity)->minus($row->cancelled_quantity),
                arrival: $this->deliveries->ordered($row->expected_on, $row->ask_again_on),
            ))->all());
    }

    /**
     * @param  Collection<int, mixed>  $items
     * @param  array<int, BigDecimal>  $kept  promised to customer lines, by order
     * @return list<Supply>
     */
    private function ordersComing(Collection $items, array $kept): array
    {
        $wanted = array_flip($items->all());
        $supplies = [];
        foreach ($this->orders as $order) {
            $open = $order->will_give->minus($order->received_quantity)->minus($kept[$order->id] ?? BigDecimal::zero());
            if (isset($wanted[$order->item_id]) && $open->isPositive()) {
                $supplies[] = new Supply("order {$order->number}", $order->item_id, $open, order: $order->id,
                    forOrder: isset($this->orders[$order->for_order_id]) ? $order->for_order_id : null);
            }
        }

        return $supplies;
    }
}

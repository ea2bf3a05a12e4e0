<?php

namespace App\Actions\Usage;

use App\Actions\Stock\TrackedCodes;
use App\Books\AsTyped;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderComponent;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostKind;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\UsageProposal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\StockKey;

/**
 * Takes components out of stores into orders, line by line, on what one deed has locked; component rows are written at
 * the end.
 */
final class ComponentUse
{
    /** @var Collection<int, Order> */
    private readonly Collection $orders;

    /** @var Collection<int, OrderComponent> */
    private readonly Collection $components;

    /** @var Collection<int, Item> */
    private readonly Collection $items;

    private readonly FreeStock $free;

    private readonly LotChoice $lots;

    /** @var array<int, true> ids of components that changed */
    private array $changed = [];

    /**
     * Reads the components of the orders, and what is in stores of the items; all of them are held.
     *
     * @param  list<int>  $orders
     * @param  list<int>  $items
     */
    public function __construct(private readonly Ledger $ledger, Held $held, array $orders, array $items)
    {
        $this->orders = $held->orders->only($orders)->keyBy('id');
        $this->components = OrderComponent::query()
            ->whereIn('order_id', $this->orders->keys())
            ->orderBy('id')
            ->get()
            ->keyBy('id');
        $this->items = Item::query()->with('unit', 'units.unit')->whereKey($items)->get()->keyBy('id');
        $owners = array_values($this->orders->pluck('owner_id')->filter()->unique()->all());
        $ids = array_values($this->items->keys()->all());
        $this->ledger->stock->readFree($ids, $owners);
        $this->free = new FreeStock($this->ledger, $this->items);
        $this->lots = new LotChoice($this->free, $this->ledger->booking->booked_on);
    }

    /** @param  list<UseLine>  $lines */
    public static function needs(array $lines): Needs
    {
        return Needs::orders(array_map(fn (UseLine $line): int => $line->order, $lines))
            ->and(Needs::items(array_map(fn (UseLine $line): int => $line->item, $lines)));
    }

    /** @param  list<UseLine>  $lines */
    public static function for(Ledger $ledger, Held $held, array $lines): self
    {
        $needs = self::needs($lines);

        return new self($ledger, $held, $needs->orders, $needs->items);
    }

    public function order(int $id): Order
    {
        return $this->orders[$id] ?? throw Refused::because('This order is no longer there.');
    }

    /** @return Collection<int, Order> */
    public function orders(): Collection
    {
        return $this->orders;
    }

    public function component(int $id): OrderComponent
    {
        return $this->components[$id]
            ?? throw Refused::because('This component was taken off the order meanwhile. Take the line out.');
    }

    public function item(int $id): Item
    {
        return $this->items[$id] ?? throw Refused::because('This item is no longer there.');
    }

    /** What of its item the order could take: of a customer's own material what is theirs. */
    public function free(OrderComponent $component): BigDecimal
    {
        $order = $this->order($component->order_id);
        $owner = $component->supplied_by === 'customer' ? $order->owner_id : 0;

        return $owner === null
            ? BigDecimal::zero()
            : $this->free->shelf($this->item($component->item_id), $owner)->freeFor($order->id);
    }

    /**
     * Books one line.
     *
     * @param  bool  $overPlan  more than planned was seen and is meant
     * @return BigDecimal what was taken, in the stock unit
     *
     * @throws Refused with the sentence for the line
     */
    public function take(UseLine $line, bool $overPlan, string $reason): BigDecimal
    {
        $order = $this->order($line->order);
        $item = $this->item($line->item);
        $order->assertMay(OrderDeed::Issue);
        if (! $item->isIssued()) {
            throw Refused::because($item->whyNeverIssued(), 'item');
        }
        $quantity = $item->quantity($line->quantity, $line->unit)->amount;
        $planned = $line->component === null ? null : $this->component($line->component);
        $this->withinPlan($planned, $item, $quantity, $overPlan, trim($line->reason.$reason));
        $owner = $planned?->supplied_by === 'customer'
                ? $order->owner_id
                    ?? throw Refused::because(
                        "Order {$order->number} is for no customer whose own material it could take. Cover a line of "
                            .'theirs by it first.',
                    )
                : 0;
        $component = $this->target($order, $planned, $item, $line->step);
        foreach ($this->lots->of($line, $item, $order->id, $owner, $quantity) as $i => $part) {
            $this->into(
                $order,
                $component,
                $item,
                $part['key'],
                $part['quantity'],
                $i === 0
                    ? new AsTyped($line->quantity, TrackedCodes::unitId($item, $line->unit), $line->reason)
                    : new AsTyped(reason: $line->reason),
            );
        }
        $this->free->taken($order->id, $item->id, $quantity);

        return $quantity;
    }

    /**
     * Takes by the item's rule what is there of what a component needs, without a refusal.
     *
     * @return BigDecimal what was taken
     */
    public function takeWhatIsThere(OrderComponent $component, BigDecimal $wanted): BigDecimal
    {
        $order = $this->order($component->order_id);
        $item = $this->item($component->item_id);
        $owner = $component->supplied_by === 'customer' ? $order->owner_id : 0;
        $parts = $owner === null ? [] : $this->lots->asFarAsThere($item, $order->id, $owner, $wanted);
        foreach ($parts as $part) {
            $this->into($order, $component, $item, $part['key'], $part['quantity'], new AsTyped);
        }
        $taken = BigDecimal::sum(0, ...array_column($parts, 'quantity'));
        $taken->isZero() ?: $this->free->taken($order->id, $item->id, $taken);

        return $taken;
    }

    /** Takes what lies where it is not free: with a supplier, for this component alone. */
    public function takeFrom(OrderComponent $component, StockKey $from, BigDecimal $quantity): void
    {
        $order = $this->order($component->order_id);
        $this->ledger->stock->read([$from]);
        $this->into($order, $component, $this->item($component->item_id), $from, $quantity, new AsTyped);
    }

    /** Writes the components that changed, in bulk: a slip may have a thousand. */
    public function write(): void
    {
        $rows = array_map(
            fn (int $id): array => $this->components[$id]->only([
                'id',
                'order_id',
                'position',
                'item_id',
                'step_number',
                'baseline_quantity',
                'planned_quantity',
                'used_quantity',
                'used_value',
                'replaced_quantity',
            ]),
            array_keys($this->changed),
        );
        foreach (array_chunk($rows, 500) as $part) {
            DB::table('order_components')->upsert($part, ['id'], ['used_quantity', 'used_value', 'replaced_quantity']);
        }
    }

    private function withinPlan(
        ?OrderComponent $planned,
        Item $item,
        BigDecimal $quantity,
        bool $overPlan,
        string $reason,
    ): void {
        $open = $planned?->openQuantity() ?? BigDecimal::zero();
        if (
            $quantity->isLessThanOrEqualTo($open)
            || $quantity->isLessThanOrEqualTo(
                $open = UsageProposal::inMultiples($open, BigDecimal::of($item->minimum_issue)),
            )
        ) {
            // a cut length may be longer than what is planned
            return;
        }
        if (! $overPlan) {
            throw Refused::because(
                $planned === null
                    ? 'This is not planned for the order. Tick "more than planned is meant" and say why.'
                    : sprintf(
                        '%s is more than the %s still planned. Tick "more than planned is meant" to issue it all the '
                            .'same.',
                        Amount::plain($quantity),
                        Amount::plain($open),
                    ),
                'quantity',
            );
        }
        if ($reason === '') {
            throw Refused::because('Say why more is used than planned.', 'reason');
        }
    }

    /** The component the use is booked on: the planned one, one that stands in for it, or one that was not planned. */
    private function target(Order $order, ?OrderComponent $planned, Item $item, int $step): OrderComponent
    {
        if ($planned !== null && $planned->item_id === $item->id) {
            return $planned;
        }
        $there = $this->components->first(
            fn (OrderComponent $other): bool => $other->order_id === $order->id
                && $other->item_id === $item->id
                && $other->stands_for_id === $planned?->id
                && ($planned !== null
                    || BigDecimal::of($other->baseline_quantity)->plus($other->planned_quantity)->isZero()),
        );
        if ($there === null) {
            $there = OrderComponent::query()
                ->create([
                    'order_id' => $order->id,
                    'item_id' => $item->id,
                    'step_number' => $planned->step_number ?? $step,
                    'position' => (int) $this->components->where('order_id', $order->id)->max('position') + 10,
                    'baseline_quantity' => '0',
                    'planned_quantity' => '0',
                    'stands_for_id' => $planned?->id,
                ])
                ->refresh();
            $this->components->put($there->id, $there);
        }

        return $there;
    }

    private function into(
        Order $order,
        OrderComponent $component,
        Item $item,
        StockKey $from,
        BigDecimal $quantity,
        AsTyped $typed,
    ): void {
        $value = $this->ledger->moves->move(
            $item,
            $quantity,
            null,
            End::stock($from),
            End::component($order->id, $component->id),
            $typed,
        );
        $this->ledger->costs->add($order, CostKind::Material, $value);
        $component->used_quantity = (string) BigDecimal::of($component->used_quantity)->plus($quantity);
        $component->used_value += $value;
        $this->changed[$component->id] = true;
        if ($component->stands_for_id !== null) {
            $planned = $this->component($component->stands_for_id);
            $planned->replaced_quantity = (string) BigDecimal::of($planned->replaced_quantity)->plus($quantity);
            $this->changed[$planned->id] = true;
        }
        $this->ledger->touch($order);
    }
}

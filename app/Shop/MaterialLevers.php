<?php

namespace App\Shop;

use App\Models\Item;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Wording\Figures;
use App\Wording\When;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\Allocated;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Scheduling\Problem;

/**
 * What could be done about the material an order waits for: a purchase hurried, bought of another supplier, taken from
 * an order that needs it later, another item in its place. Each is supposed, and tried (`MaterialTrial`).
 */
final class MaterialLevers
{
    /** So many orders to take from are tried. */
    private const TRIED = 3;

    /** Each of these is searched, which takes a part of a second. */
    private const MOST = 8;

    private readonly MaterialTrial $trial;

    /** @param  Problem  $problem  the plan was computed from */
    public function __construct(StandingPlan $standing, Problem $problem, int $order)
    {
        $this->trial = new MaterialTrial($standing, $problem, $order);
    }

    /** @return list<PlanLever> */
    public function all(): array
    {
        $waits = [];
        foreach ($this->trial->orders() as $order) {
            foreach ($this->trial->shop->parts->of($order) as $row) {
                $row->isThere() ?: $waits[] = $row;
            }
        }
        $number = Order::query()->findOrFail($this->trial->order)->number;
        $levers = (new PurchaseLevers($this->trial, $number))->all($waits);
        foreach ($waits as $row) {
            array_push($levers, ...$this->taken($row), ...$this->substituted($row));
        }

        return array_slice(array_values(array_filter($levers)), 0, self::MOST);
    }

    /**
     * What stock gives to orders that are due later.
     *
     * @return list<PlanLever>
     */
    private function taken(Allocated $row): array
    {
        $short = $row->need->open->minus($row->fromStock);
        $due = $this->trial->shop->orders[$row->need->order]->dueOn ?? '9999';
        $givers = array_filter(
            $this->trial->shop->parts->allocated,
            fn (Allocated $other): bool => $other->need->item === $row->need->item
                && $other->fromStock->isPositive()
                && ($this->trial->shop->orders[$other->need->order]->dueOn ?? '9999') > $due,
        );
        usort($givers, fn (Allocated $a, Allocated $b): int => $this->dueOf($b) <=> $this->dueOf($a));
        $item = Item::query()->with('unit')->findOrFail($row->need->item);
        $levers = [];
        foreach (array_slice($givers, 0, self::TRIED) as $giver) {
            $take = BigDecimal::min($short, $giver->fromStock);
            $from = $this->trial->shop->orders[$giver->need->order];
            $levers[] = $this->trial->tried(
                Supposed::kept($row->need->order, $item->id, $take),
                'Take '.MaterialTrial::what($item, $take)." from order {$from->number}, due "
                    .When::day($from->dueOn ?? ''),
                new LeverDeed('Keep it for this one', 'reserve', 'post', 'reservations.store', 0, [
                    'order' => $row->need->order,
                    'item' => $item->id,
                    'quantity' => Amount::plain($take),
                    'reason' => 'needed sooner',
                ]),
            );
        }

        return array_values(array_filter($levers));
    }

    private function dueOf(Allocated $row): string
    {
        return $this->trial->shop->orders[$row->need->order]->dueOn ?? '9999';
    }

    /**
     * Where all of another item that may stand in is there, and nothing of the part was used yet.
     *
     * @return list<PlanLever>
     */
    private function substituted(Allocated $row): array
    {
        $component = OrderComponent::query()->with('item.unit')->findOrFail($row->need->id);
        if (! $component->openQuantity()->isEqualTo($component->planned_quantity)) {
            return [];
        }
        $order = Order::query()->findOrFail($component->order_id);
        $levers = [];
        foreach (MayStandIn::today($component->item_id) as $other) {
            $quantity = $other->instead($row->need->open);
            if ($other->free->isLessThan($quantity)) {
                continue;
            }
            $levers[] = $this->trial->tried(
                Supposed::instead($component->id, $other->id, $quantity),
                'Use '.Figures::amount($quantity)." {$other->unit} {$other->number} {$other->name} in place of "
                    .$component->item->label()." for order {$order->number}",
                new LeverDeed('Put it in its place', 'change-order', 'put', 'order-components.swap', $component->id, [
                    'version' => $order->version,
                    'item' => $other->number,
                    'quantity' => Amount::plain($quantity),
                    'reason' => "{$component->item->number} comes too late",
                ]),
            );
        }

        return array_values(array_filter($levers));
    }
}

<?php

namespace App\Queries\Builds;

use App\Models\Item;
use App\Models\OrderComponent;
use App\Shop\MadeOf;
use App\Shop\Shelves;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use KeepPace\Core\Quantity\Quantity;
use KeepPace\Core\Structure\ItemKind;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\Need;

/** The parts of builds, of orders that are there or of what an item would take. */
final class BuildParts
{
    /**
     * @param  list<int>  $orders
     * @return array<int, list<BuildPart>> by order
     */
    public static function ofOrders(array $orders): array
    {
        $components = OrderComponent::query()
            ->with('item.unit', 'order')
            ->whereIn('order_id', $orders)
            ->whereRelation('item', fn (Builder $item) => $item->whereNotIn('kind', ItemKind::NEVER_ISSUED))
            ->where('planned_quantity', '>', 0)
            ->orderBy('position')
            ->get();
        $items = $components->map(fn (OrderComponent $one): int => $one->item_id)->unique();
        $shelves = new Shelves(array_values($items->all()));
        $parts = [];
        foreach ($components as $component) {
            $owner = $component->supplied_by === 'customer' ? $component->order->owner_id : 0;
            $free = $owner === null
                ? BigDecimal::zero()
                : $shelves->of($component->item, $owner)->freeFor($component->order_id);
            $parts[$component->order_id][] = self::part($component, $free);
        }

        return $parts;
    }

    /** @return list<BuildPart> as an order of so many would have them */
    public static function ofItem(Item $made, BigDecimal $asked): array
    {
        $of = MadeOf::below([$made->id]);
        $needs = $of->structures()->explode($made->number, BigRational::of($asked))->needs;
        $ids = array_map(fn (Need $need): int => $of->items[$need->line->item]->id, $needs);
        $items = self::items(collect($ids));
        $shelves = new Shelves(array_keys($items));
        $parts = [];
        foreach ($needs as $at => $need) {
            $item = $items[$ids[$at]];
            if (in_array($item->kind, ItemKind::NEVER_ISSUED, true)) {
                continue;
            }
            $isPerOrder = $need->takes->basis === LineBasis::PerOrder;
            $parts[] = new BuildPart(
                ($at + 1) * 10, // as the order's copy will count them
                $item->id,
                $item->number,
                $item->name,
                $item->unit->code,
                $item->unit->decimals,
                $item->tracking,
                $isPerOrder,
                $isPerOrder ? null : $need->takes->ratio,
                Quantity::roundedUp($need->quantity, $item->unit->toCore())->amount,
                BigDecimal::zero(),
                $need->line->isCharged ? $shelves->of($item)->freeFor(0) : BigDecimal::zero(),
            );
        }

        return $parts;
    }

    private static function part(OrderComponent $of, BigDecimal $free): BuildPart
    {
        return new BuildPart(
            $of->position,
            $of->item_id,
            $of->item->number,
            $of->item->name,
            $of->item->unit->code,
            $of->item->unit->decimals,
            $of->item->tracking,
            $of->isPerOrder(),
            $of->isPerOrder() ? null : $of->exactFor(BigDecimal::one()),
            BigDecimal::of($of->planned_quantity),
            $of->taken(),
            $free,
        );
    }

    /**
     * @param  Collection<int, int>  $ids
     * @return array<int, Item> by id
     */
    private static function items(Collection $ids): array
    {
        $items = [];
        foreach (Item::query()->with('unit')->whereKey($ids->unique())->get() as $item) {
            $items[$item->id] = $item;
        }

        return $items;
    }
}

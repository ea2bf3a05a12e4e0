<?php

namespace App\Queries\Builds;

use App\Models\Item;
use App\Reading\Row;
use App\Shop\MadeOf;
use App\Shop\Shelves;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
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
        $rows = $orders === [] ? collect() : Row::all(self::rows($orders), fn (Row $row): Row => $row);
        $items = self::items($rows->map(fn (Row $row): int => $row->int('item_id')));
        $shelves = new Shelves(array_keys($items));
        $parts = [];
        foreach ($rows as $row) {
            $order = $row->int('order_id');
            $item = $items[$row->int('item_id')];
            $isTheirs = $row->text('supplied_by') === 'customer';
            $owner = $isTheirs ? $row->intOrNull('owner_id') : 0;
            $free = $owner === null ? BigDecimal::zero() : $shelves->of($item, $owner)->freeFor($order);
            $parts[$order][] = self::part($item, $row, $free);
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

    private static function part(Item $item, Row $row, BigDecimal $free): BuildPart
    {
        $isAsCopied = $row->decimal('planned_quantity')->isEqualTo($row->decimal('baseline_quantity'));
        $isPerOrder = $row->enum('basis', LineBasis::class) === LineBasis::PerOrder;

        return new BuildPart(
            $row->int('position'),
            $item->id,
            $item->number,
            $item->name,
            $item->unit->code,
            $item->unit->decimals,
            $item->tracking,
            $isPerOrder,
            $isAsCopied && ! $isPerOrder && $row->textOrNull('ratio_p') !== null
                ? BigRational::nd($row->text('ratio_p'), $row->text('ratio_q'))
                : null,
            $row->decimal('planned_quantity'),
            $row->decimal('used_quantity')->plus($row->decimal('replaced_quantity'))
                ->plus($row->decimal('along_quantity')),
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

    /** @param  list<int>  $orders */
    private static function rows(array $orders): Builder
    {
        return DB::table('order_components AS c')
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->join('items AS i', 'i.id', 'c.item_id')
            ->whereIn('c.order_id', $orders)
            ->whereNotIn('i.kind', ItemKind::NEVER_ISSUED)
            ->where('c.planned_quantity', '>', 0)
            ->orderBy('c.order_id')
            ->orderBy('c.position')
            ->select(['c.*', 'o.owner_id']);
    }
}

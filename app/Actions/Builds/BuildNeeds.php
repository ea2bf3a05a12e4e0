<?php

namespace App\Actions\Builds;

use App\Actions\Orders\Masters;
use App\Actions\Orders\ReceiveOrder;
use App\Books\Needs;
use App\Models\Item;
use App\Models\OrderComponent;
use Brick\Math\BigDecimal;
use KeepPace\Core\Structure\ComesBack;
use KeepPace\Core\Structure\Need;

/** What a build needs held: its order and the stock of all that goes in and comes out. */
final class BuildNeeds
{
    public static function of(TypedBuild $typed): Needs
    {
        return $typed->order === null ? self::ofItem($typed->item) : self::ofOrder($typed->order);
    }

    private static function ofOrder(int $order): Needs
    {
        $components = OrderComponent::query()->where('order_id', $order)->pluck('item_id');

        return ReceiveOrder::needs($order)->and(Needs::items($components));
    }

    private static function ofItem(int $id): Needs
    {
        $item = Item::query()->findOrFail($id);
        $masters = Masters::today();
        $structure = $masters->structure($item);
        $exploded = $masters->exploded($item, $structure, BigDecimal::one());
        $back = array_column($masters->comesBack($structure, $exploded->phantoms), 0);

        return Needs::items([
            $id,
            ...array_map(fn (Need $need): int => (int) $need->line->item, $exploded->needs),
            ...array_map(fn (ComesBack $line): int => (int) $line->item, $back),
        ]);
    }
}

<?php

namespace App\Actions\Product;

use App\Models\Item;
use Brick\Math\BigDecimal;
use KeepPace\Core\Outside\GoesAlong;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Refused;

/** The items of which a supplier makes another, as they were named. */
final class SourceParts
{
    /**
     * @param  mixed  $of  id of the item he makes; null = it is new
     * @return array<int, BigDecimal> by item
     *
     * @throws Refused when there is no such item, or it cannot go along
     */
    public static function of(GoesAlong $along, mixed $of): array
    {
        $each = [];
        foreach ($along->each as $number => $amount) {
            $item = Item::numbered((string) $number)
                ?? throw Refused::because("No item has the number {$number}.", 'along');
            if ((string) $item->id === (is_scalar($of) ? (string) $of : '') || ! $item->kind->hasStock()) {
                throw OutsideRefused::noPart($item->label());
            }
            $each[$item->id] = $amount;
        }

        return $each;
    }
}

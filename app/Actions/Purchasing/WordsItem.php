<?php

namespace App\Actions\Purchasing;

use App\Models\Item;
use App\Models\Unit;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Structure\ItemKind;

/** What stands on a purchase line where no item says what it is: words do, this one says only how they count. */
final class WordsItem
{
    /** One for each unit, made when it is first wanted. */
    public static function of(int $unit): Item
    {
        $code = Unit::query()->findOrFail($unit)->code;
        $number = Item::BY_WORDS.mb_strtoupper($code);
        DB::table('items')->insertOrIgnore([
            'number' => $number,
            'name' => "Bought by words, by {$code}",
            'kind' => ItemKind::Consumable->value,
            'unit_id' => $unit,
        ]);
        $item = Item::query()->where('number', $number)->firstOrFail();
        DB::table('item_stock')->insertOrIgnore(['item_id' => $item->id]);

        return $item;
    }
}

<?php

namespace App\Shop;

use App\Reading\Like;
use App\Reading\Row;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\NumberRule;
use KeepPace\Core\Refused;

/** The number a new item gets by the rule of the one it is like. */
final class ItemNumbers
{
    /** @throws Refused when the rule has no number left */
    public static function next(string $rule): string
    {
        return self::after(NumberRule::of($rule), isLocked: false);
    }

    /**
     * The same, and nobody else gets one by it until the transaction ends.
     *
     * @throws Refused
     */
    public static function taken(string $rule): string
    {
        return self::after(NumberRule::of($rule), isLocked: true);
    }

    private static function after(NumberRule $rule, bool $isLocked): string
    {
        $items = DB::table('items')->where('number_key', 'like', Like::beginsKey($rule->begins()));

        return $rule->next(Row::texts($isLocked ? $items->lockForUpdate() : $items, 'number'));
    }
}

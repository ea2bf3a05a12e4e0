<?php

namespace App\Queries\Product;

use App\Reading\Row;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;

/** The price levels there are: of prices and of customers. */
final class PriceLevels
{
    /** @return list<string> each once, in whatever capitals it was typed first */
    public static function all(): array
    {
        $levels = [];
        foreach (['item_prices' => 'level', 'customers' => 'price_level'] as $table => $column) {
            foreach (Row::texts(DB::table($table)->where($column, '<>', '')->distinct(), $column) as $level) {
                $levels[Code::keyOf($level)] ??= $level;
            }
        }
        ksort($levels);

        return array_values($levels);
    }
}

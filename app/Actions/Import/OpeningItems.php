<?php

namespace App\Actions\Import;

use App\Models\Item;
use Illuminate\Database\Eloquent\Builder;
use KeepPace\Core\Naming\Code;

/** The items an opening speaks of, read as they are needed: it may have more than memory holds. */
final class OpeningItems
{
    /** @var array<string, Item> by key */
    private array $items = [];

    /**
     * Reads the items of some lines at once, and forgets those of the lines before.
     *
     * @param  array<array-key, array<string, ?string>>  $rows
     */
    public function read(array $rows, string $column = 'item'): void
    {
        $keys = array_map(fn (?string $number): string => Code::keyOf((string) $number), array_column($rows, $column));
        $this->items = [];
        foreach (self::query()->whereIn('number_key', array_unique($keys))->get() as $item) {
            $this->items[Code::keyOf($item->number)] = $item;
        }
    }

    public function of(?string $number): Item
    {
        $key = Code::keyOf((string) $number);

        return $this->items[$key] ??= self::query()->where('number_key', $key)->firstOrFail();
    }

    /** @return Builder<Item> */
    private static function query(): Builder
    {
        return Item::query()->with('unit', 'units.unit');
    }
}

<?php

namespace App\Shop;

use App\Models\Customer;
use App\Models\Item;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\PriceBreaks;
use KeepPace\Core\Naming\Code;

/**
 * What customers pay: by the prices of their level, else by those for all, else the price of the item; of each by the
 * break that the quantity reaches.
 */
final readonly class PriceList
{
    /** @param  array<int, array<array-key, LevelPrices>>  $levels  by key of the level, by item */
    private function __construct(private array $levels)
    {
    }

    /** @param  array<int>  $items  ids */
    public static function of(array $items): self
    {
        $read = DB::table('item_prices')
            ->whereIn('item_id', $items)
            ->orderBy('level_key')
            ->orderBy('from_quantity')
            ->select(['item_id', 'level', 'from_quantity', 'price']);
        $breaks = $names = [];
        Row::all($read, function (Row $row) use (&$breaks, &$names): Row {
            $key = Code::keyOf($row->text('level'));
            $names[$key] = $row->text('level');
            $breaks[$row->int('item_id')][$key][] = [$row->text('from_quantity'), $row->text('price')];

            return $row;
        });
        $levels = [];
        foreach ($breaks as $item => $byKey) {
            foreach ($byKey as $key => $of) {
                $prices = PriceBreaks::of($of);
                $prices === null ?: $levels[$item][$key] = new LevelPrices($names[$key], $prices);
            }
        }

        return new self($levels);
    }

    /** @return array<array-key, LevelPrices> by key, those for all first */
    public function levels(int $item): array
    {
        return $this->levels[$item] ?? [];
    }

    /**
     * Euros for one stock unit.
     *
     * @param  BigDecimal  $quantity  stock units
     */
    public function price(Item $item, Customer $customer, BigDecimal $quantity): string
    {
        $levels = $this->levels($item->id);
        $own = $levels[Code::keyOf($customer->price_level)] ?? $levels[''] ?? null;

        return $own === null ? $item->price : (string) $own->breaks->price($quantity);
    }
}

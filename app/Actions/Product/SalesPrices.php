<?php

namespace App\Actions\Product;

use App\Books\ProductChanges;
use App\Models\Item;
use App\Shop\PriceList;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;

/** Writes what customers pay for an item, by page or by file; what differs goes into the trail of the item. */
final readonly class SalesPrices
{
    public function __construct(private ProductChanges $changes)
    {
    }

    /**
     * All of an item: a level that is not among them goes.
     *
     * @param  list<TypedSalesPrices>  $prices
     * @return bool whether anything differs
     */
    public function replace(Item $item, array $prices): bool
    {
        $kept = array_map(fn (TypedSalesPrices $one): string => Code::keyOf($one->level), $prices);
        $differs = false;
        foreach (PriceList::of([$item->id])->levels($item->id) as $key => $was) {
            if (! in_array((string) $key, $kept, true)) {
                $this->trail($item, $was->level, $was->breaks->written(), '');
                $this->forget($item, (string) $key);
                $differs = true;
            }
        }
        foreach ($prices as $one) {
            $differs = $this->write($item, $one) || $differs;
        }

        return $differs;
    }

    /** @return bool whether anything differs */
    public function write(Item $item, TypedSalesPrices $typed): bool
    {
        $key = Code::keyOf($typed->level);
        $was = PriceList::of([$item->id])->levels($item->id)[$key] ?? null;
        if ($was?->breaks->written() === $typed->prices->written()) {
            return false;
        }
        $this->trail($item, $typed->level, (string) $was?->breaks->written(), $typed->prices->written());
        $this->forget($item, $key);
        foreach ($typed->prices->all() as [$from, $price]) {
            DB::table('item_prices')->insert([
                'item_id' => $item->id,
                'level' => $typed->level,
                'from_quantity' => (string) $from,
                'price' => (string) $price,
            ]);
        }

        return true;
    }

    private function forget(Item $item, string $key): void
    {
        DB::table('item_prices')->where('item_id', $item->id)->where('level_key', $key)->delete();
    }

    private function trail(Item $item, string $level, string $before, string $after): void
    {
        $of = $level === '' ? 'sales prices' : "sales prices of {$level}";
        $this->changes->field('items', $item->id, $item->number, $of, $before, $after);
    }
}

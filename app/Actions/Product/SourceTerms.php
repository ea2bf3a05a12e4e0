<?php

namespace App\Actions\Product;

use App\Books\ProductChanges;
use App\Models\Item;
use App\Models\Supplier;
use App\Models\SupplierItem;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Quantity\Amount;

/** Writes on what terms suppliers sell an item, by page or by file; what differs goes into the trail of the item. */
final readonly class SourceTerms
{
    public function __construct(private ProductChanges $changes)
    {
    }

    /**
     * All of an item: what is not among them goes.
     *
     * @param  list<TypedSource>  $sources
     * @return bool whether anything differs
     */
    public function replace(Item $item, array $sources): bool
    {
        $differs = false;
        $kept = array_map(fn (TypedSource $one): int => $one->supplierId, $sources);
        foreach ($this->of($item->id) as $was) {
            if (! in_array($was->supplier_id, $kept, true)) {
                $this->trail($item, $was->supplier, self::said($was), '');
                $was->prices()->delete();
                $was->delete();
                $differs = true;
            }
        }
        foreach ($sources as $source) {
            $differs = $this->write($item, $source) || $differs;
        }

        return $differs;
    }

    /** @return bool whether anything differs */
    public function write(Item $item, TypedSource $source): bool
    {
        $was = $this->of($item->id)->firstWhere('supplier_id', $source->supplierId);
        $before = $was === null ? '' : self::said($was);
        $row = $was ?? new SupplierItem([
            'supplier_id' => $source->supplierId,
            'item_id' => $item->id,
            'unit_id' => $item->unit_id,
        ]);
        $row->fill([
            'number' => $source->number,
            'minimum_quantity' => $source->minimum,
            'lead_time_days' => $source->leadTimeDays,
        ])->save();
        if (! $source->keepsPrices && $row->breaks()?->written() !== $source->prices?->written()) {
            $row->prices()->delete();
            foreach ($source->prices?->all() ?? [] as [$from, $price]) {
                $row->prices()->create(['from_quantity' => (string) $from, 'price' => (string) $price]);
            }
        }
        $now = self::said($row->refresh()->load('supplier', 'prices'));
        if ($before === $now) {
            return false;
        }
        $this->trail($item, $row->supplier, $before, $now);

        return true;
    }

    /** @return Collection<int, SupplierItem> */
    private function of(int $item): Collection
    {
        return SupplierItem::query()->with('supplier', 'prices')->where('item_id', $item)->orderBy('id')->get();
    }

    private function trail(Item $item, Supplier $supplier, string $before, string $after): void
    {
        $this->changes->field('items', $item->id, $item->number, "terms of {$supplier->number}", $before, $after);
    }

    /** "B-25, at least 10, 6 days, prices 5 50:3.75" */
    private static function said(SupplierItem $one): string
    {
        $prices = $one->breaks()?->written();

        return implode(', ', array_filter([
            $one->number === '' ? 'there' : $one->number,
            Amount::plain($one->minimum_quantity) === '0' ? '' : 'at least '.Amount::plain($one->minimum_quantity),
            $one->lead_time_days === 0 ? '' : "{$one->lead_time_days} days",
            $prices === null ? '' : "prices {$prices}",
        ]));
    }
}

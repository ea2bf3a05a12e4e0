<?php

namespace App\Actions\Product;

use App\Books\ProductChanges;
use App\Models\Item;
use App\Models\Supplier;
use App\Models\SupplierItem;
use Brick\Math\BigDecimal;
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
        foreach (SupplierItem::ofItem($item->id) as $was) {
            if (! in_array($was->supplier_id, $kept, true)) {
                $this->trail($item, $was->supplier, $was, null);
                $was->prices()->delete();
                $was->parts()->delete();
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
        $was = SupplierItem::ofItem($item->id)->firstWhere('supplier_id', $source->supplierId);
        $before = $was === null ? null : clone $was;
        $row = $was ?? new SupplierItem([
            'supplier_id' => $source->supplierId,
            'item_id' => $item->id,
            'unit_id' => $item->unit_id,
        ]);
        $row->fill([
            'number' => $source->number,
            'minimum_quantity' => $source->minimum,
            'lead_time_days' => $source->leadTimeDays,
            'transport_days' => $source->transportDays,
            'over_percent' => $source->overPercent,
            ...$source->keepsPrices ? [] : ['setup_cents' => $source->setup, 'minimum_cents' => $source->least],
        ])->save();
        if (! $source->keepsPrices && $row->breaks()?->written() !== $source->prices?->written()) {
            $row->prices()->delete();
            foreach ($source->prices?->all() ?? [] as [$from, $price]) {
                $row->prices()->create(['from_quantity' => (string) $from, 'price' => (string) $price]);
            }
        }

        $this->along($row, $source->along);
        $row->refresh()->load('supplier', 'prices', 'parts.item');

        return $this->trail($item, $row->supplier, $before, $row);
    }

    /** @param  array<int, BigDecimal>  $along  by item */
    private function along(SupplierItem $row, array $along): void
    {
        $row->parts()->delete();
        $position = 0;
        foreach ($along as $item => $each) {
            $row->parts()->create(['position' => ++$position, 'item_id' => $item, 'quantity' => (string) $each]);
        }
    }

    /**
     * Terms, and apart from them what is money: not everybody may see it.
     *
     * @return bool whether anything differs
     */
    private function trail(Item $item, Supplier $supplier, ?SupplierItem $before, ?SupplierItem $after): bool
    {
        $said = [
            'terms' => [self::terms($before), self::terms($after)],
            'prices' => [self::prices($before), self::prices($after)],
        ];
        $said = array_filter($said, fn (array $one): bool => $one[0] !== $one[1]);
        foreach ($said as $what => [$was, $is]) {
            $this->changes->field('items', $item->id, $item->number, "{$what} of {$supplier->number}", $was, $is);
        }

        return $said !== [];
    }

    /** "2 50:1.8, set-up 15.00, at least 75.00" */
    private static function prices(?SupplierItem $one): string
    {
        return $one === null ? '' : implode(', ', array_filter([
            (string) $one->breaks()?->written(),
            $one->setup_cents === 0 ? '' : 'set-up '.self::euros($one->setup_cents),
            $one->minimum_cents === 0 ? '' : 'at least '.self::euros($one->minimum_cents),
        ]));
    }

    private static function euros(int $cents): string
    {
        return number_format($cents / 100, 2);
    }

    /** "B-25, at least 10, 6 days" */
    private static function terms(?SupplierItem $one): string
    {
        return $one === null ? '' : implode(', ', array_filter([
            $one->number === '' ? 'there' : $one->number,
            Amount::plain($one->minimum_quantity) === '0' ? '' : 'at least '.Amount::plain($one->minimum_quantity),
            $one->lead_time_days === 0 ? '' : "{$one->lead_time_days} days",
            $one->transport_days === 0 ? '' : "{$one->transport_days} on the way",
            $one->over_percent === null ? '' : "{$one->over_percent} % more taken",
            $one->along() === '' ? '' : "of {$one->along()}",
        ], fn (string $term): bool => $term !== ''));
    }
}

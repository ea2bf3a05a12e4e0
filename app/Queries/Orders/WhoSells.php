<?php

namespace App\Queries\Orders;

use App\Models\SupplierItem;
use App\Wording\Figures;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;

/**
 * Of whom a part that an order misses can be had: suppliers who sell it, or make it of parts of ours that go along.
 * Only who buys is shown it, and may see prices.
 */
final readonly class WhoSells
{
    /** @param  Collection<int, Collection<int, SupplierItem>>  $terms  by item */
    private function __construct(private Collection $terms)
    {
    }

    /** @param  Collection<int, OrderPart>  $parts */
    public static function of(Collection $parts): self
    {
        $short = $parts->filter(
            fn (OrderPart $part): bool => $part->missing->isPositive() && ! $part->isCustomersOwn(),
        );

        return new self($short->isEmpty() ? collect() : SupplierItem::query()
            ->with('supplier', 'prices', 'parts.item')
            ->whereIn('item_id', $short->map(fn (OrderPart $part): int => $part->itemId)->values())
            ->orderBy('id')
            ->get()
            ->filter(fn (SupplierItem $one): bool => $one->supplier->retired_at === null)
            ->groupBy('item_id')
            ->toBase());
    }

    /** @return array<int|string, string> "Gullane Fasteners, 0.12 € each, 5 days" by supplier; '' = its usual one */
    public function choices(OrderPart $part): array
    {
        $choices = $part->isMadeHere() ? [] : ['' => 'its supplier'];
        foreach ($this->terms[$part->itemId] ?? [] as $terms) {
            $choices[$terms->supplier_id] = self::says($terms, $part->missing);
        }

        return $choices;
    }

    /** It is made here, and could be had of a supplier all the same. */
    public function canMake(OrderPart $part): bool
    {
        return $part->canBeMade() && isset($this->terms[$part->itemId]);
    }

    private static function says(SupplierItem $terms, BigDecimal $quantity): string
    {
        $price = $terms->breaks()?->price($quantity);

        return implode(', ', array_filter([
            $terms->supplier->name,
            $price === null ? '' : Figures::price((string) $price).' € each',
            $terms->lead_time_days === 0 ? '' : Figures::count($terms->lead_time_days, 'day'),
            $terms->parts->isEmpty() ? '' : "of our {$terms->along()}",
        ]));
    }
}

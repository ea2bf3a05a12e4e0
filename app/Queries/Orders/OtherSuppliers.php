<?php

namespace App\Queries\Orders;

use App\Models\Supplier;
use App\Models\SupplierItem;
use App\Shop\Services;
use App\Wording\Figures;
use Illuminate\Support\Collection;

/**
 * Who else could do the steps of an order: those with a price for its service, or every supplier, where a step done
 * outside names none. Only who buys is shown it, and may see prices.
 */
final readonly class OtherSuppliers
{
    /** @param  Collection<int, Supplier>  $all */
    private function __construct(private Services $services, private Collection $all)
    {
    }

    /** @param  Collection<int, OrderStepLine>  $steps */
    public static function of(Collection $steps): self
    {
        $outside = $steps->filter(fn (OrderStepLine $step): bool => $step->isOutside());
        $byName = $outside->contains(fn (OrderStepLine $step): bool => $step->serviceId === null);

        return new self(
            Services::of($steps->map(fn (OrderStepLine $step): ?int => $step->serviceId)->values()->all()),
            $byName ? Supplier::query()->whereNull('retired_at')->orderBy('name')->get()->toBase() : collect(),
        );
    }

    /** @return array<int, string> "Hartmann, 1.80 € each, 6 days" by supplier; none where nobody else does it */
    public function for(OrderStepLine $step): array
    {
        $others = [];
        foreach ($step->serviceId === null ? [] : $this->services->who($step->serviceId) as $terms) {
            $others[$terms->supplier_id] = self::says($terms, $step);
        }
        foreach ($step->serviceId === null && $step->isOutside() ? $this->all : [] as $supplier) {
            $others[$supplier->id] = $supplier->name;
        }
        unset($others[(int) $step->supplierId]);

        return $others;
    }

    private static function says(SupplierItem $terms, OrderStepLine $step): string
    {
        $price = $terms->service()?->chargeFor($step->toCome())->price ?? '0';

        return implode(', ', array_filter([
            $terms->supplier->name,
            Figures::price($price).' € each',
            $terms->daysAway() === 0 ? '' : Figures::count($terms->daysAway(), 'day'),
        ]));
    }
}

<?php

namespace App\Shop;

use App\Models\SupplierItem;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use KeepPace\Core\Costing\ServiceCharge;

/** The terms on which suppliers do services, and what steps are charged by them. */
final readonly class Services
{
    /** @param  Collection<int, SupplierItem>  $terms */
    private function __construct(private Collection $terms)
    {
    }

    /** @param  array<int|null>  $items  ids of services; null is passed by */
    public static function of(array $items): self
    {
        $items = array_unique(array_filter($items));

        return new self($items === [] ? collect() : SupplierItem::query()
            ->with('prices', 'supplier')
            ->whereIn('item_id', $items)
            ->orderBy('supplier_id')
            ->get()
            ->toBase());
    }

    /** Null where nothing is agreed. */
    public function at(?int $item, ?int $supplier): ?SupplierItem
    {
        return $this->terms->first(
            fn (SupplierItem $one): bool => $one->item_id === $item && $one->supplier_id === $supplier,
        );
    }

    /** @return Collection<int, SupplierItem> of all who do it at a price */
    public function who(?int $item): Collection
    {
        return $this->terms
            ->filter(fn (SupplierItem $one): bool => $one->item_id === $item
                && $one->prices->isNotEmpty()
                && $one->supplier->retired_at === null)
            ->values();
    }

    /**
     * What the supplier of a step charges for so many: by the terms of its service, else as the step itself says.
     *
     * @param  Row  $row  with service_item_id, supplier_id, price, setup_cents, minimum_cents
     */
    public function charge(Row $row, BigDecimal $pieces): ServiceCharge
    {
        $terms = $this->at($row->intOrNull('service_item_id'), $row->intOrNull('supplier_id'));

        return $terms?->service()?->chargeFor($pieces)
            ?? new ServiceCharge($row->text('price'), $row->int('setup_cents'), $row->int('minimum_cents'));
    }

    /**
     * Columns of an order's step that go by the terms of its service, for so many pieces; none where nothing is agreed.
     *
     * @return array<string, int|string>
     */
    public function columns(?int $item, ?int $supplier, BigDecimal $pieces): array
    {
        $terms = $this->at($item, $supplier);
        $charge = $terms?->service()?->chargeFor($pieces);

        return [
            ...$charge === null ? [] : [
                'price' => $charge->price,
                'setup_cents' => $charge->setup,
                'minimum_cents' => $charge->minimum,
            ],
            ...$terms?->days() ?? [],
        ];
    }
}

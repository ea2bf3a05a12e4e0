<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use KeepPace\Core\Costing\PriceBreaks;
use KeepPace\Core\Costing\ServiceTerms;
use KeepPace\Core\Quantity\Amount;

/**
 * On what terms a supplier sells an item.
 *
 * @property int $id
 * @property int $supplier_id
 * @property int $item_id
 * @property string $number what the supplier calls it
 * @property string $minimum_quantity stock units; 0 = any
 * @property int $lead_time_days 0 = as the item says
 * @property int $transport_days of a service: there and back, counted as the days it takes
 * @property int|null $over_percent so much more than ordered is taken; null = as the supplier's own says
 * @property int $setup_cents of a service: charged once for an order
 * @property int $minimum_cents of a service: charged for the pieces of an order at least
 * @property-read Supplier $supplier
 * @property-read \Illuminate\Database\Eloquent\Collection<int, SupplierPrice> $prices
 * @property-read \Illuminate\Database\Eloquent\Collection<int, SupplierItemPart> $parts
 */
class SupplierItem extends Model
{
    public $timestamps = false;

    protected $table = 'supplier_items';

    protected $guarded = [];

    /** The terms on which a supplier sells an item, with prices; null = nothing is agreed. */
    public static function of(int $item, ?int $supplier): ?self
    {
        return self::query()
            ->with('prices', 'supplier')
            ->where('item_id', $item)
            ->where('supplier_id', $supplier)
            ->first();
    }

    /** @return Collection<int, static> the terms of all who sell an item, whole */
    public static function ofItem(int $item): Collection
    {
        return self::query()
            ->with('supplier', 'prices', 'parts.item')
            ->where('item_id', $item)
            ->orderBy('id')
            ->get();
    }

    /** @return BelongsTo<Supplier, $this> */
    public function supplier(): BelongsTo
    {
        return $this->belongsTo(Supplier::class);
    }

    /** @return HasMany<SupplierPrice, $this> */
    public function prices(): HasMany
    {
        $relation = $this->hasMany(SupplierPrice::class);
        $relation->orderBy('from_quantity');

        return $relation;
    }

    /** @return HasMany<SupplierItemPart, $this> parts of ours of which he makes it */
    public function parts(): HasMany
    {
        $relation = $this->hasMany(SupplierItemPart::class);
        $relation->orderBy('position');

        return $relation;
    }

    /** Of ours for one: "TUBE-42:0.42 BOLT-8:2"; parts with their items are loaded. */
    public function along(): string
    {
        return $this->parts
            ->map(fn (SupplierItemPart $part): string => "{$part->item->number}:".Amount::plain($part->quantity))
            ->implode(' ');
    }

    /** Null where no price is agreed. */
    public function breaks(): ?PriceBreaks
    {
        return PriceBreaks::of(
            $this->prices->map(fn (SupplierPrice $one): array => [$one->from_quantity, $one->price])->all(),
        );
    }

    /**
     * Days of a step that is done as this service, those at the supplier with the way there; what is not said here the
     * step says.
     *
     * @return array{lead_time_days?: int, transport_days?: int}
     */
    public function days(): array
    {
        return match (true) {
            $this->lead_time_days > 0 => $this->only(['lead_time_days', 'transport_days']),
            $this->transport_days > 0 => $this->only(['transport_days']),
            default => [],
        };
    }

    /** Days until pieces sent for a service are back; 0 = as the step says. */
    public function daysAway(): int
    {
        return $this->lead_time_days + $this->transport_days;
    }

    /** As terms of a service; null where no price is agreed. */
    public function service(): ?ServiceTerms
    {
        $breaks = $this->breaks();

        return $breaks === null ? null : new ServiceTerms($breaks, $this->setup_cents, $this->minimum_cents);
    }
}

<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One item a customer waits for, with its promise date.
 *
 * @property int $id
 * @property int $customer_order_id
 * @property int $position
 * @property int $item_id
 * @property string $quantity
 * @property string $typed_quantity
 * @property int $typed_unit_id
 * @property string $price
 * @property string $promised_on
 * @property string $shipped_quantity
 * @property string $cancelled_quantity
 * @property bool $is_open
 * @property-read CustomerOrder $customerOrder
 * @property-read Item $item
 * @property-read \Illuminate\Database\Eloquent\Collection<int, Tie> $covers
 */
class CustomerOrderLine extends Model
{
    public $timestamps = false;

    protected $table = 'customer_order_lines';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_open' => 'boolean'];
    }

    /** @return BelongsTo<CustomerOrder, $this> */
    public function customerOrder(): BelongsTo
    {
        return $this->belongsTo(CustomerOrder::class);
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** @return HasMany<Tie, $this> */
    public function covers(): HasMany
    {
        return $this->hasMany(Tie::class, 'line_id');
    }

    /** What of it is covered, by whatever. */
    public function covered(): BigDecimal
    {
        return BigDecimal::of((string) $this->covers()->sum('quantity'));
    }

    /** Open, and covered by nothing. */
    public function uncovered(): BigDecimal
    {
        return $this->openQuantity()->minus($this->covered());
    }

    /** Ordered and neither shipped nor cancelled, in the stock unit. */
    public function openQuantity(): BigDecimal
    {
        return BigDecimal::of($this->quantity)->minus($this->shipped_quantity)->minus($this->cancelled_quantity);
    }

    public function label(): string
    {
        return "{$this->customerOrder->number} line {$this->position}";
    }
}

<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What a customer ordered, line by line.
 *
 * @property int $id
 * @property string $number
 * @property int $customer_id
 * @property string $reference
 * @property string $ship_to
 * @property string $ordered_on
 * @property int $version
 * @property \Illuminate\Support\Carbon|null $created_at
 * @property \Illuminate\Support\Carbon|null $updated_at
 * @property-read Customer $customer
 * @property-read \Illuminate\Database\Eloquent\Collection<int, CustomerOrderLine> $lines
 */
class CustomerOrder extends Model
{
    protected $table = 'customer_orders';

    protected $guarded = [];

    /** @return BelongsTo<Customer, $this> */
    public function customer(): BelongsTo
    {
        return $this->belongsTo(Customer::class);
    }

    /** @return HasMany<CustomerOrderLine, $this> */
    public function lines(): HasMany
    {
        $relation = $this->hasMany(CustomerOrderLine::class);
        $relation->orderBy('position');

        return $relation;
    }
}

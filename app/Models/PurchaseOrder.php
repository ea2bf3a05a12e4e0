<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What is ordered of one supplier, in lines.
 *
 * @property int $id
 * @property string $number
 * @property int $supplier_id
 * @property string $ordered_on
 * @property int $version
 * @property-read Supplier $supplier
 * @property-read \Illuminate\Database\Eloquent\Collection<int, Purchase> $lines
 */
class PurchaseOrder extends Model
{
    public $timestamps = false;

    protected $table = 'purchase_orders';

    protected $guarded = [];

    /** @return BelongsTo<Supplier, $this> */
    public function supplier(): BelongsTo
    {
        return $this->belongsTo(Supplier::class);
    }

    /** @return HasMany<Purchase, $this> */
    public function lines(): HasMany
    {
        $relation = $this->hasMany(Purchase::class);
        $relation->orderBy('id');

        return $relation;
    }
}

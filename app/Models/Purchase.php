<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * An open purchase of one item with its expected date.
 *
 * @property int $id
 * @property string $number
 * @property int $supplier_id
 * @property int $item_id
 * @property string $quantity
 * @property string $price
 * @property string $expected_on
 * @property string $received_quantity
 * @property bool $is_open
 * @property-read Supplier $supplier
 * @property-read Item $item
 */
class Purchase extends Model
{
    public $timestamps = false;

    protected $table = 'purchases';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_open' => 'boolean'];
    }

    /** @return BelongsTo<Supplier, $this> */
    public function supplier(): BelongsTo
    {
        return $this->belongsTo(Supplier::class);
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }
}

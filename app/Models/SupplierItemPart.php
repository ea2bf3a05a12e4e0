<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A part of ours of which a supplier makes an item.
 *
 * @property int $id
 * @property int $supplier_item_id
 * @property int $position
 * @property int $item_id
 * @property string $quantity stock units of it for one of what he makes
 * @property-read Item $item
 */
class SupplierItemPart extends Model
{
    public $timestamps = false;

    protected $table = 'supplier_item_parts';

    protected $guarded = [];

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }
}

<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A lot of an item; a serial is a lot of one.
 *
 * @property int $id
 * @property int $item_id
 * @property string $code
 * @property string $supplier_lot
 * @property string|null $expires_on
 * @property-read Item $item
 */
class Lot extends Model
{
    public $timestamps = false;

    protected $table = 'lots';

    protected $guarded = [];

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }
}

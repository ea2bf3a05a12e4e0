<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
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
 * @property int|null $made_by_order_id
 * @property int|null $supplier_id it came from
 * @property-read Item $item
 */
class Lot extends Model
{
    public $timestamps = false;

    protected $table = 'lots';

    protected $guarded = [];

    /** Row 0, which stands for no lot, is none. */
    protected static function booted(): void
    {
        self::addGlobalScope('named', fn (Builder $lots) => $lots->where('lots.id', '>', 0));
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }
}

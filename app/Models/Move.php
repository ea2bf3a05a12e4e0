<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A quantity and its value going from one end to another.
 *
 * @property int $id
 * @property int $booking_id
 * @property int $item_id
 * @property int $lot_id
 * @property int $owner_id
 * @property int $from_place_id
 * @property string $from_condition
 * @property int $to_place_id
 * @property string $to_condition
 * @property string $quantity
 * @property int $value
 * @property string|null $typed_quantity
 * @property int|null $typed_unit_id
 * @property int|null $order_id
 * @property int|null $component_id
 * @property int|null $line_id
 * @property int|null $purchase_id
 * @property-read Booking $booking
 * @property-read Item $item
 * @property-read Place $from
 * @property-read Place $to
 */
class Move extends Model
{
    public $timestamps = false;

    protected $table = 'moves';

    protected $guarded = [];

    /** @return BelongsTo<Booking, $this> */
    public function booking(): BelongsTo
    {
        return $this->belongsTo(Booking::class);
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** @return BelongsTo<Place, $this> */
    public function from(): BelongsTo
    {
        return $this->belongsTo(Place::class, 'from_place_id');
    }

    /** @return BelongsTo<Place, $this> */
    public function to(): BelongsTo
    {
        return $this->belongsTo(Place::class, 'to_place_id');
    }
}

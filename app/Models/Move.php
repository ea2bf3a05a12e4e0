<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;

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
 * @property int|null $reverses_id
 * @property string $scrap_class
 * @property string $reason
 * @property-read Booking $booking
 * @property-read Item $item
 * @property-read Place $from
 * @property-read Place $to
 * @property-read Lot|null $lot
 * @property-read Order|null $order
 * @property-read Move|null $reversedBy
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

    /** @return BelongsTo<Lot, $this> */
    public function lot(): BelongsTo
    {
        return $this->belongsTo(Lot::class);
    }

    /** @return BelongsTo<Order, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(Order::class);
    }

    /** The move that took this one back. @return HasOne<Move, $this> */
    public function reversedBy(): HasOne
    {
        return $this->hasOne(self::class, 'reverses_id');
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

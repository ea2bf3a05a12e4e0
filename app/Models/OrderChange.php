<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One value on an order a person changed, before and after.
 *
 * @property int $id
 * @property int $booking_id
 * @property int $order_id
 * @property string $what
 * @property string $before
 * @property string $after
 * @property-read Booking $booking
 */
class OrderChange extends Model
{
    public $timestamps = false;

    protected $table = 'order_changes';

    protected $guarded = [];

    /** @return BelongsTo<Booking, $this> */
    public function booking(): BelongsTo
    {
        return $this->belongsTo(Booking::class);
    }
}

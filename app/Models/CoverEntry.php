<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A change of cover by one booking.
 *
 * @property int $id
 * @property int $booking_id
 * @property int $cover_id
 * @property string $quantity
 * @property-read Cover $cover
 */
class CoverEntry extends Model
{
    public $timestamps = false;

    protected $table = 'cover_entries';

    protected $guarded = [];

    /** @return BelongsTo<Cover, $this> */
    public function cover(): BelongsTo
    {
        return $this->belongsTo(Cover::class);
    }
}

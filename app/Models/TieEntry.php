<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A change of a tie by one booking.
 *
 * @property int $id
 * @property int $booking_id
 * @property int $tie_id
 * @property string $quantity
 * @property-read Tie $tie
 */
class TieEntry extends Model
{
    public $timestamps = false;

    protected $table = 'tie_entries';

    protected $guarded = [];

    /** @return BelongsTo<Tie, $this> */
    public function tie(): BelongsTo
    {
        return $this->belongsTo(Tie::class);
    }

    public function amount(): BigDecimal
    {
        return BigDecimal::of($this->quantity);
    }
}

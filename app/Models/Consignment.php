<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A handful of pieces sent to the supplier of a step, with the day it is to be back.
 *
 * @property int $id
 * @property int $order_step_id
 * @property int $booking_id
 * @property string $quantity as sent
 * @property \Carbon\CarbonImmutable $sent_at
 * @property \Carbon\CarbonImmutable $back_at
 * @property \Carbon\CarbonImmutable|null $first_back_at as it was said first, once it was said anew
 * @property int $days_passed days given before this one that passed
 * @property string|null $ask_again_on nobody knows the day: it is asked for again then
 * @property-read OrderStep $step
 */
class Consignment extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'sent_at' => 'immutable_datetime',
            'back_at' => 'immutable_datetime',
            'first_back_at' => 'immutable_datetime',
        ];
    }

    /** @return BelongsTo<OrderStep, $this> */
    public function step(): BelongsTo
    {
        return $this->belongsTo(OrderStep::class, 'order_step_id');
    }
}

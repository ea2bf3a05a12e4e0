<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What one booking counted at one step.
 *
 * @property int $id
 * @property int $booking_id
 * @property int $order_step_id
 * @property string $taken_in
 * @property string $good
 * @property string $scrap
 * @property string $passed_on
 * @property int $labour_minutes
 * @property int $machine_minutes
 * @property-read OrderStep $step
 */
class StepEntry extends Model
{
    public $timestamps = false;

    protected $table = 'step_entries';

    protected $guarded = [];

    /** @return BelongsTo<OrderStep, $this> */
    public function step(): BelongsTo
    {
        return $this->belongsTo(OrderStep::class, 'order_step_id');
    }
}

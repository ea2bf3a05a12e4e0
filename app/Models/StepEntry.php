<?php

namespace App\Models;

use Brick\Math\BigDecimal;
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
 * @property \Carbon\CarbonImmutable|null $spell_from how the clock stood before it was counted
 * @property \Carbon\CarbonImmutable|null $spell_to
 * @property \Carbon\CarbonImmutable|null $started_at
 * @property int|null $started_by
 * @property-read OrderStep $step
 */
class StepEntry extends Model
{
    public $timestamps = false;

    protected $table = 'step_entries';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'spell_from' => 'immutable_datetime',
            'spell_to' => 'immutable_datetime',
            'started_at' => 'immutable_datetime',
        ];
    }

    /** @return BelongsTo<Booking, $this> */
    public function booking(): BelongsTo
    {
        return $this->belongsTo(Booking::class);
    }

    /** @return BelongsTo<OrderStep, $this> */
    public function step(): BelongsTo
    {
        return $this->belongsTo(OrderStep::class, 'order_step_id');
    }

    /** Nothing was counted: a clock was started. */
    public function isStart(): bool
    {
        $counted = BigDecimal::of($this->good)->abs()->plus(BigDecimal::of($this->scrap)->abs())
            ->plus(BigDecimal::of($this->taken_in)->abs())->plus(BigDecimal::of($this->passed_on)->abs());

        return $counted->isZero() && $this->machine_minutes === 0 && $this->labour_minutes === 0;
    }
}

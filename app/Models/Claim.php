<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use KeepPace\Core\Outside\ClaimState;

/**
 * What a supplier is to make good: pieces spoiled or lost there, at what they had cost so far (trade.md W5).
 *
 * @property int $id
 * @property int $booking_id by which the pieces came back
 * @property int $supplier_id
 * @property int|null $order_step_id at which the pieces were; null = they were made of parts of ours
 * @property int|null $purchase_line_id on which they were bought; null = pieces of an order
 * @property string $pieces
 * @property int $cents what they had cost so far
 * @property string $reason
 * @property \KeepPace\Core\Outside\ClaimState $state
 * @property int $granted_cents
 * @property \Carbon\CarbonImmutable $opened_at
 * @property \Carbon\CarbonImmutable|null $ended_at
 * @property int|null $ended_by_booking_id
 * @property string $answer
 * @property-read OrderStep|null $step
 * @property-read PurchaseLine|null $purchase
 * @property-read Supplier $supplier
 */
class Claim extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'state' => ClaimState::class,
            'opened_at' => 'immutable_datetime',
            'ended_at' => 'immutable_datetime',
        ];
    }

    /** @return BelongsTo<OrderStep, $this> */
    public function step(): BelongsTo
    {
        return $this->belongsTo(OrderStep::class, 'order_step_id');
    }

    /** @return BelongsTo<PurchaseLine, $this> */
    public function purchase(): BelongsTo
    {
        return $this->belongsTo(PurchaseLine::class, 'purchase_line_id');
    }

    /** @return BelongsTo<Supplier, $this> */
    public function supplier(): BelongsTo
    {
        return $this->belongsTo(Supplier::class);
    }
}

<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * An open point with an owner and an age.
 *
 * @property int $id
 * @property int $booking_id
 * @property QuestionKind $kind
 * @property string $says
 * @property int|null $order_id
 * @property int|null $component_id
 * @property int|null $purchase_line_id
 * @property int|null $claim_id
 * @property int|null $part_id
 * @property string $quantity
 * @property string $open_quantity
 * @property string $role
 * @property \Carbon\CarbonImmutable $opened_at
 * @property \Carbon\CarbonImmutable|null $answered_at
 * @property int|null $answered_by
 * @property string $answer
 * @property int|null $answer_booking_id
 * @property-read Order|null $order
 */
class Question extends Model
{
    public $timestamps = false;

    protected $table = 'questions';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'kind' => QuestionKind::class,
            'opened_at' => 'immutable_datetime',
            'answered_at' => 'immutable_datetime',
        ];
    }

    /** @return BelongsTo<Order, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(Order::class);
    }
}

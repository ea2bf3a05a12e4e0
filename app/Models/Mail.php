<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A mail as it went out, with the paper that was in it.
 *
 * @property int $id
 * @property int $booking_id
 * @property int $purchase_order_id
 * @property string $to address
 * @property string $subject
 * @property string $body
 * @property array<string, mixed> $paper
 * @property \Carbon\CarbonImmutable $sent_at
 * @property-read PurchaseOrder $order
 */
class Mail extends Model
{
    public $timestamps = false;

    protected $table = 'mails';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['paper' => 'array', 'sent_at' => 'immutable_datetime'];
    }

    /** @return BelongsTo<PurchaseOrder, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(PurchaseOrder::class, 'purchase_order_id');
    }
}

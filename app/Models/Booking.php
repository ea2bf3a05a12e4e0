<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One deed of one person: its token, words and what it did. Never changed after.
 *
 * @property int $id
 * @property string $token
 * @property string $fingerprint of what was sent under the token; '' where nothing was typed
 * @property BookingKind $kind
 * @property int|null $order_id
 * @property int|null $customer_order_id
 * @property string $says
 * @property string $reason
 * @property \Carbon\CarbonImmutable $entered_at
 * @property string $booked_on
 * @property int $user_id
 * @property int|null $worked_by
 * @property int|null $reverses_id
 * @property-read Person $user
 * @property-read Order|null $order
 * @property-read \Illuminate\Database\Eloquent\Collection<int, Move> $moves
 * @property-read \Illuminate\Database\Eloquent\Collection<int, StepEntry> $stepEntries
 * @property-read \Illuminate\Database\Eloquent\Collection<int, CostEntry> $costEntries
 * @property-read \Illuminate\Database\Eloquent\Collection<int, CoverEntry> $coverEntries
 */
class Booking extends Model
{
    public $timestamps = false;

    protected $table = 'bookings';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['entered_at' => 'immutable_datetime', 'kind' => BookingKind::class];
    }

    public function isGoodsIn(): bool
    {
        return $this->kind === BookingKind::GoodsIn;
    }

    /** @return BelongsTo<Person, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Order, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(Order::class);
    }

    /** @return HasMany<Move, $this> */
    public function moves(): HasMany
    {
        return $this->hasMany(Move::class);
    }

    /** @return HasMany<StepEntry, $this> */
    public function stepEntries(): HasMany
    {
        return $this->hasMany(StepEntry::class);
    }

    /** @return HasMany<CostEntry, $this> */
    public function costEntries(): HasMany
    {
        return $this->hasMany(CostEntry::class);
    }

    /** @return HasMany<CoverEntry, $this> */
    public function coverEntries(): HasMany
    {
        return $this->hasMany(CoverEntry::class);
    }
}

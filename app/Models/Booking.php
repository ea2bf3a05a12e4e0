<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;

/**
 * One deed of one person: its token, words and what it did. Never changed after.
 *
 * @property int $id
 * @property string $token
 * @property string $fingerprint of what was sent under the token; '' where nothing was typed
 * @property BookingKind $kind
 * @property int|null $order_id
 * @property int|null $customer_order_id
 * @property int|null $purchase_order_id
 * @property int|null $bill_id
 * @property string $says
 * @property string $reason
 * @property \Carbon\CarbonImmutable $entered_at
 * @property string $booked_on
 * @property int $person_id
 * @property int|null $worked_by
 * @property int|null $reverses_id
 * @property-read Person $person
 * @property-read Order|null $order
 * @property-read \Illuminate\Database\Eloquent\Collection<int, Move> $moves
 * @property-read \Illuminate\Database\Eloquent\Collection<int, StepEntry> $stepEntries
 * @property-read \Illuminate\Database\Eloquent\Collection<int, CostEntry> $costEntries
 * @property-read \Illuminate\Database\Eloquent\Collection<int, TieEntry> $tieEntries
 */
class Booking extends Model
{
    public $timestamps = false;

    protected $table = 'bookings';

    protected $guarded = [];

    protected static function booted(): void
    {
        // what it says and is about stands beside it: that is known when it ends
        static::addGlobalScope('says', function (Builder $query): void {
            $query->leftJoin('booking_says AS said', 'said.booking_id', 'bookings.id');
            if ($query->getQuery()->columns === null) {
                $query->select([
                    'bookings.*', 'said.says', 'said.order_id', 'said.customer_order_id', 'said.purchase_order_id',
                    'said.bill_id',
                ]);
            }
        });
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['entered_at' => 'immutable_datetime', 'kind' => BookingKind::class];
    }

    /**
     * Begins one: its row is written, and never changed.
     *
     * @param  array<string, mixed>  $columns
     */
    public static function begin(array $columns): self
    {
        $booking = self::query()->create($columns);
        $booking->setRawAttributes([
            ...$booking->getAttributes(),
            'says' => '',
            'order_id' => null,
            'customer_order_id' => null,
            'purchase_order_id' => null,
            'bill_id' => null,
        ], true);

        return $booking;
    }

    /** Ends it: what it says, and the order or customer order in whose history it stands. */
    public function end(): void
    {
        DB::table('booking_says')->insert([
            'booking_id' => $this->id,
            'says' => $this->says,
            'order_id' => $this->order_id,
            'customer_order_id' => $this->customer_order_id,
            'purchase_order_id' => $this->purchase_order_id,
            'bill_id' => $this->bill_id,
        ]);
        $this->syncOriginal();
    }

    /** As it stands in the database, with what it says. */
    public function refresh(): static
    {
        $this->setRawAttributes(self::query()->findOrFail($this->id)->getAttributes(), true);

        return $this;
    }

    public function isGoodsIn(): bool
    {
        return $this->kind === BookingKind::GoodsIn;
    }

    /**
     * Something it carried to an order is still there; its moves are loaded. Parts of a build, or used by what was
     * counted, are at the order already.
     */
    public function tookToOrders(): bool
    {
        return $this->kind->bringsParts() && $this->moves->contains(
            fn (Move $move): bool => $move->component_id !== null && $move->isToOrder() && $move->canBeTakenBack(),
        );
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
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

    /** @return HasMany<TieEntry, $this> */
    public function tieEntries(): HasMany
    {
        return $this->hasMany(TieEntry::class);
    }

    /** What took it back; null = nothing did. */
    public function reversal(): ?self
    {
        return self::query()->firstWhere('reverses_id', $this->id);
    }
}

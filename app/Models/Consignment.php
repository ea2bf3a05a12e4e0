<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What went to a supplier in one go, in lines.
 *
 * @property int $id
 * @property string $number
 * @property int $supplier_id
 * @property int $booking_id that sent it
 * @property \Carbon\CarbonImmutable $sent_at
 * @property string $note on its paper
 * @property int|null $from_supplier_id at whom it is collected; null = it goes from here
 * @property-read Supplier $supplier
 * @property-read Supplier|null $from
 * @property-read \Illuminate\Database\Eloquent\Collection<int, ConsignmentLine> $lines
 */
class Consignment extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['sent_at' => 'immutable_datetime'];
    }

    /** @return BelongsTo<Supplier, $this> */
    public function supplier(): BelongsTo
    {
        return $this->belongsTo(Supplier::class);
    }

    /** @return BelongsTo<Supplier, $this> */
    public function from(): BelongsTo
    {
        return $this->belongsTo(Supplier::class, 'from_supplier_id');
    }

    /** @return HasMany<ConsignmentLine, $this> */
    public function lines(): HasMany
    {
        $relation = $this->hasMany(ConsignmentLine::class);
        $relation->orderBy('position');

        return $relation;
    }

    /** What a booking sent out, however often its form was sent. */
    public static function sentBy(Booking $booking): self
    {
        return self::query()->where('booking_id', $booking->id)->firstOrFail();
    }
}

<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Standard costs that are to be taken on a day ahead.
 *
 * @property int $id
 * @property int $booking_id that decided it
 * @property string $from_on "YYYY-MM-DD"
 * @property array<int, array{string, string}> $costs before and after, by item
 * @property int|null $taken_by_id
 * @property int|null $dropped_by_id
 * @property string $refused why it could not be taken on its day
 * @property-read Booking $booking
 */
class StandardsToCome extends Model
{
    public $timestamps = false;

    protected $table = 'standards_to_come';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['costs' => 'array'];
    }

    /** @return BelongsTo<Booking, $this> */
    public function booking(): BelongsTo
    {
        return $this->belongsTo(Booking::class);
    }

    /** @return Builder<static> that nobody has taken or dropped */
    public static function open(): Builder
    {
        return static::query()->whereNull('taken_by_id')->whereNull('dropped_by_id');
    }
}

<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A usage slip: component use proposed, edited, picked and booked. A draft until then, that several people return to.
 *
 * @property int $id
 * @property string $token
 * @property string $part
 * @property int|null $step_number
 * @property string $state
 * @property string|null $booked_on
 * @property string $note
 * @property int $person_id
 * @property int $changed_by
 * @property int|null $booking_id
 * @property int $version
 * @property \Illuminate\Support\Carbon $created_at
 * @property \Illuminate\Support\Carbon $updated_at
 * @property-read Person $person
 * @property-read Person $changedBy
 * @property-read \Illuminate\Database\Eloquent\Collection<int, SlipLine> $lines
 */
class Slip extends Model
{
    public const OPEN = 'open';

    public const BOOKED = 'booked';

    public const DROPPED = 'dropped';

    protected $table = 'slips';

    protected $guarded = [];

    /** What of its orders it was proposed for. */
    public function partSays(): string
    {
        return match ($this->part) {
            'whole' => 'all that is planned',
            'reported' => 'what is counted so far',
            default => "step {$this->step_number}",
        };
    }

    public function isBooked(): bool
    {
        return $this->state === self::BOOKED;
    }

    public function isDropped(): bool
    {
        return $this->state === self::DROPPED;
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function changedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'changed_by');
    }

    /** @return HasMany<SlipLine, $this> */
    public function lines(): HasMany
    {
        $relation = $this->hasMany(SlipLine::class);
        $relation->orderBy('position')->orderBy('id');

        return $relation;
    }
}

<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A schedule of all open orders; one is live.
 *
 * @property int $id
 * @property string $name
 * @property bool $is_live
 * @property \Carbon\CarbonImmutable|null $computed_at
 * @property int|null $booking_id
 * @property int $milliseconds
 * @property string $stamp new with each writing
 * @property string $input under what KeptInput keeps what it was computed from
 * @property int|null $change_id the last deed of a person on it
 * @property string|null $levers of a what-if, as JSON: `PlanLever` reads them
 * @property string $says
 * @property int|null $person_id
 * @property \Carbon\CarbonImmutable|null $made_at
 */
class Plan extends Model
{
    /** The live plan's row, made with the table: going live changes what stands in it, never which it is. */
    public const LIVE = 1;

    /** Why an order has no place in it: somebody holds it. */
    public const HELD = 'held';

    public $timestamps = false;

    protected $table = 'plans';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'is_live' => 'boolean',
            'computed_at' => 'immutable_datetime',
            'made_at' => 'immutable_datetime',
        ];
    }

    /**
     * The lock of the live plan and of what it is computed from besides orders: calendars, what is down or away, held
     * promises, searches.
     */
    public static function lockLive(): self
    {
        return self::query()->lockForUpdate()->findOrFail(self::LIVE);
    }

    public static function isThere(int $id): bool
    {
        return self::query()->whereKey($id)->exists();
    }
}

<?php

namespace App\Models;

use App\Models\Concerns\HasCode;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Collection;
use KeepPace\Core\Calendar\DayException;
use KeepPace\Core\Calendar\Shift as CoreShift;
use KeepPace\Core\Calendar\WorkingCalendar;

/**
 * The week of a work centre or the plant.
 *
 * @property int $id
 * @property string $code
 * @property-read \Illuminate\Database\Eloquent\Collection<int, Shift> $shifts
 * @property-read \Illuminate\Database\Eloquent\Collection<int, CalendarDay> $days
 * @property-read int|null $days_count where it was asked for
 */
class Calendar extends Model
{
    use HasCode;

    public $timestamps = false;

    protected $table = 'calendars';

    protected $guarded = [];

    /** @return HasMany<Shift, $this> */
    public function shifts(): HasMany
    {
        return $this->hasMany(Shift::class);
    }

    /** @return HasMany<CalendarDay, $this> */
    public function days(): HasMany
    {
        return $this->hasMany(CalendarDay::class);
    }

    public function toCore(): WorkingCalendar
    {
        return new WorkingCalendar(
            config()->string('pace.zone'),
            array_values(
                $this->shifts
                    ->map(
                        fn (Shift $shift): CoreShift => new CoreShift(
                            max(1, min(7, $shift->weekday)),
                            $shift->from_time,
                            $shift->to_time,
                            $shift->is_break,
                        ),
                    )
                    ->all(),
            ),
            array_values($this->days->map(fn (CalendarDay $day): DayException => $day->toCore())->all()),
        );
    }

    /** @return Collection<int|string, string> codes by id, to choose from */
    public static function offered(): Collection
    {
        return self::query()->orderBy('code')->pluck('code', 'id');
    }
}

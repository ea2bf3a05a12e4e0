<?php

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use KeepPace\Core\Calendar\DayException;

/**
 * One date that differs from the week.
 *
 * @property int $id
 * @property int $calendar_id
 * @property string $date
 * @property string $kind
 * @property string $from_time
 * @property string $to_time
 * @property string $name
 */
class CalendarDay extends Model
{
    public $timestamps = false;

    protected $table = 'calendar_days';

    protected $guarded = [];

    /** "07:00–12:00"; nothing when it is the whole day. */
    public function span(): string
    {
        return $this->from_time === '' ? '' : "{$this->from_time}–{$this->to_time}";
    }

    /** "Wed 25 Nov 2026" */
    public function says(): string
    {
        return CarbonImmutable::parse($this->date)->format('D j M Y');
    }

    public function toCore(): DayException
    {
        return match (true) {
            $this->kind === 'overtime' => DayException::overtime(
                $this->date,
                $this->from_time,
                $this->to_time,
                $this->name,
            ),
            $this->from_time === '' => DayException::closed($this->date, $this->name),
            default => DayException::closedBetween($this->date, $this->from_time, $this->to_time, $this->name),
        };
    }
}

<?php

namespace App\Models;

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

    public function toCore(): DayException
    {
        return match (true) {
            $this->kind === 'overtime' => DayException::overtime($this->date, $this->from_time, $this->to_time, $this->name),
            $this->from_time === '' => DayException::closed($this->date, $this->name),
            default => DayException::closedBetween($this->date, $this->from_time, $this->to_time, $this->name),
        };
    }
}

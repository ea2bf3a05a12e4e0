<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A weekly span of work or a break in it.
 *
 * @property int $id
 * @property int $calendar_id
 * @property int $weekday
 * @property string $from_time
 * @property string $to_time
 * @property bool $is_break
 */
class Shift extends Model
{
    public $timestamps = false;

    protected $table = 'shifts';

    protected $guarded = [];

    /** How long it is; an end at or before its begin is on the next day. */
    public function minutes(): int
    {
        $of = fn (string $time): int => (int) substr($time, 0, 2) * 60 + (int) substr($time, 3, 2);
        $minutes = $of($this->to_time) - $of($this->from_time);

        return $minutes <= 0 ? $minutes + 1440 : $minutes;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_break' => 'boolean'];
    }
}

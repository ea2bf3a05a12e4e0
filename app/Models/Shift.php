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

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_break' => 'boolean'];
    }
}

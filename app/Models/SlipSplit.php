<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One lot, serial or place of a slip line.
 *
 * @property int $id
 * @property int $slip_line_id
 * @property string $code
 * @property int|null $place_id
 * @property string $typed
 * @property bool $is_picked
 */
class SlipSplit extends Model
{
    public $timestamps = false;

    protected $table = 'slip_splits';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_picked' => 'boolean'];
    }
}

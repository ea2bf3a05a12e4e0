<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Another unit an item is counted in: one is p/q stock units.
 *
 * @property int $id
 * @property int $item_id
 * @property int $unit_id
 * @property int $p
 * @property int $q
 * @property-read Unit $unit
 */
class ItemUnit extends Model
{
    public $timestamps = false;

    protected $table = 'item_units';

    protected $guarded = [];

    /** @return BelongsTo<Unit, $this> */
    public function unit(): BelongsTo
    {
        return $this->belongsTo(Unit::class);
    }

    /** "box = 12", in stock units */
    public function inWords(): string
    {
        return "{$this->unit->code} = ".($this->q === 1 ? $this->p : "{$this->p}/{$this->q}");
    }
}

<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One line of a usage slip, kept as typed, right or wrong.
 *
 * @property int $id
 * @property int $slip_id
 * @property int $position
 * @property int $order_id
 * @property int|null $component_id
 * @property int $item_id
 * @property int $step_number
 * @property string $proposed
 * @property string $typed
 * @property string $unit
 * @property string $reason
 * @property bool $is_out
 * @property-read Item $item
 * @property-read \Illuminate\Database\Eloquent\Collection<int, SlipSplit> $splits
 */
class SlipLine extends Model
{
    public $timestamps = false;

    protected $table = 'slip_lines';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_out' => 'boolean'];
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** @return HasMany<SlipSplit, $this> */
    public function splits(): HasMany
    {
        $relation = $this->hasMany(SlipSplit::class);
        $relation->orderBy('id');

        return $relation;
    }
}

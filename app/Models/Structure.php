<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use KeepPace\Core\Structure\Revision;

/**
 * What an item is made of, in one revision.
 *
 * @property int $id
 * @property int $item_id
 * @property string $revision
 * @property string $status
 * @property string|null $effective_from
 * @property-read Item $item
 * @property-read \Illuminate\Database\Eloquent\Collection<int, StructureLine> $lines
 */
class Structure extends Model
{
    public $timestamps = false;

    protected $table = 'structures';

    protected $guarded = [];

    public function asRevision(): Revision
    {
        return new Revision($this->id, $this->status === 'approved', $this->effective_from);
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** @return HasMany<StructureLine, $this> */
    public function lines(): HasMany
    {
        $relation = $this->hasMany(StructureLine::class);
        $relation->orderBy('position');

        return $relation;
    }
}

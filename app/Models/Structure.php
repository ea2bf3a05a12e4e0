<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What an item is made of, in one revision.
 *
 * @property-read \Illuminate\Database\Eloquent\Collection<int, StructureLine> $lines
 */
class Structure extends ItemRevision
{
    protected $table = 'structures';

    public static function kind(): RevisionKind
    {
        return RevisionKind::Structure;
    }

    /** @return HasMany<StructureLine, $this> */
    public function lines(): HasMany
    {
        $relation = $this->hasMany(StructureLine::class);
        $relation->orderBy('position');

        return $relation;
    }
}

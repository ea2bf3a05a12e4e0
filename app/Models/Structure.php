<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What an item is made of, in one revision.
 *
 * @property int|null $waits_for_item_id not in force until this part is used up
 * @property-read \Illuminate\Database\Eloquent\Collection<int, StructureLine> $lines what goes in
 * @property-read \Illuminate\Database\Eloquent\Collection<int, StructureLine> $comesBack
 */
class Structure extends ItemRevision
{
    protected $table = 'structures';

    public static function kind(): RevisionKind
    {
        return RevisionKind::Structure;
    }

    public function isWaiting(): bool
    {
        return $this->waits_for_item_id !== null;
    }

    /** @return HasMany<StructureLine, $this> what goes in */
    public function lines(): HasMany
    {
        $relation = $this->hasMany(StructureLine::class);
        $relation->whereNull('gives')->orderBy('position');

        return $relation;
    }

    /** @return HasMany<StructureLine, $this> */
    public function comesBack(): HasMany
    {
        $relation = $this->hasMany(StructureLine::class);
        $relation->whereNotNull('gives')->orderBy('position');

        return $relation;
    }
}

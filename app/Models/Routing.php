<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * How an item is made, in one revision.
 *
 * @property-read \Illuminate\Database\Eloquent\Collection<int, RoutingStep> $steps
 */
class Routing extends ItemRevision
{
    protected $table = 'routings';

    public static function kind(): RevisionKind
    {
        return RevisionKind::Routing;
    }

    /** @return HasMany<RoutingStep, $this> */
    public function steps(): HasMany
    {
        $relation = $this->hasMany(RoutingStep::class);
        $relation->orderBy('number');

        return $relation;
    }
}

<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use KeepPace\Core\Structure\Revision;

/**
 * How an item is made, in one revision.
 *
 * @property int $id
 * @property int $item_id
 * @property string $revision
 * @property string $status
 * @property string|null $effective_from
 * @property-read \Illuminate\Database\Eloquent\Collection<int, RoutingStep> $steps
 */
class Routing extends Model
{
    public $timestamps = false;

    protected $table = 'routings';

    protected $guarded = [];

    public function asRevision(): Revision
    {
        return new Revision($this->id, $this->status === 'approved', $this->effective_from);
    }

    /** @return HasMany<RoutingStep, $this> */
    public function steps(): HasMany
    {
        $relation = $this->hasMany(RoutingStep::class);
        $relation->orderBy('number');

        return $relation;
    }
}

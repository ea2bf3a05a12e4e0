<?php

namespace App\Actions\Product;

use App\Models\ItemRevision;
use App\Models\Person;
use App\Models\RevisionKind;
use App\Models\Routing;
use App\Models\Structure;
use KeepPace\Core\Refused;

/** Drafts of structures and routings: held while they are changed, and by whom they were. */
final class Drafts
{
    /**
     * Locks a draft as somebody saw it.
     *
     * @throws Refused when it is none any more, or was changed by another meanwhile
     */
    public static function held(RevisionKind $kind, int $id, int $version): Structure|Routing
    {
        $draft = $kind->model()::query()->lockForUpdate()->findOrFail($id)->load('item', 'changedBy', 'approvedBy');
        if (! $draft->isDraft()) {
            throw Refused::because(
                ucfirst($draft->label()).' was approved by '.($draft->approvedBy->name ?? 'an import')
                    .' and stays as it is. Make a new draft of it.',
            );
        }
        if ($draft->version !== $version) {
            throw Refused::because(
                ($draft->changedBy->name ?? 'An import').' changed '.$draft->label().' meanwhile. Nothing of yours is '
                    .'lost: look at what is there now, then send again.',
            );
        }

        return $draft;
    }

    public static function changed(ItemRevision $draft, Person $by): void
    {
        $draft->fill(['changed_by_id' => $by->id, 'changed_at' => now(), 'version' => $draft->version + 1])->save();
    }

    /** "GEAR-7 revision B", as the trail calls it. */
    public static function record(ItemRevision $draft): string
    {
        return "{$draft->item->number} revision {$draft->revision}";
    }
}

<?php

namespace App\Queries\Product;

use App\Models\RevisionKind;
use App\Reading\Cut;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** All drafts of structures and routings, the oldest change first. */
final class DraftList
{
    private const SHOWN = 200;

    /** @return Cut<DraftRow> */
    public static function all(): Cut
    {
        $drafts = self::of(RevisionKind::Structure)->unionAll(self::of(RevisionKind::Routing));

        return Cut::read(
            DB::query()->fromSub($drafts, 'd')->orderByRaw('d.changed_at IS NULL, d.changed_at')->orderBy('d.number'),
            self::SHOWN,
            DraftRow::from(...),
        );
    }

    private static function of(RevisionKind $kind): Builder
    {
        return DB::table("{$kind->value} AS r")
            ->join('items AS i', 'i.id', 'r.item_id')
            ->leftJoin('people AS u', 'u.id', 'r.changed_by_id')
            ->where('r.status', 'draft')
            ->select(['r.id', 'r.item_id', 'i.number', 'i.name', 'r.revision', 'r.note', 'r.changed_at'])
            ->addSelect(['u.name AS changed_by'])
            ->selectRaw("'{$kind->value}' AS kind")
            ->selectRaw("(SELECT COUNT(*) FROM {$kind->lines()} l WHERE l.{$kind->parent()} = r.id) AS line_count");
    }
}

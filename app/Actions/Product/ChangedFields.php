<?php

namespace App\Actions\Product;

use App\Books\ProductChanges;
use App\Books\RowDiff;
use Illuminate\Database\Eloquent\Model;

/** What is typed of a record is put into it, and what of that differs into the trail. */
final class ChangedFields
{
    /**
     * Fills the record; it is not saved.
     *
     * @param  string  $kind  of the trail
     * @param  string  $called  the record, as people call it
     * @param  array<string, bool|int|string|null>  $columns  as typed
     * @return bool whether anything differs
     */
    public static function fill(
        Model $record,
        string $kind,
        string $called,
        array $columns,
        ProductChanges $changes,
    ): bool {
        $differs = RowDiff::of($record->getAttributes(), $columns);
        $id = $record->getKey();
        $words = new LineWords;
        foreach ($differs as $column) {
            $changes->field(
                $kind,
                is_int($id) ? $id : 0,
                $called,
                $words->field($column),
                $words->say($column, $record->getRawOriginal($column)),
                $words->say($column, $columns[$column]),
            );
        }
        $record->fill(array_intersect_key($columns, array_flip($differs)));

        return $differs !== [];
    }
}

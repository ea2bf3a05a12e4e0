<?php

namespace App\Actions\Import;

/** A column that a file does not have leaves what stands there as it is; what is new begins with its default. */
final class AbsentColumns
{
    public static function fill(Folder $folder): void
    {
        foreach (Files::all() as $spec) {
            $absent = $folder->absent[$spec->name] ?? [];
            if ($absent !== [] && in_array($spec->name, StoredRows::FILES, true)) {
                self::fillFile($folder, $spec, $absent);
            }
        }
    }

    /** @param  list<string>  $absent */
    private static function fillFile(Folder $folder, FileSpec $spec, array $absent): void
    {
        $lines = [];
        foreach ($folder->rowsOf($spec->name) as $line => $row) {
            $lines[$spec->keyOf($row)] = $line;
        }
        foreach (StoredRows::of($spec) as $stored) {
            $line = $lines[$spec->keyOf($stored)] ?? null;
            if ($line !== null) {
                $kept = array_intersect_key($stored, array_flip($absent));
                $folder->rows[$spec->name][$line] = [...$folder->rows[$spec->name][$line], ...$kept];
            }
        }
    }
}

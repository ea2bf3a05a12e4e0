<?php

namespace App\Actions\Import;

use App\Models\Person;

/** Checks what the lines of an import mean together and against what is there already. */
final class FolderChecks
{
    public static function run(Folder $folder, Person $by): void
    {
        $items = new ImportedItems($folder);
        (new ItemChecks($folder, $items, $by))->run();
        (new StructureChecks($folder, $items))->run();
        (new OpeningChecks($folder, $items))->run();
    }
}

<?php

namespace App\Actions\Import;

/** All kinds of import file, in the order they are written. docs/formats.md says the same for people. */
final class Files
{
    /** @return array<string, FileSpec> by name */
    public static function all(): array
    {
        $specs = [
            ...ShopFiles::all(),
            ...PartnerFiles::all(),
            ...ItemFiles::all(),
            ...MakingFiles::all(),
            ...OpeningFiles::all(),
        ];

        return array_combine(array_map(fn (FileSpec $spec): string => $spec->name, $specs), $specs);
    }
}

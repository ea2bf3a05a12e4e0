<?php

namespace App\Actions\Import;

use JsonException;

/** Reads one JSON file (RFC 8259): a list of rows, each an object with the columns of the CSV file. */
final class JsonFile
{
    /**
     * @param  callable(Problem): void  $problem
     * @return \Generator<int, array<string, string>> by place, from 1
     */
    public static function rows(string $path, FileSpec $spec, callable $problem): \Generator
    {
        $name = basename($path);
        try {
            $rows = json_decode((string) file_get_contents($path), true, 4, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            $problem(new Problem($name, 0, '', 'is not JSON, or not a list of flat rows.'));

            return;
        }
        if (! is_array($rows) || ! array_is_list($rows)) {
            $problem(new Problem($name, 0, '', 'is not a list of rows: it begins with [ and ends with ].'));

            return;
        }
        $first = null;
        foreach ($rows as $at => $row) {
            $cells = is_array($row) ? self::cells($row) : null;
            if ($cells === null) {
                $problem(new Problem($name, $at + 1, '', 'is not a row of texts and numbers: {"number": "A-1", …}.'));

                continue;
            }
            if ($first === null && ! $spec->isRightFor(array_keys($cells), $name, $problem)) {
                return;
            }
            $first ??= array_keys($cells);
            if (array_keys($cells) !== $first) {
                $problem(new Problem($name, $at + 1, '', 'has other columns than the first row.'));

                continue;
            }
            yield $at + 1 => $cells;
        }
    }

    /**
     * @param  array<array-key, mixed>  $row
     * @return array<string, string>|null
     */
    private static function cells(array $row): ?array
    {
        $cells = [];
        foreach ($row as $name => $value) {
            if (is_array($value) || is_bool($value) || is_float($value)) {
                return null; // a float has lost what was written
            }
            $cells[FileSpec::nameNow(mb_strtolower(trim((string) $name)))] = (string) $value;
        }

        return $cells;
    }
}

<?php

namespace App\Actions\Import;

/**
 * Reads one CSV file (RFC 4180; comma or semicolon, with or without byte-order mark), line numbers as an editor shows
 * them.
 */
final class CsvFile
{
    /**
     * @param  callable(Problem): void  $problem
     * @return \Generator<int, array<string, string>> by line number
     */
    public static function rows(string $path, FileSpec $spec, callable $problem): \Generator
    {
        $file = fopen($path, 'rb');
        if ($file === false) {
            $problem(new Problem($spec->file(), 0, '', 'cannot be read.'));

            return;
        }
        try {
            $unreadable = self::unreadable($spec, $path);
            if ($unreadable !== null) {
                $problem($unreadable);

                return;
            }
            fread($file, 3) === "\xEF\xBB\xBF" ?: rewind($file);
            [$comma, $names] = self::head($file);
            if (! $spec->isRightFor($names, $spec->file(), $problem)) {
                return;
            }
            $line = 2;
            while (($cells = fgetcsv($file, null, $comma, '"', '')) !== false) {
                $at = $line;
                $breaks = array_map(fn (?string $cell): int => substr_count((string) $cell, "\n"), $cells);
                $line += 1 + array_sum($breaks);
                if ($cells === [null] || trim(implode('', $cells)) === '') {
                    continue;
                }
                if (count($cells) !== count($names)) {
                    $problem(self::otherCount($spec, $at, count($cells), count($names), $comma));

                    continue;
                }
                yield $at => array_combine($names, array_map(strval(...), $cells));
            }
        } finally {
            fclose($file);
        }
    }

    /**
     * @param  resource  $file  at its first line
     * @return array{string, list<string>} what parts the cells, and the names of the columns
     */
    private static function head($file): array
    {
        $start = (int) ftell($file);
        $line = (string) fgets($file);
        fseek($file, $start);
        $comma = substr_count($line, ';') > substr_count($line, ',') ? ';' : ',';
        $names = fgetcsv($file, null, $comma, '"', '');

        return [$comma, array_map(
            fn (?string $name): string => FileSpec::nameNow(mb_strtolower(trim((string) $name))),
            $names === false ? [] : $names,
        )];
    }

    /** Why it cannot be read; null = it is in UTF-8. */
    private static function unreadable(FileSpec $spec, string $path): ?Problem
    {
        $text = (string) file_get_contents($path);
        if (str_starts_with($text, "\xFF\xFE") || str_starts_with($text, "\xFE\xFF")) {
            return new Problem($spec->file(), 0, '', 'is in UTF-16. Save it as CSV in UTF-8.');
        }
        if (mb_check_encoding($text, 'UTF-8')) {
            return null;
        }
        foreach (explode("\n", $text) as $i => $line) {
            if (! mb_check_encoding($line, 'UTF-8')) {
                $says = 'is not in UTF-8 from this line on. Save it as CSV in UTF-8.';

                return new Problem($spec->file(), $i + 1, '', $says);
            }
        }

        return null;
    }

    private static function otherCount(FileSpec $spec, int $line, int $cells, int $names, string $comma): Problem
    {
        $sign = $comma === ';' ? 'semicolon' : 'comma';
        $says = "has {$cells} cells, the first line has {$names}. Quote cells that hold a {$sign}.";

        return new Problem($spec->file(), $line, '', $says);
    }
}

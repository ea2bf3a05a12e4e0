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
            $text = (string) file_get_contents($path);
            if (str_starts_with($text, "\xFF\xFE") || str_starts_with($text, "\xFE\xFF")) {
                $problem(new Problem($spec->file(), 0, '', 'is in UTF-16. Save it as CSV in UTF-8.'));

                return;
            }
            if (! mb_check_encoding($text, 'UTF-8')) {
                $at = 1;
                foreach (explode("\n", $text) as $i => $line) {
                    if (! mb_check_encoding($line, 'UTF-8')) {
                        $at = $i + 1;
                        break;
                    }
                }
                $problem(
                    new Problem($spec->file(), $at, '', 'is not in UTF-8 from this line on. Save it as CSV in UTF-8.'),
                );

                return;
            }
            if (str_starts_with($text, "\xEF\xBB\xBF")) {
                fseek($file, 3);
            }
            unset($text);
            $start = ftell($file);
            $head = (string) fgets($file);
            fseek($file, (int) $start);
            $comma = substr_count($head, ';') > substr_count($head, ',') ? ';' : ',';
            $names = fgetcsv($file, null, $comma, '"', '');
            $names = array_map(
                fn (?string $name): string => FileSpec::nameNow(mb_strtolower(trim((string) $name))),
                $names === false ? [] : $names,
            );
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
                    $problem(
                        new Problem(
                            $spec->file(),
                            $at,
                            '',
                            'has '
                                .count($cells)
                                .' cells, the first line has '
                                .count($names)
                                .'. Quote cells that hold a '
                                .($comma === ';' ? 'semicolon' : 'comma')
                                .'.',
                        ),
                    );

                    continue;
                }
                yield $at => array_combine($names, array_map(strval(...), $cells));
            }
        } finally {
            fclose($file);
        }
    }
}

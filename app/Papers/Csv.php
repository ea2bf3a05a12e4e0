<?php

namespace App\Papers;

use Symfony\Component\HttpFoundation\StreamedResponse;

/** A table as CSV (RFC 4180) that a spreadsheet opens as what it is: text from the shop never becomes a formula. */
final class Csv
{
    /** @param  iterable<list<string>>  $rows  the head first */
    public static function download(string $name, iterable $rows): StreamedResponse
    {
        return response()->streamDownload(function () use ($rows): void {
            $out = new \SplFileObject('php://output', 'w');
            foreach ($rows as $row) {
                $out->fputcsv(array_map(self::cell(...), $row), escape: '', eol: "\r\n");
            }
        }, $name, ['Content-Type' => 'text/csv; charset=utf-8']);
    }

    /** A cell that begins as formulas do gets an apostrophe (OWASP, CSV injection); a plain number stays one. */
    public static function cell(string $text): string
    {
        $isNumber = preg_match('/^[+-]?\d+([.,]\d+)?$/D', $text) === 1;

        return ! $isNumber && preg_match('/^[\s]*[=+\-@\t\r]/u', $text) === 1 ? "'{$text}" : $text;
    }
}

<?php

namespace Tests\Support;

/** What a paper says, read back out of its PDF (ISO 32000-1, 7.3.4 strings, 7.4.4 FlateDecode, 9.4.3 Tj and TJ). */
final class PdfText
{
    public static function of(string $pdf): string
    {
        preg_match_all('/stream\r?\n(.*?)\r?\nendstream/s', $pdf, $streams);
        $said = [];
        foreach ($streams[1] as $stream) {
            $content = @gzuncompress($stream);
            preg_match_all('/\(((?:\\\\.|[^\\\\()])*)\)|T[*dm]/', $content === false ? '' : $content, $strings);
            foreach ($strings[1] as $string) {
                $said[] = $string === '' ? "\n" : self::plain($string);
            }
        }

        return (string) preg_replace('/\s+/u', ' ', implode('', $said));
    }

    /** Without its escapes, in UTF-8. */
    private static function plain(string $string): string
    {
        return mb_convert_encoding(stripcslashes($string), 'UTF-8', 'Windows-1252');
    }
}

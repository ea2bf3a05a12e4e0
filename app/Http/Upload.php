<?php

namespace App\Http;

/** How much a person can send: the least of what the application and the web server's PHP take. */
final class Upload
{
    /** kB of one file of an import. */
    private const FILE = 51_200;

    /** kB one file may have. */
    public static function limit(): int
    {
        return max(1, min(self::FILE, self::kilobytes('upload_max_filesize'), self::kilobytes('post_max_size')));
    }

    public static function words(): string
    {
        $kilobytes = self::kilobytes('post_max_size');

        return self::say($kilobytes);
    }

    public static function say(int $kilobytes): string
    {
        return $kilobytes >= 1024 ? round($kilobytes / 1024, 1).' MB' : "{$kilobytes} kB";
    }

    private static function kilobytes(string $setting): int
    {
        $bytes = ini_parse_quantity((string) ini_get($setting));

        return $bytes <= 0 ? PHP_INT_MAX : intdiv($bytes, 1024);
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Calendar;

use DateTimeImmutable;

/**
 * Days as they follow one another, "YYYY-MM-DD", whatever the zone. A plan asks for the same few hundred days many
 * thousand times: each is worked out once.
 */
final class Day
{
    /** @var array<string, array{string, string, int}> the day before, the day after, and the weekday */
    private static array $known = [];

    public static function before(string $day): string
    {
        return self::of($day)[0];
    }

    public static function after(string $day): string
    {
        return self::of($day)[1];
    }

    /** @return int 1 = Monday to 7 */
    public static function weekday(string $day): int
    {
        return self::of($day)[2];
    }

    /** @return array{string, string, int} */
    private static function of(string $day): array
    {
        if (! isset(self::$known[$day])) {
            $at = new DateTimeImmutable($day);
            // a process lives long, and years far off are asked for by slips of the finger
            self::$known = count(self::$known) > 20_000 ? [] : self::$known;
            self::$known[$day] = [
                $at->modify('-1 day')->format('Y-m-d'),
                $at->modify('+1 day')->format('Y-m-d'),
                (int) $at->format('N'),
            ];
        }

        return self::$known[$day];
    }
}

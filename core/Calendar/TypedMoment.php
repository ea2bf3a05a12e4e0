<?php

declare(strict_types=1);

namespace KeepPace\Core\Calendar;

use KeepPace\Core\Refused;

/**
 * A day and a time of day as people type them: "fri 6:30", "4.12. 14:00", "14:00" for today, "6h", "2026-12-04T14:00".
 * A day alone is all of it: it begins at its beginning and ends at its end.
 */
final readonly class TypedMoment
{
    /** A time of day behind a day, or alone; never the figures of a date, which have no colon and no h. */
    private const CLOCK = '/^(?<day>.*?)(?:(?<=\d)t|[\s,]|^)\s*(?:at\s+)?(?<hour>\d{1,2})(?::(?<minute>\d{2})|h)$/D';

    /** @param  string  $today  "YYYY-MM-DD" */
    public function __construct(private string $today, private TypedDay $days)
    {
    }

    /**
     * @return array{string, string|null} "YYYY-MM-DD" and "HH:MM"; null = a day was typed alone
     *
     * @throws Refused
     */
    public function read(string $typed): array
    {
        $text = mb_strtolower(trim($typed));
        $hasClock = preg_match(self::CLOCK, $text, $is) === 1;
        $before = $hasClock ? trim($is['day'], " ,\t") : $text;
        $day = $hasClock && $before === '' ? $this->today : $this->days->find($before);
        if ($day === null) {
            throw Refused::because("'{$typed}' is no day and time. Type such as fri 6:30, 4.12. 14:00 or 14:00.");
        }

        return [$day, $hasClock ? self::clock($is['hour'], $is['minute'] ?? '0') : null];
    }

    /**
     * A time of day alone: "6:30", "14:00", "6h".
     *
     * @return string "HH:MM"
     *
     * @throws Refused
     */
    public static function timeOfDay(string $typed): string
    {
        $text = mb_strtolower(trim($typed));
        if (preg_match(self::CLOCK, $text, $is) !== 1 || trim($is['day']) !== '') {
            throw Refused::because("'{$typed}' is no time of day. Type such as 6:30 or 14:00.");
        }

        return self::clock($is['hour'], $is['minute'] ?? '0');
    }

    /** @throws Refused */
    private static function clock(string $hour, string $minute): string
    {
        if ((int) $hour > 23 || (int) $minute > 59) {
            throw Refused::because("A day has no {$hour}:{$minute}. Its times go from 0:00 to 23:59.");
        }

        return sprintf('%02d:%02d', $hour, $minute);
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Calendar;

/** One date that differs from the week: closed (a holiday, downtime) or open besides (overtime). */
final readonly class DayException
{
    private function __construct(
        public string $date,
        public bool $open,
        public ?string $from,
        public ?string $to,
        public string $name,
    ) {
    }

    /** @param  string  $date "YYYY-MM-DD"; every shift that begins that day falls out */
    public static function closed(string $date, string $name = ''): self
    {
        return new self($date, false, null, null, $name);
    }

    /** Closed for part of a day; "HH:MM", $to at or before $from means the next day. */
    public static function closedBetween(string $date, string $from, string $to, string $name = ''): self
    {
        return new self($date, false, $from, $to, $name);
    }

    public static function overtime(string $date, string $from, string $to, string $name = ''): self
    {
        return new self($date, true, $from, $to, $name);
    }
}

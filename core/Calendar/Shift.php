<?php

declare(strict_types=1);

namespace KeepPace\Core\Calendar;

/** A weekly span of wall-clock time: work, or a break within it. */
final readonly class Shift
{
    /**
     * @param  int<1,7>  $weekday  ISO 8601: 1 = Monday
     * @param  string  $from  "HH:MM" on the plant's clock
     * @param  string  $to  "HH:MM"; at or before $from means the next day
     */
    public function __construct(
        public int $weekday,
        public string $from,
        public string $to,
        public bool $isBreak = false,
    ) {
    }
}

<?php

namespace App\Queries\Board;

use Carbon\CarbonImmutable;

/** A day of a calendar's week as drawn. */
final readonly class DrawnDay
{
    /**
     * @param  list<array{int, int}>  $spans  open time in minutes after its midnight
     * @param  list<string>  $notes  what makes it differ
     * @param  int  $minutes  open in all
     */
    public function __construct(
        public CarbonImmutable $day,
        public array $spans,
        public array $notes,
        public int $minutes,
    ) {
    }
}

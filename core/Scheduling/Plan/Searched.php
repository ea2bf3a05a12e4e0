<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Scheduling\Schedule;

/** What a search came to, and from what it can be repeated. */
final readonly class Searched
{
    /** @param  int  $cost  weighted minutes late in the calendar lateness is counted in, and what moved steps cost */
    public function __construct(public Schedule $schedule, public int $cost, public int $seed, public int $iterations)
    {
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Scheduling\Schedule;

/** What a search came to, and from what it can be repeated. */
final readonly class Searched
{
    /**
     * @param  Schedule  $schedule  the best there is: the plan that stands where nothing better was found
     * @param  int  $cost  weighted minutes late in the calendar lateness is counted in, and what moved steps cost
     * @param  bool  $isBetter  than the plan that stands
     */
    public function __construct(
        public Schedule $schedule,
        public int $cost,
        public int $seed,
        public int $iterations,
        public bool $isBetter,
    ) {
    }
}

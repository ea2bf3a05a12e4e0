<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling;

use KeepPace\Core\Calendar\OpenWindows;

/** A work centre with a number of machines, 1..n. */
final readonly class WorkCentre
{
    /**
     * @param  array<int, OpenWindows>  $ownOpen  by machine: those that do not keep the calendar of the others
     * @param  int  $batch  how much one machine takes at once (oven, bath); 0 = one step at a time
     * @param  array<int, string>  $familyNow  by machine: the family it is set up for
     * @param  int  $fence  what is planned to start before this UTC minute stays as planned
     */
    public function __construct(
        public string $name,
        public int $machines,
        public OpenWindows $open,
        public array $ownOpen = [],
        public int $batch = 0,
        public ?Changeovers $changeovers = null,
        public array $familyNow = [],
        public int $fence = 0,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling;

use KeepPace\Core\Calendar\OpenWindows;

/** All a schedule is made from. Minutes are whole UTC minutes since 1970. */
final readonly class Problem
{
    /**
     * @param  array<int, WorkCentre>  $workCentres
     * @param  list<Job>  $jobs
     * @param  array<int, Crew>  $crews
     * @param  OpenWindows|null  $lateIn  lateness is counted in its open minutes; null = in elapsed ones
     */
    public function __construct(
        public int $now,
        public array $workCentres,
        public array $jobs,
        public array $crews = [],
        public ?OpenWindows $lateIn = null,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling;

/**
 * Where a step is planned: [start, end) in UTC minutes, on machine 1..n of its work centre, or outside (null). Its
 * setup is done at setupEnd; its run begins at runStart, when material, open time and crew are there.
 */
final readonly class PlannedStep
{
    public function __construct(
        public int $start,
        public int $end,
        public ?int $machine,
        public ?int $workCentre = null,
        public ?int $setupEnd = null,
        public ?int $runStart = null,
    ) {
    }
}

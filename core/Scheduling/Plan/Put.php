<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

/** Where a person puts a step: onto a machine of a work centre, at a UTC minute. */
final readonly class Put
{
    public function __construct(public int $step, public int $workCentre, public int $machine, public int $minute)
    {
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling;

/** A schedule, whole: each placed step, each finished job, and in words each job that could not be placed. */
final readonly class Schedule
{
    /**
     * @param  array<int, PlannedStep>  $steps  by step id
     * @param  array<int, int>  $finish  by job id: UTC minute, wait and move after the last step included
     * @param  array<int, string>  $unplaced  by job id
     * @param  list<string>  $notes  what is to be known about it besides, in sentences
     */
    public function __construct(
        public array $steps,
        public array $finish,
        public array $unplaced,
        public array $notes = [],
    ) {
    }
}

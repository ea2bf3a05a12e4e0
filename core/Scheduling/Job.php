<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling;

/** An order as the schedule sees it: its open steps, one after the other. */
final readonly class Job
{
    /**
     * @param  int  $rank  smaller goes first
     * @param  int|null  $due  UTC minute; null = nobody waits
     * @param  list<Step>  $steps
     * @param  int  $weight  what a late minute of it counts; 0 = its lateness alone does not matter
     */
    public function __construct(
        public int $id,
        public string $name,
        public int $rank,
        public ?int $due,
        public array $steps,
        public int $weight = 1,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Why;

/** A stretch of an order's way to its completion, [from, to) in UTC minutes, and what it went into. */
final readonly class Stretch
{
    /**
     * @param  int  $step  the step it is about
     * @param  int|null  $byJob  the job that has the machine
     */
    public function __construct(
        public int $from,
        public int $to,
        public Cause $cause,
        public int $step,
        public ?int $byJob = null,
    ) {
    }

    public function minutes(): int
    {
        return $this->to - $this->from;
    }
}

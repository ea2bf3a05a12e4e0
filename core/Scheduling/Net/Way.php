<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Net;

use KeepPace\Core\Scheduling\Crewing;

/** One way to do an operation: a work centre (by its number in the net), open minutes, crew. */
final readonly class Way
{
    public function __construct(public int $centre, public int $setup, public int $run, public ?Crewing $crewing)
    {
    }

    /** Open minutes, setup and run. */
    public function work(): int
    {
        return max(1, $this->setup + $this->run);
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

use KeepPace\Core\Scheduling\Crewing;

/** One way to do an operation: a work centre (by its number in the net), open minutes, crew. */
final readonly class Way
{
    public function __construct(public int $centre, public int $setup, public int $run, public ?Crewing $crewing)
    {
    }
}

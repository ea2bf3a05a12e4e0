<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling;

/** Another work centre that can do a step, with its own times in open minutes. */
final readonly class Alternative
{
    public function __construct(
        public int $workCentre,
        public int $minutes,
        public int $setup = 0,
        public ?Crewing $crewing = null,
    ) {
    }
}

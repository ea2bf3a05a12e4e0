<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

use KeepPace\Core\Scheduling\Crewing;

/** A stretch of a machine: one operation, or a batch of several. Minutes from the net's origin. */
final class Block
{
    /**
     * @param  int  $setupEnd  setup is done
     * @param  int  $runStart  first minute of run
     * @param  int  $changeover  minutes kept in it for changing over from what stands before it
     * @param  string|null  $family  what the machine is set up for afterwards; null = what it was set up for before
     * @param  int  $room  what is left of a batch's capacity
     */
    public function __construct(
        public readonly int $operation,
        public readonly int $start,
        public readonly int $setupEnd,
        public readonly int $runStart,
        public readonly int $end,
        public readonly int $setup,
        public readonly int $run,
        public readonly int $changeover,
        public readonly ?string $family,
        public readonly ?Crewing $crewing,
        public int $room = 0,
    ) {
    }
}

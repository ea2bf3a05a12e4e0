<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

/** Where a pinned operation stands whatever is loaded around it. Minutes from the net's origin. */
final readonly class Pinned
{
    /**
     * @param  int  $machine  its place in the work centre
     * @param  int  $neededBy  by when what it needs must be there
     * @param  int  $firstOut  when its first part is through; its end where it passes none on
     * @param  int  $changeover  minutes kept in it: what goes in front of it may not leave more
     * @param  list<int>  $uses  when how many of its crew work, each a CrewUse
     */
    public function __construct(
        public int $machine,
        public int $start,
        public int $runStart,
        public int $end,
        public int $neededBy,
        public int $firstOut,
        public int $changeover,
        public array $uses,
    ) {
    }
}

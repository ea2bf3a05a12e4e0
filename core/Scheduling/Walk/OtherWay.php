<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

/** An operation goes to another of its ways, in front of some operation there and behind another. */
final class OtherWay
{
    /**
     * @param  int  $way  the one it goes to
     * @param  array{int, int, int, int}  $choice  where that is done, minutes, how many of them ahead, setup
     * @param  int  $prior  what stands ahead of it there; -1 = nothing
     * @param  int  $behind  what comes behind it there; -1 = nothing
     */
    public function __construct(
        public int $operation,
        public int $way,
        public array $choice,
        public int $prior,
        public int $behind,
    ) {
    }
}

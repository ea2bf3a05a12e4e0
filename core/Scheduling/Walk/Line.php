<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

/**
 * All operations in one linear order, as a walk has them at one moment, for a move to look at. Lists are by operation,
 * if nothing else is said; minutes from now. To be let go before the walk writes on: it would copy what is held here.
 */
final class Line
{
    /**
     * @param  array<int, int>  $at  the order
     * @param  array<int, int>  $pos  its place in it
     * @param  array<int, int>  $prior  the one ahead of it at its work centre; -1 = none
     * @param  array<int, int>  $behind  the one behind it there; -1 = none
     * @param  array<int, int>  $way  where it has several: the one it is done in
     * @param  array<int, int>  $centre  where it is done; -1 = outside
     * @param  array<int, int>  $work  open minutes it takes there
     * @param  array<int, int>  $end
     * @param  array<int, int>  $out  when what waits for it may begin
     * @param  array<int, int>  $free  when machines are free behind each operation, as many as $wide for each
     * @param  array<int, int>  $set  what they are set up for then
     */
    public function __construct(
        public array $at,
        public array $pos,
        public array $prior,
        public array $behind,
        public array $way,
        public array $centre,
        public array $work,
        public array $end,
        public array $out,
        public array $free,
        public array $set,
        public int $wide,
    ) {
    }

    /** When an operation as it stands begins, if it is not kept up in between. */
    public function begins(int $x): int
    {
        return $this->end[$x] - $this->work[$x];
    }
}

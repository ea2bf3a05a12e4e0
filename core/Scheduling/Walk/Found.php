<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

/** What a walk found best. */
final readonly class Found
{
    /**
     * @param  list<int>  $order  operations, each behind those it waits for
     * @param  int  $cost  weighted minutes late, and what moved steps cost
     * @param  int  $flow  the sum of all finishes, in minutes from now
     * @param  bool  $isCut  it was told to end
     * @param  array<int, int>  $ways  by operation with several ways: the one it is done in
     */
    public function __construct(
        public array $order,
        public int $cost,
        public int $flow,
        public int $iterations,
        public bool $isCut,
        public array $ways = [],
    ) {
    }

    public function isBetterThan(?self $other): bool
    {
        return $other === null
            || $this->cost < $other->cost
            || ($this->cost === $other->cost && $this->flow < $other->flow);
    }
}

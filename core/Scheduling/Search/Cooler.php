<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Search;

/** Anneals a linear order of all operations. */
interface Cooler
{
    /**
     * One cooling from $hot to $cold, in weighted minutes late. With no iterations it works out what an order costs.
     *
     * @param  list<int>  $at  operations, each behind those it waits for
     * @param  array<int, int>  $ways  by operation: the one of its ways it is done in to begin with; of those that are
     *     not named the one that ends soonest
     * @param  callable(int, int): bool  $goOn  told the best cost and the iterations so far; false = end
     */
    public function cool(array $at, array $ways, int $iterations, float $hot, float $cold, callable $goOn): Found;
}

<?php

namespace App\Planner;

use KeepPace\Core\Scheduling\Plan\Comparison;

/** What a change of facts would do. */
final readonly class Effect
{
    /**
     * @param  list<string>  $lost  in words: the orders that would have no place any more
     * @param  array<int, array{string, string}>  $readiness  before and after, by order, of those it changes
     */
    public function __construct(public Comparison $comparison, public array $lost, public array $readiness)
    {
    }
}

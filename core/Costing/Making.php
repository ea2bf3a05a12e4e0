<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use KeepPace\Core\Structure\ComesBack;
use KeepPace\Core\Structure\Line;

/** How an item comes about here: what it takes, by which steps, how many usually at once, and what comes beside it. */
final readonly class Making
{
    /**
     * @param  list<Line>  $lines
     * @param  list<StepCost>  $steps
     * @param  BigDecimal  $usualLot  above 0
     * @param  list<ComesBack>  $comesBack
     * @param  BigDecimal|null  $worth  euros a stock unit, where co-products share the cost by value
     */
    public function __construct(
        public array $lines,
        public array $steps,
        public BigDecimal $usualLot,
        public array $comesBack = [],
        public ?BigDecimal $worth = null,
    ) {
    }
}

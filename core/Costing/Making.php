<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use KeepPace\Core\Structure\Line;

/** How an item comes about here: what it takes, by which steps, and how many are usually made at once. */
final readonly class Making
{
    /**
     * @param  list<Line>  $lines
     * @param  list<StepCost>  $steps
     * @param  BigDecimal  $usualLot  above 0
     */
    public function __construct(public array $lines, public array $steps, public BigDecimal $usualLot)
    {
    }
}

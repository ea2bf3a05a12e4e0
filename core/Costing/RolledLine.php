<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\Need;

/** What one line of a structure adds to the cost of what is made. */
final readonly class RolledLine
{
    /**
     * @param  ExactCost  $unit  of one stock unit of the component
     * @param  ExactCost  $cost  of what all pieces take of it
     */
    public function __construct(public Need $need, public ExactCost $unit, public ExactCost $cost)
    {
    }

    /** What a piece costs more, in cents, when the line asks for one stock unit more; with one fewer so much less. */
    public function oneMore(BigDecimal $pieces): BigRational
    {
        $taken = $this->need->takes->ratio->dividedBy($this->need->line->quantity);
        $more = $taken->multipliedBy($this->need->line->isCharged ? $this->unit->total() : 0);

        return ($this->need->takes->basis === LineBasis::PerOrder ? $more->dividedBy($pieces) : $more)->simplified();
    }
}

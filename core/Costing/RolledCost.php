<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;

/** What so many pieces of an item cost: what they take, line by line, and the work on them. */
final readonly class RolledCost
{
    /**
     * @param  list<RolledLine>  $lines  phantoms by what they are made of
     * @param  ExactCost  $work  of its own steps
     * @param  list<RolledBack>  $back  what comes back beside it
     */
    public function __construct(
        public BigDecimal $pieces,
        public array $lines,
        public ExactCost $work,
        public array $back = [],
    ) {
    }

    /** Of the pieces: what comes back is taken off. */
    public function total(): ExactCost
    {
        return array_reduce(
            $this->back,
            fn (ExactCost $left, RolledBack $back): ExactCost => $left->plus(
                $back->carries->times(BigRational::of(-1)),
            ),
            $this->gross(),
        );
    }

    /** All that goes in, with the work. */
    public function gross(): ExactCost
    {
        return array_reduce(
            $this->lines,
            fn (ExactCost $sum, RolledLine $line): ExactCost => $sum->plus($line->cost),
            $this->work,
        );
    }

    public function unit(): ExactCost
    {
        return $this->total()->times(BigRational::one()->dividedBy($this->pieces));
    }
}

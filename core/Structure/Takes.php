<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

use Brick\Math\BigRational;

/** What is taken of a component, exactly: so much for each piece, or so much for the order, what is lost included. */
final readonly class Takes
{
    /** @param  BigRational  $ratio  stock units, 0 or more */
    public function __construct(public BigRational $ratio, public LineBasis $basis)
    {
    }

    public static function onePiece(): self
    {
        return new self(BigRational::one(), LineBasis::PerUnit);
    }

    /** What a line takes where its parent is taken so: a line for the order asks once, however many there are. */
    public function by(Line $line): self
    {
        return $line->basis === LineBasis::PerOrder
            ? new self($line->neededFor(BigRational::one()), LineBasis::PerOrder)
            : new self($line->neededFor($this->ratio), $this->basis);
    }

    /** For so many pieces, before rounding. */
    public function for(BigRational $pieces): BigRational
    {
        return $this->basis === LineBasis::PerUnit ? $this->ratio->multipliedBy($pieces) : $this->ratio;
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

use Brick\Math\BigRational;

/** What one structure line asks for, phantoms between it and the product already passed through. */
final readonly class Need
{
    public function __construct(public Line $line, public BigRational $quantity, public ?int $step)
    {
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

use Brick\Math\BigRational;

/** What one structure line asks for, phantoms between it and the product already passed through. */
final readonly class Need
{
    /**
     * @param  BigRational  $quantity  for the pieces asked about
     * @param  Takes  $takes  for any number of pieces
     * @param  int|null  $step  of the product; null = the first
     * @param  PhantomUse|null  $through  the phantom it came through, the innermost
     */
    public function __construct(
        public Line $line,
        public BigRational $quantity,
        public ?int $step,
        public Takes $takes,
        public ?PhantomUse $through = null,
    ) {
    }
}

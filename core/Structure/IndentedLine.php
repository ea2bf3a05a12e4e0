<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

use Brick\Math\BigRational;

/** One line of an indented view. */
final readonly class IndentedLine
{
    /**
     * @param  int  $level  1 = of the item itself
     * @param  BigRational  $total  stock units for all pieces asked about, what is lost on the way included
     * @param  bool  $hasBelow  it is made of something itself
     * @param  bool  $isOpen  and that follows
     */
    public function __construct(
        public int $level,
        public Line $line,
        public BigRational $total,
        public bool $hasBelow,
        public bool $isOpen,
        public bool $isPhantom,
    ) {
    }
}

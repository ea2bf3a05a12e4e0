<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

/** A move: part of the line in a new order, and perhaps one operation of it in another of its ways. */
final class Stretch
{
    /**
     * @param  int  $from  its first place
     * @param  list<int>  $order  the operations that stand there, in their new order
     * @param  list<int>  $moved  those of them that move; the others keep their order
     * @param  OtherWay|null  $other  one of them goes to another way
     */
    public function __construct(
        public int $from,
        public array $order,
        public array $moved,
        public ?OtherWay $other = null,
    ) {
    }
}

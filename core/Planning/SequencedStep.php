<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use KeepPace\Core\Structure\PhantomUse;

/** A step of an order, and where it comes from: the product's routing, or the routing of a phantom in it. */
final readonly class SequencedStep
{
    /**
     * @param  int  $number  in its routing
     * @param  int  $as  in the order
     */
    public function __construct(public ?PhantomUse $use, public int $number, public int $as)
    {
    }
}

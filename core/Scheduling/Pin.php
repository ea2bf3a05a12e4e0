<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling;

/** A step a person has put somewhere: it stays at this UTC minute, on this machine of its work centre. */
final readonly class Pin
{
    public function __construct(public int $start, public int $machine)
    {
    }
}

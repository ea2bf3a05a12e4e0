<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling;

/**
 * A transfer batch: the next step begins when the first part is there, and late enough not to starve: its end is not
 * before this step's end, wait and move, and the time the next step takes for the last part. What goes outside goes
 * whole.
 */
final readonly class PassOn
{
    /**
     * @param  int  $first  open minutes of this step, from the start of its run, until the first part can be passed on
     * @param  int  $last  open minutes the next step takes for the last part
     */
    public function __construct(public int $first, public int $last)
    {
    }
}

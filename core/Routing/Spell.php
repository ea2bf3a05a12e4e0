<?php

declare(strict_types=1);

namespace KeepPace\Core\Routing;

use KeepPace\Core\Calendar\OpenWindows;

/**
 * The time between a start or a count of a step and its next count.
 *
 * Begun in open time it leaves out breaks, nights and closed days: a step left running over the week-end was not
 * worked at on Saturday. Begun in closed time it is overtime and counts as it stands.
 */
final readonly class Spell
{
    /**
     * @param  OpenWindows  $open  of the work centre, looked up at least over the spell
     * @param  int  $from  UTC minute
     * @param  int  $to  UTC minute, not before $from
     */
    public function __construct(private OpenWindows $open, private int $from, private int $to)
    {
    }

    /** Minutes a person worked at it. */
    public function worked(): int
    {
        return $this->open->isOpen($this->from)
            ? $this->open->minutesBetween($this->from, $this->to)
            : $this->elapsed();
    }

    /** Minutes the machine ran: unattended it goes on when the people have gone. */
    public function machine(bool $isUnattended): int
    {
        return $isUnattended ? $this->elapsed() : $this->worked();
    }

    private function elapsed(): int
    {
        return max(0, $this->to - $this->from);
    }
}

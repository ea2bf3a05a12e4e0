<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

use KeepPace\Core\Scheduling\Loading\Times;

/** The best place found so far for an operation, as Place::isBetterThan() has it: by machine, or in a load there. */
final class Choice
{
    public ?Times $times = null;

    /** The load it joins, if that is better. */
    public ?Spot $load = null;

    public int $machine = 0;

    public int $end = PHP_INT_MAX;

    /** Since when the machine is free. */
    private int $since = -1;

    public int $changeover = 0;

    public int $waited = -1;

    /** @param  int  $tried  the first minute that was looked at */
    public function __construct(public int $tried = PHP_INT_MAX)
    {
    }

    public function isTaken(): bool
    {
        return $this->end < PHP_INT_MAX;
    }

    public function join(int $machine, Spot $load): void
    {
        if ($this->isBetter($load->end, $load->start, $machine)) {
            $this->times = null;
            $this->load = $load;
            $this->machine = $machine;
            $this->end = $load->end;
            $this->since = $load->start;
            $this->changeover = 0;
            $this->waited = -1;
        }
    }

    public function offer(int $machine, Times $times, int $since, int $changeover, int $waited): void
    {
        if ($this->isBetter($times->end, $since, $machine)) {
            $this->times = $times;
            $this->load = null;
            $this->machine = $machine;
            $this->end = $times->end;
            $this->since = $since;
            $this->changeover = $changeover;
            $this->waited = $waited;
        }
    }

    /** On another machine that is alike and free by then it would stand the same: the one free last. */
    public function isAlikeOn(int $machine, int $free): bool
    {
        if ($this->times === null || $free > $this->times->start) {
            return false;
        }
        if ($this->isBetter($this->end, $free, $machine)) {
            $this->machine = $machine;
            $this->since = $free;
        }

        return true;
    }

    private function isBetter(int $end, int $since, int $machine): bool
    {
        return $end < $this->end || ($end === $this->end
            && ($since > $this->since || ($since === $this->since && $machine < $this->machine)));
    }
}

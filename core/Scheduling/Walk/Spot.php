<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

/**
 * Where an operation stands while a walk moves operations about, at a work centre where the rules of loading are asked.
 * Minutes from now. It is not changed, but not readonly either: that doubles the time to make one, and a search makes
 * millions.
 */
final class Spot
{
    /**
     * @param  int  $machine  its place in the work centre
     * @param  int  $changeover  minutes of it
     * @param  int  $firstOut  when its first part is out; -1 = it passes none on
     * @param  int  $tried  no minute before that was looked at
     * @param  int  $waited  until when it waited for people last; -1 = it did not
     * @param  int  $crew  -1 = none
     * @param  list<int>  $uses  when how many of the crew work, each a CrewUse
     * @param  Load|null  $load  what it begins or joins, where a machine takes several at once
     */
    public function __construct(
        public int $machine,
        public int $start,
        public int $end,
        public int $changeover,
        public int $firstOut,
        public int $tried = 0,
        public int $waited = -1,
        public int $crew = -1,
        public ?string $qualification = null,
        public array $uses = [],
        public ?Load $load = null,
    ) {
    }

    /** Whether it leaves to all others what another leaves them. */
    public function takesAsMuchAs(?self $other): bool
    {
        return $other !== null && $other->start === $this->start && $other->crew === $this->crew
            && $other->uses === $this->uses
            && ($this->load === null ? $other->load === null : $other->load !== null
                && $other->machine === $this->machine && $other->end === $this->end
                && $other->load->by === $this->load->by);
    }
}

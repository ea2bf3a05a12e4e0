<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Promise;

use KeepPace\Core\Scheduling\Schedule;

/** A date that could be promised, and what that would do to the others. */
final readonly class Promised
{
    /**
     * @param  int  $finish  UTC minute
     * @param  array<int, int>  $later  by job id: minutes late it would be more than it is
     */
    public function __construct(public int $finish, public array $later, public Schedule $schedule)
    {
    }

    public function harm(): int
    {
        return array_sum($this->later);
    }
}

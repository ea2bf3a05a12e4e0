<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

/** When something can be used, and what that rests on. */
final readonly class Arrival
{
    /**
     * @param  int  $at  UTC minute from which it can be used
     * @param  string|null  $given  "YYYY-MM-DD", the day that was given and has passed
     * @param  string|null  $on  "YYYY-MM-DD" on which it comes, where that is before it can be used
     */
    public function __construct(
        public int $at,
        public Expected $rests = Expected::Given,
        public ?string $given = null,
        public ?string $on = null,
    ) {
    }

    /** The day that was given has passed, or nobody stands by it any more. */
    public function isLate(): bool
    {
        return $this->rests === Expected::Overdue;
    }
}

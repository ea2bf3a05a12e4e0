<?php

namespace App\Queries\Demand;

/** One link in the chain of a customer line: what is done, by whom, how far it is, and what to do next. */
final readonly class ChainRow
{
    /**
     * @param  string  $who  does it
     * @param  bool  $isOutside  he is a supplier
     * @param  string  $pieces  how many are through, "4 of 10"
     * @param  string  $where  the others are
     * @param  string  $day  by when
     * @param  bool  $isLate  that has passed
     * @param  string  $next  what to do next; '' = nothing
     * @param  string|null  $address  where that is done
     */
    public function __construct(
        public string $what,
        public string $who,
        public bool $isOutside,
        public string $pieces,
        public string $where,
        public string $day,
        public bool $isLate = false,
        public bool $isDone = false,
        public string $next = '',
        public ?string $address = null,
    ) {
    }
}

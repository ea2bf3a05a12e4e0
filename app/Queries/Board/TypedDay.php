<?php

namespace App\Queries\Board;

/** A weekday of a calendar as it is typed: "07:00-15:30, 16:00-18:00". */
final readonly class TypedDay
{
    /** @param  int  $number  1 = Monday */
    public function __construct(
        public int $number,
        public string $name,
        public string $work,
        public string $breaks,
    ) {
    }
}

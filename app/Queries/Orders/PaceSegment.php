<?php

namespace App\Queries\Orders;

/** One step on a pace strip. */
final readonly class PaceSegment
{
    /** @param  float  $done share of the order's quantity counted at it, 0 to 1 */
    public function __construct(
        public int $number,
        public string $name,
        public int $minutes,
        public float $done,
        public bool $outside,
        public bool $running,
        public bool $here,
    ) {
    }
}

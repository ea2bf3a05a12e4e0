<?php

namespace App\Queries\Flow;

use Brick\Math\BigDecimal;

/** Something that comes or goes on one day. */
final readonly class DayRow
{
    /**
     * @param  string  $on  "YYYY-MM-DD", as it is said
     * @param  string  $with  the document: "purchase P-558/1", "line 10 of C-112"
     * @param  string  $to  where it is booked
     * @param  bool  $isReady  what goes is there; what comes has no such thing
     */
    public function __construct(
        public string $on,
        public string $partner,
        public string $item,
        public string $itemNumber,
        public BigDecimal $quantity,
        public string $unit,
        public string $with,
        public string $to,
        public bool $isReady = true,
    ) {
    }

    public function isBefore(string $day): bool
    {
        return $this->on < $day;
    }
}

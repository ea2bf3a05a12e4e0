<?php

namespace App\Actions\Stock;

use KeepPace\Core\Stock\Condition;

/** How goods came in, where it differs from the usual: today, free, our own. */
final readonly class Arrival
{
    /**
     * @param  string|null  $bookedOn  the day it counts for; null = today
     * @param  int  $owner  customer whose own material it is; 0 = ours
     * @param  string|null  $expiresOn  last good day of the lot
     */
    public function __construct(
        public Condition $as = Condition::Free,
        public int $owner = 0,
        public ?string $bookedOn = null,
        public ?string $expiresOn = null,
        public string $supplierLot = '',
    ) {
    }
}

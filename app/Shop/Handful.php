<?php

namespace App\Shop;

use KeepPace\Core\Planning\Arrival;

/** Pieces that went to a supplier together. */
final readonly class Handful
{
    /**
     * @param  string  $away  pieces of it still there
     * @param  Arrival  $back  when it is back
     * @param  int  $passed  how often a day that was given for it has passed
     * @param  string|null  $askAgainOn  nobody knows the day: it is asked for again then
     */
    public function __construct(
        public int $id,
        public string $away,
        public Arrival $back,
        public int $passed,
        public ?string $askAgainOn,
    ) {
    }
}

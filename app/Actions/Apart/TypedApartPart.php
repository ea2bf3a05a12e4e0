<?php

namespace App\Actions\Apart;

use KeepPace\Core\Stock\Grade;

/** A part that was taken out, as it was typed. */
final readonly class TypedApartPart
{
    /**
     * @param  string  $item  its number
     * @param  string  $percent  of what the unit and the work were worth
     * @param  string  $codes  lot, or serials one a line
     */
    public function __construct(
        public string $item,
        public string $quantity,
        public string $percent,
        public Grade $grade = Grade::Good,
        public string $codes = '',
    ) {
    }
}

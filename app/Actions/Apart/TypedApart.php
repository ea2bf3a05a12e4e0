<?php

namespace App\Actions\Apart;

/** A unit that was taken apart, as it was typed. */
final readonly class TypedApart
{
    /**
     * @param  int  $balance  of the unit
     * @param  int  $minutes  of work
     * @param  int|null  $workCentre  at whose rates; null = no work is charged
     * @param  int  $place  where the parts go
     * @param  array<int, TypedApartPart>  $parts  by row of the form
     */
    public function __construct(
        public int $balance,
        public int $minutes,
        public ?int $workCentre,
        public int $place,
        public array $parts,
    ) {
    }
}

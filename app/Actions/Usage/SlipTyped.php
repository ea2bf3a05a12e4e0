<?php

namespace App\Actions\Usage;

/** What was typed into a slip. */
final readonly class SlipTyped
{
    /**
     * @param  array<int, array{
     *     quantity?: ?string,
     *     unit?: ?string,
     *     reason?: ?string,
     *     out?: ?string,
     *     item?: ?string,
     *     splits?: array<int, array{code?: ?string, quantity?: ?string, place?: ?string}>,
     * }>  $lines  by line id; what is not sent stays
     * @param  string|null  $bookedOn  the day it counts for; null = the day it is booked
     */
    public function __construct(public array $lines = [], public string $note = '', public ?string $bookedOn = null)
    {
    }
}

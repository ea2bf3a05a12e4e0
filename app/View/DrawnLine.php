<?php

namespace App\View;

use App\Queries\Board\DrawnDay;

/** A day of the week's drawing, where it stands. */
final readonly class DrawnLine
{
    /**
     * @param  int  $y  of its bar
     * @param  int  $text  of what is written beside it
     * @param  list<array{float, float}>  $bars  left edge and width of what is open
     */
    public function __construct(
        public DrawnDay $day,
        public int $y,
        public int $text,
        public array $bars,
    ) {
    }

    public function hours(): string
    {
        return round($this->day->minutes / 60, 1).' h';
    }

    public function notes(): string
    {
        return implode(', ', $this->day->notes);
    }
}

<?php

namespace App\Queries\Board;

/** A length of a strip. */
final readonly class DrawnSpan
{
    public float $x;

    public float $width;

    public function __construct(public string $style, float $x, float $width, public string $title)
    {
        $this->x = round($x, 2);
        $this->width = round($width, 2);
    }
}

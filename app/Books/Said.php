<?php

namespace App\Books;

use DateTimeImmutable;

/** How a booking's sentence, which is read years later too, says a date. */
final class Said
{
    /** "Thu 3 Dec 2026" */
    public static function day(string $date): string
    {
        return (new DateTimeImmutable($date))->format('D j M Y');
    }
}

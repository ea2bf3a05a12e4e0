<?php

namespace App\Books;

use DateTimeImmutable;

/** How a booking's sentence, which is read years later too, says a date and money. */
final class Said
{
    /** "Thu 3 Dec 2026" */
    public static function day(string $date): string
    {
        return (new DateTimeImmutable($date))->format('D j M Y');
    }

    /** "1,234.50", of cents */
    public static function euros(int $cents): string
    {
        return number_format($cents / 100, 2);
    }
}

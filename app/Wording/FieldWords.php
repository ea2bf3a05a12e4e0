<?php

namespace App\Wording;

/** What is kept of a change, as it is read: a field, or what stood or stands in it. */
final class FieldWords
{
    private const DAY = '/^\d{4}-\d{2}-\d{2}$/';

    /** "Fri 4 Dec 2026" for the day that is kept as 2026-12-04; "nothing" for what is empty; else as it is. */
    public static function of(string $kept): string
    {
        return match (true) {
            $kept === '' => 'nothing',
            preg_match(self::DAY, $kept) === 1 => When::dayOf($kept),
            default => $kept,
        };
    }
}

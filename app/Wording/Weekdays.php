<?php

namespace App\Wording;

/** Days of the week in words. */
final class Weekdays
{
    public const SHORT = [1 => 'Mon', 2 => 'Tue', 3 => 'Wed', 4 => 'Thu', 5 => 'Fri', 6 => 'Sat', 7 => 'Sun'];

    /**
     * "on Mon and Thu"
     *
     * @param  list<int>  $days  1 = Monday
     * @return string '' = none, which stands for any
     */
    public static function says(array $days): string
    {
        $words = array_map(fn (int $day): string => self::SHORT[$day] ?? '', $days);
        $last = array_pop($words);

        return $last === null ? '' : 'on '.($words === [] ? $last : implode(', ', $words)." and {$last}");
    }
}

<?php

namespace App\Wording;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;

/** Amounts, money and durations as people read them. */
final class Figures
{
    public static function amount(?string $amount): string
    {
        return $amount === null ? '' : Amount::plain($amount);
    }

    /** Cents with a narrow space that does not break: "1 234.50". */
    public static function money(int $cents): string
    {
        return number_format($cents / 100, 2, '.', "\u{202F}");
    }

    /** Euros as an exact amount, two places at least: "14.20", "1 180.00", "45.1049". */
    public static function price(string $euros): string
    {
        [$whole, $part] = [...explode('.', Amount::plain($euros)), ''];
        $grouped = preg_replace('/(?<=\d)(?=(\d{3})+$)/', "\u{202F}", $whole);

        return $grouped.'.'.str_pad($part, 2, '0');
    }

    /** An amount of cents as it is typed: "7.5"; none is left empty. */
    public static function typedEuros(int $cents): string
    {
        return $cents === 0 ? '' : Amount::plain((string) BigDecimal::ofUnscaledValue($cents, 2));
    }

    /** "1 order", "3 orders" */
    public static function count(int $number, string $one): string
    {
        return $number === 1 ? "1 {$one}" : self::whole($number)." {$one}s";
    }

    /** "1 289" */
    public static function whole(int $number): string
    {
        return number_format($number, 0, '.', "\u{202F}");
    }

    /** Hours with one place: "12.5". */
    public static function hours(int $minutes): string
    {
        return number_format($minutes / 60, 1, '.', "\u{202F}");
    }

    /** "45 min", "3 h", "3 h 20" */
    public static function minutes(int $minutes): string
    {
        [$hours, $rest] = [intdiv(abs($minutes), 60), abs($minutes) % 60];
        $text = $hours === 0 ? "{$rest} min" : ($rest === 0 ? "{$hours} h" : "{$hours} h ".sprintf('%02d', $rest));

        return ($minutes < 0 ? '−' : '').$text;
    }

    /** By the clock: "3 h 20", from two days on "6 d 18 h 10". */
    public static function elapsed(int $minutes): string
    {
        $size = abs($minutes);
        if ($size < 2880) {
            return self::minutes($minutes);
        }
        $rest = $size % 1440 === 0 ? '' : ' '.self::minutes($size % 1440);

        return ($minutes < 0 ? '−' : '').intdiv($size, 1440)." d{$rest}";
    }

    /**
     * How far behind or ahead of its due time, in the plant's working time; of days the whole ones.
     *
     * @param  int  $late  minutes the plant works; below zero: ahead
     * @param  int  $day  minutes it works in a day
     */
    public static function pace(int $late, int $day): string
    {
        $minutes = abs($late);
        $much = $minutes < $day
            ? self::minutes((int) (ceil($minutes / 5) * 5))
            : self::count(intdiv($minutes, $day), 'working day');

        return match (true) {
            $late > 0 => "{$much} late",
            $late > -30 => 'just in time',
            default => "{$much} ahead",
        };
    }
}

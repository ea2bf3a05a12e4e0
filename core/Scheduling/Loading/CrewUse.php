<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

/**
 * So many of a crew from one minute to another, in one whole number: a search makes and compares millions of them. In
 * its innermost loops it reads them with these constants, elsewhere with from(), to() and number().
 */
final class CrewUse
{
    /** Bits below the end, and below the beginning. */
    public const END = 11;

    public const BEGIN = 37;

    /** What is left of it for a minute (127 years), and for people. */
    public const MINUTE = (1 << self::BEGIN - self::END) - 1;

    public const NUMBER = (1 << self::END) - 1;

    public static function of(int $from, int $to, int $number): int
    {
        return $from << self::BEGIN | $to << self::END | min($number, self::NUMBER);
    }

    public static function from(int $use): int
    {
        return $use >> self::BEGIN;
    }

    public static function to(int $use): int
    {
        return $use >> self::END & self::MINUTE;
    }

    public static function number(int $use): int
    {
        return $use & self::NUMBER;
    }
}

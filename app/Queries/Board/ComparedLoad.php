<?php

namespace App\Queries\Board;

/** The load of a work centre on some days, in two plans. */
final readonly class ComparedLoad
{
    /** @param  list<array{string, string}|null>  $days  percent before and after; null = closed, and nothing on it */
    private function __construct(public string $name, public array $days)
    {
    }

    /**
     * @param  list<int>  $before  minutes by day
     * @param  list<int>  $after
     * @param  list<int>  $capacity
     */
    public static function of(string $name, array $before, array $after, array $capacity): self
    {
        $days = [];
        foreach ($before as $day => $minutes) {
            $with = $after[$day] ?? 0;
            $open = $capacity[$day] ?? 0;
            $days[] = $open + $minutes + $with === 0
                ? null
                : [self::percent($minutes, $open), self::percent($with, $open)];
        }

        return new self($name, $days);
    }

    private static function percent(int $minutes, int $open): string
    {
        return $open === 0 ? '–' : (string) intdiv(100 * $minutes, $open);
    }
}

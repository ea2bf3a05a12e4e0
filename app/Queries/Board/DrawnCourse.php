<?php

namespace App\Queries\Board;

use App\Wording\Figures;
use Brick\Math\BigDecimal;

/** How the cost of a search fell, as lines: one for each of the searches that run beside one another. */
final readonly class DrawnCourse
{
    public const WIDTH = 620;

    public const HEIGHT = 150;

    /** Above and below the lines. */
    private const EDGE = 8;

    /**
     * @param  list<string>  $lines  points of a polyline each
     * @param  string  $top  what stands at the top: where it began
     * @param  string  $bottom  and at the bottom: the least so far
     */
    private function __construct(public array $lines, public string $top, public string $bottom)
    {
    }

    /** @param  string  $json  by search: [[tenths of a second, cost]] */
    public static function of(LastSearch $search, string $json): self
    {
        /** @var list<list<array{int, int}>> $courses */
        $courses = json_decode($json, true, flags: JSON_THROW_ON_ERROR);
        $ran = min(10 * $search->seconds, BigDecimal::of($search->ran)->multipliedBy(10)->toInt());
        $costs = array_merge(...array_map(fn (array $points): array => array_column($points, 1), $courses));
        $least = min([$search->costBefore, ...$costs]);
        $lines = [];
        foreach ($courses as $points) {
            $drawn = [];
            $y = self::y($search->costBefore, $search->costBefore, $least);
            foreach ($points as [$tenths, $cost]) {
                $x = self::x($tenths, $search->seconds);
                $drawn[] = "{$x},{$y}"; // it stood where it was until then
                $y = self::y($cost, $search->costBefore, $least);
                $drawn[] = "{$x},{$y}";
            }
            $drawn[] = self::x($ran, $search->seconds).",{$y}";
            $lines[] = implode(' ', $drawn);
        }

        return new self($lines, self::says($search->costBefore), self::says($least));
    }

    private static function says(int $cost): string
    {
        return Figures::hours($cost).' h';
    }

    private static function x(int $tenths, int $seconds): float
    {
        return round(self::WIDTH * min(1, $tenths / max(1, 10 * $seconds)), 1);
    }

    private static function y(int $cost, int $most, int $least): float
    {
        $part = $most === $least ? 1.0 : ($cost - $least) / ($most - $least);

        return round(self::EDGE + (self::HEIGHT - 2 * self::EDGE) * (1.0 - $part), 1);
    }
}

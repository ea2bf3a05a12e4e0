<?php

namespace App\Jobs;

use App\Planner\SearchNews;

/** How the cost of a search fell, seed by seed; kept short enough to be drawn and written again and again. */
final class SearchCourse
{
    /** More points than this of one seed are thinned by halves. */
    private const MOST = 160;

    /** @var array<int, list<array{int, int}>> by seed: tenths of a second, cost */
    private array $points = [];

    public function __construct(private readonly int $before)
    {
    }

    /** @param  list<SearchNews>  $news */
    public function add(float $ran, array $news): void
    {
        $at = (int) round(10 * $ran);
        foreach ($news as $n => $one) {
            $points = $this->points[$n] ?? [[0, $this->before]];
            $cost = min($this->before, $one->cost);
            if ($points[count($points) - 1][1] !== $cost) {
                $points[] = [$at, $cost];
            }
            $this->points[$n] = count($points) > self::MOST ? self::thinned($points) : $points;
        }
    }

    public function json(): string
    {
        return json_encode($this->points, JSON_THROW_ON_ERROR);
    }

    /**
     * @param  list<array{int, int}>  $points
     * @return list<array{int, int}>
     */
    private static function thinned(array $points): array
    {
        $last = count($points) - 1;

        return array_values(
            array_filter($points, fn (int $i): bool => $i % 2 === 0 || $i === $last, ARRAY_FILTER_USE_KEY),
        );
    }
}

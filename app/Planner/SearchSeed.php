<?php

namespace App\Planner;

use KeepPace\Core\Scheduling\Plan\ScheduleSearch;
use KeepPace\Core\Scheduling\Plan\Searched;
use KeepPace\Core\Scheduling\Schedule;

/** One search, by one seed, that says from time to time how far it is. */
final class SearchSeed
{
    /** Seconds between two news. */
    private const TELL = 0.4;

    /** Of the time asked for, this part is for starts; the rest is for making the best of them better. */
    private const STARTS = 0.1;

    private float $next = 0.0;

    private int $looked = PHP_INT_MAX;

    /** @var array<int, int> */
    private array $late = [];

    private function __construct(private readonly SearchTask $task)
    {
    }

    /** @param  callable(SearchNews): bool  $tell  false = it takes the best now */
    public static function run(SearchTask $task, callable $tell): Searched
    {
        $self = new self($task);
        $began = microtime(true);
        $ran = static fn (): float => microtime(true) - $began;

        return ScheduleSearch::solve(
            $task->problem,
            $task->plan,
            $task->seed,
            $task->iterations,
            fn (int $cost, int $done, callable $best): bool => $self->goesOn($cost, $done, $best, $ran(), $tell),
            $task->price,
            $task->isByTime() ? fn (): bool => $ran() < self::STARTS * $task->seconds : null,
        );
    }

    /**
     * @param  callable(): Schedule  $best
     * @param  callable(SearchNews): bool  $tell
     */
    private function goesOn(int $cost, int $done, callable $best, float $ran, callable $tell): bool
    {
        if ($ran >= $this->next) {
            if ($cost < $this->looked) {
                $this->looked = $cost;
                $this->late = $this->task->late($best());
            }
            $this->next = $ran + self::TELL;
            if (! $tell(new SearchNews($cost, $done, $this->late))) {
                return false;
            }
        }

        return $ran < $this->task->seconds;
    }
}

<?php

namespace App\Demo;

use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;

/**
 * The days of the story. It begins on a Monday and is moved by whole weeks, so it is the same story whenever it is
 * started; the day and hour of the start only say how far into its last week it is told.
 */
final readonly class StoryDays
{
    /** The story looks back from here: on which day of its last week everything is as it is meant to be seen. */
    private const SEEN_ON = 3; // Thursday, Monday being 0

    private function __construct(public CarbonImmutable $first, public CarbonImmutable $now, public int $weeks)
    {
    }

    /**
     * @param  CarbonImmutable  $now  in the plant's zone
     * @param  int  $weeks  whole ones before the running week
     */
    public static function until(CarbonImmutable $now, int $weeks): self
    {
        return new self($now->startOfWeek(CarbonInterface::MONDAY)->subWeeks($weeks), $now, $weeks);
    }

    /** @return \Generator<int, CarbonImmutable> midnight of each day by its number, the day of the start too */
    public function all(): \Generator
    {
        $today = $this->now->toDateString();
        $number = 0;
        for ($day = $this->first; $day->toDateString() <= $today; $day = $day->addDay()) {
            yield $number++ => $day;
        }
    }

    /** Days left to the one the story looks back from; none from then on. */
    public function left(int $number): int
    {
        return max(0, $this->weeks * 7 + self::SEEN_ON - $number);
    }

    /** When a deed of a day is done, or null when the start was before it. */
    public function at(CarbonImmutable $day, int $hour, int $minute): ?CarbonImmutable
    {
        $at = $day->setTime($hour, $minute);

        return $at < $this->now ? $at : null;
    }
}

<?php

namespace App\Planner;

use KeepPace\Core\Scheduling\Plan\Comparison;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\Plan\MovePrice;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;

/** What one search is to do, whole, so that a process of its own can do it without asking the database. */
final readonly class SearchTask
{
    /** A search that is limited by time never makes so many moves. */
    public const ENOUGH = 100_000_000;

    /**
     * @param  array<int, PlannedStep>  $plan  by step id: what stands
     * @param  int  $seconds  at most
     * @param  int  $iterations  at most; ENOUGH = by time alone
     */
    public function __construct(
        public Problem $problem,
        public array $plan,
        public int $seed,
        public int $seconds,
        public MovePrice $price,
        public int $iterations = self::ENOUGH,
    ) {
    }

    public function withSeed(int $seed): self
    {
        return new self($this->problem, $this->plan, $seed, $this->seconds, $this->price, $this->iterations);
    }

    /** The plan that stands, loaded. */
    public function stands(): Schedule
    {
        return KeptSequence::load($this->problem, $this->plan);
    }

    /** @return array<int, int> open minutes late by order in a schedule, only those late */
    public function late(Schedule $schedule): array
    {
        return Comparison::between($this->problem, $schedule, $schedule)->lateAfter;
    }

    public function isByTime(): bool
    {
        return $this->iterations === self::ENOUGH;
    }
}

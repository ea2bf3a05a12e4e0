<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;

/**
 * What plans are compared by: lateness and what moves cost; among equals who is late, then what moves, then time in
 * the shop.
 */
final readonly class PlanCost
{
    /**
     * @param  int  $cost  weighted minutes late, and what moved steps count
     * @param  int  $late  jobs that are late, or have lost their place
     * @param  int  $moved  steps that start at another minute or stand on another machine than in the plan that stands
     * @param  int  $time  the sum of all finishes
     */
    private function __construct(public int $cost, public int $late, public int $moved, public int $time)
    {
    }

    /**
     * @param  array<int, PlannedStep>  $plan  that stands, by step id
     */
    public static function of(Net $net, Schedule $schedule, array $plan, MovePrice $price): self
    {
        $cost = $late = $moved = $time = $paid = 0;
        foreach ($net->jobs as $j => $job) {
            $finish = $schedule->finish[$job->id] ?? null;
            $time += $finish ?? 0;
            $minutes = $finish === null || $job->due === null ? 0 : $net->late($j, $finish - $net->origin);
            $cost += $job->weight * $minutes;
            $late += $minutes > 0 || $finish === null ? 1 : 0;
        }
        foreach ($schedule->steps as $id => $at) {
            $was = $plan[$id] ?? null;
            $isMoved = $was !== null
                && [$was->start, $was->machine, $was->workCentre] !== [$at->start, $at->machine, $at->workCentre];
            $moved += $isMoved ? 1 : 0;
            $paid += $isMoved ? $price->ofStep($id) : 0;
        }

        return new self($cost + $paid, $late, $moved, $time);
    }

    /** What a plan costs that stands, in which nothing is moved. */
    public static function standing(Problem $problem, Schedule $schedule): int
    {
        return self::of(Net::of($problem), $schedule, $schedule->steps, new MovePrice)->cost;
    }

    /** Whether it is worth moving anything for: less late, or as late and fewer orders. */
    public function isGainOn(self $other): bool
    {
        return [$this->cost, $this->late] < [$other->cost, $other->late];
    }

    public function isBetterThan(self $other): bool
    {
        return [$this->cost, $this->late, $this->moved, $this->time] < [
            $other->cost,
            $other->late,
            $other->moved,
            $other->time,
        ];
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Scheduling\Loading\Loading;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;
use KeepPace\Core\Scheduling\Search\TardinessSearch;

/** Searches a better plan than the one that stands. Only a person starts this. */
final class ScheduleSearch
{
    /** Tries to move less, and operations loaded for them in all: what it may take beyond the time of the search. */
    private const CALMED = 80;

    private const CALMED_LOADED = 60_000;

    /**
     * @param  array<int, PlannedStep>  $plan  by step id: the plan that stands; it stays a candidate
     * @param  callable(int, int): bool  $goOn  told the least cost and the iterations so far; false = take the best now
     * @param  int  $movedWeight  what a step that starts at another time than planned costs, in weighted minutes late
     */
    public static function solve(
        Problem $problem,
        array $plan,
        int $seed,
        int $iterations,
        callable $goOn,
        int $movedWeight = 0,
    ): Searched {
        $net = Net::of($problem);
        $order = KeptSequence::orderOf($net, $plan);
        $was = [];
        foreach ($net->step as $x => $step) {
            if (isset($plan[$step->id])) {
                $was[$x] = $plan[$step->id]->start - $net->origin;
            }
        }
        $found = TardinessSearch::solve(
            $net,
            $seed,
            $iterations,
            $goOn,
            $order,
            self::fixed($net, $plan, $order),
            $movedWeight > 0 ? $was : [],
            $movedWeight,
            self::ways($net, $plan),
        );

        $stands = KeptSequence::load($problem, $plan);
        $before = PlanCost::of($net, $stands, $plan, $movedWeight);
        $best = Loading::load($net, $found->order, only: $found->ways);
        $isBetter = PlanCost::of($net, $best, $plan, $movedWeight)->isGainOn($before);
        $best = $isBetter ? self::calmed($net, $best, $plan, $movedWeight) : $stands;

        return new Searched(
            $best,
            PlanCost::of($net, $best, $plan, $movedWeight)->cost,
            $seed,
            $found->iterations,
            $isBetter,
        );
    }

    /**
     * The same gain with fewer steps moved: work centre by work centre, then job by job, what stood before is tried
     * again, and kept where nothing is lost by it.
     *
     * @param  array<int, PlannedStep>  $plan
     */
    private static function calmed(Net $net, Schedule $best, array $plan, int $movedWeight): Schedule
    {
        $cost = PlanCost::of($net, $best, $plan, $movedWeight);
        $groups = [];
        foreach ($net->step as $x => $step) {
            if (
                isset($plan[$step->id], $best->steps[$step->id])
                && $plan[$step->id]->start !== $best->steps[$step->id]->start
            ) {
                $groups["centre {$net->centre[$x]}"][$step->id] = $plan[$step->id];
                $groups["job {$net->job[$x]}"][$step->id] = $plan[$step->id];
            }
        }
        ksort($groups); // work centres first
        foreach (array_slice(
            $groups,
            0,
            min(self::CALMED, intdiv(self::CALMED_LOADED, max(1, $net->count))),
        ) as $group) {
            $keys = array_replace($best->steps, $group);
            $one = Loading::load($net, KeptSequence::orderOf($net, $keys), $keys);
            $oneCost = PlanCost::of($net, $one, $plan, $movedWeight);
            if ($oneCost->isBetterThan($cost)) {
                [$best, $cost] = [$one, $oneCost];
            }
        }

        return $best;
    }

    /**
     * In which of its ways the plan has an operation done.
     *
     * @param  array<int, PlannedStep>  $plan
     * @return array<int, int>
     */
    private static function ways(Net $net, array $plan): array
    {
        $ways = [];
        foreach ($net->step as $x => $step) {
            $centre = $plan[$step->id]->workCentre ?? null;
            foreach ($centre === null ? [] : $net->ways[$x] as $n => $way) {
                if ($net->centreKey[$way->centre] === $centre) {
                    $ways[$x] = $n;
                }
            }
        }

        return $ways;
    }

    /**
     * What runs, what is planned to start within its work centre's fence, and what that waits for.
     *
     * @param  array<int, PlannedStep>  $plan
     * @param  list<int>  $order
     * @return list<int> in the order of the plan
     */
    private static function fixed(Net $net, array $plan, array $order): array
    {
        $fixed = [];
        $fix = static function (int $x) use (&$fix, &$fixed, $net): void {
            if (! isset($fixed[$x])) {
                $fixed[$x] = true;
                array_map($fix, $net->before[$x]);
            }
        };
        foreach ($net->step as $x => $step) {
            $fence = $step->workCentre === null ? 0 : $net->problem->workCentres[$step->workCentre]->fence;
            if ($step->started || (isset($plan[$step->id]) && $plan[$step->id]->start < $fence)) {
                $fix($x);
            }
        }

        return array_values(array_filter($order, static fn (int $x): bool => isset($fixed[$x])));
    }
}

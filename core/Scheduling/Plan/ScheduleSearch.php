<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Scheduling\Loading\Loading;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;
use KeepPace\Core\Scheduling\Search\TardinessSearch;
use KeepPace\Core\Scheduling\Walk\Found;
use KeepPace\Core\Scheduling\Walk\Stands;

/** Searches a better plan than the one that stands. Only a person starts this. */
final class ScheduleSearch
{
    /** Tries to move less, and operations loaded for them in all: what it may take beyond the time of the search. */
    private const CALMED = 80;

    private const CALMED_LOADED = 60_000;

    /**
     * @param  array<int, PlannedStep>  $plan  by step id: the plan that stands; it stays a candidate
     * @param  callable(int, int, callable(): Schedule): bool  $goOn  told the least cost, the iterations so far and how
     *     to get at the best plan kept so far; false = take the best now
     * @param  MovePrice  $price  what a step that starts at another time than planned costs
     * @param  (callable(): bool)|null  $mayBegin  as of TardinessSearch
     * @param  int  $calmed  operations loaded at most to move fewer of them for the same gain
     */
    public static function solve(
        Problem $problem,
        array $plan,
        int $seed,
        int $iterations,
        callable $goOn,
        MovePrice $price = new MovePrice,
        ?callable $mayBegin = null,
        int $calmed = self::CALMED_LOADED,
    ): Searched {
        $net = Net::of($problem);
        $order = KeptSequence::orderOf($net, $plan);
        $stands = KeptSequence::load($problem, $plan);
        $found = TardinessSearch::solve(
            $net,
            $seed,
            $iterations,
            static fn (int $cost, int $done, ?Found $best): bool => $goOn(
                $cost,
                $done,
                static fn (): Schedule => $best === null
                    ? $stands
                    : Loading::load($net, $best->order, only: $best->ways),
            ),
            new Stands($order, self::fixed($net, $plan, $order), self::ways($net, $plan), ...$price->of($net, $plan)),
            $mayBegin,
        );
        $before = PlanCost::of($net, $stands, $plan, $price);
        $best = Loading::load($net, $found->order, only: $found->ways);
        $isBetter = PlanCost::of($net, $best, $plan, $price)->isGainOn($before);
        $best = $isBetter ? self::calmed($net, $best, $plan, $price, $calmed) : $stands;

        return new Searched(
            $best,
            PlanCost::of($net, $best, $plan, $price)->cost,
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
    private static function calmed(
        Net $net,
        Schedule $best,
        array $plan,
        MovePrice $price,
        int $loaded,
    ): Schedule {
        $cost = PlanCost::of($net, $best, $plan, $price);
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
            min(self::CALMED, intdiv($loaded, max(1, $net->count))),
        ) as $group) {
            $keys = array_replace($best->steps, $group);
            $one = Loading::load($net, KeptSequence::orderOf($net, $keys), $keys);
            $oneCost = PlanCost::of($net, $one, $plan, $price);
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

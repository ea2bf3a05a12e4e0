<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Lever;

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Alternative;
use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\PassOn;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;

/** What a supervisor can do about a late order, each as a changed problem. */
final class Levers
{
    /** @param  OpenWindows  $open  the work centre's hours with the shift that is added */
    public static function overtime(Problem $problem, int $workCentre, OpenWindows $open): Problem
    {
        $centre = $problem->workCentres[$workCentre];

        return self::withCentre(
            $problem,
            $workCentre,
            new WorkCentre(
                $centre->name,
                $centre->machines,
                $open,
                $centre->ownOpen,
                $centre->batch,
                $centre->changeovers,
                $centre->familyNow,
                $centre->fence,
            ),
        );
    }

    public static function secondMachine(Problem $problem, int $workCentre): Problem
    {
        $centre = $problem->workCentres[$workCentre];

        return self::withCentre(
            $problem,
            $workCentre,
            new WorkCentre(
                $centre->name,
                $centre->machines + 1,
                $centre->open,
                $centre->ownOpen,
                $centre->batch,
                $centre->changeovers,
                $centre->familyNow,
                $centre->fence,
            ),
        );
    }

    /** The step may be done on another work centre too, where that ends sooner. */
    public static function otherWorkCentre(Problem $problem, int $step, Alternative $other): Problem
    {
        return self::withSteps(
            $problem,
            static fn (Step $one): Step => $one->id === $step
                ? self::step($one, alternatives: [...$one->alternatives, $other])
                : $one,
        );
    }

    /** A step is done on another work centre its routing allows. */
    public static function moveTo(Problem $problem, int $step, int $workCentre): Problem
    {
        return self::withSteps($problem, static function (Step $one) use ($step, $workCentre): Step {
            foreach ($one->id === $step ? $one->alternatives : [] as $other) {
                if ($other->workCentre === $workCentre) {
                    return new Step(
                        $one->id,
                        $workCentre,
                        $other->minutes,
                        $one->wait,
                        $one->move,
                        $one->materialAt,
                        $one->afterJobs,
                        $one->started,
                        $other->setup,
                        $one->setupNeedsMaterial,
                        $one->setupWithRun,
                        $one->unbroken,
                        $one->family,
                        $one->size,
                        $other->crewing,
                        [],
                        $one->passOn,
                        null,
                        $one->lead,
                        $one->heldBackTo,
                    );
                }
            }

            return $one;
        });
    }

    /** @param  int  $minutes  the supplier's lead time, in his calendar or elapsed */
    public static function sendOut(Problem $problem, int $step, int $minutes, ?OpenWindows $lead = null): Problem
    {
        return self::withSteps(
            $problem,
            static fn (Step $one): Step => $one->id === $step
                ? new Step(
                    $one->id,
                    null,
                    $minutes,
                    $one->wait,
                    $one->move,
                    $one->materialAt,
                    $one->afterJobs,
                    lead: $lead,
                )
                : $one,
        );
    }

    /**
     * A step a supplier was to do is done on a work centre here.
     *
     * @param  array{int, int}  $minutes  open minutes of setup and of run
     */
    public static function bringIn(
        Problem $problem,
        int $step,
        int $workCentre,
        array $minutes,
        ?Crewing $crewing,
    ): Problem {
        return self::withSteps(
            $problem,
            static fn (Step $one): Step => $one->id === $step
                ? new Step(
                    $one->id,
                    $workCentre,
                    $minutes[1],
                    $one->wait,
                    $one->move,
                    $one->materialAt,
                    $one->afterJobs,
                    setup: $minutes[0],
                    setupNeedsMaterial: true,
                    crewing: $crewing,
                    heldBackTo: $one->heldBackTo,
                )
                : $one,
        );
    }

    /**
     * Material of some steps comes otherwise.
     *
     * @param  array<int, array{int, list<int>}>  $steps  by step: not before this minute, after these jobs
     */
    public static function material(Problem $problem, array $steps): Problem
    {
        return self::withSteps(
            $problem,
            static fn (Step $one): Step => isset($steps[$one->id])
                ? $one->suppliedAt($steps[$one->id][0], $steps[$one->id][1])
                : $one,
        );
    }

    /**
     * What material() needs to make of one problem what another is, in material.
     *
     * @return array<int, array{int, list<int>}> by step, of those that differ
     */
    public static function materialOf(Problem $problem, Problem $other): array
    {
        $was = [];
        foreach ($problem->jobs as $job) {
            foreach ($job->steps as $step) {
                $was[$step->id] = [$step->materialAt, $step->afterJobs];
            }
        }
        $differs = [];
        foreach ($other->jobs as $job) {
            foreach ($job->steps as $step) {
                $is = [$step->materialAt, $step->afterJobs];
                if (isset($was[$step->id]) && $was[$step->id] !== $is) {
                    $differs[$step->id] = $is;
                }
            }
        }

        return $differs;
    }

    /** The order goes through in two halves: each step begins when the first half is there. */
    public static function split(Problem $problem, int $job): Problem
    {
        $halves = [];
        foreach ($problem->jobs as $one) {
            foreach ($one->id === $job ? $one->steps : [] as $at => $step) {
                $halves[$step->id] = new PassOn(
                    intdiv($step->minutes + 1, 2),
                    intdiv(($one->steps[$at + 1]->minutes ?? 0) + 1, 2),
                );
            }
        }

        return self::withSteps(
            $problem,
            static fn (Step $one): Step => isset($halves[$one->id]) && $one->passOn === null
                ? self::step($one, passOn: $halves[$one->id])
                : $one,
        );
    }

    /** Before all others, in rank and in what its lateness counts. */
    public static function raiseRank(Problem $problem, int $job): Problem
    {
        $best = min([0, ...array_map(static fn (Job $one): int => $one->rank, $problem->jobs)]) - 1;

        return new Problem(
            $problem->now,
            $problem->workCentres,
            array_map(
                static fn (Job $one): Job => $one->id === $job
                    ? new Job($one->id, $one->name, $best, $one->due, $one->steps, 10 * max(1, $one->weight))
                    : $one,
                $problem->jobs,
            ),
            $problem->crews,
            $problem->lateIn,
        );
    }

    private static function withCentre(Problem $problem, int $key, WorkCentre $centre): Problem
    {
        return new Problem(
            $problem->now,
            array_replace($problem->workCentres, [$key => $centre]),
            $problem->jobs,
            $problem->crews,
            $problem->lateIn,
        );
    }

    /** @param  callable(Step): Step  $change */
    private static function withSteps(Problem $problem, callable $change): Problem
    {
        return new Problem(
            $problem->now,
            $problem->workCentres,
            array_map(
                static fn (Job $job): Job => new Job(
                    $job->id,
                    $job->name,
                    $job->rank,
                    $job->due,
                    array_map($change, $job->steps),
                    $job->weight,
                ),
                $problem->jobs,
            ),
            $problem->crews,
            $problem->lateIn,
        );
    }

    /** @param  list<Alternative>|null  $alternatives */
    private static function step(Step $one, ?array $alternatives = null, ?PassOn $passOn = null): Step
    {
        return new Step(
            $one->id,
            $one->workCentre,
            $one->minutes,
            $one->wait,
            $one->move,
            $one->materialAt,
            $one->afterJobs,
            $one->started,
            $one->setup,
            $one->setupNeedsMaterial,
            $one->setupWithRun,
            $one->unbroken,
            $one->family,
            $one->size,
            $one->crewing,
            $alternatives ?? $one->alternatives,
            $passOn ?? $one->passOn,
            $one->pin,
            $one->lead,
            $one->heldBackTo,
        );
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Loading\Loading;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;

/**
 * Backward from the due dates: each step as late as it can be. The shop is turned round in time and loaded forward;
 * then all is
 * loaded forward as it is, none before its latest start, which mends what ran past now or could not be seen the other
 * way round (crews, families, batches).
 */
final class BackwardLoading
{
    /** @var array<int, int> by step id: latest start */
    private array $latest = [];

    private readonly int $far;

    private function __construct(private readonly Problem $problem)
    {
        $dues = array_filter(array_map(static fn (Job $job): ?int => $job->due, $problem->jobs), is_int(...));
        $this->far = max($problem->now, ...$dues, ...[0]);
    }

    public static function load(Problem $problem): Schedule
    {
        $self = new self($problem);
        $self->turned();
        $jobs = [];
        $early = [];
        foreach ($problem->jobs as $job) {
            $steps = [];
            foreach ($job->steps as $step) {
                $start = $self->latest[$step->id] ?? $problem->now;
                $early += $start < $problem->now && $job->due !== null ? [$job->name => true] : [];
                $steps[] = $step->heldBack($start);
            }
            $jobs[] = new Job($job->id, $job->name, $job->rank, $job->due, $steps, $job->weight);
        }
        $net = Net::of(new Problem($problem->now, $problem->workCentres, $jobs, $problem->crews, $problem->lateIn));
        $schedule = Loading::load($net, $self->order($net), gaps: true);
        $notes = array_map(
            static fn (
                string $name,
            ): string => "Backward from its due date {$name} would have begun before now; it is loaded forward.",
            array_keys($early),
        );

        return new Schedule($schedule->steps, $schedule->finish, $schedule->unplaced, [...$schedule->notes, ...$notes]);
    }

    /**
     * By latest start, each behind what it needs.
     *
     * @return list<int>
     */
    private function order(Net $net): array
    {
        $starts = [];
        foreach ($net->step as $step) {
            $starts[$step->id] = new PlannedStep($this->latest[$step->id] ?? $this->far, 0, null);
        }

        return KeptSequence::orderOf($net, $starts);
    }

    /**
     * Loads the shop turned round. Jobs are cut where they wait for others, for those wait for what comes after the
     * cut.
     */
    private function turned(): void
    {
        $parts = [];
        $lastPart = $waitedFor = [];
        $id = 0;
        foreach ($this->problem->jobs as $j => $job) {
            $part = [];
            for ($at = count($job->steps) - 1; $at >= 0; $at--) {
                $part[] = $at;
                if ($at === 0 || $job->steps[$at]->afterJobs !== []) {
                    $parts[++$id] = [$j, $part, $lastPart[$job->id] ?? null];
                    $lastPart[$job->id] = $id;
                    foreach ($job->steps[$at]->afterJobs as $other) {
                        $waitedFor[$other][] = $id;
                    }
                    $part = [];
                }
            }
        }
        $jobs = [];
        foreach ($parts as $key => [$j, $places, $before]) {
            $job = $this->problem->jobs[$j];
            $isLast = $places[0] === count($job->steps) - 1;
            $first = [...$before === null ? [] : [$before], ...$isLast ? $waitedFor[$job->id] ?? [] : []];
            $steps = [];
            foreach ($places as $n => $at) {
                array_push($steps, ...$this->steps($job, $at, $n === 0 ? $first : []));
            }
            $jobs[] = new Job($key, $job->name, $job->rank, $this->far - ($job->due ?? $this->far), $steps);
        }
        foreach (ForwardLoading::load(new Problem(0, $this->turnedCentres(), $jobs))->steps as $step => $at) {
            $this->latest[$step] = $this->far - $at->end;
        }
    }

    /** @return array<int, WorkCentre> open when they are open, seen from the far end */
    private function turnedCentres(): array
    {
        $centres = [];
        foreach ($this->problem->workCentres as $key => $centre) {
            $spans = [];
            foreach ($centre->open->starts as $i => $start) {
                $spans[] = [$this->far - $centre->open->ends[$i], $this->far - $start];
            }
            $from = $spans === [] ? 0 : min(array_column($spans, 0));
            $to = $spans === [] ? 0 : max(array_column($spans, 1));
            $centres[$key] = new WorkCentre($centre->name, $centre->machines, OpenWindows::of($spans, [], $from, $to));
        }

        return $centres;
    }

    /**
     * A step turned round, and before it the time that passes between it and the next.
     *
     * @param  list<int>  $after
     * @return list<Step>
     */
    private function steps(Job $job, int $at, array $after): array
    {
        $step = $job->steps[$at];
        $gap = $step->wait + $step->move;
        $from = $at === count($job->steps) - 1 && $job->due !== null ? $this->far - $job->due : 0;
        $turned = new Step(
            $step->id,
            $step->workCentre,
            $step->minutes + $step->setup,
            materialAt: $from,
            afterJobs: $after,
        );

        return $gap === 0
            ? [$turned]
            : [
                new Step(-$step->id, null, $gap, materialAt: $from, afterJobs: $after),
                new Step($step->id, $step->workCentre, $step->minutes + $step->setup),
            ];
    }
}

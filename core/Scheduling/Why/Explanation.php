<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Why;

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;
use KeepPace\Core\Scheduling\Step;

/**
 * Why an order is finished when it is: from its completion back to now, what each minute went into. The stretches
 * follow one another
 * without gap or overlap, so their minutes add up to completion minus now. Where two things bind at once, the step
 * before of the same order comes first, then the part with the lowest number, then the material.
 */
final class Explanation
{
    /** @var array<int, Job> by step id */
    private array $jobOf = [];

    /** @var array<int, int> by step id: its place in the job */
    private array $place = [];

    /** @var array<int, Job> */
    private array $jobs = [];

    /** @var array<string, list<array{int, int, int}>> by machine: start, end, step, in order of time */
    private array $machines = [];

    /** @var list<Stretch> from the completion back */
    private array $stretches = [];

    /** Everything from here on is explained. */
    private int $at = 0;

    private function __construct(private readonly Problem $problem, private readonly Schedule $schedule)
    {
        foreach ($problem->jobs as $job) {
            $this->jobs[$job->id] = $job;
            foreach ($job->steps as $place => $step) {
                $this->jobOf[$step->id] = $job;
                $this->place[$step->id] = $place;
                $at = $schedule->steps[$step->id] ?? null;
                if ($at !== null && $at->machine !== null) {
                    $this->machines[$this->machine($step, $at)][] = [$at->start, $at->end, $step->id];
                }
            }
        }
        foreach ($this->machines as $machine => $blocks) {
            sort($blocks);
            $this->machines[$machine] = $blocks;
        }
    }

    /** @return list<Stretch> in order of time; none when the job has no place in the schedule */
    public static function of(Problem $problem, Schedule $schedule, int $job): array
    {
        $self = new self($problem, $schedule);
        if (! isset($schedule->finish[$job], $self->jobs[$job])) {
            return [];
        }
        $self->at = $schedule->finish[$job];
        $step = $self->last($self->jobs[$job]);
        for ($guard = count($self->jobOf); $step !== null && $self->at > $problem->now && $guard >= 0; $guard--) {
            $step = $self->step($step);
        }

        return array_reverse($self->stretches);
    }

    /**
     * Explains a step and what it waited for.
     *
     * @return Step|null what to go on with
     */
    private function step(Step $step): ?Step
    {
        $at = $this->schedule->steps[$step->id];
        if ($at->machine === null) {
            $this->fill($at->end, Cause::StepTime, $step);
            $this->fill($at->start, Cause::Supplier, $step);

            return $step->started ? null : $this->before($step, $at->start);
        }
        $this->after($step, $at);
        // set up ahead of the material, it waited for that with the run; else with the setup
        $waits = ($at->runStart ?? $at->start) > ($at->setupEnd ?? $at->start)
            || (! $step->setupNeedsMaterial && $at->setupEnd > $at->start);
        $begin = $waits && $this->ready($step) > $at->start ? $at->runStart ?? $at->start : $at->start;
        $this->work($step, $at, $begin);
        $this->queue($step, $at, $step->started ? $this->problem->now : $this->ready($step));

        return $step->started ? null : $this->before($step, $this->at);
    }

    /** The wait and the move after a step. */
    private function after(Step $step, PlannedStep $at): void
    {
        $open = $this->problem->workCentres[$at->workCentre ?? ($step->workCentre ?? 0)]->open;
        $this->cut(
            min($this->at, max($at->end + $step->wait, $at->end)),
            $step,
            fn (int $from, int $to): array => self::parts($open, $from, $to),
        );
        $this->fill($at->end, Cause::StepTime, $step);
    }

    private function work(Step $step, PlannedStep $at, int $begin): void
    {
        $centre = $this->problem->workCentres[$at->workCentre ?? $step->workCentre ?? 0];
        $open = $centre->ownOpen[$at->machine ?? 0] ?? $centre->open;
        $runStart = $at->runStart ?? $at->start;
        $needs = [[max($begin, $runStart), $step->crewing->run ?? 0], [$begin, $step->crewing->setup ?? 0]];
        foreach ($needs as [$from, $number]) {
            $this->cut($from, $step, function (int $from, int $to) use ($open, $step, $number): array {
                $parts = [];
                foreach (self::parts($open, $from, $to) as [$a, $b, $cause]) {
                    array_push(
                        $parts,
                        ...$cause === Cause::StepTime && $number > 0
                            ? $this->crewed($step, $number, $a, $b)
                            : [[$a, $b, $cause]],
                    );
                }

                return $parts;
            });
        }
    }

    /** What stood on the machine while the step was ready and waited. */
    private function queue(Step $step, PlannedStep $at, int $ready): void
    {
        $centre = $this->problem->workCentres[$at->workCentre ?? $step->workCentre ?? 0];
        $open = $centre->ownOpen[$at->machine ?? 0] ?? $centre->open;
        foreach (array_reverse($this->machines[$this->machine($step, $at)] ?? []) as [$start, $end, $other]) {
            if ($other === $step->id || $start >= $this->at || $end <= $ready || $this->at <= $ready) {
                continue;
            }
            $this->cut(
                max($ready, min($end, $this->at)),
                $step,
                fn (int $from, int $to): array => $this->idle($open, $step, $from, $to),
            );
            $this->fill(max($ready, $start), Cause::MachineBusy, $step, $this->jobOf[$other]->id);
        }
        $this->cut($ready, $step, fn (int $from, int $to): array => $this->idle($open, $step, $from, $to));
    }

    /** @return list<array{int, int, Cause}> */
    private function idle(OpenWindows $open, Step $step, int $from, int $to): array
    {
        return array_map(
            static fn (array $part): array => [
                $part[0],
                $part[1],
                $part[2] === Cause::ClosedTime
                    ? Cause::ClosedTime
                    : ($step->crewing !== null
                        ? Cause::Crew
                        : Cause::Sequence),
            ],
            self::parts($open, $from, $to),
        );
    }

    /** What a step waited for until a minute, and the stretch up to that if it is material. */
    private function before(Step $step, int $ready): ?Step
    {
        $latest = null;
        $out = $this->problem->now;
        foreach ($this->needs($step) as $other) {
            $there = $this->there($other, $step);
            if ($there > $out) {
                $out = $there;
                $latest = $other;
            }
        }
        if ($step->heldBackTo >= $ready) {
            $this->fill(max($out, min($ready, $step->materialAt)), Cause::HeldBack, $step);
        }
        if ($out < $ready) {
            $this->fill($out, Cause::Material, $step);
        }

        return $latest;
    }

    private function ready(Step $step): int
    {
        return max(
            $this->problem->now,
            $step->materialAt,
            $step->heldBackTo,
            ...array_map(fn (Step $other): int => $this->there($other, $step), $this->needs($step)),
        );
    }

    /** @return list<Step> the step before first, then the last steps of other orders by number */
    private function needs(Step $step): array
    {
        $needs = [];
        $before = $this->jobOf[$step->id]->steps[$this->place[$step->id] - 1] ?? null;
        if ($before !== null && isset($this->schedule->steps[$before->id])) {
            $needs[] = $before;
        }
        $others = $step->afterJobs;
        sort($others);
        foreach ($others as $other) {
            $last = isset($this->jobs[$other]) ? $this->last($this->jobs[$other]) : null;
            if ($last !== null) {
                $needs[] = $last;
            }
        }

        return $needs;
    }

    /** When what a step made, or the first part of it, is there for another. */
    private function there(Step $step, Step $for): int
    {
        $at = $this->schedule->steps[$step->id];
        $end = $at->end;
        if (
            $step->passOn !== null
            && $at->machine !== null
            && $for->workCentre !== null
            && $this->jobOf[$for->id] === $this->jobOf[$step->id]
        ) {
            // its own start bounds it: the first part is there no later than the next step began
            $next = $this->schedule->steps[$for->id];

            return max($at->start, min($end, $next->runStart ?? $next->start));
        }
        if ($step->workCentre === null || $step->move === 0) {
            return $end + $step->wait + $step->move;
        }

        return $this->problem->workCentres[$at->workCentre ?? $step->workCentre]->open->finish(
            $end + $step->wait,
            $step->move,
        )
            ?? $end + $step->wait + $step->move;
    }

    private function last(Job $job): ?Step
    {
        $last = null;
        $out = PHP_INT_MIN;
        foreach ($job->steps as $step) {
            if (isset($this->schedule->steps[$step->id]) && $this->schedule->steps[$step->id]->end >= $out) {
                $last = $step;
                $out = $this->schedule->steps[$step->id]->end;
            }
        }

        return $last;
    }

    /** Everything back to a minute, into one cause. */
    private function fill(int $from, Cause $cause, Step $step, ?int $byJob = null): void
    {
        $from = max($from, $this->problem->now);
        if ($from < $this->at) {
            $this->stretches[] = new Stretch($from, $this->at, $cause, $step->id, $byJob);
            $this->at = $from;
        }
    }

    /** @param  callable(int, int): list<array{int, int, Cause}>  $parts  in order of time, without gaps */
    private function cut(int $from, Step $step, callable $parts): void
    {
        $from = max($from, $this->problem->now);
        foreach ($from < $this->at ? array_reverse($parts($from, $this->at)) : [] as [$start, , $cause]) {
            $this->fill($start, $cause, $step);
        }
    }

    /** @return list<array{int, int, Cause}> open time as step time, the rest as closed */
    private static function parts(OpenWindows $open, int $from, int $to): array
    {
        $parts = [];
        foreach ($open->starts as $i => $start) {
            if ($open->ends[$i] <= $from || $start >= $to) {
                continue;
            }
            if ($start > $from) {
                $parts[] = [$from, $start, Cause::ClosedTime];
            }
            $parts[] = [max($from, $start), min($to, $open->ends[$i]), Cause::StepTime];
            $from = min($to, $open->ends[$i]);
        }
        if ($from < $to) {
            $parts[] = [$from, $to, Cause::ClosedTime];
        }

        return $parts;
    }

    /** @return list<array{int, int, Cause}> open time, by whether enough of the crew are there */
    private function crewed(Step $step, int $number, int $from, int $to): array
    {
        $edges = [$from => true];
        $persons = $this->problem->crews[$step->crewing->crew ?? 0]->persons ?? [];
        foreach ($persons as $person) {
            foreach ([...$person->present->starts, ...$person->present->ends] as $edge) {
                if ($edge > $from && $edge < $to) {
                    $edges[$edge] = true;
                }
            }
        }
        ksort($edges);
        $edges = [...array_keys($edges), $to];
        $parts = [];
        for ($i = 0; $i < count($edges) - 1; $i++) {
            $there = count(
                array_filter(
                    $persons,
                    static fn ($person): bool => $person->present->isOpen($edges[$i])
                        && ($step->crewing?->qualification === null
                            || in_array($step->crewing->qualification, $person->qualifications, true)),
                ),
            );
            $parts[] = [$edges[$i], $edges[$i + 1], $there >= $number ? Cause::StepTime : Cause::Crew];
        }

        return $parts;
    }

    private function machine(Step $step, PlannedStep $at): string
    {
        return ($at->workCentre ?? $step->workCentre).'/'.$at->machine;
    }
}

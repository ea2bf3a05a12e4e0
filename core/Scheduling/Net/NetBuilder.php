<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Net;

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Alternative;
use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;

/** Makes the net of a problem; what cannot be scheduled is named and left out, with what needs it. */
final class NetBuilder
{
    public readonly Net $net;

    /** @var array<int, int> number of each work centre, by its key */
    private array $number = [];

    /** @var array<int, Job> by id */
    private array $jobs = [];

    /** @var array<int, int> by job id: its number, once it stands in the net */
    private array $placed = [];

    /** @var array<int, true> jobs on the way down, to see a loop */
    private array $path = [];

    /** @var array<int, Windows> */
    private array $windows = [];

    /** @var array<int, array{int, int}> by work centre */
    private array $hours = [];

    private readonly CrewRule $crews;

    public function __construct(private readonly Problem $problem)
    {
        $this->net = new Net($problem);
        $this->net->origin = $problem->now;
        $this->net->lateIn = $problem->lateIn === null ? null : $this->windows($problem->lateIn);
        foreach ($problem->workCentres as $key => $centre) {
            $this->number[$key] = count($this->net->centreKey);
            $this->net->centreKey[] = $key;
            $this->net->machines[] = $centre->machines;
            $this->net->open[] = $this->windows($centre->open);
            if ($centre->ownOpen !== []) {
                $this->own($this->number[$key], $centre);
            }
        }
        foreach ($problem->jobs as $job) {
            $this->jobs[$job->id] = $job;
        }
        $this->crews = new CrewRule($problem);
        foreach ($problem->workCentres as $key => $centre) {
            $centre->batch === 0 ?: $this->crews->ask($this->number[$key]);
        }
        foreach ($problem->jobs as $job) {
            $this->job($job);
        }
        $this->crews->apply($this->net);
        $this->net->after = array_fill(0, $this->net->count, []);
        foreach ($this->net->before as $operation => $before) {
            foreach ($before as $other) {
                $this->net->after[$other][] = $operation;
            }
        }
    }

    public function windows(OpenWindows $open): Windows
    {
        return $this->windows[spl_object_id($open)] ??= Windows::of($open, $this->problem->now);
    }

    private function job(Job $job): void
    {
        if (isset($this->placed[$job->id]) || isset($this->net->unplaced[$job->id])) {
            return;
        }
        if (isset($this->path[$job->id])) {
            $names = array_map(fn (int $id): string => $this->jobs[$id]->name, array_keys($this->path));
            $loop = array_slice($names, (int) array_search($job->name, $names, true));
            $this->net->unplaced[$job->id] =
                implode(', which waits for ', [...$loop, $job->name]).'. Untie one of them.';

            return;
        }
        $this->path[$job->id] = true;
        foreach ($job->steps as $step) {
            foreach ($step->afterJobs as $other) {
                if (isset($this->jobs[$other])) {
                    $this->job($this->jobs[$other]);
                }
            }
        }
        unset($this->path[$job->id]);
        if (! isset($this->net->unplaced[$job->id])) {
            $this->add($job);
        }
    }

    private function add(Job $job): void
    {
        $net = $this->net;
        $number = count($net->jobs);
        $this->placed[$job->id] = $number;
        $net->jobs[] = $job;
        $net->due[] = $job->due === null ? Windows::NEVER * 4 : $job->due - $net->origin;
        $net->dueOpen[] =
            $job->due === null || $net->lateIn === null ? 0 : $net->lateIn->total(max(0, $job->due - $net->origin));
        $net->operations[] = $tails = [];
        foreach ($job->steps as $at => $step) {
            $fault = $this->fault($job, $step);
            if ($fault !== null) {
                $net->unplaced[$job->id] = $fault;
                break;
            }
            $tails = $this->addStep($number, $step, $tails);
            $this->seeRules($step, $job->steps[$at + 1] ?? null);
        }
        $net->tails[] = $tails;
        if ($job->due !== null && $job->due < $net->origin && ! isset($net->unplaced[$job->id])) {
            $net->notes[] = "{$job->name} was due before now.";
        }
    }

    /**
     * @param  int  $job  its number in the net
     * @param  list<int>  $tails  operations it waits for in its own job
     * @return list<int> those the next one waits for
     */
    private function addStep(int $job, Step $step, array $tails): array
    {
        $net = $this->net;
        $operation = $net->count++;
        $before = $step->started ? [] : $tails;
        foreach ($step->started ? [] : $step->afterJobs as $other) {
            array_push($before, ...isset($this->placed[$other]) ? $net->tails[$this->placed[$other]] : []);
        }
        $net->operations[$job][] = $operation;
        $net->step[] = $step;
        $net->job[] = $job;
        $net->before[] = array_values(array_unique($before));
        $net->centre[] = $step->workCentre === null ? -1 : $this->number[$step->workCentre];
        $net->work[] = max(1, $step->minutes + ($step->workCentre === null ? 0 : $step->setup));
        $net->ahead[] = $step->setupNeedsMaterial || $step->started || $step->workCentre === null ? 0 : $step->setup;
        $net->release[] = $step->started ? 0 : max(0, max($step->materialAt, $step->heldBackTo) - $net->origin);
        $net->ways[] = $step->workCentre === null ? [] : $this->ways($step);
        $net->lead[] = $step->lead === null ? null : $this->windows($step->lead);

        return $step->started ? [...$tails, $operation] : [$operation];
    }

    private function own(int $number, WorkCentre $centre): void
    {
        for ($machine = 1; $machine <= $centre->machines; $machine++) {
            if (isset($centre->ownOpen[$machine])) {
                $this->net->ownOpen[$number][$machine] = $this->windows($centre->ownOpen[$machine]);
            }
            $this->net->machineOpen[$number][] = $this->net->machineHours($number, $machine);
        }
    }

    /** @return list<Way> the first is the one of the routing */
    private function ways(Step $step): array
    {
        $ways = [];
        if ($step->workCentre !== null && isset($this->number[$step->workCentre])) {
            $ways[] = $this->way($step, $step->workCentre, $step->setup, $step->minutes, $step->crewing);
        }
        foreach ($step->alternatives as $one) {
            if (isset($this->number[$one->workCentre])) {
                $ways[] = $this->way($step, $one->workCentre, $one->setup, $one->minutes, $one->crewing);
            }
        }

        return $ways;
    }

    private function way(Step $step, int $centre, int $setup, int $minutes, ?Crewing $crewing): Way
    {
        $way = new Way($this->number[$centre], $setup, $minutes, $crewing);
        $changeovers = $this->problem->workCentres[$centre]->changeovers;
        $isChanged = ! $step->started && ($changeovers?->longestTo($step->family) ?? 0) > 0;
        $this->crews->see($way, $isChanged);

        return $way;
    }

    /** Where a step is of a kind that a walk does not work out by itself, the rules of loading are asked. */
    private function seeRules(Step $step, ?Step $next): void
    {
        $isPinned = $step->pin !== null && $step->workCentre !== null && $step->crewing !== null;
        if ($step->setupWithRun || $step->unbroken || $isPinned) {
            $this->ask($step);
        }
        if ($step->passOn !== null && $next !== null && self::isManned($step, $next)) {
            $this->ask($step, $next);
        }
    }

    private function ask(Step ...$steps): void
    {
        foreach ($steps as $step) {
            $centres = array_map(static fn (Alternative $one): int => $one->workCentre, $step->alternatives);
            foreach ([$step->workCentre, ...$centres] as $centre) {
                if ($centre !== null && isset($this->number[$centre])) {
                    $this->crews->ask($this->number[$centre]);
                }
            }
        }
    }

    /** Whether people are asked for at any of these steps, wherever it is done. */
    private static function isManned(Step ...$steps): bool
    {
        foreach ($steps as $step) {
            $needs = array_map(static fn (Alternative $one): ?Crewing => $one->crewing, $step->alternatives);
            if (array_filter([$step->crewing, ...$needs]) !== []) {
                return true;
            }
        }

        return false;
    }

    private function fault(Job $job, Step $step): ?string
    {
        foreach ($step->afterJobs as $other) {
            if (isset($this->net->unplaced[$other])) {
                return "{$job->name} needs {$this->jobs[$other]->name}, which has no place in the schedule.";
            }
        }
        if ($step->workCentre === null) {
            return null;
        }
        $faults = [$this->centreFault($job, $step, $step->workCentre, $step->setup + $step->minutes)];
        foreach ($step->alternatives as $alternative) {
            $faults[] = $this->centreFault(
                $job,
                $step,
                $alternative->workCentre,
                $alternative->setup + $alternative->minutes,
            );
        }

        return in_array(null, $faults, true) ? null : $faults[0];
    }

    private function centreFault(Job $job, Step $step, int $key, int $minutes): ?string
    {
        $centre = $this->problem->workCentres[$key] ?? null;
        if ($centre === null || $centre->machines < 1) {
            return ($centre->name ?? 'A work centre that is not there')." has no machine, and {$job->name} needs one.";
        }
        if ($centre->batch > 0 && $step->size > $centre->batch) {
            return "{$job->name} is a batch of {$step->size}, and {$centre->name} takes {$centre->batch} at once.";
        }
        $minutes = max(1, $minutes);
        [$most, $longest] = $this->hours[$key] ??= $this->hours($centre);
        if ($most < $minutes) {
            return $most === 0
                ? "{$centre->name} has no open time ahead, and {$job->name} needs {$minutes} minutes of it."
                : "{$centre->name} has only {$most} minutes open time ahead, and {$job->name} needs {$minutes}.";
        }
        if ($step->unbroken && $step->crewing === null && $longest < $minutes) {
            return "{$job->name} needs {$minutes} minutes at {$centre->name} without a break; "
                ."its longest open time is {$longest}.";
        }

        return $this->crewFault($job, $step, $centre);
    }

    /** @return array{int, int} open minutes of its best machine, and its longest open time */
    private function hours(WorkCentre $centre): array
    {
        $most = $longest = 0;
        foreach ([$centre->open, ...$centre->ownOpen] as $open) {
            $windows = $this->windows($open);
            $most = max($most, $windows->before[$windows->last]);
            $longest = max($longest, $windows->longest());
        }

        return [$most, $longest];
    }

    private function crewFault(Job $job, Step $step, WorkCentre $centre): ?string
    {
        $need = $step->crewing;
        if ($need === null || ($most = max($need->setup, $need->run)) === 0) {
            return null;
        }
        $crew = $this->problem->crews[$need->crew] ?? null;
        $able = array_filter(
            $crew->persons ?? [],
            static fn ($person): bool => $need->qualification === null
                || in_array($need->qualification, $person->qualifications, true),
        );

        return count($able) >= $most
            ? null
            : "{$job->name} needs {$most} of "
                    .($crew->name ?? 'a crew that is not there')
                    .($need->qualification === null ? '' : " qualified for {$need->qualification}")
                    ." at {$centre->name}; there are "
                    .count($able)
                    .'.';
    }
}

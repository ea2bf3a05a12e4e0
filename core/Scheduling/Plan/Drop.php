<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;

/** Putting a step at a minute on a machine: what speaks against it. */
final readonly class Drop
{
    private function __construct(
        private Problem $problem,
        private Job $job,
        private Step $step,
        private Put $put,
    ) {
    }

    /** @return self|null null when the step is not in the problem */
    public static function of(Problem $problem, Put $put): ?self
    {
        foreach ($problem->jobs as $job) {
            foreach ($job->steps as $one) {
                if ($one->id === $put->step) {
                    return new self($problem, $job, $one, $put);
                }
            }
        }

        return null;
    }

    /** Why it cannot stand on that machine at any time; null = it can. */
    public function impossible(): ?string
    {
        $centre = $this->problem->workCentres[$this->put->workCentre] ?? null;
        if ($this->step->workCentre === null) {
            return 'This step is done at a supplier; it begins when the pieces get there.';
        }
        if ($this->step->started) {
            return 'It is running, so it stays where it is.';
        }
        if ($centre === null || $this->put->machine < 1 || $this->put->machine > $centre->machines) {
            return ($centre->name ?? 'That work centre').' has no such machine.';
        }
        if ($this->put->workCentre !== $this->step->workCentre && $this->minutesThere() === null) {
            $can = array_map(fn (int $key): string => $this->problem->workCentres[$key]->name, [
                $this->step->workCentre,
                ...array_map(static fn ($other): int => $other->workCentre, $this->step->alternatives),
            ]);

            return "{$centre->name} cannot do this step; ".implode(' or ', array_unique($can)).' can.';
        }

        return null;
    }

    /**
     * Why it would not begin at that minute.
     *
     * @param  array<int, PlannedStep>  $plan  by step id
     * @return list<string>
     */
    public function against(array $plan): array
    {
        $centre = $this->problem->workCentres[$this->put->workCentre] ?? null;
        $open = $centre === null ? null : $centre->ownOpen[$this->put->machine] ?? $centre->open;
        $against = [];
        if ($this->put->minute < $this->problem->now) {
            $against[] = 'That is in the past.';
        } elseif ($open?->isOpen($this->put->minute) === false) {
            $against[] = "{$centre->name} is closed then.";
        }
        if ($this->step->materialAt > $this->put->minute) {
            $against[] = 'Its material is not there by then.';
        }
        $before = null;
        foreach ($this->job->steps as $one) {
            if ($one->id === $this->step->id) {
                break;
            }
            $before = $one;
        }
        if ($before !== null && ($plan[$before->id]->end ?? 0) > $this->put->minute) {
            $against[] = 'The step ahead of it is not done by then.';
        }
        foreach ($this->problem->jobs as $job) {
            if (in_array($job->id, $this->step->afterJobs, true) && $job->steps !== []
                && ($plan[$job->steps[count($job->steps) - 1]->id]->end ?? 0) > $this->put->minute) {
                $against[] = "The parts of {$job->name} are not done by then.";
            }
        }

        return $against;
    }

    /** Open minutes it takes there, setup and run; null where it cannot be done. */
    public function minutesThere(): ?int
    {
        if ($this->put->workCentre === $this->step->workCentre) {
            return $this->step->setup + $this->step->minutes;
        }
        foreach ($this->step->alternatives as $other) {
            if ($other->workCentre === $this->put->workCentre) {
                return $other->setup + $other->minutes;
            }
        }

        return null;
    }
}

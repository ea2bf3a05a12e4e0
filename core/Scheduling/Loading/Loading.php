<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Net\Windows;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Schedule;

/**
 * Finite loading, operation by operation, with every rule of the shop: started and pinned ones stand, each other goes
 * where it ends soonest, behind what stands on its machine or, if asked, in a gap.
 */
final class Loading
{
    private readonly Placing $placing;

    /** @var array<int, Place> by operation */
    private array $places = [];

    /** @var array<int, array{int, int}> by operation done outside: start, end */
    private array $outside = [];

    /** @var array<int, int> by operation: when what waits for it may begin */
    private array $out = [];

    /** @var array<int, string> by job id */
    private array $unplaced;

    /** @var list<string> */
    private array $notes;

    /**
     * @param  array<int, PlannedStep>  $was  by step id: the machine a step keeps
     * @param  array<int, int>  $only  by operation: the one of its ways it is done in
     * @param  array<int, true>  $loose  pinned operations that cannot stand where they are pinned
     */
    private function __construct(
        private readonly Net $net,
        array $was,
        array $only,
        private array $loose,
    ) {
        $this->unplaced = $net->unplaced;
        $this->notes = $net->notes;
        $this->placing = new Placing($net, $was, $only);
        foreach ($net->step as $x => $step) {
            if ($step->started) {
                $this->operation($x, false);
            }
        }
        foreach (array_keys($loose) as $x) {
            $name = $net->jobs[$net->job[$x]]->name;
            $this->notes[] = "{$name} is pinned to a time before what it needs is there; it stands later.";
        }
        $this->pinAll();
    }

    /** In order of time: each is set up for after the one before it. */
    private function pinAll(): void
    {
        $pins = [];
        foreach ($this->net->step as $x => $step) {
            if ($step->pin !== null && ! $step->started && ! isset($this->loose[$x])) {
                $pins[$x] = $step->pin->start;
            }
        }
        asort($pins);
        foreach (array_keys($pins) as $x) {
            $this->pin($x);
        }
    }

    /**
     * Loads operations in an order, each behind what stands on its machine; those that may fill gaps, in the first gap
     * they fit in.
     *
     * @param  list<int>  $order
     * @param  array<int, PlannedStep>  $was  by step id: the machine a step keeps
     * @param  bool|array<int, true>  $gaps  all of them, none, or these operations
     * @param  array<int, int>  $only  by operation: the one of its ways it is done in
     */
    public static function load(
        Net $net,
        array $order,
        array $was = [],
        bool|array $gaps = false,
        array $only = [],
    ): Schedule {
        $loose = [];
        do {
            $self = new self($net, $was, $only, $loose);
            foreach ($order as $operation) {
                $self->operation($operation, is_array($gaps) ? isset($gaps[$operation]) : $gaps);
            }
            // a pin that came too early: once more without it, for others stand around it
            $again = count($self->loose) > count($loose);
            $loose = $self->loose;
        } while ($again);

        return $self->schedule();
    }

    /**
     * Where pinned operations stand whatever is loaded around them.
     *
     * @return array<int, Pinned> by operation
     */
    public static function pins(Net $net): array
    {
        $self = new self($net, [], [], []);
        $pinned = [];
        foreach ($self->places as $x => $place) {
            if ($net->step[$x]->pin !== null && ! $net->step[$x]->started) {
                $pinned[$x] = new Pinned(
                    $self->placing->indexOf($place->machine),
                    $place->block->start,
                    $place->block->runStart,
                    $place->block->end,
                    $self->neededBy($x, $place->block),
                    $self->firstOut($x, $place),
                    $place->block->changeover,
                    $place->times->uses ?? [],
                );
            }
        }

        return $pinned;
    }

    /** When what a step needs must be there for it to stand where it stands. */
    private function neededBy(int $x, Block $block): int
    {
        return $this->net->step[$x]->setupNeedsMaterial || $block->setup === 0 ? $block->start : $block->runStart;
    }

    private function schedule(): Schedule
    {
        $origin = $this->net->origin;
        $steps = $finish = [];
        foreach ($this->net->step as $x => $step) {
            if (isset($this->outside[$x])) {
                $steps[$step->id] = new PlannedStep(
                    $origin + $this->outside[$x][0],
                    $origin + $this->outside[$x][1],
                    null,
                );
            } elseif (isset($this->places[$x]) && isset($this->out[$x])) {
                $place = $this->places[$x];
                $steps[$step->id] = new PlannedStep(
                    $origin + $place->block->start,
                    $origin + $place->block->end,
                    $place->machine->number,
                    $this->net->centreKey[$place->machine->centre],
                    $origin + $place->block->setupEnd,
                    $origin + $place->block->runStart,
                );
            }
        }
        foreach ($this->net->jobs as $j => $job) {
            if (! isset($this->unplaced[$job->id])) {
                $last = 0;
                foreach ($this->net->tails[$j] as $x) {
                    $last = max($last, $this->out[$x] ?? 0);
                }
                $finish[$job->id] = $origin + $last;
            }
        }

        return new Schedule($steps, $finish, $this->unplaced, $this->notes);
    }

    private function operation(int $x, bool $gaps): void
    {
        if (isset($this->out[$x]) || ! $this->hasAllBefore($x)) {
            return;
        }
        $arrival = $this->arrival($x);
        if ($this->net->centre[$x] < 0) {
            $this->sendOut($x, $arrival->ready);

            return;
        }
        $place = isset($this->places[$x]) ? $this->pinned($x, $arrival) : $this->where($x, $arrival, $gaps);
        if ($place === null) {
            $centre = $this->net->problem->workCentres[$this->net->centreKey[$this->net->centre[$x]]];
            $this->fail($x, "{$centre->name} has no open time ahead for the {$this->net->work[$x]} minutes it needs");

            return;
        }
        $this->put($x, $place, ! $gaps);
        $this->out[$x] = $this->net->out($x, $place->block->end, $place->machine->centre);
    }

    private function sendOut(int $x, int $ready): void
    {
        $lead = $this->net->lead[$x];
        $end = $lead === null ? $ready + $this->net->work[$x] : $lead->finish($ready, $this->net->work[$x]);
        if ($end >= Windows::NEVER) {
            $this->fail($x, 'its supplier works no more');

            return;
        }
        $this->outside[$x] = [$ready, $end];
        $this->out[$x] = $this->net->out($x, $end);
    }

    /** A pinned one on its machine and not before its time; any other where it ends soonest. */
    private function where(int $x, Arrival $arrival, bool $gaps): ?Place
    {
        $pin = $this->net->step[$x]->pin;

        return $pin === null
            ? $this->placing->best($x, $arrival, $gaps)
            : $this->placing->best($x, $arrival, $gaps, max(0, $pin->start - $this->net->origin), $pin->machine);
    }

    private function put(int $x, Place $place, bool $behind): void
    {
        $already = isset($this->places[$x]) && $this->places[$x] === $place;
        $this->places[$x] = $place;
        if ($behind && $place->times !== null) {
            $place->machine->floor = max($place->machine->floor, $place->block->end);
        }
        if ($place->times === null) {
            $place->block->room -= $this->net->step[$x]->size;
        }
        if (! $already && $place->times !== null) {
            $this->placing->take($place->block, $place->machine, $place->times);
        }
    }

    private function hasAllBefore(int $x): bool
    {
        foreach ($this->net->before[$x] as $y) {
            if (! isset($this->out[$y])) {
                $job = $this->net->jobs[$this->net->job[$x]];
                $other = $this->net->jobs[$this->net->job[$y]];
                $this->unplaced[$job->id] ??=
                    $job === $other
                        ? "{$job->name}: the step before has no place in the schedule."
                        : "{$job->name} needs {$other->name}, which has no place in the schedule.";

                return false;
            }
        }

        return true;
    }

    private function arrival(int $x): Arrival
    {
        $ready = $this->net->release[$x];
        $lasts = [];
        foreach ($this->net->before[$x] as $y) {
            $pass = $this->net->step[$y]->passOn;
            if (
                $pass === null
                || $this->net->centre[$x] < 0
                || $this->net->job[$y] !== $this->net->job[$x]
                || ! isset($this->places[$y])
            ) {
                $ready = max($ready, $this->out[$y]);

                continue;
            }
            $place = $this->places[$y];
            $ready = max($ready, $this->net->out($y, $this->firstOut($y, $place), $place->machine->centre));
            $lasts[] = [$this->out[$y], $pass->last];
        }

        return new Arrival($ready, $lasts);
    }

    /** When its first part is through; its end where it passes none on. */
    private function firstOut(int $x, Place $place): int
    {
        $block = $place->block;
        $pass = $this->net->step[$x]->passOn;

        return $pass === null
            ? $block->end
            : min($block->end, $this->placing->runHours($place)->finish($block->runStart, $pass->first));
    }

    private function fail(int $x, string $why): void
    {
        $job = $this->net->jobs[$this->net->job[$x]];
        $this->unplaced[$job->id] ??= "{$job->name}: {$why}.";
    }

    /** Keeps the place of a pinned operation before any other is loaded. */
    private function pin(int $x): void
    {
        $pin = $this->net->step[$x]->pin;
        $place = $pin === null
            ? null
            : $this->where($x, new Arrival(max(0, $pin->start - $this->net->origin)), true);
        if ($place !== null) {
            $this->put($x, $place, false);
        }
    }

    /** A pinned operation stands where it is pinned, unless what it needs comes later. */
    private function pinned(int $x, Arrival $arrival): Place
    {
        $place = $this->places[$x];
        if (
            $this->neededBy($x, $place->block) < $arrival->ready
            || $place->block->end < $arrival->atLeast($place->machine->open)
        ) {
            $this->loose[$x] = true;
        }

        return $place;
    }
}

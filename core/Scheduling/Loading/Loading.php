<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Net\UsefulMachines;
use KeepPace\Core\Scheduling\Net\Way;
use KeepPace\Core\Scheduling\Net\Windows;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Schedule;

/**
 * Finite loading, operation by operation, with every rule of the shop: started and pinned ones stand, each other goes
 * where it ends soonest, behind what stands on its machine or, if asked, in a gap.
 */
final class Loading
{
    /** @var list<list<Machine>> by work centre */
    private array $machines = [];

    /** @var array<int, CrewBook> */
    private array $crews = [];

    private readonly Calendars $calendars;

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
        private readonly array $was,
        private readonly array $only,
        private array $loose,
    ) {
        $this->unplaced = $net->unplaced;
        $this->notes = $net->notes;
        $ground = Ground::of($net);
        foreach ($ground->crews as $key => $crew) {
            $this->crews[$key] = new CrewBook($crew);
        }
        $this->calendars = $ground->calendars;
        foreach ($net->centreKey as $c => $key) {
            $centre = $net->problem->workCentres[$key];
            $this->machines[$c] = [];
            for ($number = 1, $useful = UsefulMachines::of($net, $c, $was); $number <= $useful; $number++) {
                $open = $net->machineHours($c, $number);
                $this->machines[$c][] = new Machine($c, $number, $open, $centre->familyNow[$number] ?? null);
            }
        }
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
                $machine = (int) array_search($place->machine, $self->machines[$place->machine->centre], true);
                $pinned[$x] = new Pinned(
                    $machine,
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
        [$ready, $lasts] = $this->arrivals($x);
        if ($this->net->centre[$x] < 0) {
            $lead = $this->net->lead[$x];
            $end = $lead === null ? $ready + $this->net->work[$x] : $lead->finish($ready, $this->net->work[$x]);
            $end >= Windows::NEVER
                ? $this->fail($x, 'its supplier works no more')
                : ($this->outside[$x] = [$ready, $end]);
            if (isset($this->outside[$x])) {
                $this->out[$x] = $this->net->out($x, $end);
            }

            return;
        }
        $pin = $this->net->step[$x]->pin;
        $place = isset($this->places[$x]) ? $this->pinned($x, $ready, $lasts)
            : ($pin === null ? $this->best($x, $ready, $lasts, $gaps, 0)
                : $this->best($x, $ready, $lasts, $gaps, max(0, $pin->start - $this->net->origin), $pin->machine));
        if ($place === null) {
            $centre = $this->net->problem->workCentres[$this->net->centreKey[$this->net->centre[$x]]];
            $this->fail($x, "{$centre->name} has no open time ahead for the {$this->net->work[$x]} minutes it needs");

            return;
        }
        $this->put($x, $place, ! $gaps);
        $this->out[$x] = $this->net->out($x, $place->block->end, $place->machine->centre);
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
        if ($already || $place->times === null) {
            return;
        }
        $place->machine->add($place->block);
        $block = $place->block;
        foreach ($place->times->uses as $use) {
            if ($block->crewing !== null && isset($this->crews[$block->crewing->crew])) {
                $this->crews[$block->crewing->crew]->take($use, $block->crewing->qualification);
            }
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

    /**
     * When it may begin; and of steps that pass on parts, when the last part comes and how long that takes here.
     *
     * @return array{int, list<array{int, int}>}
     */
    private function arrivals(int $x): array
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

        return [$ready, $lasts];
    }

    /** When its first part is through; its end where it passes none on. */
    private function firstOut(int $x, Place $place): int
    {
        $block = $place->block;
        $open = $this->opens($place->machine, new Way($place->machine->centre, 0, 0, $block->crewing))[1];
        $pass = $this->net->step[$x]->passOn;

        return $pass === null ? $block->end : min($block->end, $open->finish($block->runStart, $pass->first));
    }

    private function fail(int $x, string $why): void
    {
        $job = $this->net->jobs[$this->net->job[$x]];
        $this->unplaced[$job->id] ??= "{$job->name}: {$why}.";
    }

    /**
     * @param  list<array{int, int}>  $lasts
     * @param  int|null  $only  on this machine of the work centre of the routing
     */
    private function best(int $x, int $ready, array $lasts, bool $gaps, int $notBefore, ?int $only = null): ?Place
    {
        $kept = $only === null ? $this->kept($x) : null;
        $best = null;
        foreach ($this->net->ways[$x] as $n => $way) {
            if ($n !== ($this->only[$x] ?? $n)) {
                continue;
            }
            foreach ($this->machines[$way->centre] as $machine) {
                if (
                    ($kept === null || $kept === $machine)
                    && ($only === null || ($n === 0 && $machine->number === $only))
                ) {
                    $place = $this->onMachine($x, $way, $machine, $ready, $lasts, $gaps, $notBefore);
                    if ($place !== null && $place->isBetterThan($best)) {
                        $best = $place;
                    }
                }
            }
        }

        return $best;
    }

    /** The machine it keeps, if that is there and can still do it. */
    private function kept(int $x): ?Machine
    {
        $was = $this->was[$this->net->step[$x]->id] ?? null;
        if ($was === null || $was->machine === null) {
            return null;
        }
        foreach ($this->net->ways[$x] as $way) {
            if (($was->workCentre ?? $this->net->step[$x]->workCentre) === $this->net->centreKey[$way->centre]) {
                return $this->machines[$way->centre][$was->machine - 1] ?? null;
            }
        }

        return null;
    }

    /** @param  list<array{int, int}>  $lasts */
    private function onMachine(
        int $x,
        Way $way,
        Machine $machine,
        int $ready,
        array $lasts,
        bool $gaps,
        int $notBefore,
    ): ?Place {
        $step = $this->net->step[$x];
        $centre = $this->net->problem->workCentres[$this->net->centreKey[$way->centre]];
        [$setupOpen, $runOpen] = $this->opens($machine, $way);
        $atLeast = 0;
        foreach ($lasts as [$out, $minutes]) {
            $atLeast = max($atLeast, $runOpen->finish($out, $minutes));
        }
        $floor = max($notBefore, $gaps ? 0 : $machine->floor);
        $ahead = ! $step->setupNeedsMaterial && ($way->setup > 0 || $centre->changeovers !== null);
        $low = max(
            $floor,
            ! $ahead ? $ready : ($centre->changeovers !== null ? 0 : $setupOpen->startFor($ready, $way->setup)),
        );
        $best = $centre->batch > 0 && $step->pin === null
                ? $this->join($step->family, $step->size, $way, $machine, $ready, $atLeast, $ahead)
                : null;
        $crew = $way->crewing === null ? null : $this->crews[$way->crewing->crew] ?? null;
        for ($i = $machine->firstEndingAfter($low), $count = count($machine->blocks); $i <= $count; $i++) {
            $previous = $machine->blocks[$i - 1] ?? null;
            $next = $machine->blocks[$i] ?? null;
            $from = max($floor, $previous->end ?? 0);
            if ($next !== null && $next->start <= max($from, $low)) {
                continue;
            }
            $family = $centre->changeovers === null ? null : $machine->familyBefore($i);
            $change = $step->started ? 0 : $centre->changeovers?->between($family, $step->family) ?? 0;
            $times = Times::of(
                $step,
                $way,
                $way->setup + $change,
                $from,
                $ready,
                $atLeast,
                $setupOpen,
                $runOpen,
                $crew,
            );
            if ($times === null && $centre->changeovers === null) {
                break;
            }
            if ($times === null) {
                continue; // behind another family it may be set up for sooner, and fit a shift
            }
            if (
                $next === null
                || ($times->end <= $next->start
                    && $machine->leavesSetup($i, $centre->changeovers, $step->family ?? $family))
            ) {
                $place = new Place(
                    $machine,
                    new Block(
                        $x,
                        $times->start,
                        $times->setupEnd,
                        $times->runStart,
                        $times->end,
                        $way->setup + $change,
                        $way->run,
                        $change,
                        $step->family,
                        $way->crewing,
                        max(0, $centre->batch - $step->size),
                    ),
                    $from,
                    $times,
                );

                return $place->isBetterThan($best) ? $place : $best;
            }
            if ($centre->changeovers === null) {
                $low = max($low, $times->start); // people come no sooner for a gap before that
            }
        }

        return $best;
    }

    private function join(
        ?string $family,
        int $size,
        Way $way,
        Machine $machine,
        int $ready,
        int $atLeast,
        bool $ahead,
    ): ?Place {
        for ($i = $machine->firstEndingAfter($ready), $count = count($machine->blocks); $i < $count; $i++) {
            $block = $machine->blocks[$i];
            if (
                $block->room >= $size
                && $block->family === $family
                && ($ahead ? $block->runStart : $block->start) >= $ready
                && $block->end >= $atLeast
                && $block->run >= $way->run
                && $block->setup >= $way->setup
                && ($block->crewing === null ? $way->crewing === null : $block->crewing->isLike($way->crewing))
            ) {
                return new Place($machine, $block, $block->start, null);
            }
        }

        return null;
    }

    /** @return array{Windows, Windows} for the setup, for the run */
    private function opens(Machine $machine, Way $way): array
    {
        $need = $way->crewing;

        return $need === null ? [$machine->open, $machine->open]
            : [$this->calendars->of($machine->open, $need->crew, $need->setup, $need->qualification),
                $this->calendars->of($machine->open, $need->crew, $need->run, $need->qualification)];
    }

    /** Keeps the place of a pinned operation before any other is loaded. */
    private function pin(int $x): void
    {
        $pin = $this->net->step[$x]->pin;
        $place = $pin === null ? null : $this->best($x, max(0, $pin->start - $this->net->origin), [], true,
            max(0, $pin->start - $this->net->origin), $pin->machine);
        if ($place !== null) {
            $this->put($x, $place, false);
        }
    }

    /**
     * A pinned operation stands where it is pinned, unless what it needs comes later.
     *
     * @param  list<array{int, int}>  $lasts
     */
    private function pinned(int $x, int $ready, array $lasts): Place
    {
        $place = $this->places[$x];
        $atLeast = 0;
        foreach ($lasts as [$out, $minutes]) {
            $atLeast = max($atLeast, $place->machine->open->finish($out, $minutes));
        }
        if ($this->neededBy($x, $place->block) >= $ready && $place->block->end >= $atLeast) {
            return $place;
        }
        $this->loose[$x] = true;

        return $place;
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Net\UsefulMachines;
use KeepPace\Core\Scheduling\Net\Way;
use KeepPace\Core\Scheduling\Net\Windows;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Step;

/** The machines and people of a shop with what they are taken by, and where among that an operation fits. */
final class Placing
{
    /** @var list<list<Machine>> by work centre */
    private array $machines = [];

    /** @var array<int, CrewBook> */
    private array $crews = [];

    private readonly Calendars $calendars;

    /**
     * @param  array<int, PlannedStep>  $was  by step id: the machine a step keeps
     * @param  array<int, int>  $only  by operation: the one of its ways it is done in
     */
    public function __construct(private readonly Net $net, private readonly array $was, private readonly array $only)
    {
        $ground = Ground::of($net);
        $this->calendars = $ground->calendars;
        foreach ($ground->crews as $key => $crew) {
            $this->crews[$key] = new CrewBook($crew);
        }
        foreach ($net->centreKey as $c => $key) {
            $centre = $net->problem->workCentres[$key];
            $this->machines[$c] = [];
            for ($number = 1, $useful = UsefulMachines::of($net, $c, $was); $number <= $useful; $number++) {
                $open = $net->machineHours($c, $number);
                $this->machines[$c][] = new Machine($c, $number, $open, $centre->familyNow[$number] ?? null);
            }
        }
    }

    /** Which of its work centre's machines that is, counted from 0. */
    public function indexOf(Machine $machine): int
    {
        return (int) array_search($machine, $this->machines[$machine->centre], true);
    }

    /**
     * Where an operation ends soonest.
     *
     * @param  bool  $gaps  in the first gap it fits in; else behind what stands
     * @param  int|null  $only  on this machine of the work centre of the routing
     */
    public function best(int $x, Arrival $arrival, bool $gaps, int $notBefore = 0, ?int $only = null): ?Place
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
                    $place = $this->onMachine($x, $way, $machine, $arrival, $gaps, $notBefore);
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

    /** @param  int  $since  not before that */
    private function onMachine(int $x, Way $way, Machine $machine, Arrival $arrival, bool $gaps, int $since): ?Place
    {
        $step = $this->net->step[$x];
        $centre = $this->net->problem->workCentres[$this->net->centreKey[$way->centre]];
        $changeovers = $centre->changeovers;
        [$setupOpen, $runOpen] = $this->opens($machine, $way->crewing);
        $ready = $arrival->ready;
        $atLeast = $arrival->atLeast($runOpen);
        $floor = max($since, $gaps ? 0 : $machine->floor);
        $isAhead = ! $step->setupNeedsMaterial && ($way->setup > 0 || $changeovers !== null);
        $soonest = ! $isAhead ? $ready : ($changeovers !== null ? 0 : $setupOpen->startFor($ready, $way->setup));
        $low = max($floor, $soonest);
        $best = $centre->batch > 0 && $step->pin === null
            ? self::join($step, $way, $machine, $ready, $atLeast, $isAhead)
            : null;
        $crew = $way->crewing === null ? null : $this->crews[$way->crewing->crew] ?? null;
        for ($i = $machine->firstEndingAfter($low), $count = count($machine->blocks); $i <= $count; $i++) {
            $next = $machine->blocks[$i] ?? null;
            $from = max($floor, $machine->blocks[$i - 1]->end ?? 0);
            if ($next !== null && $next->start <= max($from, $low)) {
                continue;
            }
            $family = $changeovers === null ? null : $machine->familyBefore($i);
            $change = $step->started ? 0 : $changeovers?->between($family, $step->family) ?? 0;
            $setup = $way->setup + $change;
            $times = Times::of($step, $way, $setup, $from, $ready, $atLeast, $setupOpen, $runOpen, $crew);
            if ($times === null && $changeovers === null) {
                break;
            }
            if ($times === null) {
                continue; // behind another family it may be set up for sooner, and fit a shift
            }
            if (
                $next === null
                || ($times->end <= $next->start && $machine->leavesSetup($i, $changeovers, $step->family ?? $family))
            ) {
                $block = self::block($x, $step, $way, $times, $change, $centre->batch);
                $place = new Place($machine, $block, $from, $times);

                return $place->isBetterThan($best) ? $place : $best;
            }
            $low = $changeovers === null ? max($low, $times->start) : $low; // people come no sooner for a gap before
        }

        return $best;
    }

    private static function block(int $x, Step $step, Way $way, Times $times, int $change, int $batch): Block
    {
        return new Block(
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
            max(0, $batch - $step->size),
        );
    }

    /** A batch that stands there, has room for it and takes no less time. */
    private static function join(
        Step $step,
        Way $way,
        Machine $machine,
        int $ready,
        int $atLeast,
        bool $isAhead,
    ): ?Place {
        for ($i = $machine->firstEndingAfter($ready), $count = count($machine->blocks); $i < $count; $i++) {
            $block = $machine->blocks[$i];
            if (
                $block->room >= $step->size
                && $block->family === $step->family
                && ($isAhead ? $block->runStart : $block->start) >= $ready
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

    /** When the run of what stands there can go on. */
    public function runHours(Place $place): Windows
    {
        return $this->opens($place->machine, $place->block->crewing)[1];
    }

    /** @return array{Windows, Windows} for the setup, for the run */
    private function opens(Machine $machine, ?Crewing $need): array
    {
        return $need === null ? [$machine->open, $machine->open]
            : [$this->calendars->of($machine->open, $need->crew, $need->setup, $need->qualification),
                $this->calendars->of($machine->open, $need->crew, $need->run, $need->qualification)];
    }

    /** A new block takes its machine and its people from now on. */
    public function take(Block $block, Machine $machine, Times $times): void
    {
        $machine->add($block);
        $crew = $block->crewing === null ? null : $this->crews[$block->crewing->crew] ?? null;
        foreach ($times->uses as $use) {
            $crew?->take($use, $block->crewing?->qualification);
        }
    }
}

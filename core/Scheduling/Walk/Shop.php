<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

use KeepPace\Core\Scheduling\Changeovers;
use KeepPace\Core\Scheduling\Loading\Ground;
use KeepPace\Core\Scheduling\Loading\Pinned;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Net\Way;
use KeepPace\Core\Scheduling\Net\Windows;
use KeepPace\Core\Scheduling\PassOn;
use KeepPace\Core\Scheduling\Step;

/**
 * A net as a walk reads it in its inner loop: which work centres have machines that differ, in calendar or in what they
 * are set up for, and in which ways an operation can be done.
 */
final class Shop
{
    /** @var list<Windows> those of the work centres, then those of single machines */
    public array $calendars;

    /** @var array<int, list<int>> by work centre whose machines differ: the calendar of each machine */
    public array $calendarOf = [];

    /** @var list<bool> by work centre: its machines differ, so each has a number */
    public array $isVaried = [];

    /** @var list<bool> by work centre: how long a step takes there is asked of the rules of loading (People) */
    public array $isAsked = [];

    /** @var list<bool> by work centre: it takes more than the end of the operation before to know when it is free */
    public array $isVector = [];

    public bool $isAnyVaried = false;

    /** @var list<int> by operation: its setup family as a number; -1 = none */
    public array $family = [];

    /** @var list<bool> by operation: it is set up for anew where another family stood before */
    public array $isChanged = [];

    /** @var list<bool> by operation: its setup may be done before its material is there */
    public array $mayBeAhead = [];

    /** @var array<int, list<int>> by work centre whose machines differ: the family each is set up for now */
    public array $familyNow = [];

    /** @var array<int, array<int, array<int, int>>|null> by work centre: minutes from family to family; null = none */
    public array $between = [];

    /**
     * @var list<array<int, array{int, int, int, int}>|null> by operation and way: work centre, minutes, how many of
     *     them may be done before the material is there, minutes of setup; null = it has one way only
     */
    public array $choices = [];

    /** @var list<int> operations with several ways */
    public array $many = [];

    /** @var list<array<int, non-empty-list<int>>|null> by operation and way: its other ways; null = it has none */
    public array $otherWays = [];

    public bool $hasWays = false;

    /** @var array<int, int> by operation: the one whose first parts it begins with; -1 = none */
    public array $partsFrom = [];

    /** @var array<int, PassOn> by operation that passes on its first parts */
    public array $passes = [];

    /** @var array<int, Pinned> by pinned operation */
    public array $pinned = [];

    /**
     * @var array<int, array<int, list<array{int, int, int, int}>>> by work centre and machine, in order, kept for
     *     pinned steps: start, end, family (-1 = none), minutes of changeover
     */
    public array $kept = [];

    /** @var array<int|string, int> */
    private array $families = [];

    public function __construct(private readonly Net $net)
    {
        $this->calendars = $net->open;
        foreach ($net->step as $x => $step) {
            $this->family[] = $step->family === null ? -1 : $this->families[$step->family] ??= count($this->families);
            $this->isChanged[] = $step->family !== null && ! $step->started;
            $this->mayBeAhead[] = ! $step->setupNeedsMaterial && ! $step->started;
        }
        $this->pinned = $this->pinned();
        foreach (array_keys($net->machines) as $c) {
            $this->centre($c);
        }
        foreach ($net->ways as $x => $ways) {
            $this->choices[] = $choices = $this->choices($x, $ways);
            if ($choices !== null) {
                $this->many[] = $x;
            }
            $this->otherWays[] = $choices === null || count($choices) === 1 ? null : self::others(array_keys($choices));
        }
        $this->passOn();
        $this->hasWays = array_filter($this->otherWays, is_array(...)) !== [];
    }

    /** Who passes on parts to whom: from step to step of a job, both at work centres. */
    private function passOn(): void
    {
        $net = $this->net;
        foreach ($net->before as $x => $before) {
            $this->partsFrom[$x] = -1;
            foreach ($net->centre[$x] < 0 ? [] : $before as $y) {
                $pass = $net->step[$y]->passOn;
                if ($pass !== null && $net->job[$y] === $net->job[$x] && $net->centre[$y] >= 0) {
                    $this->partsFrom[$x] = $y;
                    $this->passes[$y] = $pass;
                }
            }
        }
    }

    /** @return array<int, Pinned> */
    private function pinned(): array
    {
        $isAny = array_filter($this->net->step, static fn (Step $step): bool => $step->pin !== null) !== [];
        $pinned = $isAny ? Ground::pins($this->net) : [];
        foreach ($pinned as $x => $pin) {
            $this->kept[$this->net->centre[$x]][$pin->machine][]
                = [$pin->start, $pin->end, $this->family[$x], $pin->changeover];
        }
        foreach ($this->kept as $c => $machines) {
            foreach (array_keys($machines) as $machine) {
                sort($this->kept[$c][$machine]);
            }
        }

        return $pinned;
    }

    /**
     * Whether what is pinned behind a gap of a machine has its changeover long enough when a family comes before it.
     *
     * @param  int  $n  the first of the pinned behind the gap
     * @param  int  $family  -1 = nobody knows
     */
    public function leavesSetup(int $c, int $machine, int $n, int $family): bool
    {
        $minutes = $this->between[$c];
        for ($pins = $this->kept[$c][$machine]; $minutes !== null && $family >= 0 && isset($pins[$n]); $n++) {
            [, , $after, $changeover] = $pins[$n];
            if ($after >= 0) {
                return $minutes[$family][$after] <= $changeover;
            }
        }

        return true;
    }

    private function centre(int $c): void
    {
        $net = $this->net;
        $changeovers = $net->problem->workCentres[$net->centreKey[$c]]->changeovers;
        $isVaried = $changeovers !== null || isset($net->machineOpen[$c]) || isset($this->kept[$c])
            || isset($net->asked[$c]);
        $this->isAsked[] = isset($net->asked[$c]);
        $this->isVaried[] = $isVaried;
        $this->isVector[] = $isVaried || $net->machines[$c] > 1;
        $this->between[$c] = null;
        if (! $isVaried) {
            return;
        }
        $this->isAnyVaried = true;
        $now = $net->problem->workCentres[$net->centreKey[$c]]->familyNow;
        for ($machine = 0; $machine < $net->machines[$c]; $machine++) {
            // where runs are shared, what nobody knows is set up for none of them
            $family = $now[$machine + 1] ?? ($changeovers === null || $changeovers->runs === []
                ? null
                : Changeovers::NOTHING);
            $this->familyNow[$c][] = $family === null ? -1 : $this->families[$family] ??= count($this->families);
            $own = $net->machineOpen[$c][$machine] ?? $net->open[$c];
            $this->calendarOf[$c][] = $own === $net->open[$c] ? $c : count($this->calendars);
            $own === $net->open[$c] ?: $this->calendars[] = $own;
        }
        if ($changeovers !== null) {
            $this->between[$c] = $this->minutes($changeovers);
        }
    }

    /** @return array<int, array<int, int>> */
    private function minutes(Changeovers $changeovers): array
    {
        $minutes = [];
        foreach ($this->families as $before => $i) {
            foreach ($this->families as $after => $j) {
                // a family may have a number for its name, which PHP makes an integer of as a key
                $minutes[$i][$j] = $changeovers->between((string) $before, (string) $after);
            }
        }

        return $minutes;
    }

    /**
     * @param  list<Way>  $ways
     * @return array<int, array{int, int, int, int}>|null
     */
    private function choices(int $x, array $ways): ?array
    {
        if (count($ways) < 2 || $this->net->step[$x]->started || $this->net->step[$x]->pin !== null) {
            return null;
        }
        $choices = [];
        foreach ($ways as $n => $way) {
            $most = 0;
            foreach ($this->net->machineOpen[$way->centre] ?? [$this->net->open[$way->centre]] as $open) {
                $most = max($most, $open->before[$open->last]);
            }
            if ($this->net->machines[$way->centre] > 0 && $most >= $way->work()) {
                $choices[$n] = [$way->centre, $way->work(), $this->mayBeAhead[$x] ? $way->setup : 0, $way->setup];
            }
        }

        return $choices === [] ? null : $choices;
    }

    /**
     * @param  list<int>  $ways
     * @return array<int, non-empty-list<int>>
     */
    private static function others(array $ways): array
    {
        $others = [];
        foreach ($ways as $way) {
            foreach (array_diff($ways, [$way]) as $other) {
                $others[$way][] = $other;
            }
        }

        return $others;
    }

    /**
     * In which way each operation would end soonest, loaded one after the other: what loading without a plan takes.
     *
     * @param  list<int>  $at
     * @param  array<int, int>  $kept  by operation: the way it is done in
     * @return array<int, int> by operation with several ways
     */
    public function greedy(array $at, array $kept): array
    {
        $net = $this->net;
        $taken = array_intersect_key($kept, array_flip($this->many));
        if (count($taken) === count($this->many)) {
            return $taken;
        }
        $free = array_map(static fn (int $machines): array => array_fill(0, max(1, $machines), 0), $net->machines);
        $out = [];
        foreach ($at as $x) {
            $ready = $net->release[$x];
            foreach ($net->before[$x] as $y) {
                $ready = max($ready, $out[$y]);
            }
            if ($net->centre[$x] < 0) {
                $out[$x] = $net->outFrom($x, $ready, -1, $net->work[$x]);

                continue;
            }
            $choices = $this->choices[$x] ?? [[$net->centre[$x], $net->work[$x], $net->ahead[$x]]];
            $choices = isset($kept[$x], $choices[$kept[$x]]) ? [$kept[$x] => $choices[$kept[$x]]] : $choices;
            [$best, $end, $since] = $this->soonest($choices, $ready, $free);
            $c = $choices[$best][0];
            $gone = (int) array_search($since, $free[$c], true);
            $free[$c][$gone] = $end;
            sort($free[$c]);
            $out[$x] = $net->out($x, $end, $c);
            if ($this->choices[$x] !== null) {
                $taken[$x] = $best;
            }
        }

        return $taken;
    }

    /**
     * @param  array<int, array{int, int, int}>  $choices
     * @param  array<int, array<int, int>>  $free  by work centre: when its machines are free, in order
     * @return array{int, int, int} the way in which it ends soonest, that end, since when its machine was free
     */
    private function soonest(array $choices, int $ready, array $free): array
    {
        $soonest = [0, PHP_INT_MAX, -1];
        foreach ($choices as $n => [$c, $work, $ahead]) {
            $open = $this->net->open[$c];
            $from = $ahead === 0 ? $ready : max(0, $open->startFor($ready, $ahead));
            $start = $open->nextOpen(max($from, $free[$c][0]));
            $end = $open->finish($start, $work);
            $since = 0;
            foreach ($free[$c] as $one) {
                $since = $one <= $start ? $one : $since;
            }
            if ($end < $soonest[1] || ($end === $soonest[1] && $since > $soonest[2])) {
                $soonest = [$n, $end, $since];
            }
        }

        return $soonest;
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

use KeepPace\Core\Scheduling\Loading\Ground;
use KeepPace\Core\Scheduling\Loading\Times;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Net\Way;
use KeepPace\Core\Scheduling\Net\Windows;

/**
 * Work centres where what a step takes is asked of the rules of loading themselves (Times): people are shared or asked
 * for unevenly or are qualified, a machine takes several operations at once, or a step may not stand over a night. Here
 * a walk has an operation worked out behind those ahead of it.
 */
final class People
{
    public readonly Standing $standing;

    private readonly Loads $loads;

    /** Somebody has to be there for some of the steps; else machines are asked for alone. */
    public readonly bool $areAsked;

    /** @var array<int, array{int, int}> by operation there is no room for where it is pinned: machine, from when */
    private array $later = [];

    /** @var array<int, array<int, list<array{Windows, Windows}>>> by operation, way, machine: hours of setup and run */
    private array $open = [];

    /** @var array<int, bool> by such a work centre: it does not matter which of its machines */
    private array $isAlike = [];

    public function __construct(private readonly Net $net, private readonly Shop $shop)
    {
        $ground = Ground::of($net);
        $this->loads = new Loads($net, $shop);
        $ovens = [];
        foreach (array_keys(array_filter($shop->isAsked)) as $c) {
            $isOven = $this->loads->capacity($c) > 0;
            $isOven ? $ovens[] = $c : null;
            $this->isAlike[$c] = ! $isOven && $shop->between[$c] === null && ! isset($shop->kept[$c])
                && count(array_unique($shop->calendarOf[$c])) === 1;
        }
        $this->standing = new Standing($net, $shop, $ground->crews, $ovens);
        $isManned = static fn (array $ways): bool => max(-1, ...$ways) >= 0;
        $this->areAsked = array_filter($this->standing->crew, $isManned) !== [];
        $this->hours($ground);
        $this->pinnedLater();
    }

    /** When a machine can work with those a way of an operation needs. */
    private function hours(Ground $ground): void
    {
        foreach ($this->net->ways as $x => $ways) {
            foreach ($ways as $n => $way) {
                $need = $way->crewing;
                foreach ($this->shop->isAsked[$way->centre] ? $this->shop->calendarOf[$way->centre] : [] as $calendar) {
                    $own = $this->shop->calendars[$calendar];
                    $this->open[$x][$n][] = $need === null ? [$own, $own] : [
                        $ground->calendars->of($own, $need->crew, $need->setup, $need->qualification),
                        $ground->calendars->of($own, $need->crew, $need->run, $need->qualification),
                    ];
                }
            }
        }
    }

    private function pinnedLater(): void
    {
        foreach ($this->net->step as $x => $step) {
            if ($step->pin !== null && ! $step->started && ! isset($this->shop->pinned[$x])) {
                $this->later[$x] = [$step->pin->machine - 1, max(0, $step->pin->start - $this->net->origin)];
            }
        }
    }

    /**
     * Where it stands, behind all that is ahead of it: on the machine where it ends soonest, of those the one free
     * last.
     *
     * @param  int  $way  which of its ways
     * @param  int  $ready  what it needs is there
     * @param  array{int, int}|null  $lastPart  when the last part comes of a step that passes on its first, and how
     *     long that one takes here
     * @param  int  $firstPart  open minutes of run to its own first part; -1 = it passes none on
     * @param  int  $y  what stands ahead of it at the work centre; -1 = nothing
     * @param  array<int, int>  $before  by operation: the one ahead of it at its work centre
     * @param  array<int, int>  $free  when machines are free behind each operation
     * @param  array<int, int>  $set  what they are set up for then
     * @param  int  $wide  how many of those for each operation
     * @param  array<int, int>  $pos  by operation: its place in the order
     * @param  int  $place  it waits for the people of those ahead of this place
     */
    public function place(
        int $x,
        int $way,
        int $ready,
        ?array $lastPart,
        int $firstPart,
        int $y,
        array $before,
        array $free,
        array $set,
        int $wide,
        array $pos,
        int $place,
    ): Spot {
        $hands = $this->standing->ofWay($x, $way);
        $hands?->askFor($place, $pos);
        $one = $this->net->ways[$x][$way];
        $c = $one->centre;
        $loads = $this->loads($x, $way, $ready, $lastPart, $y, $before, $free, $wide);
        $choice = new Choice($loads === null ? PHP_INT_MAX : $ready);
        $least = $one->work();
        $ahead = $y * $wide;
        $machines = $this->net->machines[$c];
        $same = $this->isAlike[$c];
        $q = $y >= 0 && $same ? self::freeFirst($ahead, $machines, $free) : 0;
        for ($k = 0; $k < $machines; $k++, $q = $q + 1 === $machines ? 0 : $q + 1) {
            $g = $y < 0 ? 0 : $free[$ahead + $q];
            isset($loads[$q]) ? $choice->join($q, $loads[$q]) : null;
            if ($g + $least > $choice->end || ($same && $choice->isAlikeOn($q, $g))) {
                continue;
            }
            $family = $y < 0 ? $this->shop->familyNow[$c][$q] : $set[$ahead + $q];
            $this->onMachine($choice, $x, $way, $q, $family, $g, $ready, $lastPart, $hands);
        }
        $hands?->done();

        return $this->spot($x, $way, $choice, $firstPart);
    }

    /**
     * What it could join, by machine.
     *
     * @param  array{int, int}|null  $lastPart
     * @param  array<int, int>  $before
     * @param  array<int, int>  $free
     * @return array<int, Spot>|null null = machines take one operation at a time
     */
    private function loads(
        int $x,
        int $way,
        int $ready,
        ?array $lastPart,
        int $y,
        array $before,
        array $free,
        int $wide,
    ): ?array {
        $one = $this->net->ways[$x][$way];

        return ! $this->standing->isOven($one->centre) ? null : $this->loads->mayJoin($x, $one, $ready,
            $this->atLeast($x, $way, $lastPart), $y, $before, $free, $wide, $this->standing->spots);
    }

    /**
     * The first gap it fits into and keeps nobody from anything.
     *
     * @param  list<int>  $gaps  operations it could stand in front of, the last first
     * @return array{int, int}|null in front of which, and when it ends there
     */
    public function firstGap(Line $line, int $x, int $ready, array $gaps): ?array
    {
        $way = $line->way[$x] ?? 0;
        if ($gaps === [] || ! isset($this->open[$x][$way]) || isset($this->shop->pinned[$x])) {
            return null;
        }
        $stood = $this->standing->leaves($x);
        $found = null;
        for ($k = count($gaps) - 1; $k >= 0 && $found === null; $k--) {
            $y = $gaps[$k];
            $spot = $this->place($x, $way, $ready, null, -1, $line->prior[$y], $line->prior, $line->free, $line->set,
                $line->wide, $line->pos, PHP_INT_MAX);
            if ($spot->end < Windows::NEVER && $this->standing->isInNobodysWay($spot, $x, $y, $line->behind)) {
                $found = [$y, $spot->end];
            }
        }
        $this->standing->putBack($x, $stood);

        return $found;
    }

    /** When it ends if nothing but what is pinned keeps it from what it needs; null = the rules are not asked here. */
    public function endAlone(int $x, int $way, int $ready): ?int
    {
        if (isset($this->shop->pinned[$x])) {
            return $this->shop->pinned[$x]->end;
        }
        if (! isset($this->open[$x][$way])) {
            return null;
        }
        $choice = new Choice;
        foreach (array_keys($this->open[$x][$way]) as $q) {
            $this->onMachine($choice, $x, $way, $q, -1, 0, $ready, null, null);
        }

        return min($choice->end, Windows::NEVER);
    }

    private function spot(int $x, int $way, Choice $choice, int $firstPart): Spot
    {
        $one = $this->net->ways[$x][$way];
        $crew = $this->standing->crew[$x][$way];
        $on = $choice->machine;
        $times = $choice->times;
        if ($times === null) {
            $load = $choice->load;
            $runStart = $load?->load === null ? Windows::NEVER : $load->load->runStart;
            $end = $load->end ?? Windows::NEVER;
            $firstOut = $load === null && $firstPart >= 0
                ? Windows::NEVER
                : $this->firstOut($x, $way, $on, $firstPart, $end, $runStart);

            return new Spot($on, $load->start ?? Windows::NEVER, $end, 0, $firstOut, $choice->tried, -1, $crew,
                null, [], $load?->load);
        }
        $begun = $this->standing->isOven($one->centre)
            ? new Load($x, $times->runStart, $one->setup + $choice->changeover, $one)
            : null;

        return new Spot(
            $on,
            $times->start,
            $times->end,
            $choice->changeover,
            $firstPart < 0 ? -1 : $this->firstOut($x, $way, $on, $firstPart, $times->end, $times->runStart),
            $choice->tried,
            $choice->waited,
            $crew,
            $one->crewing?->qualification,
            $crew < 0 ? [] : $times->uses,
            $begun,
        );
    }

    private function firstOut(int $x, int $way, int $machine, int $firstPart, int $end, int $runStart): int
    {
        return $firstPart < 0 ? -1 : min($end, $this->open[$x][$way][$machine][1]->finish($runStart, $firstPart));
    }

    /**
     * Before when it must not end, by machine.
     *
     * @param  array{int, int}|null  $lastPart
     * @return list<int>
     */
    private function atLeast(int $x, int $way, ?array $lastPart): array
    {
        $atLeast = [];
        foreach ($this->open[$x][$way] as [, $runOpen]) {
            $atLeast[] = $lastPart === null ? 0 : $runOpen->finish($lastPart[0], $lastPart[1]);
        }

        return $atLeast;
    }

    /**
     * Offers its place behind all that stands on a machine, or in front of what is pinned there if it is through by
     * then.
     *
     * @param  int  $family  what the machine is set up for; -1 = nobody knows
     * @param  int  $free  it is free
     * @param  array{int, int}|null  $lastPart
     */
    private function onMachine(
        Choice $choice,
        int $x,
        int $way,
        int $machine,
        int $family,
        int $free,
        int $ready,
        ?array $lastPart,
        ?Hands $hands,
    ): void {
        $one = $this->net->ways[$x][$way];
        $pins = $this->shop->kept[$one->centre][$machine] ?? null;
        $before = $free;
        $free = max($free, $this->notBefore($x, $machine));
        for ($n = 0; ; $n++) {
            $pin = $pins[$n] ?? null;
            if ($pin !== null && $pin[1] <= $free) {
                // what comes before that is in its family already
                $family = $pin[1] > $before && $pin[2] >= 0 ? $pin[2] : $family;

                continue;
            }
            $change = $this->changeover($x, $one->centre, $family);
            $pinStart = $pin[0] ?? Windows::NEVER;
            $times = $this->times($choice, $x, $way, $machine, $change, $free, $pinStart, $ready, $lastPart, $hands);
            if ($times !== null && ($pin === null || $this->goesBefore($times, $x, $one, $machine, $n, $family))) {
                $choice->offer($machine, $times, $free, $change, $hands->waited ?? -1);

                return;
            }
            if ($pin === null) {
                return;
            }
            $free = $pin[1];
            $family = $pin[2] < 0 ? $family : $pin[2];
        }
    }

    /**
     * On a machine from when it is free; null = it would not begin before what is pinned there, or never.
     *
     * @param  array{int, int}|null  $lastPart
     */
    private function times(
        Choice $choice,
        int $x,
        int $way,
        int $machine,
        int $change,
        int $free,
        int $pinStart,
        int $ready,
        ?array $lastPart,
        ?Hands $hands,
    ): ?Times {
        $one = $this->net->ways[$x][$way];
        [$setupOpen, $runOpen] = $this->open[$x][$way][$machine];
        $setup = $one->setup + $change;
        $step = $this->net->step[$x];
        $from = Times::first($step, $setup, $free, $ready, $setupOpen, $runOpen);
        $choice->tried = $from < $choice->tried ? $from : $choice->tried;
        if ($pinStart <= $from) {
            return null;
        }
        $hands?->begin();
        $atLeast = $lastPart === null ? 0 : $runOpen->finish($lastPart[0], $lastPart[1]);

        return Times::of($step, $one, $setup, $free, $ready, $atLeast, $setupOpen, $runOpen, $hands);
    }

    /** Where there is no room for it where it is pinned: on that machine, later. */
    private function notBefore(int $x, int $machine): int
    {
        [$only, $from] = $this->later[$x] ?? [$machine, 0];

        return $only === $machine ? $from : Windows::NEVER;
    }

    /** Whether it is through before what is pinned there, and leaves that its changeover. */
    private function goesBefore(Times $times, int $x, Way $way, int $machine, int $pin, int $family): bool
    {
        $own = $this->shop->family[$x];

        return $times->end <= $this->shop->kept[$way->centre][$machine][$pin][0]
            && $this->shop->leavesSetup($way->centre, $machine, $pin, $own < 0 ? $family : $own);
    }

    private function changeover(int $x, int $c, int $family): int
    {
        $minutes = $this->shop->between[$c];

        return $minutes === null || $family < 0 || ! $this->shop->isChanged[$x]
            ? 0
            : $minutes[$family][$this->shop->family[$x]];
    }

    /**
     * @param  array<int, int>  $free
     * @return int which of the machines is free first
     */
    private static function freeFirst(int $ahead, int $machines, array $free): int
    {
        $first = 0;
        for ($q = 1; $q < $machines; $q++) {
            $first = $free[$ahead + $q] < $free[$ahead + $first] ? $q : $first;
        }

        return $first;
    }
}

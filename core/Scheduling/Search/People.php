<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Search;

use KeepPace\Core\Scheduling\Loading\CrewUse;
use KeepPace\Core\Scheduling\Loading\Ground;
use KeepPace\Core\Scheduling\Loading\Times;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Net\Way;
use KeepPace\Core\Scheduling\Net\Windows;

/**
 * Work centres where what a step takes is asked of the rules of loading themselves (Times): people are shared or asked
 * for unevenly or are qualified, a machine takes several operations at once, or a step may not stand over a night. Here
 * a walk has an operation worked out behind those ahead of it, and learns whose people and which loads a move touched.
 */
final class People
{
    /** @var array<int, Hands> by crew */
    private array $hands = [];

    /** @var array<int, Touched> by crew: its hours */
    private array $ofCrew = [];

    /** @var array<int, Touched> by work centre whose machines take several operations at once: its loads */
    private array $ofCentre = [];

    private readonly Loads $loads;

    /** Somebody has to be there for some of the steps; else machines are asked for alone. */
    public bool $areAsked = false;

    /** @var array<int, array{int, int}> by operation there is no room for where it is pinned: machine, from when */
    private array $later = [];

    /** @var array<int, Spot> by operation that stands at such a work centre */
    public array $spots = [];

    /** A move has touched some of the people; between which minutes. */
    public bool $isTouched = false;

    public int $from = PHP_INT_MAX;

    public int $to = -1;

    private int $move = 0;

    /** @var array<int, array<int, int>> by operation and way: its crew, -1 = none */
    private array $crew = [];

    /** @var array<int, array<int, list<array{Windows, Windows}>>> by operation, way, machine: hours of setup and run */
    private array $open = [];

    /** @var array<int, bool> by such a work centre: it does not matter which of its machines */
    private array $isAlike = [];

    public function __construct(private readonly Net $net, private readonly Shop $shop)
    {
        $ground = Ground::of($net);
        foreach ($ground->crews as $key => $there) {
            $this->hands[$key] = new Hands($there);
            $this->ofCrew[$key] = new Touched;
        }
        $this->hours($ground);
        $this->loads = new Loads($net, $shop);
        foreach (array_keys(array_filter($shop->isAsked)) as $c) {
            $isOven = $this->loads->capacity($c) > 0;
            $isOven ? $this->ofCentre[$c] = new Touched : null;
            $this->isAlike[$c] = ! $isOven && $shop->between[$c] === null && ! isset($shop->kept[$c])
                && count(array_unique($shop->calendarOf[$c])) === 1;
        }
        $this->pinnedLater();
        $this->clear();
    }

    /** Whom each way of an operation needs, and when a machine can work with them. */
    private function hours(Ground $ground): void
    {
        foreach ($this->net->ways as $x => $ways) {
            foreach ($ways as $n => $way) {
                $need = $way->crewing;
                $this->crew[$x][$n] = $need !== null && isset($this->hands[$need->crew]) ? $need->crew : -1;
                $this->areAsked = $this->areAsked || $this->crew[$x][$n] >= 0;
                if ($this->shop->isAsked[$way->centre]) {
                    foreach ($this->shop->calendarOf[$way->centre] as $calendar) {
                        $own = $this->shop->calendars[$calendar];
                        $this->open[$x][$n][] = $need === null ? [$own, $own] : [
                            $ground->calendars->of($own, $need->crew, $need->setup, $need->qualification),
                            $ground->calendars->of($own, $need->crew, $need->run, $need->qualification),
                        ];
                    }
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

    /** Nobody is promised to anything but what is pinned. */
    public function clear(): void
    {
        $this->spots = [];
        $this->begin();
        foreach ([...$this->hands, ...$this->ofCrew, ...$this->ofCentre] as $shared) {
            $shared->clear();
        }
        foreach ($this->shop->pinned as $x => $pin) {
            $need = $this->net->ways[$x][0]->crewing;
            if ($need !== null && isset($this->hands[$need->crew])) {
                // by a number that has no place in the order: it is promised before all others
                $this->hands[$need->crew]->take(-1 - $x, $pin->uses, $need->qualification);
            }
        }
    }

    /** Another move begins: nothing is touched by it yet. */
    public function begin(): void
    {
        $this->move++;
        $this->isTouched = false;
        $this->from = PHP_INT_MAX;
        $this->to = -1;
    }

    /** It stands elsewhere in the order: who else asks for those people is told anew. */
    public function touch(int $x): void
    {
        $spot = $this->spots[$x] ?? null;
        if ($spot === null || $spot->start >= Windows::NEVER || ($spot->uses === [] && $spot->load === null)) {
            return;
        }
        foreach ($spot->uses as $use) {
            $this->ofCrew[$spot->crew]->touch(CrewUse::from($use), CrewUse::to($use), $this->move);
        }
        if ($spot->load !== null) {
            $this->ofCentre[$spot->load->way->centre]->touch($spot->start, $spot->end, $this->move);
        }
        $this->isTouched = true;
        $this->from = $spot->start < $this->from ? $spot->start : $this->from;
        $this->to = $spot->end > $this->to ? $spot->end : $this->to;
    }

    /** Whether people it could have, or loads, are touched between the first minute it tried and its end. */
    public function isTouched(int $x, int $way, int $from, int $to): bool
    {
        $crew = $this->crew[$x][$way];
        $centre = $this->ofCentre[$this->net->ways[$x][$way]->centre] ?? null;

        return ($crew >= 0 && $this->ofCrew[$crew]->isTouched($from, $to, $this->move))
            || ($centre !== null && $centre->isTouched($from, $to, $this->move));
    }

    public function stands(int $x, Spot $spot): void
    {
        if ($spot->takesAsMuchAs($this->spots[$x] ?? null)) {
            $this->spots[$x] = $spot;

            return;
        }
        $this->touch($x);
        $this->putBack($x, $spot);
        $this->touch($x);
    }

    /**
     * It goes to another work centre, and its people with it.
     *
     * @return Spot|null where it stood
     */
    public function leaves(int $x): ?Spot
    {
        $spot = $this->spots[$x] ?? null;
        $this->putBack($x, null);

        return $spot;
    }

    /** As before the move. */
    public function putBack(int $x, ?Spot $spot): void
    {
        $old = $this->spots[$x] ?? null;
        if ($old !== null && $old->crew >= 0) {
            $this->hands[$old->crew]->release($x, $old->uses);
        }
        if ($spot === null) {
            unset($this->spots[$x]);

            return;
        }
        $this->spots[$x] = $spot;
        if ($spot->crew >= 0) {
            $this->hands[$spot->crew]->take($x, $spot->uses, $spot->qualification);
        }
    }

    /**
     * An operation ahead whose people it waits for.
     *
     * @param  array<int, int>  $pos  by operation: its place in the order
     * @return int -1 = it does not wait for people, or for nobody who works ahead of it
     */
    public function waitsFor(int $x, array $pos): int
    {
        $spot = $this->spots[$x] ?? null;

        return $spot === null || $spot->waited < 0 ? -1 : $this->hands[$spot->crew]->letGoAt($spot->waited, $x, $pos);
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
        $hands = $this->hands[$this->crew[$x][$way]] ?? null;
        $hands?->askFor($place, $pos);
        $one = $this->net->ways[$x][$way];
        $c = $one->centre;
        $isOven = isset($this->ofCentre[$c]);
        $loads = $isOven
            ? $this->loads->mayJoin($x, $one, $ready, $this->atLeast($x, $way, $lastPart), $y, $before, $free, $wide,
                $this->spots)
            : [];
        $choice = new Choice($isOven ? $ready : PHP_INT_MAX);
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
     * The first gap it fits into and keeps nobody from anything.
     *
     * @param  list<int>  $gaps  operations it could stand in front of, the last first
     * @param  array<int, int>  $before  by operation: the one ahead of it at its work centre
     * @param  array<int, int>  $behind  the one behind it
     * @param  array<int, int>  $free  when machines are free behind each operation
     * @param  array<int, int>  $set  what they are set up for then
     * @param  int  $wide  how many of those for each operation
     * @param  array<int, int>  $pos  by operation: its place in the order
     * @return array{int, int}|null in front of which, and when it ends there
     */
    public function firstGap(
        int $x,
        int $way,
        int $ready,
        array $gaps,
        array $before,
        array $behind,
        array $free,
        array $set,
        int $wide,
        array $pos,
    ): ?array {
        if ($gaps === [] || ! isset($this->open[$x][$way]) || isset($this->shop->pinned[$x])) {
            return null;
        }
        $stood = $this->leaves($x);
        $found = null;
        for ($k = count($gaps) - 1; $k >= 0 && $found === null; $k--) {
            $y = $gaps[$k];
            $ahead = $before[$y];
            $spot = $this->place($x, $way, $ready, null, -1, $ahead, $before, $free, $set, $wide, $pos, PHP_INT_MAX);
            if ($spot->end < Windows::NEVER && $this->isInNobodysWay($spot, $x, $y, $behind)) {
                $found = [$y, $spot->end];
            }
        }
        $this->putBack($x, $stood);

        return $found;
    }

    /** @param  array<int, int>  $behind  by operation: the one behind it at its work centre */
    private function isInNobodysWay(Spot $spot, int $x, int $y, array $behind): bool
    {
        if ($spot->load !== null && $spot->load->by !== $x) {
            return true;
        }
        for (; $y >= 0; $y = $behind[$y]) {
            $next = $this->spots[$y] ?? $this->shop->pinned[$y] ?? null;
            if ($next !== null && $next->machine === $spot->machine) {
                return $spot->end <= $next->start;
            }
        }

        return true;
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
        $crew = $this->crew[$x][$way];
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
        $begun = isset($this->ofCentre[$one->centre])
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

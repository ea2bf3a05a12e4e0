<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

use KeepPace\Core\Scheduling\Loading\CrewUse;
use KeepPace\Core\Scheduling\Loading\Presence;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Net\Windows;

/**
 * Where operations stand at work centres that ask the rules of loading, whose people they have and in which loads; and
 * which of those people and loads a move has touched, so that who else asks for them looks again.
 */
final class Standing
{
    /** @var array<int, Hands> by crew */
    private readonly array $hands;

    /** @var array<int, array<int, int>> by operation and way: its crew, -1 = none */
    public readonly array $crew;

    /** @var array<int, Spot> by operation that stands at such a work centre */
    public array $spots = [];

    /** A move has touched some of the people; between which minutes. */
    public bool $isTouched = false;

    public int $from = PHP_INT_MAX;

    public int $to = -1;

    private int $move = 0;

    /** @var array<int, Touched> by crew: its hours */
    private array $ofCrew = [];

    /** @var array<int, Touched> by work centre whose machines take several operations at once: its loads */
    private array $ofCentre = [];

    /**
     * @param  array<int, Presence>  $crews
     * @param  list<int>  $ovens  work centres whose machines take several operations at once
     */
    public function __construct(private readonly Net $net, private readonly Shop $shop, array $crews, array $ovens)
    {
        $this->hands = array_map(static fn (Presence $there): Hands => new Hands($there), $crews);
        $this->ofCrew = array_map(static fn (): Touched => new Touched, $crews);
        $this->ofCentre = array_map(static fn (): Touched => new Touched, array_flip($ovens));
        $crew = [];
        foreach ($net->ways as $x => $ways) {
            foreach ($ways as $n => $way) {
                $need = $way->crewing;
                $crew[$x][$n] = $need !== null && isset($this->hands[$need->crew]) ? $need->crew : -1;
            }
        }
        $this->crew = $crew;
        $this->clear();
    }

    /** The people a way of an operation needs; null = none. */
    public function ofWay(int $x, int $way): ?Hands
    {
        return $this->hands[$this->crew[$x][$way]] ?? null;
    }

    public function isOven(int $c): bool
    {
        return isset($this->ofCentre[$c]);
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

    /** @param  array<int, int>  $behind  by operation: the one behind it at its work centre */
    public function isInNobodysWay(Spot $spot, int $x, int $y, array $behind): bool
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
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

use KeepPace\Core\Scheduling\Loading\CrewPromises;
use KeepPace\Core\Scheduling\Loading\CrewUse;
use KeepPace\Core\Scheduling\Loading\Presence;

/**
 * What a crew is promised to while a walk moves operations about: to an operation that is worked out, by all that stand
 * ahead of it in the order, wherever they lie in time.
 */
final class Hands implements CrewPromises
{
    /** Uses are found by stretches of 512 minutes. */
    private const BITS = 9;

    /** A use is found by one number too: the operation, and which of its uses in so many bits. */
    private const NTH = 20;

    /** @var array<int, array<int, int>> by stretch and key: a use */
    private array $near = [];

    /** @var array<int, string|null> by operation: what its people are qualified for */
    private array $qualification = [];

    /** @var array<int, int> by operation: its place in the order; what has none is promised before all others */
    private array $pos = [];

    private int $limit = 0;

    /** @var list<int> by stretch: the edge of presence it begins behind */
    private array $edgeOf = [];

    /** Until when the one that is worked out waits for people; -1 = it has not waited yet. */
    public int $waited = -1;

    public function __construct(private readonly Presence $there)
    {
        $edges = $there->edges;
        for ($b = 0, $last = $edges[count($edges) - 1] >> self::BITS; $b <= $last; $b++) {
            $this->edgeOf[] = Presence::edgeAt($edges, $b << self::BITS);
        }
    }

    public function clear(): void
    {
        $this->near = $this->qualification = [];
    }

    /** @param  list<int>  $uses */
    public function take(int $x, array $uses, ?string $qualification): void
    {
        $this->qualification[$x] = $qualification;
        $key = $x << self::NTH;
        foreach ($uses as $use) {
            $last = (($use >> CrewUse::END & CrewUse::MINUTE) - 1) >> self::BITS;
            for ($b = $use >> CrewUse::BEGIN + self::BITS; $b <= $last; $b++) {
                $this->near[$b][$key] = $use;
            }
            $key++;
        }
    }

    /** @param  list<int>  $uses */
    public function release(int $x, array $uses): void
    {
        $key = $x << self::NTH;
        foreach ($uses as $use) {
            $last = (($use >> CrewUse::END & CrewUse::MINUTE) - 1) >> self::BITS;
            for ($b = $use >> CrewUse::BEGIN + self::BITS; $b <= $last; $b++) {
                unset($this->near[$b][$key]);
            }
            $key++;
        }
    }

    /**
     * @param  array<int, int>  $pos
     * @param  int  $place  those count that stand ahead of it in the order
     */
    public function askFor(int $place, array $pos): void
    {
        $this->pos = $pos;
        $this->limit = $place;
    }

    /** It is tried on another machine. */
    public function begin(): void
    {
        $this->waited = -1;
    }

    /** The order is let go: while it is held here, each change of it would copy it. */
    public function done(): void
    {
        $this->pos = [];
    }

    public function lackingUntil(int $from, int $to, int $number, ?string $qualification): int
    {
        $edges = $this->there->edges;
        $e = $this->edgeOf[$from >> self::BITS] ?? count($edges) - 1;
        while (isset($edges[$e + 1]) && $edges[$e + 1] <= $from) {
            $e++;
        }
        $left = $this->there->heads[$e] - $number;
        $ahead = $this->ahead($from, $to, $left);
        if ($ahead === [] || ($left >= 0 && $this->there->areAlike && ($edges[$e + 1] ?? $to) >= $to)) {
            return -1; // mostly: nobody comes or goes, and there are enough for all who ask at all
        }
        $until = $this->firstLack($ahead, $e, $from, $to, $number, $qualification);
        $this->waited = $until >= 0 ? $until : $this->waited;

        return $until;
    }

    /**
     * @param  array<int, int>  $ahead  uses by key
     * @param  int  $e  the edge of presence it begins behind
     * @return int until when they lack; -1 = they can be had
     */
    private function firstLack(array $ahead, int $e, int $from, int $to, int $number, ?string $qualification): int
    {
        $edges = $this->there->edges;
        $heads = $this->there->heads;
        $areAlike = $this->there->areAlike;
        $isLacking = false;
        for ($t = $from; $t < $to; $t = $next) {
            $next = $to;
            while (isset($edges[$e + 1]) && $edges[$e + 1] <= $t) {
                $e++;
            }
            if (isset($edges[$e + 1]) && $edges[$e + 1] < $next) {
                $next = $edges[$e + 1];
            }
            $free = $heads[$e] - $number;
            foreach ($ahead as $use) {
                $begin = $use >> CrewUse::BEGIN;
                if ($begin > $t) {
                    $next = $begin < $next ? $begin : $next;

                    continue;
                }
                $end = $use >> CrewUse::END & CrewUse::MINUTE;
                if ($end > $t) {
                    $next = $end < $next ? $end : $next;
                    $free -= $use & CrewUse::NUMBER;
                }
            }
            if ($free < 0 || (! $areAlike && ! $this->areAble($ahead, $e, $t, $number, $qualification))) {
                $isLacking = true;
            } elseif ($isLacking) {
                return $t;
            }
        }

        return $isLacking ? $to : -1;
    }

    /** @param  array<int, int>  $ahead  uses by key */
    private function areAble(array $ahead, int $edge, int $minute, int $number, ?string $qualification): bool
    {
        $asked = [[$number, $qualification]];
        foreach ($ahead as $key => $use) {
            if ($use >> CrewUse::BEGIN <= $minute && ($use >> CrewUse::END & CrewUse::MINUTE) > $minute) {
                $asked[] = [$use & CrewUse::NUMBER, $this->qualification[$key >> self::NTH] ?? null];
            }
        }

        return Presence::canMeet($this->there->present[$edge], $asked);
    }

    /**
     * What is asked of the crew by operations ahead, within a span.
     *
     * @param  int  $left  so many are left for them; less those, if all asked at once
     * @return array<int, int> uses by key
     */
    private function ahead(int $from, int $to, int &$left): array
    {
        $ahead = [];
        $limit = $this->limit;
        $pos = $this->pos;
        for ($b = $from >> self::BITS, $last = ($to - 1) >> self::BITS; $b <= $last; $b++) {
            foreach ($this->near[$b] ?? [] as $key => $use) {
                if (
                    $use >> CrewUse::BEGIN < $to
                    && ($use >> CrewUse::END & CrewUse::MINUTE) > $from
                    && ($pos[$key >> self::NTH] ?? -1) < $limit
                    && ! isset($ahead[$key])
                ) {
                    $ahead[$key] = $use;
                    $left -= $use & CrewUse::NUMBER;
                }
            }
        }

        return $ahead;
    }

    /**
     * An operation ahead that lets people go at a minute, or works then.
     *
     * @param  array<int, int>  $pos
     * @return int -1 = none
     */
    public function letGoAt(int $minute, int $x, array $pos): int
    {
        $found = -1;
        foreach ($this->near[($minute - 1) >> self::BITS] ?? [] as $key => $use) {
            $y = $key >> self::NTH;
            if (isset($pos[$y]) && $pos[$y] < $pos[$x]) {
                $end = $use >> CrewUse::END & CrewUse::MINUTE;
                if ($end === $minute) {
                    return $y;
                }
                $found = $use >> CrewUse::BEGIN < $minute && $end > $minute ? $y : $found;
            }
        }

        return $found;
    }
}

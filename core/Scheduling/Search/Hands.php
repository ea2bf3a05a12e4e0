<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Search;

use KeepPace\Core\Scheduling\Loading\CrewPromises;
use KeepPace\Core\Scheduling\Loading\Presence;

/**
 * What a crew is promised to while a walk moves operations about: to an operation that is worked out, by all that stand
 * ahead of it in the order, wherever they lie in time.
 */
final class Hands implements CrewPromises
{
    /** Uses are found by stretches of 512 minutes. */
    private const BITS = 9;

    /**
     * @var array<int, array<int, list<array{int, int, int, string|null}>>> by stretch and operation: from, to, how
     *     many, qualified for what
     */
    private array $near = [];

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
        $this->near = [];
    }

    /** @param  list<array{int, int, int, bool}>  $uses */
    public function take(int $x, array $uses, ?string $qualification): void
    {
        foreach ($uses as [$from, $to, $number]) {
            for ($b = $from >> self::BITS, $last = ($to - 1) >> self::BITS; $b <= $last; $b++) {
                $this->near[$b][$x][] = [$from, $to, $number, $qualification];
            }
        }
    }

    /** @param  list<array{int, int, int, bool}>  $uses */
    public function release(int $x, array $uses): void
    {
        foreach ($uses as [$from, $to]) {
            for ($b = $from >> self::BITS, $last = ($to - 1) >> self::BITS; $b <= $last; $b++) {
                unset($this->near[$b][$x]);
            }
        }
    }

    /** @param  array<int, int>  $pos */
    public function askFor(int $x, array $pos): void
    {
        $this->pos = $pos;
        $this->limit = $pos[$x];
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

    public function lack(array $uses, ?string $qualification): ?array
    {
        $ahead = $this->ahead($uses[0][0], $uses[count($uses) - 1][1]);
        if ($ahead === []) {
            return null;
        }
        foreach ($uses as [$from, $to, $number, $isRun]) {
            $until = $this->lackingUntil($ahead, $from, $to, $number, $qualification);
            if ($until >= 0) {
                $this->waited = $until;

                return [$until, $isRun];
            }
        }

        return null;
    }

    /**
     * @param  list<array{int, int, int, string|null}>  $ahead
     * @return int -1 = they can be had
     */
    private function lackingUntil(array $ahead, int $from, int $to, int $number, ?string $qualification): int
    {
        $edges = $this->there->edges;
        $e = $this->edgeOf[$from >> self::BITS] ?? count($edges) - 1;
        while (isset($edges[$e + 1]) && $edges[$e + 1] <= $from) {
            $e++;
        }
        if ($this->isEnoughForAll($ahead, $e, $from, $to, $number)) {
            return -1;
        }
        $isLacking = false;
        for ($t = $from; $t < $to; $t = $next) {
            $next = $to;
            while (isset($edges[$e + 1]) && $edges[$e + 1] <= $t) {
                $e++;
            }
            if (isset($edges[$e + 1]) && $edges[$e + 1] < $next) {
                $next = $edges[$e + 1];
            }
            $free = $this->there->heads[$e] - $number;
            foreach ($ahead as $use) {
                if ($use[0] > $t) {
                    $next = $use[0] < $next ? $use[0] : $next;
                } elseif ($use[1] > $t) {
                    $next = $use[1] < $next ? $use[1] : $next;
                    $free -= $use[2];
                }
            }
            if ($free < 0 || (! $this->there->areAlike && ! $this->areAble($ahead, $e, $t, $number, $qualification))) {
                $isLacking = true;
            } elseif ($isLacking) {
                return $t;
            }
        }

        return $isLacking ? $to : -1;
    }

    /**
     * Nobody comes or goes, and there are enough for all who ask at all: mostly it is so.
     *
     * @param  list<array{int, int, int, string|null}>  $ahead
     */
    private function isEnoughForAll(array $ahead, int $edge, int $from, int $to, int $number): bool
    {
        if (! $this->there->areAlike || ($this->there->edges[$edge + 1] ?? $to) < $to) {
            return false;
        }
        $most = $number;
        foreach ($ahead as $use) {
            $most += $use[0] < $to && $use[1] > $from ? $use[2] : 0;
        }

        return $most <= $this->there->heads[$edge];
    }

    /** @param  list<array{int, int, int, string|null}>  $ahead */
    private function areAble(array $ahead, int $edge, int $minute, int $number, ?string $qualification): bool
    {
        $asked = [[$number, $qualification]];
        foreach ($ahead as $use) {
            if ($use[0] <= $minute && $use[1] > $minute) {
                $asked[] = [$use[2], $use[3]];
            }
        }

        return Presence::canMeet($this->there->present[$edge], $asked);
    }

    /**
     * What is asked of the crew by operations ahead, within a span.
     *
     * @return list<array{int, int, int, string|null}>
     */
    private function ahead(int $from, int $to): array
    {
        $ahead = [];
        $first = $from >> self::BITS;
        $limit = $this->limit;
        $pos = $this->pos;
        for ($b = $first, $last = ($to - 1) >> self::BITS; $b <= $last; $b++) {
            if (! isset($this->near[$b])) {
                continue;
            }
            foreach ($this->near[$b] as $y => $spans) {
                if (($pos[$y] ?? -1) < $limit) {
                    foreach ($spans as $span) {
                        // what reaches in from the stretch before has been seen there
                        if ($span[0] < $to && $span[1] > $from && ($b === $first || $b === $span[0] >> self::BITS)) {
                            $ahead[] = $span;
                        }
                    }
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
        foreach ($this->near[($minute - 1) >> self::BITS] ?? [] as $y => $spans) {
            if (isset($pos[$y]) && $pos[$y] < $pos[$x]) {
                foreach ($spans as $span) {
                    if ($span[1] === $minute) {
                        return $y;
                    }
                    $found = $span[0] < $minute && $span[1] > $minute ? $y : $found;
                }
            }
        }

        return $found;
    }
}

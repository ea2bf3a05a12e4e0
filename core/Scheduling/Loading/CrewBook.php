<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

use KeepPace\Core\Scheduling\Crew;
use KeepPace\Core\Scheduling\Net\Windows;
use KeepPace\Core\Scheduling\Person;

/**
 * Who of a crew is there, and what is taken of it. Persons are not named: what is asked for at one time must be
 * satisfiable by
 * those present, for every group of qualifications (the condition of Hall, Journal of the London Mathematical Society
 * 10 (1935)).
 */
final class CrewBook
{
    /** @var list<int> minutes at which somebody comes or goes, in order */
    private array $edges = [];

    /** @var list<list<list<string>>> from each edge on: the qualifications of each person present */
    private array $present = [];

    /** @var list<array{int, int, int, string|null}> from, to, number, qualification */
    private array $taken = [];

    /** @var array<int, list<int>> by minute >> 10: what of that reaches into it */
    private array $near = [];

    /** @var array<int, int> how many are free from each edge on, where it is enough to count them */
    private array $free = [];

    /** Nobody is qualified for anything: all are alike. */
    private readonly bool $areAlike;

    public function __construct(Crew $crew, int $origin)
    {
        $edges = [0 => true];
        $windows = [];
        foreach ($crew->persons as $person) {
            $windows[] = $own = Windows::of($person->present, $origin);
            for ($i = 0; $i < $own->last; $i++) {
                $edges[$own->start[$i]] = $edges[$own->end[$i]] = true;
            }
        }
        ksort($edges);
        foreach (array_keys($edges) as $edge) {
            $there = [];
            foreach ($windows as $n => $own) {
                if ($own->start[$own->at($edge)] <= $edge) {
                    $there[] = $crew->persons[$n]->qualifications;
                }
            }
            $this->edges[] = $edge;
            $this->present[] = $there;
        }
        $this->areAlike = array_filter(
            $crew->persons,
            static fn (Person $person): bool => $person->qualifications !== [],
        ) === [];
        foreach ($this->present as $there) {
            $this->free[] = count($there);
        }
    }

    /**
     * When enough of them are there, whatever else is asked of them.
     *
     * @return list<array{int, int}>
     */
    public function enough(int $number, ?string $qualification): array
    {
        $spans = [];
        foreach ($this->edges as $i => $from) {
            if (self::canMeet($this->present[$i], [[$number, $qualification]])) {
                $last = count($spans) - 1;
                $to = $this->edges[$i + 1] ?? Windows::NEVER;
                if ($last >= 0 && $spans[$last][1] === $from) {
                    $spans[$last][1] = $to;
                } else {
                    $spans[] = [$from, $to];
                }
            }
        }

        return $spans;
    }

    /** Until when the first stretch within [from, to) lasts in which they cannot be had; null = they can. */
    public function lackingUntil(int $from, int $to, int $number, ?string $qualification): ?int
    {
        if ($this->areAlike && $qualification === null) {
            return $this->fewerUntil($from, $to, $number);
        }
        $near = $cuts = [];
        for ($bucket = $from >> 10; $bucket <= ($to - 1) >> 10; $bucket++) {
            foreach ($this->near[$bucket] ?? [] as $key) {
                $use = $this->taken[$key];
                if ($use[0] < $to && $use[1] > $from) {
                    $near[$key] = $use;
                    $cuts[] = max($from, $use[0]);
                    $cuts[] = $use[1];
                }
            }
        }
        if ($near === []) {
            return null;
        }
        $at = $this->edgeAt($from);
        for ($i = $at; $i < count($this->edges) && $this->edges[$i] < $to; $i++) {
            $cuts[] = max($from, $this->edges[$i]);
        }
        $cuts[] = $from;
        $cuts = array_values(array_unique($cuts));
        sort($cuts);
        foreach ($cuts as $i => $cut) {
            if ($cut >= $to) {
                break;
            }
            $asked = [[$number, $qualification]];
            foreach ($near as $use) {
                if ($use[0] <= $cut && $use[1] > $cut) {
                    $asked[] = [$use[2], $use[3]];
                }
            }
            if (! self::canMeet($this->present[$this->edgeAt($cut)], $asked)) {
                return $cuts[$i + 1] ?? $to;
            }
        }

        return null;
    }

    /** Where all are alike it is enough to count: the end of the first whole stretch with too few of them. */
    private function fewerUntil(int $from, int $to, int $number): ?int
    {
        $count = count($this->edges);
        $at = $this->edgeAt($from);
        while ($at < $count && $this->edges[$at] < $to && $this->free[$at] >= $number) {
            $at++;
        }
        if ($at === $count || $this->edges[$at] >= $to) {
            return null;
        }
        do {
            $at++;
        } while ($at < $count && $this->free[$at] < $number);

        return $this->edges[$at] ?? Windows::NEVER;
    }

    public function take(int $from, int $to, int $number, ?string $qualification): void
    {
        if ($this->areAlike) {
            $at = $this->cut($from);
            for ($end = $this->cut($to); $at < $end; $at++) {
                $this->free[$at] -= $number;
            }

            return;
        }
        $this->taken[] = [$from, $to, $number, $qualification];
        for ($bucket = $from >> 10; $bucket <= ($to - 1) >> 10; $bucket++) {
            $this->near[$bucket][] = count($this->taken) - 1;
        }
    }

    /**
     * @param  list<list<string>>  $present
     * @param  list<array{int, string|null}>  $asked
     */
    private static function canMeet(array $present, array $asked): bool
    {
        $all = 0;
        $by = [];
        foreach ($asked as [$number, $qualification]) {
            $all += $number;
            if ($qualification !== null) {
                $by[$qualification] = ($by[$qualification] ?? 0) + $number;
            }
        }
        if ($all > count($present)) {
            return false;
        }
        $names = array_keys($by);
        for ($group = 1; $group < 1 << count($names); $group++) {
            $need = 0;
            $able = array_fill_keys(array_keys($present), false);
            foreach ($names as $bit => $name) {
                if (($group >> $bit & 1) === 1) {
                    $need += $by[$name];
                    foreach ($present as $n => $qualifications) {
                        $able[$n] = $able[$n] || in_array($name, $qualifications, true);
                    }
                }
            }
            if ($need > count(array_filter($able))) {
                return false;
            }
        }

        return true;
    }

    /**
     * An edge at a minute, made where there was none.
     *
     * @return int its place
     */
    private function cut(int $minute): int
    {
        $at = $this->edgeAt($minute);
        if ($this->edges[$at] === $minute) {
            return $at;
        }
        $this->edges = [...array_slice($this->edges, 0, $at + 1), $minute, ...array_slice($this->edges, $at + 1)];
        $this->present = [...array_slice($this->present, 0, $at + 1), ...array_slice($this->present, $at)];
        $this->free = [...array_slice($this->free, 0, $at + 1), ...array_slice($this->free, $at)];

        return $at + 1;
    }

    private function edgeAt(int $minute): int
    {
        $low = 0;
        $high = count($this->edges) - 1;
        while ($low < $high) {
            $mid = intdiv($low + $high + 1, 2);
            $this->edges[$mid] <= $minute ? $low = $mid : $high = $mid - 1;
        }

        return $low;
    }
}

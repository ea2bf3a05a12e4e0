<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

use KeepPace\Core\Scheduling\Crew;
use KeepPace\Core\Scheduling\Net\Windows;
use KeepPace\Core\Scheduling\Person;

/**
 * Who of a crew is there, whatever they do. Persons are not named: what is asked for at one time must be satisfiable by
 * those present, for every group of qualifications (the condition of Hall, Journal of the London Mathematical Society
 * 10 (1935)).
 */
final readonly class Presence
{
    /** @var non-empty-list<int> minutes at which somebody comes or goes, in order, from 0 on */
    public array $edges;

    /** @var list<list<list<string>>> from each edge on: the qualifications of each person present */
    public array $present;

    /** @var list<int> from each edge on: how many are present */
    public array $heads;

    /** Nobody is qualified for anything: all are alike. */
    public bool $areAlike;

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
        $present = [];
        foreach (array_keys($edges) as $edge) {
            $there = [];
            foreach ($windows as $n => $own) {
                if ($own->start[$own->at($edge)] <= $edge) {
                    $there[] = $crew->persons[$n]->qualifications;
                }
            }
            $present[] = $there;
        }
        $this->edges = array_keys($edges);
        $this->present = $present;
        $this->heads = array_map(count(...), $present);
        $this->areAlike = array_filter(
            $crew->persons,
            static fn (Person $person): bool => $person->qualifications !== [],
        ) === [];
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

    /**
     * The last of these minutes that is not behind one.
     *
     * @param  non-empty-list<int>  $edges  in order
     * @return int its place
     */
    public static function edgeAt(array $edges, int $minute): int
    {
        $low = 0;
        $high = count($edges) - 1;
        while ($low < $high) {
            $mid = intdiv($low + $high + 1, 2);
            $edges[$mid] <= $minute ? $low = $mid : $high = $mid - 1;
        }

        return $low;
    }

    /**
     * @param  list<list<string>>  $present
     * @param  list<array{int, string|null}>  $asked
     */
    public static function canMeet(array $present, array $asked): bool
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
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Search;

use KeepPace\Core\Scheduling\Crew;
use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Net\Way;
use KeepPace\Core\Scheduling\Net\Windows;
use KeepPace\Core\Scheduling\Person;

/**
 * A shop near enough to one in which people are shared, some of them qualified, loads are put together, steps are
 * pinned, pass on parts or may not pause: a walk can work it out, and what it finds is loaded in truth afterwards. A
 * crew that has fewer people than it stands machines makes what needs them take as much longer; an oven for three is
 * three ovens; a pinned step begins no sooner.
 */
final class Relaxed
{
    /** @var array<int, float> by crew: machines it mans for each of its people */
    private array $spread = [];

    private function __construct(private readonly Net $net)
    {
    }

    public static function of(Net $net): Net
    {
        return (new self($net))->relaxed();
    }

    private function relaxed(): Net
    {
        $net = clone $this->net;
        $net->plain = true;
        $net->relaxed = true;
        $this->measure();
        $machines = [];
        foreach ($net->centreKey as $c => $key) {
            $centre = $net->problem->workCentres[$key];
            $machines[] = max(1, $centre->machines) * max(1, intdiv($centre->batch, $this->usualSize($c)));
        }
        $net->machines = $machines;
        $net->machineOpen = array_filter(
            $net->machineOpen,
            static fn (array $open, int $c): bool => count($open) === $machines[$c],
            ARRAY_FILTER_USE_BOTH,
        );
        [$ways, $work, $ahead, $release] = [$net->ways, $net->work, $net->ahead, $net->release];
        foreach ($net->step as $x => $step) {
            $ways[$x] = array_map($this->way(...), $ways[$x]);
            if ($net->centre[$x] >= 0) {
                $work[$x] = $ways[$x][0]->work();
                $ahead[$x] = $step->setupNeedsMaterial || $step->started ? 0 : $ways[$x][0]->setup;
            }
            if ($step->pin !== null) {
                $release[$x] = max($release[$x], $step->pin->start - $net->origin);
            }
        }
        $net->ways = $ways;
        $net->work = array_values($work);
        $net->ahead = array_values($ahead);
        $net->release = array_values($release);

        return $net;
    }

    /** How much longer what needs people takes, for each crew. */
    private function measure(): void
    {
        $manned = [];
        foreach ($this->net->ways as $ways) {
            foreach ($ways as $way) {
                if ($way->crewing !== null) {
                    $manned[$way->crewing->crew][$way->centre] = true;
                }
            }
        }
        foreach ($manned as $crew => $centres) {
            $stands = $open = 0;
            foreach (array_keys($centres) as $c) {
                $minutes = $this->net->open[$c]->before[$this->net->open[$c]->last];
                $stands += $this->net->machines[$c] * $minutes;
                $open = max($open, $minutes);
            }
            $there = isset($this->net->problem->crews[$crew]) ? $this->there($this->net->problem->crews[$crew]) : 0;
            $this->spread[$crew] = $there === 0 || $open === 0 ? 1.0 : max(0.1, $stands / $there);
        }
    }

    /** Minutes its people are there. */
    private function there(Crew $crew): int
    {
        return array_sum(array_map(function (Person $person): int {
            $present = Windows::of($person->present, $this->net->origin);

            return $present->before[$present->last];
        }, $crew->persons));
    }

    private function way(Way $way): Way
    {
        $need = $way->crewing;
        if ($need === null) {
            return $way;
        }

        return new Way(
            $way->centre,
            $this->longer($way->setup, $need->setup, $need),
            $this->longer($way->run, $need->run, $need),
            null,
        );
    }

    private function longer(int $minutes, int $persons, Crewing $need): int
    {
        return (int) ceil($minutes * max(1.0, $persons * ($this->spread[$need->crew] ?? 1.0)));
    }

    /** What a step usually takes of a load. */
    private function usualSize(int $centre): int
    {
        $sizes = [];
        foreach ($this->net->step as $x => $step) {
            if ($this->net->centre[$x] === $centre) {
                $sizes[] = $step->size;
            }
        }

        return $sizes === [] ? 1 : max(1, (int) round(array_sum($sizes) / count($sizes)));
    }
}

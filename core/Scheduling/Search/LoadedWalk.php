<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Search;

use KeepPace\Core\Scheduling\Loading\Loading;
use KeepPace\Core\Scheduling\Net\Net;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Annealing where crews, families, batches and the like let no short cut: each order is loaded whole. Slower by far
 * than the plain walk, for shops of some hundred steps.
 */
final class LoadedWalk implements Cooler
{
    /** A job without a place costs as much as one a year late. */
    private const NO_PLACE = 525_600;

    /** One move in so many is of the rest of a whole job. */
    private const WHOLE = 3;

    private readonly Randomizer $random;

    private readonly JobMove $jobMove;

    /** @var array<int, bool> */
    private array $fixed;

    /** @var array<int, int> */
    private array $ways = [];

    /** @var array<int, int> by step id: where it is pinned; not to stand there costs as much as no place */
    private array $pins = [];

    /** @param  Stands  $stands  what is fixed is not moved; it comes first in every order given */
    public function __construct(private readonly Net $net, int $seed, private readonly Stands $stands)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
        $this->jobMove = new JobMove($net);
        foreach ($net->step as $step) {
            if ($step->pin !== null && ! $step->started) {
                $this->pins[$step->id] = $step->pin->start;
            }
        }
        $this->fixed = array_fill_keys($stands->fixed, true) + array_fill(0, $net->count, false);
    }

    public function cool(array $at, array $ways, int $iterations, float $hot, float $cold, callable $goOn): Found
    {
        $this->ways = $ways;
        [$cost, $flow, $late, $ends] = $this->weigh($at);
        $best = new Found($at, $cost, $flow, 0, false, $ways);
        $energy = $cost * 1000 + $flow;
        $isCut = false;
        $i = 0;
        for (; $i < $iterations; $i++) {
            if (! $goOn($best->cost, $i)) {
                $isCut = true;
                break;
            }
            $new = ($this->random->getInt(1, self::WHOLE) === 1 ? $this->whole($at, $late, $ends) : null)
                ?? $this->moved($at, $late);
            if ($new === null) {
                continue;
            }
            [$newCost, $newFlow, $newLate, $newEnds] = $this->weigh($new);
            $temperature = $hot * ($cold / $hot) ** ($i / $iterations) * 1000;
            $delta = $newCost * 1000 + $newFlow - $energy;
            if ($delta <= 0 || $delta < -$temperature * log($this->random->getInt(1, 1 << 30) / (1 << 30))) {
                [$at, $energy, $late, $ends] = [$new, $energy + $delta, $newLate, $newEnds];
                $found = new Found($new, $newCost, $newFlow, 0, false, $ways);
                $best = $found->isBetterThan($best) ? $found : $best;
            }
        }

        return new Found($best->order, $best->cost, $best->flow, $i, $isCut, $ways);
    }

    /**
     * An operation of a late job, or of what it needs, goes ahead by some places, with what it waits for.
     *
     * @param  list<int>  $at
     * @param  list<int>  $late  jobs
     * @return list<int>|null null = it cannot
     */
    private function moved(array $at, array $late): ?array
    {
        $x = $this->pick($late);
        $place = array_search($x, $at, true);
        if ($x === null || $place === false || $this->fixed[$x]) {
            return null;
        }
        $from = max(0, $place - $this->random->getInt(1, 1 << $this->random->getInt(1, 7)));
        while ($from < $place && $this->fixed[$at[$from]]) {
            $from++;
        }
        $along = [$x => true];
        $first = $rest = [];
        for ($p = $place; $p >= $from; $p--) {
            foreach ($this->net->after[$at[$p]] as $y) {
                if (isset($along[$y])) {
                    $along[$at[$p]] = true;
                }
            }
            isset($along[$at[$p]]) ? $first[] = $at[$p] : $rest[] = $at[$p];
        }
        if ($rest === []) {
            return null;
        }
        array_splice($at, $from, $place - $from + 1, [...array_reverse($first), ...array_reverse($rest)]);

        return $at;
    }

    /**
     * A late job from one of its operations on ahead of others, or one that stands in its way behind it.
     *
     * @param  list<int>  $at
     * @param  list<int>  $late  jobs
     * @param  array<int, int>  $ends  by operation
     * @return list<int>|null null = it cannot
     */
    private function whole(array $at, array $late, array $ends): ?array
    {
        $v = $this->pick($late);
        if ($v === null || $this->fixed[$v]) {
            return null;
        }
        $pos = $out = $last = [];
        $cp = $cn = array_fill(0, $this->net->count, -1);
        foreach ($at as $p => $x) {
            $pos[$x] = $p;
            $out[$x] = $this->net->out($x, $ends[$x]);
            $c = $this->net->centre[$x];
            if ($c >= 0) {
                $cp[$x] = $last[$c] ?? -1;
                if ($cp[$x] >= 0) {
                    $cn[$cp[$x]] = $x;
                }
                $last[$c] = $x;
            }
        }
        $u = $cp[$v];
        for ($k = $this->random->getInt(0, 7); $k > 0 && $u >= 0 && $cp[$u] >= 0; $k--) {
            $u = $cp[$u];
        }
        if ($u < 0 || $this->fixed[$u]) {
            return null;
        }
        [$centre, $work] = [$this->net->centre, $this->net->work];
        $stretch = $this->random->getInt(1, 4) === 1
                ? $this->jobMove->rush($v, $centre, $work, $at, $pos, $cp, $ends, $out, $this->fixed)
                : $this->jobMove->yield($u, $v, $centre, $work, $at, $pos, $cn, $ends, $out);
        if ($stretch === null) {
            return null;
        }
        array_splice($at, $stretch[0], count($stretch[1]), $stretch[1]);

        return $at;
    }

    /** @param  list<int>  $late */
    private function pick(array $late): ?int
    {
        $jobs = $late === [] ? array_keys($this->net->jobs) : $late;
        $job = $jobs[$this->random->getInt(0, count($jobs) - 1)];
        if ($this->net->operations[$job] === []) {
            return null;
        }
        $x = $this->net->operations[$job][$this->random->getInt(0, count($this->net->operations[$job]) - 1)];
        while ($this->net->before[$x] !== [] && $this->random->getInt(0, 2) === 0) {
            $x = $this->net->before[$x][$this->random->getInt(0, count($this->net->before[$x]) - 1)];
        }

        return $x;
    }

    /**
     * @param  list<int>  $order
     * @return array{int, int, list<int>, array<int, int>} cost, sum of finishes, late jobs, ends by operation
     */
    private function weigh(array $order): array
    {
        $schedule = Loading::load($this->net, $order, only: $this->ways);
        $cost = $flow = 0;
        $late = [];
        foreach ($this->net->jobs as $j => $job) {
            $finish = $schedule->finish[$job->id] ?? null;
            $flow += $finish === null ? self::NO_PLACE : $finish - $this->net->origin;
            $weight = $job->due === null ? 0 : $job->weight;
            $minutes = isset($this->net->unplaced[$job->id]) ? 0
                : ($finish === null ? self::NO_PLACE : $this->net->late($j, $finish - $this->net->origin));
            $cost += $weight * $minutes;
            if ($weight * $minutes > 0) {
                $late[] = $j;
            }
        }
        foreach ($this->stands->price as $x => $price) {
            $now = $schedule->steps[$this->net->step[$x]->id] ?? null;
            $isThere = $now !== null && $now->start - $this->net->origin === $this->stands->was[$x];
            $cost += $isThere ? 0 : $price;
        }
        foreach ($this->pins as $id => $start) {
            $cost += ($schedule->steps[$id]->start ?? $start) > $start ? self::NO_PLACE : 0;
        }

        $ends = [];
        foreach ($this->net->step as $x => $step) {
            $ends[$x] = ($schedule->steps[$step->id]->end ?? $this->net->origin) - $this->net->origin;
        }

        return [$cost, $flow, $late, $ends];
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Search;

use KeepPace\Core\Scheduling\Loading\Loading;
use KeepPace\Core\Scheduling\Net\Net;

/**
 * Order after order, each whole into the gaps those before it leave: to begin a search with where much stands still,
 * as people, pins and loads make it, and dispatching step by step fills time nobody gives back. (The job insertion
 * problem, Kis and Hertz, Discrete Applied Mathematics 128 (2003), solved greedily for each of a sequence of orders.)
 */
final class OneByOne
{
    /** @var list<float> by job: elapsed minutes it takes if nothing keeps it, by and large */
    private array $span = [];

    private readonly float $usual;

    private readonly float $weight;

    public function __construct(private readonly Net $net)
    {
        foreach ($net->operations as $operations) {
            $span = 0.0;
            foreach ($operations as $x) {
                $c = $net->centre[$x];
                $span += $net->work[$x] * ($c < 0 ? 1.0 : $net->open[$c]->stretch());
            }
            $this->span[] = $span;
        }
        $jobs = max(1, count($net->jobs));
        $this->usual = array_sum($this->span) / $jobs;
        $weight = 0;
        foreach ($net->jobs as $job) {
            $weight += $job->weight;
        }
        $this->weight = max(1, $weight) / $jobs;
    }

    /**
     * By the due date, sooner by its own time and its weight.
     *
     * @param  float  $bySpan  how many times its own time
     * @param  float  $byWeight  how many times the usual time of an order, for the usual weight
     * @param  array<int, float>  $factors  by job: how much more that counts
     * @return array{list<int>, array<int, int>} operations in order of their starts; by operation: in which of its ways
     */
    public function order(float $bySpan, float $byWeight, array $factors = []): array
    {
        $key = [];
        foreach ($this->net->jobs as $j => $job) {
            $sooner = $bySpan * $this->span[$j] + $byWeight * $this->usual * $job->weight / $this->weight;
            $key[$j] = $this->net->due[$j] - $sooner * ($factors[$j] ?? 1.0);
        }
        asort($key);
        $order = $taken = [];
        foreach (array_keys($key) as $j) {
            $this->takes($j, $taken, $order);
        }

        return $this->loaded($order);
    }

    /**
     * A job behind all it waits for.
     *
     * @param  array<int, true>  $taken  by job
     * @param  list<int>  $order
     */
    private function takes(int $j, array &$taken, array &$order): void
    {
        if (isset($taken[$j])) {
            return;
        }
        $taken[$j] = true;
        foreach ($this->net->operations[$j] as $x) {
            foreach ($this->net->before[$x] as $y) {
                $this->takes($this->net->job[$y], $taken, $order);
            }
        }
        foreach ($this->net->operations[$j] as $x) {
            $order[] = $x;
        }
    }

    /**
     * @param  list<int>  $order
     * @return array{list<int>, array<int, int>}
     */
    private function loaded(array $order): array
    {
        $schedule = Loading::load($this->net, $order, gaps: true);
        $start = $ways = [];
        foreach (array_keys($this->net->step) as $x) {
            $planned = $schedule->steps[$this->net->step[$x]->id] ?? null;
            $start[$x] = $planned->start ?? PHP_INT_MAX;
            foreach ($this->net->before[$x] as $y) {
                $start[$x] = max($start[$x], $start[$y]); // set up ahead of it
            }
            foreach ($this->net->ways[$x] as $n => $way) {
                if ($planned !== null && $this->net->centreKey[$way->centre] === $planned->workCentre) {
                    $ways[$x] = $n;
                }
            }
        }
        // operations are numbered behind those they wait for: of those that start together the lower comes first
        usort($order, static fn (int $a, int $b): int => [$start[$a], $a] <=> [$start[$b], $b]);

        return [$order, $ways];
    }
}

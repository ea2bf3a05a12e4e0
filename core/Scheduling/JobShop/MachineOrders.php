<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\JobShop;

use Random\Randomizer;

/**
 * A job shop with the order on each machine chosen: the disjunctive graph, its longest ways and a critical path. Heads
 * and
 * tails are recomputed whole after each move, one pass over a linear order. Plain integer arrays, in local variables
 * where they are read often: this is where the search spends its time.
 */
final class MachineOrders
{
    public readonly int $count;

    /** @var list<int> operation before in the job, -1 = none */
    public readonly array $jobBefore;

    /** @var list<int> */
    public readonly array $jobAfter;

    /** @var array<int, int> operation before on the machine, -1 = none */
    public array $before = [];

    /** @var array<int, int> */
    public array $after = [];

    /** @var array<int, int> heads: the longest way to the start of each operation */
    public array $head = [];

    /** @var array<int, int> tails: the longest way from the start of each operation to the end, itself included */
    public array $tail = [];

    /** @var list<int> operations in a linear order */
    public array $order = [];

    public function __construct(public readonly JobShop $shop, private readonly Randomizer $random)
    {
        $this->count = $shop->operations();
        $before = $after = [];
        for ($i = 0; $i < $this->count; $i++) {
            $before[] = $i > 0 && $shop->jobOf[$i - 1] === $shop->jobOf[$i] ? $i - 1 : -1;
            $after[] = $i + 1 < $this->count && $shop->jobOf[$i + 1] === $shop->jobOf[$i] ? $i + 1 : -1;
        }
        $this->jobBefore = $before;
        $this->jobAfter = $after;
    }

    /** @param  list<int>  $place  of each operation in a linear order */
    public function take(array $place): void
    {
        $this->before = $this->after = array_fill(0, $this->count, -1);
        $last = [];
        asort($place);
        foreach (array_keys($place) as $operation) {
            $machine = $this->shop->machine[$operation];
            $this->link($last[$machine] ?? -1, $operation);
            $last[$machine] = $operation;
        }
    }

    /**
     * Heads in a linear order found on the way (Kahn), then tails backwards.
     *
     * @return int the makespan
     */
    public function longestPaths(): int
    {
        $n = $this->count;
        [$p, $jp, $js, $mp, $ms] = [$this->shop->time, $this->jobBefore, $this->jobAfter, $this->before, $this->after];
        $open = $order = $r = $q = [];
        for ($i = 0; $i < $n; $i++) {
            $open[$i] = ($jp[$i] >= 0 ? 1 : 0) + ($mp[$i] >= 0 ? 1 : 0);
            if ($open[$i] === 0) {
                $order[] = $i;
            }
        }
        $span = 0;
        $at = 0;
        while (isset($order[$at])) {
            $i = $order[$at++];
            $head = 0;
            $b = $jp[$i];
            if ($b >= 0) {
                $head = $r[$b] + $p[$b];
            }
            $b = $mp[$i];
            if ($b >= 0 && $head < $r[$b] + $p[$b]) {
                $head = $r[$b] + $p[$b];
            }
            $r[$i] = $head;
            if ($head + $p[$i] > $span) {
                $span = $head + $p[$i];
            }
            $b = $js[$i];
            if ($b >= 0 && --$open[$b] === 0) {
                $order[] = $b;
            }
            $b = $ms[$i];
            if ($b >= 0 && --$open[$b] === 0) {
                $order[] = $b;
            }
        }
        if ($at !== $n) {
            throw new \LogicException('A move made the machine orders go round in a circle.');
        }
        for ($at = $n - 1; $at >= 0; $at--) {
            $i = $order[$at];
            $tail = 0;
            $b = $js[$i];
            if ($b >= 0) {
                $tail = $q[$b];
            }
            $b = $ms[$i];
            if ($b >= 0 && $q[$b] > $tail) {
                $tail = $q[$b];
            }
            $q[$i] = $tail + $p[$i];
        }
        [$this->order, $this->head, $this->tail] = [$order, $r, $q];

        return $span;
    }

    /**
     * One critical path, by chance where there are several.
     *
     * @return list<int> from the first to the last operation
     */
    public function criticalPath(int $span): array
    {
        [$p, $jp, $mp, $r] = [$this->shop->time, $this->jobBefore, $this->before, $this->head];
        $i = -1;
        $seen = 0;
        for ($at = $this->count - 1; $at >= 0; $at--) {
            $b = $this->order[$at];
            if ($span === $r[$b] + $p[$b] && $this->random->getInt(0, $seen++) === 0) {
                $i = $b;
            }
        }
        $path = [];
        while ($i >= 0) {
            $path[] = $i;
            [$a, $b] = [$jp[$i], $mp[$i]];
            $onJob = $a >= 0 && $r[$i] === $r[$a] + $p[$a];
            $onMachine = $b >= 0 && $r[$i] === $r[$b] + $p[$b];
            $i = $onJob && $onMachine
                    ? ($this->random->getInt(0, 1) === 0
                        ? $a
                        : $b)
                    : ($onMachine
                        ? $b
                        : ($onJob
                            ? $a
                            : -1));
        }

        return array_reverse($path);
    }

    /**
     * Puts the operation at one place of a path behind (or before) the one at another; between them it is all one
     * machine.
     *
     * @param  list<int>  $path
     * @param  array{int, int, bool}  $move
     */
    public function move(array $path, array $move): void
    {
        [$u, $v, $behind] = $move;
        $moved = $behind ? $path[$u] : $path[$v];
        $this->link($this->before[$moved], $this->after[$moved]);
        if ($behind) {
            $after = $this->after[$path[$v]];
            $this->link($path[$v], $moved);
            $this->link($moved, $after);
        } else {
            $before = $this->before[$path[$u]];
            $this->link($before, $moved);
            $this->link($moved, $path[$u]);
        }
    }

    /** Puts two operations next to one another on their machine; -1 = the end of it. */
    private function link(int $first, int $second): void
    {
        if ($first >= 0) {
            $this->after[$first] = $second;
        }
        if ($second >= 0) {
            $this->before[$second] = $first;
        }
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\JobShop;

use Random\Randomizer;

/**
 * A job shop with the order on each machine chosen: the disjunctive graph, its longest ways and a critical path. After
 * a move heads are worked out anew from where it begins in a linear order on, tails from where it ends. Plain integer
 * arrays, in local variables where they are read often: this is where the search spends its time.
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

    /** @var array<int, int> operations in a linear order */
    public array $order = [];

    /** @var array<int, int> of each operation in the linear order */
    private array $place = [];

    /** @var list<int> the last operation of each job */
    private readonly array $lasts;

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
        $this->lasts = array_keys($after, -1, true);
    }

    /**
     * @param  list<int>  $place  of each operation in a linear order
     * @return int the makespan
     */
    public function take(array $place): int
    {
        $this->before = $this->after = array_fill(0, $this->count, -1);
        $last = [];
        asort($place);
        foreach (array_keys($place) as $operation) {
            $machine = $this->shop->machine[$operation];
            $this->link($last[$machine] ?? -1, $operation);
            $last[$machine] = $operation;
        }
        $this->order = array_keys($place);
        $this->place = $this->places($this->order);
        $this->head = $this->tail = array_fill(0, $this->count, 0);
        $this->heads(0);
        $this->tails($this->count - 1);

        return $this->span();
    }

    /**
     * Another linear order of the same machine orders: what can begin stands in the order in which it can (Kahn). The
     * one kept from move to move is of no use between two schedules: it tells what was moved more than what is.
     *
     * @param  array<int, int>  $order  a linear order
     * @return list<int> place of each operation
     */
    public function levels(array $order): array
    {
        $this->take($this->places($order));
        $place = array_fill(0, $this->count, 0);
        $open = $next = [];
        for ($i = 0; $i < $this->count; $i++) {
            $open[$i] = ($this->jobBefore[$i] >= 0 ? 1 : 0) + ($this->before[$i] >= 0 ? 1 : 0);
            $open[$i] > 0 ?: $next[] = $i;
        }
        for ($at = 0; isset($next[$at]); $at++) {
            $place[$next[$at]] = $at;
            foreach ([$this->jobAfter[$next[$at]], $this->after[$next[$at]]] as $b) {
                if ($b >= 0 && --$open[$b] === 0) {
                    $next[] = $b;
                }
            }
        }

        return array_values($place);
    }

    /**
     * @param  array<int, int>  $order
     * @return list<int> place of each operation
     */
    private function places(array $order): array
    {
        $place = array_fill(0, $this->count, 0);
        foreach ($order as $at => $operation) {
            $place[$operation] = $at;
        }

        return array_values($place);
    }

    /** Heads in the linear order, of all that stand at a place or behind it. */
    private function heads(int $from): void
    {
        [$p, $jp, $mp, $order, $r] = [$this->shop->time, $this->jobBefore, $this->before, $this->order, $this->head];
        $this->head = []; // written in place: nobody else holds it
        for ($at = $from, $n = $this->count; $at < $n; $at++) {
            $i = $order[$at];
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
        }
        $this->head = $r;
    }

    /** Tails, of all that stand at a place or before it. */
    private function tails(int $from): void
    {
        [$p, $js, $ms, $order, $q] = [$this->shop->time, $this->jobAfter, $this->after, $this->order, $this->tail];
        $this->tail = [];
        for ($at = $from; $at >= 0; $at--) {
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
        $this->tail = $q;
    }

    private function span(): int
    {
        $span = 0;
        foreach ($this->lasts as $i) {
            $span = max($span, $this->head[$i] + $this->shop->time[$i]);
        }

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
        foreach ($this->lasts as $b) {
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
     * @return int the makespan
     */
    public function move(array $path, array $move): int
    {
        [$u, $v, $behind] = $move;
        $first = $this->place[$path[$u]];
        $last = $this->place[$path[$v]];
        $moved = $behind ? $path[$u] : $path[$v];
        $this->link($this->before[$moved], $this->after[$moved]);
        if ($behind) {
            $after = $this->after[$path[$v]];
            $this->link($path[$v], $moved);
            $this->link($moved, $after);
            $this->reorder($first, $last, $this->follow($moved, $first, $last), false);
        } else {
            $before = $this->before[$path[$u]];
            $this->link($before, $moved);
            $this->link($moved, $path[$u]);
            $this->reorder($first, $last, $this->lead($moved, $first, $last), true);
        }
        $this->heads($first);
        $this->tails($last);

        return $this->span();
    }

    /**
     * What has to come behind an operation, itself among it, of those between two places of the linear order.
     *
     * @return array<int, true>
     */
    private function follow(int $moved, int $first, int $last): array
    {
        $with = [$moved => true];
        for ($at = $first + 1; $at <= $last; $at++) {
            $i = $this->order[$at];
            if (isset($with[$this->jobBefore[$i]]) || isset($with[$this->before[$i]])) {
                $with[$i] = true;
            }
        }

        return $with;
    }

    /**
     * What has to come before an operation.
     *
     * @return array<int, true>
     */
    private function lead(int $moved, int $first, int $last): array
    {
        $with = [$moved => true];
        for ($at = $last - 1; $at >= $first; $at--) {
            $i = $this->order[$at];
            if (isset($with[$this->jobAfter[$i]]) || isset($with[$this->after[$i]])) {
                $with[$i] = true;
            }
        }

        return $with;
    }

    /** @param  array<int, true>  $with  go together before, or behind, all others between two places */
    private function reorder(int $first, int $last, array $with, bool $before): void
    {
        $at = $before ? $first : $last - count($with) + 1;
        $other = $before ? $first + count($with) : $first;
        foreach (array_slice($this->order, $first, $last - $first + 1) as $i) {
            $place = isset($with[$i]) ? $at++ : $other++;
            $this->order[$place] = $i;
            $this->place[$i] = $place;
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

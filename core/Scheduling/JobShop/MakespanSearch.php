<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\JobShop;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Least makespan of a job shop: tabu search on the disjunctive graph, moving operations of critical blocks (Balas and
 * Vazacopoulos, Management Science 44 (1998); neighbourhood N7 of Zhang, Li, Guan and Rao, Computers & Operations
 * Research 34
 * (2007)), started again from combinations of the best found (path relinking: Peng, Lü and Cheng, Computers &
 * Operations Research 53 (2015)). Repeatable by seed and iterations.
 */
final class MakespanSearch
{
    private const ELITE = 8;

    /**
     * Those kept differ in this share of what comes before what; else they grow alike, and between them lies nothing
     * new.
     */
    private const APART = 0.12;

    private readonly Randomizer $random;

    private readonly TabuWalk $walk;

    /** @var array<int, array{span: int, place: list<int>}> the best found, each as a linear order of operations */
    private array $elite = [];

    public int $iterations = 0;

    private function __construct(private readonly JobShop $shop, int $seed)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
        $this->walk = new TabuWalk($shop, $this->random);
    }

    /**
     * @param  int  $iterations  at most
     * @param  callable(int, int): bool  $goOn  told the best makespan and the iterations so far; false = take the best
     *     now
     * @param  int  $target  stop when it is reached
     */
    public static function solve(
        JobShop $shop,
        int $seed,
        int $iterations,
        callable $goOn,
        int $target = 0,
    ): JobShopSchedule {
        $search = new self($shop, $seed);
        $patience = max(600, min(6000, 13 * $shop->operations()));
        $asked = fn (int $span, int $done): bool => $goOn($search->best($span), $search->iterations + $done);
        for ($round = 0; $shop->operations() > 0; $round++) {
            [$span, $place, $done] = $search->walk
                ->from($search->start($round), $patience, $iterations - $search->iterations, $target, $asked);
            $search->iterations += $done;
            $search->keep($span, $place);
            if ($search->best(PHP_INT_MAX) <= $target || $search->iterations >= $iterations
                || ! $goOn($search->best(PHP_INT_MAX), $search->iterations)) {
                break;
            }
        }

        return JobShopSchedule::of($shop, $search->elite[0]['place'] ?? [], $search->iterations);
    }

    private function best(int $span): int
    {
        return min($span, $this->elite[0]['span'] ?? PHP_INT_MAX);
    }

    /**
     * A linear order to begin a walk from: at first by random priorities, then between two of the best. A weighted sum
     * of two linear orders that both respect the jobs respects them too, so whatever lies between two schedules is a
     * schedule.
     *
     * @return list<int> place of each operation
     */
    private function start(int $round): array
    {
        $count = $this->shop->operations();
        if ($round < 3 || count($this->elite) < 2) {
            return $this->walk->dispatched($round === 0);
        }
        $one = $this->random->getInt(0, count($this->elite) - 1);
        $other = ($one + $this->random->getInt(1, count($this->elite) - 1)) % count($this->elite);
        $share = $this->random->getInt(10, 40);
        $keys = [];
        for ($i = 0; $i < $count; $i++) {
            $keys[$i] =
                ($this->elite[$one]['place'][$i] * $share + $this->elite[$other]['place'][$i] * (100 - $share)) * 1024
                + $i;
        }
        asort($keys);
        $place = array_fill(0, $count, 0);
        foreach (array_keys($keys) as $at => $operation) {
            $place[$operation] = $at;
        }

        return array_values($place);
    }

    /** @param  list<int>  $place */
    private function keep(int $span, array $place): void
    {
        foreach ($this->elite as $i => $kept) {
            if ($this->distance($kept['place'], $place) < self::APART * $this->shop->operations()) {
                if ($span >= $kept['span']) {
                    return;
                }
                unset($this->elite[$i]);
            }
        }
        $this->elite = array_values($this->elite);
        $this->elite[] = ['span' => $span, 'place' => $place];
        usort($this->elite, static fn (array $a, array $b): int => $a['span'] <=> $b['span']);
        if (count($this->elite) > self::ELITE) {
            array_pop($this->elite);
        }
    }

    /**
     * Operations that do not follow the same one on their machine.
     *
     * @param  list<int>  $one
     * @param  list<int>  $other
     */
    private function distance(array $one, array $other): int
    {
        return count(array_diff_assoc($this->machineBefore($one), $this->machineBefore($other)));
    }

    /**
     * @param  list<int>  $place
     * @return array<int, int> by operation: the one before it on its machine, -1 for none
     */
    private function machineBefore(array $place): array
    {
        asort($place);
        $before = $last = [];
        foreach (array_keys($place) as $operation) {
            $machine = $this->shop->machine[$operation];
            $before[$operation] = $last[$machine] ?? -1;
            $last[$machine] = $operation;
        }

        return $before;
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\JobShop;

use Random\Randomizer;

/** One walk of tabu search over the machine orders of a job shop. */
final class TabuWalk
{
    private readonly MachineOrders $orders;

    /** @var array<int, int> by pair of operations: until which move the first may not come before the second again */
    private array $tabu = [];

    public function __construct(private readonly JobShop $shop, private readonly Randomizer $random)
    {
        $this->orders = new MachineOrders($shop, $random);
    }

    /**
     * A linear order by dispatching: of the jobs whose next operation can start first, one with much work left.
     *
     * @return list<int> place of each operation
     */
    public function dispatched(bool $byWorkLeft): array
    {
        $left = $next = $jobFree = $machineFree = [];
        foreach ($this->shop->jobOf as $operation => $job) {
            $left[$job] = ($left[$job] ?? 0) + $this->shop->time[$operation];
            $next[$job] ??= $operation;
        }
        $place = array_fill(0, $this->orders->count, 0);
        for ($at = 0; $at < $this->orders->count; $at++) {
            $best = -1;
            $bestKey = PHP_INT_MAX;
            foreach ($next as $job => $operation) {
                $start = max($jobFree[$job] ?? 0, $machineFree[$this->shop->machine[$operation]] ?? 0);
                $key = $byWorkLeft
                    ? $start * 100_000 - $left[$job]
                    : $start * 100_000 + $this->random->getInt(0, 99_999);
                if ($key < $bestKey) {
                    $bestKey = $key;
                    $best = $job;
                }
            }
            $operation = $next[$best];
            $place[$operation] = $at;
            $machine = $this->shop->machine[$operation];
            $jobFree[$best] = $machineFree[$machine] =
                max($jobFree[$best] ?? 0, $machineFree[$machine] ?? 0) + $this->shop->time[$operation];
            $left[$best] -= $this->shop->time[$operation];
            if ($this->orders->jobAfter[$operation] < 0) {
                unset($next[$best]);
            } else {
                $next[$best] = $this->orders->jobAfter[$operation];
            }
        }

        return array_values($place);
    }

    /**
     * @param  list<int>  $place  linear order to begin from
     * @param  int  $patience  moves without a new best after which it ends
     * @param  callable(int, int): bool  $goOn  told the best makespan and the moves of this walk, every 200 moves
     * @return array{int, list<int>, int} best makespan, its linear order, moves made
     */
    public function from(array $place, int $patience, int $limit, int $target, callable $goOn): array
    {
        $orders = $this->orders;
        $span = $orders->take($place);
        $this->tabu = [];
        $best = PHP_INT_MAX;
        $bestOrder = [];
        $sinceBest = 0;
        $jobs = count(array_unique($this->shop->jobOf));
        $least = 10 + intdiv($jobs, max(1, $this->shop->machines));
        $most = intdiv($least * ($jobs <= 2 * $this->shop->machines ? 14 : 15), 10);
        $iteration = 0;
        while (true) {
            $iteration++;
            if ($span < $best) {
                $best = $span;
                $bestOrder = $orders->order;
                $sinceBest = 0;
            } else {
                $sinceBest++;
            }
            if ($best <= $target || $sinceBest >= $patience || $iteration >= $limit
                || ($iteration % 200 === 0 && ! $goOn($best, $iteration))) {
                break;
            }
            $path = $orders->criticalPath($span);
            $move = $this->choose($path, $best, $iteration);
            if ($move === null) {
                break; // the critical path is one job: nothing can be better
            }
            $this->forbid($path, $move, $iteration + $this->random->getInt($least, $most));
            $span = $orders->move($path, $move);
        }

        return [$best, $orders->levels($bestOrder), $iteration];
    }

    /**
     * The best move that is not tabu, or is better than all so far; else any tabu one, by chance. N7: each inner
     * operation of a block behind its last or before its first, the first behind and the last before each inner one.
     *
     * @param  list<int>  $path
     * @return array{int, int, bool}|null places on the path, and whether the first of them goes behind the second
     *     (else the second before the first)
     */
    private function choose(array $path, int $best, int $iteration): ?array
    {
        $bestMove = $anyMove = null;
        $bestValue = PHP_INT_MAX;
        $equal = $any = 0;
        foreach ($this->moves($path) as $move) {
            $value = $move[2] ? MoveEstimate::behind($this->orders, $path, $move[0], $move[1])
                : MoveEstimate::before($this->orders, $path, $move[0], $move[1]);
            if ($value === null) {
                continue;
            }
            if ($value >= $best && $this->isTabu($path, $move, $iteration)) {
                if ($this->random->getInt(0, $any++) === 0) {
                    $anyMove = $move;
                }
            } elseif ($value < $bestValue) {
                $bestValue = $value;
                $bestMove = $move;
                $equal = 1;
            } elseif ($value === $bestValue && $this->random->getInt(0, $equal++) === 0) {
                $bestMove = $move;
            }
        }

        return $bestMove ?? $anyMove;
    }

    /**
     * All moves of the blocks of a critical path: each operation to the end and to the beginning of its block, and each
     * end of it in among them.
     *
     * @param  list<int>  $path
     * @return list<array{int, int, bool}>
     */
    private function moves(array $path): array
    {
        $after = $this->orders->after;
        $moves = [];
        for ($from = 0, $length = count($path); $from < $length; $from = $to + 1) {
            $to = $from;
            while ($to + 1 < $length && $after[$path[$to]] === $path[$to + 1]) {
                $to++;
            }
            for ($x = $from; $x < $to; $x++) {
                $moves[] = [$x, $to, true];
                $moves[] = [$from, $x + 1, false];
                if ($x + 1 < $to) {
                    $moves[] = [$from, $x + 1, true];
                }
                if ($x > $from) {
                    $moves[] = [$x, $to, false];
                }
            }
        }

        return $moves;
    }

    /**
     * Whether a move would bring back an order of two operations that was given up a short while ago.
     *
     * @param  list<int>  $path
     * @param  array{int, int, bool}  $move
     */
    private function isTabu(array $path, array $move, int $iteration): bool
    {
        [$u, $v, $behind] = $move;
        for ($i = $behind ? $u + 1 : $u, $to = $behind ? $v : $v - 1; $i <= $to; $i++) {
            $pair = $behind
                ? $path[$i] * $this->orders->count + $path[$u]
                : $path[$v] * $this->orders->count + $path[$i];
            if (($this->tabu[$pair] ?? 0) > $iteration) {
                return true;
            }
        }

        return false;
    }

    /**
     * What a move gives up stays given up for a while.
     *
     * @param  list<int>  $path
     * @param  array{int, int, bool}  $move
     */
    private function forbid(array $path, array $move, int $until): void
    {
        [$u, $v, $behind] = $move;
        for ($i = $behind ? $u + 1 : $u, $to = $behind ? $v : $v - 1; $i <= $to; $i++) {
            $pair = $behind
                ? $path[$u] * $this->orders->count + $path[$i]
                : $path[$i] * $this->orders->count + $path[$v];
            $this->tabu[$pair] = $until;
        }
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\JobShop;

/** What a move in a critical block would come to, by the longest ways as they are now (Balas and Vazacopoulos 1998). */
final class MoveEstimate
{
    /**
     * The makespan through the operations moved when the one at $u goes behind the one at $v, estimated; null where it
     * could close a circle (Balas and Vazacopoulos, proposition 2.2; what takes no time may stand on a way though it is
     * no longer).
     *
     * @param  list<int>  $path
     */
    public static function behind(MachineOrders $orders, array $path, int $u, int $v): ?int
    {
        [$p, $jp, $js, $r, $q] = [
            $orders->shop->time,
            $orders->jobBefore,
            $orders->jobAfter,
            $orders->head,
            $orders->tail,
        ];
        [$U, $V] = [$path[$u], $path[$v]];
        $a = $js[$U];
        if ($a >= 0 && ($q[$V] < $q[$a] || ($q[$V] === $q[$a] && $p[$a] === 0))) {
            return null;
        }
        $a = $orders->before[$U];
        $head = $a >= 0 ? $r[$a] + $p[$a] : 0;
        $heads = [];
        for ($i = $u + 1; $i <= $v; $i++) {
            $c = $path[$i];
            $a = $jp[$c];
            if ($a >= 0 && $head < $r[$a] + $p[$a]) {
                $head = $r[$a] + $p[$a];
            }
            $heads[$i] = $head;
            $head += $p[$c];
        }
        $a = $jp[$U];
        if ($a >= 0 && $head < $r[$a] + $p[$a]) {
            $head = $r[$a] + $p[$a];
        }
        $a = $orders->after[$V];
        $tail = $a >= 0 ? $q[$a] : 0;
        $a = $js[$U];
        if ($a >= 0 && $q[$a] > $tail) {
            $tail = $q[$a];
        }
        $tail += $p[$U];
        $value = $head + $tail;
        for ($i = $v; $i > $u; $i--) {
            $c = $path[$i];
            $a = $js[$c];
            if ($a >= 0 && $q[$a] > $tail) {
                $tail = $q[$a];
            }
            $tail += $p[$c];
            if ($value < $heads[$i] + $tail) {
                $value = $heads[$i] + $tail;
            }
        }

        return $value;
    }

    /**
     * The same for the one at $v going before the one at $u (proposition 2.3).
     *
     * @param  list<int>  $path
     */
    public static function before(MachineOrders $orders, array $path, int $u, int $v): ?int
    {
        [$p, $jp, $js, $r, $q] = [
            $orders->shop->time,
            $orders->jobBefore,
            $orders->jobAfter,
            $orders->head,
            $orders->tail,
        ];
        [$U, $V] = [$path[$u], $path[$v]];
        $a = $jp[$V];
        if ($a >= 0 && ($r[$U] + $p[$U] < $r[$a] + $p[$a] || ($r[$U] + $p[$U] === $r[$a] + $p[$a] && $p[$a] === 0))) {
            return null;
        }
        $a = $orders->after[$V];
        $tail = $a >= 0 ? $q[$a] : 0;
        $tails = [];
        for ($i = $v - 1; $i >= $u; $i--) {
            $c = $path[$i];
            $a = $js[$c];
            if ($a >= 0 && $q[$a] > $tail) {
                $tail = $q[$a];
            }
            $tail += $p[$c];
            $tails[$i] = $tail;
        }
        $a = $js[$V];
        if ($a >= 0 && $q[$a] > $tail) {
            $tail = $q[$a];
        }
        $a = $orders->before[$U];
        $head = $a >= 0 ? $r[$a] + $p[$a] : 0;
        $a = $jp[$V];
        if ($a >= 0 && $head < $r[$a] + $p[$a]) {
            $head = $r[$a] + $p[$a];
        }
        $value = $head + $p[$V] + $tail;
        $head += $p[$V];
        for ($i = $u; $i < $v; $i++) {
            $c = $path[$i];
            $a = $jp[$c];
            if ($a >= 0 && $head < $r[$a] + $p[$a]) {
                $head = $r[$a] + $p[$a];
            }
            if ($head + $tails[$i] > $value) {
                $value = $head + $tails[$i];
            }
            $head += $p[$c];
        }

        return $value;
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Search;

use KeepPace\Core\Scheduling\Net\Net;

/**
 * Moves of a whole job in a linear order, from one of its operations on: which order to rush and which to give up is
 * decided on all
 * its work centres at once, where moves of single operations must first make things worse. Each operation goes among
 * the others of
 * its work centre to where it fits in time (insertion after Werner and Winkler, Discrete Applied Mathematics 58 (1995),
 * here by the times as they stand, for the walk works out what becomes of it).
 */
final class JobMove
{
    public function __construct(private readonly Net $net, private readonly ?People $people = null)
    {
    }

    /**
     * When what waits for an operation may begin, if nothing but what is pinned keeps it from beginning at $ready.
     *
     * @param  array<int, int>  $way
     */
    private function outFrom(int $x, int $ready, int $centre, int $work, array $way): int
    {
        $end = $this->people !== null && $this->people->areAsked
            ? $this->people->endAlone($x, $way[$x] ?? 0, $ready)
            : null;

        return $end === null
            ? $this->net->outFrom($x, $ready, $centre, $work)
            : $this->net->out($x, $end, $centre);
    }

    /**
     * Operation v and those behind it in its job, each ahead of what would begin when it is ready, or later.
     *
     * @param  array<int, int>  $centre  by operation: where it is done
     * @param  array<int, int>  $work  by operation: minutes it takes there
     * @param  array<int, int>  $at  the order
     * @param  array<int, int>  $pos  by operation: its place in it
     * @param  array<int, int>  $cp  by operation: the one before it on its work centre, -1 = none
     * @param  array<int, int>  $end  by operation, in minutes
     * @param  array<int, int>  $out  by operation: when what waits for it may begin
     * @param  array<int, bool>  $fixed  by operation: nothing passes it
     * @param  array<int, int>  $way  by operation: the one of its ways it is done in
     * @param  int  $eighths  not quite as soon as it is ready: so much of the time until it begins now is left
     * @return array{int, list<int>, array<int, true>}|null from which place on, the new order of the stretch, and which
     *     are moved; null = nothing moves
     */
    public function rush(
        int $v,
        array $centre,
        array $work,
        array $at,
        array $pos,
        array $cp,
        array $end,
        array $out,
        array $fixed,
        array $way,
        int $eighths,
    ): ?array {
        $net = $this->net;
        $moved = $places = [];
        $ready = $net->release[$v];
        $low = $to = -1;
        for ($x = $v; $x >= 0 && $net->job[$x] === $net->job[$v]; $x = $net->after[$x][0] ?? -1) {
            [$low, $ready] = $this->behind($x, $moved, $low, $ready, $pos, $out);
            if ($eighths > 0 && $ready < $end[$x] - $work[$x]) {
                $ready += intdiv(($end[$x] - $work[$x] - $ready) * $eighths, 8);
                $eighths = 0;
            }
            $to = $pos[$x];
            $place = $to;
            if (! $fixed[$x] && $centre[$x] >= 0) {
                for (
                    $y = $cp[$x];
                    $y >= 0 && $pos[$y] > $low && ! $fixed[$y] && $ready <= $end[$y] - $work[$y];
                    $y = $cp[$y]
                ) {
                    $place = $pos[$y];
                }
            }
            $moved[$x] = true;
            $places[] = [$low = max($place, $low), $x];
            $ready = $this->outFrom($x, $ready, $centre[$x], $work[$x], $way);
        }

        return $places[0][0] >= $to ? null : self::ahead($at, $to, $places, $moved);
    }

    /**
     * Operation v and those behind it in its job, each into the first gap where it keeps nobody from anything. Only
     * where the rules of loading are asked; the others stay where they are.
     *
     * @param  array<int, int>  $centre  by operation: where it is done
     * @param  array<int, int>  $at  the order
     * @param  array<int, int>  $pos  by operation: its place in it
     * @param  array<int, int>  $cp  by operation: the one before it on its work centre, -1 = none
     * @param  array<int, int>  $cn  the one behind it
     * @param  array<int, int>  $end  by operation, in minutes
     * @param  array<int, int>  $out  by operation: when what waits for it may begin
     * @param  array<int, bool>  $fixed  by operation: nothing passes it
     * @param  array<int, int>  $way  by operation: the one of its ways it is done in
     * @param  array<int, int>  $free  when machines are free behind each operation
     * @param  array<int, int>  $set  what they are set up for then
     * @param  int  $wide  how many of those for each operation
     * @return array{int, list<int>, array<int, true>}|null from which place on, the new order of the stretch, and which
     *     are moved; null = there are no gaps
     */
    public function slip(
        int $v,
        array $centre,
        array $at,
        array $pos,
        array $cp,
        array $cn,
        array $end,
        array $out,
        array $fixed,
        array $way,
        array $free,
        array $set,
        int $wide,
    ): ?array {
        $net = $this->net;
        $moved = $places = [];
        $ready = $net->release[$v];
        $low = $to = -1;
        $isEarlier = false;
        for ($x = $v; $x >= 0 && $net->job[$x] === $net->job[$v]; $x = $net->after[$x][0] ?? -1) {
            [$low, $ready] = $this->behind($x, $moved, $low, $ready, $pos, $out);
            $gaps = [];
            for ($y = $cp[$x]; $y >= 0 && $pos[$y] > $low && ! $fixed[$y] && $end[$y] > $ready; $y = $cp[$y]) {
                $gaps[] = $y;
            }
            $gap = $fixed[$x] || $centre[$x] < 0
                ? null
                : $this->people?->firstGap($x, $way[$x] ?? 0, $ready, $gaps, $cp, $cn, $free, $set, $wide, $pos);
            $isEarlier = $isEarlier || $gap !== null;
            $moved[$x] = true;
            $to = $pos[$x];
            $places[] = [$low = max($gap === null ? $to : $pos[$gap[0]], $low), $x];
            $ready = $gap === null ? max($ready, $out[$x]) : $net->out($x, $gap[1], $centre[$x]);
        }

        return ! $isEarlier || $places[0][0] >= $to ? null : self::ahead($at, $to, $places, $moved);
    }

    /**
     * Behind what it waits for, but what moves itself.
     *
     * @param  array<int, true>  $moved
     * @param  array<int, int>  $pos
     * @param  array<int, int>  $out
     * @return array{int, int} place in the order it must stand behind, when it is ready
     */
    private function behind(int $x, array $moved, int $low, int $ready, array $pos, array $out): array
    {
        foreach ($this->net->before[$x] as $y) {
            if (! isset($moved[$y])) {
                $low = max($low, $pos[$y]);
                $ready = max($ready, $out[$y]);
            }
        }

        return [$low, $ready];
    }

    /**
     * @param  array<int, int>  $at
     * @param  non-empty-list<array{int, int}>  $places  each goes ahead of what stands at a place, in order
     * @param  array<int, true>  $moved
     * @return array{int, list<int>, array<int, true>}
     */
    private static function ahead(array $at, int $to, array $places, array $moved): array
    {
        $new = [];
        $k = 0;
        for ($p = $places[0][0]; $p <= $to; $p++) {
            while (isset($places[$k]) && $places[$k][0] <= $p) {
                $new[] = $places[$k++][1];
            }
            if (! isset($moved[$at[$p]])) {
                $new[] = $at[$p];
            }
        }

        return [$places[0][0], $new, $moved];
    }

    /**
     * Operation u behind v, which stands behind it on its work centre, and what waits for u behind whatever would begin
     * before it.
     *
     * @param  array<int, int>  $centre  by operation: where it is done
     * @param  array<int, int>  $work  by operation: minutes it takes there
     * @param  array<int, int>  $at  the order
     * @param  array<int, int>  $pos  by operation: its place in it
     * @param  array<int, int>  $cn  by operation: the one behind it on its work centre, -1 = none
     * @param  array<int, int>  $end  by operation, in minutes
     * @param  array<int, int>  $out  by operation: when what waits for it may begin
     * @param  array<int, int>  $way  by operation: the one of its ways it is done in
     * @return array{int, list<int>, array<int, true>}|null from which place on, the new order of the stretch, and which
     *     are moved; null = it cannot
     */
    public function yield(
        int $u,
        int $v,
        array $centre,
        array $work,
        array $at,
        array $pos,
        array $cn,
        array $end,
        array $out,
        array $way,
    ): ?array {
        $net = $this->net;
        $low = $pos[$v];
        $ready = $end[$v];
        $moved = [$u => true];
        $places = [[$low, $u]];
        for ($x = $u; ; $moved[$x] = true) {
            $ready = $this->outFrom($x, $ready, $centre[$x], $work[$x], $way);
            foreach ($net->after[$x] as $k => $y) {
                if ($k > 0 && $pos[$y] <= $low) {
                    return null; // it would have to take more than one job along
                }
            }
            $x = $net->after[$x][0] ?? -1;
            if ($x < 0) {
                break;
            }
            foreach ($net->before[$x] as $y) {
                if (! isset($moved[$y])) {
                    $ready = max($ready, $out[$y]);
                }
            }
            $place = $pos[$x];
            if ($centre[$x] >= 0) {
                for ($y = $cn[$x]; $y >= 0 && $ready > $end[$y] - $work[$y]; $y = $cn[$y]) {
                    $place = $pos[$y];
                }
            }
            if ($place === $pos[$x] && $place > $low) {
                break; // from here on all keep their places
            }
            if ($x === $v) {
                return null;
            }
            $places[] = [$low = max($place, $low), $x];
        }
        $from = $pos[$u];
        $new = [];
        $k = 0;
        for ($p = $from; $p <= $low; $p++) {
            if (! isset($moved[$at[$p]])) {
                $new[] = $at[$p];
            }
            while (isset($places[$k]) && $places[$k][0] <= $p) {
                $new[] = $places[$k++][1];
            }
        }

        return [$from, $new, $moved];
    }
}

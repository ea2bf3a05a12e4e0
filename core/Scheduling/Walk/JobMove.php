<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

/**
 * Moves of a whole job in a linear order, from one of its operations on: which order to rush and which to give up is
 * decided on all its work centres at once, where moves of single operations must first make things worse. Each
 * operation goes among the others of its work centre to where it fits in time (insertion after Werner and Winkler,
 * Discrete Applied Mathematics 58 (1995), here by the times as they stand, for the walk works out what becomes of it).
 */
final class JobMove
{
    public function __construct(private readonly Facts $facts, private readonly ?People $people = null)
    {
    }

    /**
     * Operation v and those behind it in its job, each ahead of what would begin when it is ready, or later.
     *
     * @param  int  $eighths  not quite as soon as it is ready: so much of the time until it begins now is left
     * @return Stretch|null null = nothing moves
     */
    public function rush(Line $line, int $v, int $eighths): ?Stretch
    {
        $net = $this->facts->net;
        $moved = $places = [];
        $ready = $net->release[$v];
        $low = $to = -1;
        for ($x = $v; $x >= 0 && $net->job[$x] === $net->job[$v]; $x = $net->after[$x][0] ?? -1) {
            [$low, $ready] = $this->behind($line, $x, $moved, $low, $ready);
            $begins = $line->begins($x);
            if ($eighths > 0 && $ready < $begins) {
                $ready += intdiv(($begins - $ready) * $eighths, 8);
                $eighths = 0;
            }
            $to = $line->pos[$x];
            $low = max($low, $this->inTime($line, $x, $low, $ready));
            $moved[$x] = true;
            $places[] = [$low, $x];
            $ready = $this->outFrom($line, $x, $ready);
        }

        return $places[0][0] >= $to ? null : $this->ahead($line, $to, $places, $moved);
    }

    /** The place of the first at its work centre that would not begin before $ready; its own where there is none. */
    private function inTime(Line $line, int $x, int $low, int $ready): int
    {
        $place = $line->pos[$x];
        if ($this->facts->fixed[$x] || $line->centre[$x] < 0) {
            return $place;
        }
        for (
            $y = $line->prior[$x];
            $y >= 0 && $line->pos[$y] > $low && ! $this->facts->fixed[$y] && $ready <= $line->begins($y);
            $y = $line->prior[$y]
        ) {
            $place = $line->pos[$y];
        }

        return $place;
    }

    /**
     * Operation v and those behind it in its job, each into the first gap where it keeps nobody from anything. Only
     * where the rules of loading are asked; the others stay where they are.
     *
     * @return Stretch|null null = there are no gaps
     */
    public function slip(Line $line, int $v): ?Stretch
    {
        $net = $this->facts->net;
        $moved = $places = [];
        $ready = $net->release[$v];
        $low = $to = -1;
        $isEarlier = false;
        for ($x = $v; $x >= 0 && $net->job[$x] === $net->job[$v]; $x = $net->after[$x][0] ?? -1) {
            [$low, $ready] = $this->behind($line, $x, $moved, $low, $ready);
            $gap = $this->gap($line, $x, $low, $ready);
            $isEarlier = $isEarlier || $gap !== null;
            $moved[$x] = true;
            $to = $line->pos[$x];
            $places[] = [$low = max($gap === null ? $to : $line->pos[$gap[0]], $low), $x];
            $ready = $gap === null ? max($ready, $line->out[$x]) : $net->out($x, $gap[1], $line->centre[$x]);
        }

        return ! $isEarlier || $places[0][0] >= $to ? null : $this->ahead($line, $to, $places, $moved);
    }

    /** @return array{int, int}|null in front of which operation there is a gap, and when it would end there */
    private function gap(Line $line, int $x, int $low, int $ready): ?array
    {
        if ($this->facts->fixed[$x] || $line->centre[$x] < 0) {
            return null;
        }
        $gaps = [];
        for (
            $y = $line->prior[$x];
            $y >= 0 && $line->pos[$y] > $low && ! $this->facts->fixed[$y] && $line->end[$y] > $ready;
            $y = $line->prior[$y]
        ) {
            $gaps[] = $y;
        }

        return $this->people?->firstGap($line, $x, $ready, $gaps);
    }

    /**
     * Operation u behind v, which stands behind it on its work centre, and what waits for u behind whatever would begin
     * before it.
     *
     * @return Stretch|null null = it cannot
     */
    public function yield(Line $line, int $u, int $v): ?Stretch
    {
        $low = $line->pos[$v];
        $ready = $line->end[$v];
        $moved = [$u => true];
        $places = [[$low, $u]];
        for ($x = $u; ; $moved[$x] = true) {
            $ready = $this->outFrom($line, $x, $ready);
            $next = $this->facts->net->after[$x];
            foreach (array_slice($next, 1) as $y) {
                if ($line->pos[$y] <= $low) {
                    return null; // it would have to take more than one job along
                }
            }
            $x = $next[0] ?? -1;
            if ($x < 0) {
                break;
            }
            [, $ready] = $this->behind($line, $x, $moved, $low, $ready);
            $place = $this->pastWhatBegins($line, $x, $ready);
            if ($place === $line->pos[$x] && $place > $low) {
                break; // from here on all keep their places
            }
            if ($x === $v) {
                return null;
            }
            $places[] = [$low = max($place, $low), $x];
        }

        return $this->after($line, $line->pos[$u], $places, $moved);
    }

    /** The place of the last at its work centre that would begin before $ready; its own where there is none. */
    private function pastWhatBegins(Line $line, int $x, int $ready): int
    {
        $place = $line->pos[$x];
        if ($line->centre[$x] >= 0) {
            for ($y = $line->behind[$x]; $y >= 0 && $ready > $line->begins($y); $y = $line->behind[$y]) {
                $place = $line->pos[$y];
            }
        }

        return $place;
    }

    /** When what waits for an operation may begin, if nothing but what is pinned keeps it from beginning at $ready. */
    private function outFrom(Line $line, int $x, int $ready): int
    {
        $end = $this->people !== null && $this->people->areAsked
            ? $this->people->endAlone($x, $line->way[$x] ?? 0, $ready)
            : null;

        return $end === null
            ? $this->facts->net->outFrom($x, $ready, $line->centre[$x], $line->work[$x])
            : $this->facts->net->out($x, $end, $line->centre[$x]);
    }

    /**
     * Behind what it waits for, but what moves itself.
     *
     * @param  array<int, true>  $moved
     * @return array{int, int} place in the order it must stand behind, when it is ready
     */
    private function behind(Line $line, int $x, array $moved, int $low, int $ready): array
    {
        foreach ($this->facts->net->before[$x] as $y) {
            if (! isset($moved[$y])) {
                $low = max($low, $line->pos[$y]);
                $ready = max($ready, $line->out[$y]);
            }
        }

        return [$low, $ready];
    }

    /**
     * @param  non-empty-list<array{int, int}>  $places  each goes ahead of what stands at a place, in order
     * @param  array<int, true>  $moved
     */
    private function ahead(Line $line, int $to, array $places, array $moved): Stretch
    {
        $order = [];
        $k = 0;
        for ($p = $places[0][0]; $p <= $to; $p++) {
            while (isset($places[$k]) && $places[$k][0] <= $p) {
                $order[] = $places[$k++][1];
            }
            if (! isset($moved[$line->at[$p]])) {
                $order[] = $line->at[$p];
            }
        }

        return new Stretch($places[0][0], $order, array_keys($moved));
    }

    /**
     * @param  non-empty-list<array{int, int}>  $places  each goes behind what stands at a place, in order
     * @param  array<int, true>  $moved
     */
    private function after(Line $line, int $from, array $places, array $moved): Stretch
    {
        $order = [];
        $k = 0;
        for ($p = $from, $to = $places[count($places) - 1][0]; $p <= $to; $p++) {
            if (! isset($moved[$line->at[$p]])) {
                $order[] = $line->at[$p];
            }
            while (isset($places[$k]) && $places[$k][0] <= $p) {
                $order[] = $places[$k++][1];
            }
        }

        return new Stretch($from, $order, array_keys($moved));
    }
}

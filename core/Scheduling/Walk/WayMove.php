<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

/** An operation in another of its ways, among what stands there at the time when it is ready. */
final class WayMove
{
    private int $stamp = 0;

    /** @var array<int, int> by operation: the last move that took it along */
    private array $mark;

    public function __construct(private readonly Facts $facts)
    {
        $this->mark = array_fill(0, $facts->net->count, 0);
    }

    /**
     * @param  int  $draw  which of its ways, and how near to where it fits
     * @return Stretch|null null = it would have to pass what it needs, or what needs it
     */
    public function of(Line $line, int $x, int $draw): ?Stretch
    {
        $ways = $this->facts->shop->otherWays[$x][$line->way[$x]] ?? [0];
        $way = $ways[($draw >> 24 & 0xFF) % count($ways)];
        $choice = $this->facts->shop->choices[$x][$way] ?? [0, 0, 0, 0];
        [$prior, $behind] = $this->inTime($line, $x, $choice[0]);
        for ($k = $draw >> 32 & 3; $k > 0; $k--) {
            if (($draw >> 34 & 1) === 0) {
                if ($prior < 0 || $this->facts->fixed[$prior]) {
                    break;
                }
                [$prior, $behind] = [$line->prior[$prior], $prior];
            } else {
                if ($behind < 0) {
                    break;
                }
                [$prior, $behind] = [$behind, $line->behind[$behind]];
            }
        }
        $other = new OtherWay($x, $way, $choice, $prior, $behind);
        $this->stamp++;
        $this->mark[$x] = $this->stamp;
        if ($behind >= 0 && $line->pos[$behind] < $line->pos[$x]) {
            return $this->sooner($line, $other);
        }

        return $prior >= 0 && $line->pos[$prior] > $line->pos[$x]
            ? $this->later($line, $other)
            : new Stretch($line->pos[$x], [$x], [$x], $other);
    }

    /** @return array{int, int} what stands ahead of it and what behind where it is in time; -1 = nothing */
    private function inTime(Line $line, int $x, int $centre): array
    {
        $fixed = $this->facts->fixed;
        $ready = $this->ready($line, $x);
        $behind = $this->near($line, $line->pos[$x], $centre);
        while ($behind >= 0 && ! $fixed[$behind] && $ready <= $line->begins($behind)) {
            $prior = $line->prior[$behind];
            if ($prior < 0 || $fixed[$prior] || $ready > $line->begins($prior)) {
                break;
            }
            $behind = $prior;
        }
        $prior = $behind >= 0 ? $line->prior[$behind] : -1;
        while ($behind >= 0 && ($fixed[$behind] || $ready > $line->begins($behind))) {
            $prior = $behind;
            $behind = $line->behind[$behind];
        }

        return [$prior, $behind];
    }

    /** When all it waits for is through. */
    private function ready(Line $line, int $x): int
    {
        $ready = $this->facts->net->release[$x];
        foreach ($this->facts->net->before[$x] as $y) {
            if ($line->out[$y] > $ready) {
                $ready = $line->out[$y];
            }
        }

        return $ready;
    }

    /** The nearest operation of a work centre ahead of a place in the line, else behind it; -1 = it has none. */
    private function near(Line $line, int $place, int $centre): int
    {
        for ($p = $place - 1; $p >= 0; $p--) {
            if ($line->centre[$line->at[$p]] === $centre) {
                return $line->at[$p];
            }
        }
        $count = $this->facts->net->count;
        for ($p = $place + 1; $p < $count; $p++) {
            if ($line->centre[$line->at[$p]] === $centre) {
                return $line->at[$p];
            }
        }

        return -1;
    }

    /** With all that it waits for. */
    private function sooner(Line $line, OtherWay $other): ?Stretch
    {
        $goes = [$other->operation];
        $stays = [];
        $from = $line->pos[$other->behind];
        for ($p = $line->pos[$other->operation] - 1; $p >= $from; $p--) {
            $x = $line->at[$p];
            if ($this->isMarked($this->facts->net->after[$x])) {
                $this->mark[$x] = $this->stamp;
                $goes[] = $x;
            } else {
                $stays[] = $x;
            }
        }
        if ($this->mark[$other->behind] === $this->stamp) {
            return null;
        }

        return new Stretch($from, [...array_reverse($goes), ...array_reverse($stays)], $goes, $other);
    }

    /** With all that waits for it. */
    private function later(Line $line, OtherWay $other): ?Stretch
    {
        $goes = [$other->operation];
        $stays = [];
        $from = $line->pos[$other->operation];
        for ($p = $from + 1, $to = $line->pos[$other->prior]; $p <= $to; $p++) {
            $x = $line->at[$p];
            if ($this->isMarked($this->facts->net->before[$x])) {
                $this->mark[$x] = $this->stamp;
                $goes[] = $x;
            } else {
                $stays[] = $x;
            }
        }
        if ($this->mark[$other->prior] === $this->stamp) {
            return null;
        }

        return new Stretch($from, [...$stays, ...$goes], $goes, $other);
    }

    /** @param  list<int>  $operations */
    private function isMarked(array $operations): bool
    {
        foreach ($operations as $x) {
            if ($this->mark[$x] === $this->stamp) {
                return true;
            }
        }

        return false;
    }
}

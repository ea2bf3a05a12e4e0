<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Net;

use KeepPace\Core\Calendar\OpenWindows;

/**
 * A calendar as plain lists for the inner loops of loading and search, in minutes from the net's origin. A bucket of 64
 * minutes knows its first window, so a look-up is one step; behind the last window stands one that no schedule reaches.
 */
final class Windows
{
    /** Minutes that stand for 'never'; sums of two are still whole numbers. */
    public const NEVER = 1 << 40;

    /** @var list<int> */
    public array $start = [];

    /** @var list<int> */
    public array $end = [];

    /** @var list<int> open minutes before each window, one more at the end */
    public array $before = [];

    /** @var list<int> by minute >> 6: the first window that is not over when the bucket begins */
    public array $bucket = [];

    public int $last = 0;

    public static function of(OpenWindows $open, int $origin): self
    {
        $self = new self;
        $total = 0;
        foreach ($open->starts as $i => $start) {
            $end = $open->ends[$i] - $origin;
            if ($end <= 0) {
                continue;
            }
            $self->add(max(0, $start - $origin), $end, $total);
        }
        $self->close($total);

        return $self;
    }

    /**
     * Its time within these spans.
     *
     * @param  list<array{int, int}>  $spans  in order
     */
    public function within(array $spans): self
    {
        $self = new self;
        $total = $i = 0;
        foreach ($spans as [$from, $to]) {
            while ($i < $this->last && $this->end[$i] <= $from) {
                $i++;
            }
            for ($k = $i; $k < $this->last && $this->start[$k] < $to; $k++) {
                $self->add(max($from, $this->start[$k]), min($to, $this->end[$k]), $total);
            }
        }
        $self->close($total);

        return $self;
    }

    /** The window a minute lies in or before. */
    public function at(int $minute): int
    {
        $i = $this->bucket[$minute >> 6] ?? $this->last;
        while ($this->end[$i] <= $minute) {
            $i++;
        }

        return $i;
    }

    public function nextOpen(int $minute): int
    {
        return max($minute, $this->start[$this->at($minute)]);
    }

    /** When $minutes of open time from $start on are done. */
    public function finish(int $start, int $minutes): int
    {
        if ($minutes <= 0) {
            return $start;
        }
        $i = $this->at($start);
        $goal = $this->before[$i] + max(0, $start - $this->start[$i]) + $minutes;
        while ($this->before[$i + 1] < $goal) {
            $i++;
        }

        return $this->start[$i] + $goal - $this->before[$i];
    }

    /**
     * From the next open minute until so many are done: nextOpen() and finish() in one, for the innermost loops.
     *
     * @param  positive-int  $minutes
     * @return array{int, int} start, end
     */
    public function span(int $minute, int $minutes): array
    {
        $i = $this->bucket[$minute >> 6] ?? $this->last;
        while ($this->end[$i] <= $minute) {
            $i++;
        }
        $start = $this->start[$i];
        if ($minute > $start) {
            $start = $minute;
        }
        $goal = $this->before[$i] + $start - $this->start[$i] + $minutes;
        while ($this->before[$i + 1] < $goal) {
            $i++;
        }

        return [$start, $this->start[$i] + $goal - $this->before[$i]];
    }

    /** Open minutes from 0 to $minute. */
    public function total(int $minute): int
    {
        $i = $this->at($minute);

        return $this->before[$i] + max(0, $minute - $this->start[$i]);
    }

    /** The latest open minute from which $minutes of open time are done by $end; -1 when there are not that many. */
    public function startFor(int $end, int $minutes): int
    {
        $goal = $this->total($end) - $minutes;
        if ($goal < 0) {
            return -1;
        }
        $i = $this->at($end);
        while ($this->before[$i] > $goal) {
            $i--;
        }

        return $this->start[$i] + $goal - $this->before[$i];
    }

    /**
     * Work that ends before something must be through is begun later: the run so late that it ends with it, and the
     * setup right before the run.
     *
     * @param  int  $least  before when it must not end
     * @param  int  $setup  minutes of it
     * @param  int  $work  minutes of setup and run
     * @return array{int, int} start, end
     */
    public function endingNotBefore(int $least, int $start, int $end, int $setup, int $work): array
    {
        while ($end < $least) {
            $next = $this->startFor($least, $work - $setup);
            $next = $setup > 0 ? $this->startFor($next, $setup) : $next;
            $start = $this->nextOpen(max($start + 1, $next));
            $end = $this->finish($start, $work);
            if ($end >= self::NEVER) {
                break;
            }
        }

        return [$start, $end];
    }

    /** Elapsed minutes for each open one, by and large; at least 1. */
    public function stretch(): float
    {
        return $this->last === 0
            ? 1.0
            : max(1.0, ($this->end[$this->last - 1] ?? 0) / max(1, $this->before[$this->last] ?? 0));
    }

    /** Minutes of the longest window but the last, which only stands for the end. */
    public function longest(): int
    {
        $longest = 0;
        for ($i = 0; $i < $this->last; $i++) {
            $longest = max($longest, $this->end[$i] - $this->start[$i]);
        }

        return $longest;
    }

    private function close(int $total): void
    {
        $this->add(self::NEVER, 2 * self::NEVER, $total);
        $this->before[] = $total;
        $this->last = count($this->start) - 1;
        $i = 0;
        for (
            $b = 0, $buckets = $this->last === 0 ? 0 : (($this->end[$this->last - 1] ?? 0) >> 6) + 1;
            $b < $buckets;
            $b++
        ) {
            while ($this->end[$i] <= $b << 6) {
                $i++;
            }
            $this->bucket[] = $i;
        }
    }

    private function add(int $start, int $end, int &$total): void
    {
        $this->start[] = $start;
        $this->end[] = $end;
        $this->before[] = $total;
        $total += $end - $start;
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Calendar;

/**
 * Open time as sorted, separate, half-open windows in whole minutes, with the open minutes before each:
 * questions are answered by binary search.
 */
final readonly class OpenWindows
{
    /**
     * @param  list<int>  $starts
     * @param  list<int>  $ends
     * @param  list<int>  $before  open minutes before each window
     */
    private function __construct(public array $starts, public array $ends, private array $before)
    {
    }

    /** @return list<array{int, int}>  its windows, as they are given to `of` */
    public function spans(): array
    {
        return array_map(fn (int $start, int $end): array => [$start, $end], $this->starts, $this->ends);
    }

    /**
     * @param  list<array{int, int}>  $open
     * @param  list<array{int, int}>  $shut  taken out of the open ones
     */
    public static function of(array $open, array $shut, int $from, int $to): self
    {
        // edges as minute * 4 + kind, so that PHP sorts plain integers: a year has thousands of them
        $edges = [];
        foreach ($open as [$a, $b]) {
            $edges[] = $a * 4;
            $edges[] = $b * 4 + 1;
        }
        foreach ($shut as [$a, $b]) {
            $edges[] = $a * 4 + 2;
            $edges[] = $b * 4 + 3;
        }
        sort($edges);
        $edges[] = $to * 4;
        $starts = $ends = $before = [];
        $total = $openNow = $shutNow = 0;
        $at = $from;
        foreach ($edges as $edge) {
            $until = min($edge >> 2, $to);
            if ($openNow > 0 && $shutNow === 0 && $until > $at) {
                $last = count($ends) - 1;
                if ($last >= 0 && $ends[$last] === $at) {
                    $ends[$last] = $until;
                } else {
                    $starts[] = $at;
                    $ends[] = $until;
                    $before[] = $total;
                }
                $total += $until - $at;
            }
            match ($edge & 3) {
                0 => $openNow++,
                1 => $openNow--,
                2 => $shutNow++,
                3 => $shutNow--,
            };
            $at = max($at, $until);
        }

        return new self($starts, $ends, $before);
    }

    public function isOpen(int $minute): bool
    {
        $i = $this->firstEndingAfter($minute);

        return $i < count($this->starts) && $this->starts[$i] <= $minute;
    }

    /** The first open minute at or after this one; null when none is left. */
    public function nextOpen(int $minute): ?int
    {
        $i = $this->firstEndingAfter($minute);

        return $i < count($this->starts) ? max($minute, $this->starts[$i]) : null;
    }

    /** When $minutes of open time begun at $start are done; null when the windows end before that. */
    public function finish(int $start, int $minutes): ?int
    {
        $i = $this->firstEndingAfter($start);
        if ($minutes <= 0) {
            return $start;
        }
        if ($i >= count($this->starts)) {
            return null;
        }
        $goal = $this->before[$i] + max(0, $start - $this->starts[$i]) + $minutes;
        // the first window by whose end the goal is reached
        $low = $i;
        $high = count($this->starts) - 1;
        while ($low < $high) {
            $mid = intdiv($low + $high, 2);
            $this->endTotal($mid) >= $goal ? $high = $mid : $low = $mid + 1;
        }

        return $this->endTotal($low) >= $goal ? $this->starts[$low] + $goal - $this->before[$low] : null;
    }

    /** The latest start whose $minutes of open time are done by $end; null when the windows begin after that. */
    public function startFor(int $end, int $minutes): ?int
    {
        if ($minutes <= 0) {
            return $end;
        }
        $done = $this->total($end) - $minutes;
        if ($done < 0) {
            return null;
        }
        // the last window that begins with no more than $done open minutes before it
        $low = 0;
        $high = count($this->starts) - 1;
        while ($low < $high) {
            $mid = intdiv($low + $high + 1, 2);
            $this->before[$mid] <= $done ? $low = $mid : $high = $mid - 1;
        }

        return $this->starts[$low] + $done - $this->before[$low];
    }

    /** Open minutes in [$from, $to); negative when $to comes first. */
    public function minutesBetween(int $from, int $to): int
    {
        return $this->total($to) - $this->total($from);
    }

    private function total(int $minute): int
    {
        $i = $this->firstEndingAfter($minute);
        if ($i >= count($this->starts)) {
            return $i === 0 ? 0 : $this->endTotal($i - 1);
        }

        return $this->before[$i] + max(0, $minute - $this->starts[$i]);
    }

    private function endTotal(int $i): int
    {
        return $this->before[$i] + $this->ends[$i] - $this->starts[$i];
    }

    private function firstEndingAfter(int $minute): int
    {
        $low = 0;
        $high = count($this->ends);
        while ($low < $high) {
            $mid = intdiv($low + $high, 2);
            $this->ends[$mid] > $minute ? $high = $mid : $low = $mid + 1;
        }

        return $low;
    }
}

<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Net;

/**
 * Calendars in one row of flat lists: look-ups in lists of lists are what an inner loop waits
 * for.
 */
final class FlatWindows
{
    /** @var list<int> */
    public array $start = [];

    /** @var list<int> */
    public array $end = [];

    /**
     * @var list<int> by base of the calendar + (minute >> 6): the first window that is not over when the bucket
     *     begins
     */
    public array $bucket = [];

    /** @var list<int> by calendar: where its buckets begin */
    public array $base = [];

    /** @var list<int> by calendar: its last window, which only stands for the end */
    public array $last = [];

    /** Of each calendar; behind them its last window is meant. */
    public int $buckets = 0;

    /** @param  list<Windows>  $calendars */
    public function __construct(array $calendars)
    {
        foreach ($calendars as $open) {
            $this->buckets = max($this->buckets, count($open->bucket));
        }
        foreach ($calendars as $c => $open) {
            // many work centres keep one calendar: it is held once
            foreach (array_slice($calendars, 0, $c) as $other => $same) {
                if ($same->start === $open->start && $same->end === $open->end) {
                    $this->base[] = $this->base[$other];
                    $this->last[] = $this->last[$other];

                    continue 2;
                }
            }
            $first = count($this->start);
            $this->base[] = count($this->bucket);
            foreach ($open->start as $i => $start) {
                $this->start[] = $start;
                $this->end[] = $open->end[$i];
            }
            $this->last[] = $first + $open->last;
            for ($b = 0; $b < $this->buckets; $b++) {
                $this->bucket[] = $first + ($open->bucket[$b] ?? $open->last);
            }
        }
    }
}

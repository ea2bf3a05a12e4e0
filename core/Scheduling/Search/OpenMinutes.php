<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Search;

use KeepPace\Core\Scheduling\Net\Net;

/** The calendars of the work centres as tables: one look-up where the windows take ten. */
final class OpenMinutes
{
    /** Minutes in all tables together, for their memory. */
    private const FAR = 2_000_000;

    /** @var array<int, list<int>> by work centre and minute: the open minutes before it; as far as usual orders reach */
    public readonly array $before;

    /** @var array<int, list<int>> by work centre and number of open minutes: when they are done */
    public readonly array $done;

    /** @param  int|null  $far  minutes in each table, null = as far as usual orders reach; behind that the windows are asked */
    public function __construct(private readonly Net $net, ?int $far = null)
    {
        /** @var array<int, list<int>> $before */
        $before = [];
        /** @var array<int, list<int>> $done */
        $done = [];
        $far ??= $this->far();
        foreach ($net->open as $c => $open) {
            foreach (array_keys(array_slice($net->open, 0, $c)) as $other) {
                if ($net->open[$other]->start === $open->start && $net->open[$other]->end === $open->end) {
                    $before[$c] = $before[$other];
                    $done[$c] = $done[$other];

                    continue 2;
                }
            }
            [$before[$c], $done[$c]] = $open->table($far);
        }
        $this->before = $before;
        $this->done = $done;
    }

    /** When what waits for an operation may begin, if nothing keeps the operation from beginning at $ready. */
    public function outFrom(int $operation, int $ready): int
    {
        $net = $this->net;
        $c = $net->centre[$operation];
        $work = $net->work[$operation];
        if ($c < 0) {
            $end = $net->lead[$operation] === null ? $ready + $work : $net->lead[$operation]->finish($ready, $work);
        } else {
            $end = $this->done[$c][($this->before[$c][$ready] ?? -$work - 1) + $work] ?? $net->open[$c]->finish($net->open[$c]->nextOpen($ready), $work);
        }

        return $net->out($operation, $end);
    }

    private function far(): int
    {
        $net = $this->net;
        $load = array_fill(0, count($net->machines), 0);
        foreach ($net->centre as $x => $c) {
            if ($c >= 0) {
                $load[$c] += $net->work[$x];
            }
        }
        $far = 4 * 10080;
        foreach ($load as $c => $minutes) {
            $far = max($far, 2 * min(self::FAR, $net->open[$c]->finish(0, intdiv($minutes, max(1, $net->machines[$c])))) + 10080);
        }

        return min($far, intdiv(self::FAR, max(1, count($net->open))));
    }
}

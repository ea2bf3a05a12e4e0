<?php

namespace Tests\Core\Scheduling\JobShop;

/** Checks the starts of a job shop against its text; shares no code with the search. */
final class ShopChecker
{
    /** @return array{int, list<string>} makespan and faults */
    public static function check(string $shop, string $starts): array
    {
        $rows = fn (string $text): array => array_values(
            array_map(
                fn (string $line): array => array_map(intval(...), preg_split('/\s+/', trim($line))),
                array_filter(
                    explode("\n", $text),
                    fn (string $line): bool => trim($line) !== '' && ! str_starts_with(trim($line), '#'),
                ),
            ),
        );
        $jobs = $rows($shop);
        [$count, $machines] = array_shift($jobs);
        $times = $rows($starts);
        $faults = count($times) === $count ? [] : [count($times)." lines for {$count} jobs"];
        $span = 0;
        $busy = array_fill(0, $machines, []);
        foreach (array_slice($times, 0, $count) as $j => $line) {
            $free = 0;
            foreach ($line as $k => $start) {
                [$machine, $time] = [$jobs[$j][2 * $k], $jobs[$j][2 * $k + 1]];
                if ($start < $free) {
                    $faults[] = "job {$j} step {$k} starts at {$start}, before {$free}";
                }
                $free = $start + $time;
                $busy[$machine][] = [$start, $free];
                $span = max($span, $free);
            }
        }
        foreach ($busy as $machine => $spans) {
            sort($spans);
            foreach ($spans as $i => [$from, $to]) {
                if ($i > 0 && $from < $spans[$i - 1][1]) {
                    $faults[] = "machine {$machine} does two at {$from}";
                }
            }
        }

        return [$span, $faults];
    }

    /** The least makespan of a tiny shop, by trying every semi-active schedule. */
    public static function least(string $shop): int
    {
        $rows = array_map(
            fn (string $line): array => array_map(intval(...), preg_split('/\s+/', trim($line))),
            explode("\n", trim($shop)),
        );
        array_shift($rows);
        $best = PHP_INT_MAX;
        $go = function (array $next, array $jobFree, array $machineFree, int $span) use (&$go, &$best, $rows): void {
            if ($span >= $best) {
                return;
            }
            $left = false;
            foreach ($rows as $j => $row) {
                if (isset($row[2 * $next[$j]])) {
                    $left = true;
                    [$machine, $time] = [$row[2 * $next[$j]], $row[2 * $next[$j] + 1]];
                    $end = max($jobFree[$j], $machineFree[$machine] ?? 0) + $time;
                    $go(
                        [...array_slice($next, 0, $j), $next[$j] + 1, ...array_slice($next, $j + 1)],
                        array_replace($jobFree, [$j => $end]),
                        array_replace($machineFree, [$machine => $end]),
                        max($span, $end),
                    );
                }
            }
            if (! $left) {
                $best = $span;
            }
        };
        $go(array_fill(0, count($rows), 0), array_fill(0, count($rows), 0), [], 0);

        return $best;
    }
}

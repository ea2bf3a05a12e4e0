<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\JobShop;

use KeepPace\Core\Refused;

/**
 * The text format job shops are published in: "n m", then a line a job with m pairs of machine and time; "#" begins a
 * comment.
 */
final class ShopFile
{
    /** @throws Refused naming the line that is not as it should be */
    public static function read(string $text): JobShop
    {
        $head = null;
        $jobs = [];
        foreach (preg_split('/\R/', $text) ?: [] as $number => $line) {
            $line = trim($line);
            if ($line === '' || $line[0] === '#') {
                continue;
            }
            $numbers = self::numbers($line, $number + 1);
            if ($head === null) {
                $head = count($numbers) === 2 ? $numbers
                    : throw Refused::because('Line '.($number + 1).' must be the number of jobs and of machines.');

                continue;
            }
            if (count($numbers) !== 2 * $head[1]) {
                throw Refused::because(
                    'Line '.($number + 1).' has '.count($numbers)." numbers, {$head[1]} machines need "
                    .(2 * $head[1]).'.',
                );
            }
            $jobs[] = array_map(static fn (array $pair): array => [$pair[0], $pair[1] ?? 0], array_chunk($numbers, 2));
        }
        if ($head === null || count($jobs) !== $head[0]) {
            throw Refused::because($head === null ? 'The file holds no job shop.'
                : "{$head[0]} jobs are announced, ".count($jobs).' are there.');
        }

        return JobShop::of($head[1], $jobs);
    }

    /**
     * @return list<int>
     *
     * @throws Refused when there is anything else in the line
     */
    private static function numbers(string $line, int $number): array
    {
        if (preg_match('/^\d{1,9}(\s+\d{1,9})*$/', $line) !== 1) {
            throw Refused::because("Line {$number} holds something else than whole numbers.");
        }

        return array_map(intval(...), preg_split('/\s+/', $line) ?: []);
    }

    /** One line a job: the starts of its operations. */
    public static function write(JobShop $shop, JobShopSchedule $schedule): string
    {
        $lines = [];
        foreach ($schedule->start as $operation => $start) {
            $lines[$shop->jobOf[$operation]][] = $start;
        }

        return implode("\n", array_map(static fn (array $starts): string => implode(' ', $starts), $lines))."\n";
    }
}

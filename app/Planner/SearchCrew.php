<?php

namespace App\Planner;

use Fidry\CpuCoreCounter\CpuCoreCounter;
use KeepPace\Core\Scheduling\Plan\Searched;
use RuntimeException;
use Symfony\Component\Process\Process;

/**
 * The same search by as many seeds as the machine has cores, each in a process of its own at low priority; the best is
 * taken. They share nothing on the way: two that share the best sit in one valley soon.
 */
final class SearchCrew
{
    /** Micro-seconds between two looks at what they tell. */
    private const LOOK = 200_000;

    /** Seconds one may take beyond its time, for calming what it found. */
    private const BEYOND = 90;

    /** Characters of what one said when it broke off. */
    private const SAID = 2000;

    /** @var list<Process> */
    private array $processes = [];

    /** @var list<string> */
    private array $files = [];

    /** @var array<int, SearchNews> the last of each that told any */
    private array $news = [];

    /** @var array<int, true> */
    private array $toldToEnd = [];

    private function __construct()
    {
    }

    /** How many search beside one another. */
    public static function size(): int
    {
        $set = config('pace.search_cores');

        return max(1, is_numeric($set) ? (int) $set : (new CpuCoreCounter)->getCountWithFallback(1));
    }

    /**
     * @param  callable(list<SearchNews>): bool  $tell  told the last news of each; false = they take the best now
     * @return Searched the best, with the iterations of all
     */
    public static function run(SearchTask $task, int $size, callable $tell): Searched
    {
        if ($size === 1) {
            return SearchSeed::run($task, fn (SearchNews $news): bool => $tell([$news]));
        }
        $crew = new self;
        try {
            $crew->begin($task, $size);
            $crew->follow($tell);

            return $crew->best();
        } finally {
            $crew->end();
        }
    }

    private function begin(SearchTask $task, int $size): void
    {
        for ($n = 0; $n < $size; $n++) {
            $this->files[] = $file = (string) tempnam(storage_path('app'), 'search');
            file_put_contents($file, serialize($task->withSeed($task->seed + $n)));
            $process = new Process(
                [PHP_BINARY, base_path('artisan'), 'pace:search-seed', $file],
                // one that is quiet would tell nothing; and it has to begin again with the compiler on
                env: ['SHELL_VERBOSITY' => '0', 'PACE_BEGUN_AGAIN' => false],
                timeout: $task->seconds + self::BEYOND,
            );
            $process->start();
            $this->processes[] = $process;
        }
    }

    /** @param  callable(list<SearchNews>): bool  $tell */
    private function follow(callable $tell): void
    {
        $mayGoOn = true;
        while (array_filter($this->processes, fn (Process $process): bool => $process->isRunning()) !== []) {
            usleep(self::LOOK);
            foreach ($this->processes as $n => $process) {
                $process->checkTimeout();
                $news = self::last($process->getIncrementalOutput());
                $news === null ?: $this->news[$n] = $news;
            }
            $mayGoOn = $mayGoOn && $tell(array_map(
                fn (int $n): SearchNews => $this->news[$n] ?? new SearchNews(PHP_INT_MAX, 0, []),
                array_keys($this->processes),
            ));
            $mayGoOn ?: $this->tellToEnd();
        }
    }

    /** One that has told nothing yet is still getting ready, and would just die of it: it is told a little later. */
    private function tellToEnd(): void
    {
        foreach ($this->processes as $n => $process) {
            if (isset($this->news[$n]) && ! isset($this->toldToEnd[$n]) && $process->isRunning()) {
                $this->toldToEnd[$n] = true;
                $process->signal(SIGTERM);
            }
        }
    }

    private static function last(string $told): ?SearchNews
    {
        foreach (array_reverse(explode("\n", $told)) as $line) {
            $news = SearchNews::read($line);
            if ($news !== null) {
                return $news;
            }
        }

        return null;
    }

    private function best(): Searched
    {
        $found = array_map($this->found(...), array_keys($this->processes));
        $best = $found[0];
        foreach ($found as $one) {
            $best = [! $one->isBetter, $one->cost] < [! $best->isBetter, $best->cost] ? $one : $best;
        }
        $iterations = array_sum(array_map(fn (Searched $one): int => $one->iterations, $found));

        return new Searched($best->schedule, $best->cost, $best->seed, $iterations, $best->isBetter);
    }

    private function found(int $n): Searched
    {
        $process = $this->processes[$n];
        $found = $process->isSuccessful() ? unserialize((string) file_get_contents($this->files[$n])) : null;

        return $found instanceof Searched
            ? $found
            : throw new RuntimeException('A search broke off: '.substr($process->getErrorOutput(), 0, self::SAID));
    }

    private function end(): void
    {
        array_map(fn (Process $process): ?int => $process->stop(1), $this->processes);
        array_map(unlink(...), array_filter($this->files, is_file(...)));
    }
}

<?php

namespace App\Console;

use App\Planner\SearchNews;
use App\Planner\SearchSeed;
use App\Planner\SearchTask;
use Illuminate\Console\Command;

/** One of the searches that run beside one another: reads what to do from a file and leaves what it found there. */
class SearchBySeed extends Command
{
    protected $signature = 'pace:search-seed {file}';

    protected $hidden = true;

    private bool $isToEnd = false;

    public function handle(): int
    {
        JustInTime::orAgain();
        JustInTime::byFunction();
        proc_nice(10); // pages go before
        pcntl_async_signals(true);
        pcntl_signal(SIGTERM, function (): void {
            $this->isToEnd = true;
        });
        $asks = posix_getppid();
        $file = $this->argument('file');
        $task = is_string($file) && is_file($file) ? unserialize((string) file_get_contents($file)) : null;
        if (! is_string($file) || ! $task instanceof SearchTask) {
            $this->error('There is no search to do in that file.');

            return self::FAILURE;
        }
        $found = SearchSeed::run($task, function (SearchNews $news) use ($asks): bool {
            $isAsked = posix_getppid() === $asks;
            ! $isAsked ?: $this->line($news->line());

            return $isAsked && ! $this->isToEnd;
        });
        if (posix_getppid() !== $asks) {
            unlink($file); // who asked is gone: nobody reads it

            return self::FAILURE;
        }
        file_put_contents($file, serialize($found));

        return self::SUCCESS;
    }
}

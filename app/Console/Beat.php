<?php

namespace App\Console;

use App\Jobs\Beat as QueueBeat;
use App\Queries\Health;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Cache;

/** Every minute: the clock is there, and asks the queue to say that it is. */
class Beat extends Command
{
    protected $signature = 'pace:beat';

    protected $description = 'Say that the clock runs, and ask the queue to say so too';

    public function handle(): int
    {
        Cache::put(Health::CLOCK, now()->getTimestamp());
        Cache::add(Health::QUEUE, now()->getTimestamp());
        QueueBeat::dispatch();

        return self::SUCCESS;
    }
}

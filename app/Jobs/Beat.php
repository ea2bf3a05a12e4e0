<?php

namespace App\Jobs;

use App\Queries\Health;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Support\Facades\Cache;

/** Says that the queue does its work; one waits at most. */
class Beat implements ShouldBeUnique, ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $uniqueFor = 3600;

    public function handle(): void
    {
        Cache::put(Health::QUEUE, now()->getTimestamp());
    }
}

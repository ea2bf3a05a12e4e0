<?php

namespace App\Jobs;

use App\Queries\Health;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Support\Facades\Cache;

/** Says that the queue does its work; one or two wait at most. */
class Beat implements ShouldBeUnique, ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    /** Seconds; short, so that a lock whose job was lost with its database does not keep the queue from being heard. */
    public int $uniqueFor = 300;

    public function handle(): void
    {
        Cache::put(Health::QUEUE, now()->getTimestamp());
    }
}

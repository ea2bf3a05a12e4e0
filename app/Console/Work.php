<?php

namespace App\Console;

use App\Actions\Purchasing\CutOffWork;
use App\Actions\Purchasing\RaiseParts;
use App\Actions\Purchasing\RaiseWork;
use Illuminate\Console\Command;

/**
 * Work done outside: what orders itself, and what is to go along and missing, is put on drafts, and drafts whose day
 * has come go out. Every minute.
 */
class Work extends Command
{
    protected $signature = 'pace:work';

    protected $description = 'Order work of suppliers that is due, and send what gathers until today';

    public function handle(RaiseWork $work, RaiseParts $parts, CutOffWork $cutOff): int
    {
        $this->info("Work of {$work->due()} steps ordered, {$parts->due()} parts that go along, "
            ."{$cutOff->due()} orders sent.");

        return self::SUCCESS;
    }
}

<?php

namespace App\Console;

use App\StandIn\ByClock;
use Illuminate\Console\Command;

/** Where the demo was played and the suppliers go by the clock: they do what is due. Every minute by itself. */
class Suppliers extends Command
{
    protected $signature = 'pace:suppliers';

    protected $description = 'Let those who stand in for the suppliers of the demo do what is due';

    public function handle(ByClock $clock): int
    {
        $this->info($clock->round().' deeds of suppliers.');

        return self::SUCCESS;
    }
}

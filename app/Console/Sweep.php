<?php

namespace App\Console;

use App\Actions\Stock\SweepBalances;
use Illuminate\Console\Command;

/** Takes out balances where nothing lies any more; every night by itself. */
class Sweep extends Command
{
    protected $signature = 'pace:sweep';

    protected $description = 'Take out balances of used-up lots and serials';

    public function handle(SweepBalances $sweep): int
    {
        $this->info($sweep->handle().' empty balances taken out.');

        return self::SUCCESS;
    }
}

<?php

namespace App\Console;

use App\Actions\Stock\PlanStandards;
use Illuminate\Console\Command;

/** Takes the standard costs that were decided for a day, once it has come; every few minutes by itself. */
class Standards extends Command
{
    protected $signature = 'pace:standards';

    protected $description = 'Take standard costs whose day has come';

    public function handle(PlanStandards $plan): int
    {
        $this->info($plan->takeDue().' lists of standard costs taken.');

        return self::SUCCESS;
    }
}

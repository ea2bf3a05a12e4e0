<?php

namespace App\Console;

use App\Actions\Schedule\KeepUp;
use App\Models\Plan;
use Illuminate\Console\Command;

/**
 * Brings the live plan up to date when nothing was booked for a while: what should have begun has not, held promises
 * lapse.
 */
class KeepUpByClock extends Command
{
    private const MINUTES = 5;

    protected $signature = 'pace:keep-up';

    protected $description = 'Bring the live plan up to date with the clock';

    public function handle(KeepUp $keepUp): int
    {
        $at = Plan::query()->find(Plan::LIVE)?->computed_at;
        if ($at !== null && $at->diffInMinutes(now()) >= self::MINUTES) {
            $keepUp->handle(null);
            $this->info('Brought up to date.');
        }

        return self::SUCCESS;
    }
}

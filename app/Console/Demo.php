<?php

namespace App\Console;

use App\Access\Role;
use App\Demo\Story;
use App\Models\User;
use Illuminate\Console\Command;

/** Fills an empty database with the demo: its folder of files, then a year of bookings on a set clock. */
class Demo extends Command
{
    protected $signature = 'pace:demo {--days=365 : how long the history is}';

    protected $description = 'Play the demo: Meadowlark Extractor Works';

    public function handle(Story $story): int
    {
        if (\App\Models\Booking::query()->exists()) {
            $this->error('There are bookings already; the demo is for an empty database (bin/start --fresh).');

            return self::FAILURE;
        }
        $this->call('pace:people');
        $days = max(1, (int) $this->option('days'));
        $people = User::all()->keyBy(fn (User $user): string => $user->role->value);
        $story->play($days, fn (Role $role): User => $people[$role->value], function (int $day) use ($days): void {
            if ($day % 60 === 0) {
                $this->line("  day {$day} of {$days}");
            }
        });

        return self::SUCCESS;
    }
}

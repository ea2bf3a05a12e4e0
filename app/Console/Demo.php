<?php

namespace App\Console;

use App\Access\Role;
use App\Demo\FirstNumbers;
use App\Demo\People;
use App\Demo\Story;
use App\Models\Booking;
use App\Models\Person;
use Illuminate\Console\Command;

/** Fills an empty database with the demo: its folder of files, then a year of bookings on a set clock. */
class Demo extends Command
{
    protected $signature = 'pace:demo {--weeks=52 : how long the history is} {--people : only its people}';

    protected $description = 'Play the demo: Meadowlark Extractor Works';

    public function handle(Story $story, FirstNumbers $numbers): int
    {
        if (Booking::query()->exists()) {
            $this->error('There are bookings already; the demo is for an empty database (bin/start --fresh).');

            return self::FAILURE;
        }
        People::make();
        $numbers->keep();
        if ($this->option('people')) {
            return self::SUCCESS;
        }
        $people = People::byRole();
        $weeks = max(1, (int) $this->option('weeks'));
        $story->play($weeks, fn (Role $role): Person => $people[$role->value], function (int $day) use ($weeks): void {
            if ($day % 70 === 0) {
                $this->line('  week '.intdiv($day, 7)." of {$weeks}");
            }
        });
        $this->line("  {$story->tries->done} deeds, ".count($story->tries->refused).' put off to another day');

        return self::SUCCESS;
    }
}

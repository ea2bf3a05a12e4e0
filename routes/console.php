<?php

use App\Console\Beat;
use App\Console\KeepUpByClock;
use App\Console\Sweep;
use Illuminate\Support\Facades\Schedule;

Schedule::command(Beat::class)->everyMinute();
Schedule::command(KeepUpByClock::class)->everyMinute()->withoutOverlapping(5);
Schedule::command(Sweep::class)->dailyAt('02:30')->withoutOverlapping(60);

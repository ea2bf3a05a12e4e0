<?php

use App\Console\Beat;
use App\Console\Standards;
use App\Console\Suppliers;
use App\Console\Sweep;
use App\Console\Work;
use Illuminate\Support\Facades\Schedule;

Schedule::command(Beat::class)->everyMinute();
Schedule::command(Sweep::class)->dailyAt('02:30')->withoutOverlapping(60);
Schedule::command(Standards::class)->everyFiveMinutes()->withoutOverlapping(60);
Schedule::command(Work::class)->everyMinute()->withoutOverlapping(60);
Schedule::command(Suppliers::class)->everyMinute()->withoutOverlapping(60);

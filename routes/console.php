<?php

use App\Console\KeepUpByClock;
use Illuminate\Support\Facades\Schedule;

Schedule::command(KeepUpByClock::class)->everyMinute()->withoutOverlapping(5);

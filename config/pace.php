<?php

/* The plant's own settings. */
return [
    'zone' => env('PACE_ZONE', 'Europe/Dublin'),
    'calendar' => 'PLANT',           // the calendar working days are counted by
    'due_hour' => '16:00',           // when on its date an order is due
    'finish_days_before' => 1,       // working days between finishing and the ship date
    'backflush_short' => env('PACE_BACKFLUSH_SHORT', 'ask'), // ask = book what is there and open a question; refuse = count nothing
    'horizon_days' => 400,           // how far ahead at most the schedule looks for open time
    'progress_connection' => env('PACE_PROGRESS_CONNECTION', 'progress'),
    'currency' => '€',
    'numbers' => ['order' => ['', 218], 'customer_order' => ['C-', 1041], 'purchase' => ['P-', 500], 'serial' => ['MX-', 10001]],
];

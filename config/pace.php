<?php

/* The plant's own settings. */
return [
    'zone' => env('PACE_ZONE', 'Europe/Dublin'),
    'calendar' => 'PLANT',           // the calendar working days are counted by
    'due_hour' => '16:00',           // when on its date an order is due
    'finish_days_before' => 1,       // working days between finishing and the ship date
    // ask = book what is there and open a question; refuse = count nothing
    'backflush_short' => env('PACE_BACKFLUSH_SHORT', 'ask'),
    // what is overdue is taken to come so many working days from today, until somebody gives a day
    'overdue_days' => (int) env('PACE_OVERDUE_DAYS', 2),
    // working days until a part is here that has no lead time of its own
    'lead_time_days' => (int) env('PACE_LEAD_TIME_DAYS', 10),
    // goods can be used from this time of the day they come; null = from the next opening after that day
    'goods_usable_from' => env('PACE_GOODS_USABLE_FROM'),
    // where a work centre works without shifts, a search leaves so much of the plan ahead as it is
    'fence_minutes' => (int) env('PACE_FENCE_MINUTES', 1440),
    // whether who changed a draft last may approve it
    'author_approves' => (bool) env('PACE_AUTHOR_APPROVES', false),
    'horizon_days' => 400,           // how far ahead at most the schedule looks for open time
    // at-once = each booking plans before it is answered; beside = pace:planner follows the bookings
    'planner' => env('PACE_PLANNER', 'at-once'),
    'progress_connection' => env('PACE_PROGRESS_CONNECTION', 'progress'),
    'currency' => '€',
    'numbers' => [
        'order' => ['', 218],
        'customer_order' => ['C-', 1041],
        'purchase' => ['P-', 500],
        'serial' => ['MX-', 10001],
    ],
];

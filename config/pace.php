<?php

/* The plant's own settings. */
return [
    'zone' => env('PACE_ZONE', 'Europe/Dublin'),
    // from here on what a shop begins with: it sets these on a page of its own, where App\Settings\Setting says what
    // each is for
    'shop_name' => '',
    'shop_address' => '',
    'plant_calendar' => 'PLANT', // where there is none of that name, the first that was entered
    'due_hour' => '16:00',
    'finish_days_before' => 1,
    'promise_days' => 21,
    'hold_hours' => 4,
    'overdue_days' => (int) env('PACE_OVERDUE_DAYS', 2),
    'lead_time_days' => (int) env('PACE_LEAD_TIME_DAYS', 10),
    'goods_usable_from' => env('PACE_GOODS_USABLE_FROM'),
    'unknown_minutes' => 480,
    'loading' => 'early',
    'late_margin' => (int) env('PACE_LATE_MARGIN', 480),
    'fence_minutes' => (int) env('PACE_FENCE_MINUTES', 1440),
    'outside_day_minutes' => 480,
    'overtime_hours' => 2,
    'saturday_from' => '07:00',
    'saturday_to' => '13:00',
    'backflush_short' => env('PACE_BACKFLUSH_SHORT', 'ask'),
    'author_approves' => (bool) env('PACE_AUTHOR_APPROVES', false),

    'horizon_days' => 400,           // how far ahead at most the schedule looks for open time
    // at-once = each booking plans before it is answered; beside = pace:planner follows the bookings
    'planner' => env('PACE_PLANNER', 'at-once'),
    'search_cores' => env('PACE_SEARCH_CORES'), // searches beside one another; empty = one a core
    'progress_connection' => env('PACE_PROGRESS_CONNECTION', 'progress'),
    'currency' => '€',
    'numbers' => [
        'order' => ['', 1001],
        'customer_order' => ['C-', 1001],
        'purchase' => ['P-', 101],
        'consignment' => ['OUT-', 101],
        'serial' => ['S-', 10001],
    ],
];

<?php

return [
    'default' => 'whatever-happens',
    'channels' => [
        // a log that cannot be written (a full disk) must not make a booked deed look undone
        'whatever-happens' => ['driver' => 'stack', 'channels' => ['daily'], 'ignore_exceptions' => true],
        'logins' => ['driver' => 'stack', 'channels' => ['logins-daily'], 'ignore_exceptions' => true],
        'logins-daily' => [
            'driver' => 'daily',
            'path' => storage_path('logs/logins.log'),
            'level' => 'info',
            'days' => 90,
        ],
        'daily' => ['driver' => 'daily', 'path' => storage_path('logs/keep-pace.log'), 'level' => 'info', 'days' => 14],
        'emergency' => ['path' => storage_path('logs/keep-pace.log')],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];

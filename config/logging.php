<?php

return [
    'default' => 'daily',
    'channels' => [
        'daily' => ['driver' => 'daily', 'path' => storage_path('logs/keep-pace.log'), 'level' => 'info', 'days' => 14],
        'emergency' => ['path' => storage_path('logs/keep-pace.log')],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];

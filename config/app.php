<?php

return [
    'name' => 'Keep Pace',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => env('APP_URL', 'http://127.0.0.1:8080'),
    'timezone' => 'UTC', // stored times; people see pace.zone
    'locale' => 'en',
    'fallback_locale' => 'en',
    'faker_locale' => 'en_GB',
    'cipher' => 'AES-256-CBC',
    'key' => env('APP_KEY'),
    'maintenance' => ['driver' => 'file'],
];

<?php

return [
    'driver' => 'database',
    'lifetime' => (int) env('SESSION_MINUTES', 600), // a shift and a half
    'expire_on_close' => false,
    'encrypt' => false,
    'files' => storage_path('framework/sessions'),
    'connection' => null,
    'table' => 'sessions',
    'store' => null,
    'lottery' => [2, 100],
    'cookie' => 'keep_pace',
    'path' => '/',
    'domain' => null,
    'secure' => (bool) env('SESSION_SECURE', false), // on once served over TLS
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
];

<?php

// a password in a file of its own, which only the user PHP runs as can read
$file = env('DB_PASSWORD_FILE', __DIR__.'/../var/db.password');

$mariadb = [
    'driver' => 'mariadb',
    'host' => '127.0.0.1',
    'port' => env('DB_PORT', '33070'),
    'database' => env('DB_DATABASE', 'keep_pace'),
    'username' => env('DB_USERNAME', 'keep_pace'),
    'password' => env('DB_PASSWORD') ?? (is_readable($file) ? trim((string) file_get_contents($file)) : ''),
    'charset' => 'utf8mb4',
    'collation' => 'utf8mb4_unicode_ci',
    'prefix' => '',
    'strict' => true,
    'engine' => 'InnoDB',
    'timezone' => '+00:00',
    'isolation_level' => 'READ COMMITTED', // a plain read before a lock must not fix an old snapshot
    // a statement goes to the server once, its values quoted, not to be prepared first: half the round trips
    'options' => [
        PDO::ATTR_EMULATE_PREPARES => true,
        PDO::MYSQL_ATTR_MULTI_STATEMENTS => false,
        PDO::MYSQL_ATTR_FOUND_ROWS => true,
    ],
];

return [
    'default' => 'mariadb',
    'connections' => [
        'mariadb' => $mariadb,
        'progress' => $mariadb, // how far a long deed is shows while its transaction is still open
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];

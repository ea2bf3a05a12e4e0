<?php

/* The application over a database of its own, which is made when it is not there. */

use Illuminate\Contracts\Console\Kernel;

return function (string $database): void {
    putenv("DB_DATABASE={$database}");
    $_ENV['DB_DATABASE'] = $_SERVER['DB_DATABASE'] = $database;
    require_once __DIR__.'/../vendor/autoload.php';
    $pdo = new PDO(
        'mysql:host=127.0.0.1;port='.getenv('DB_PORT'),
        'keep_pace',
        trim((string) file_get_contents((string) getenv('DB_PASSWORD_FILE'))),
    );
    $pdo->exec("CREATE DATABASE IF NOT EXISTS {$database} CHARACTER SET utf8mb4");
    $app = require __DIR__.'/../bootstrap/app.php';
    $app->make(Kernel::class)->bootstrap();
};

<?php

/* Router of PHP's built-in server: files of public/ as they are, with a long life; all else to the application. */

$path = urldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
$file = str_contains($path, "\0") ? false : realpath(__DIR__.'/../public'.$path);
if ($path !== '/' && $file !== false && is_file($file) && str_starts_with($file, realpath(__DIR__.'/../public').'/')) {
    if (str_ends_with($file, '.php')) {
        http_response_code(404);

        return true;
    }
    header('Content-Type: '.match (pathinfo($file, PATHINFO_EXTENSION)) {
        'css' => 'text/css',
        'js' => 'text/javascript',
        'woff2' => 'font/woff2',
        'svg' => 'image/svg+xml',
        default => 'application/octet-stream',
    });
    header('Cache-Control: public, max-age='.(isset($_GET['v']) || str_contains($path, '/assets/') ? 31536000 : 0));
    readfile($file);

    return true;
}
require __DIR__.'/../public/index.php';

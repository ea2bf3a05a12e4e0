<?php

/*
 * Router of PHP's built-in server, for tests and benchmarks: as nginx in etc/, files of public/ as they are and all
 * else to the application; under a live shop's clock, where there is one.
 */

if (getenv('PACE_TEST_CLOCK') !== false) {
    require __DIR__.'/clock.php';
}
$path = urldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
$public = (string) realpath(__DIR__.'/../../public');
$file = str_contains($path, "\0") ? false : realpath($public.$path);
if ($path !== '/' && $file !== false && is_file($file) && str_starts_with($file, "{$public}/")) {
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
if ($path === '/axe.js') {
    header('Content-Type: text/javascript');
    header('Cache-Control: public, max-age=31536000');
    readfile(__DIR__.'/../../node_modules/axe-core/axe.min.js');

    return true;
}
if ($path === '/live.json') {
    $live = (getenv('PACE_STORAGE') ?: __DIR__.'/../../storage').'/app/live.json';
    $now = is_file($live) ? (string) file_get_contents($live) : '';
    $tag = '"'.md5($now).'"';
    header('Content-Type: application/json');
    header('Cache-Control: no-cache');
    header("ETag: {$tag}");
    http_response_code(match (true) {
        $now === '' => 404,
        ($_SERVER['HTTP_IF_NONE_MATCH'] ?? '') === $tag => 304,
        default => 200,
    });
    http_response_code() === 200 && print $now;

    return true;
}
require __DIR__.'/../../public/index.php';

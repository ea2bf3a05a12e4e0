<?php

namespace Bench;

use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

/**
 * Each main page as a multiple of an empty Blade page behind the same login, measured in turn in one run.
 *
 * @param  callable(string): void  $say
 */
function pages(callable $say): void
{
    $port = random_int(20000, 40000);
    $server = new Process(['php', '-d', 'opcache.enable_cli=1', '-d', 'opcache.jit_buffer_size=64M', '-d', 'opcache.jit=tracing', '-S',
        "127.0.0.1:{$port}", '-t', 'public', 'bench/router.php'], dirname(__DIR__),
        ['APP_ENV' => 'production', 'APP_DEBUG' => 'false', 'DB_DATABASE' => getenv('DB_DATABASE')], null, null);
    $server->start();
    usleep(800_000);
    $jar = (string) tempnam(sys_get_temp_dir(), 'bench');
    $curl = curl_init();
    curl_setopt_array($curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => $jar, CURLOPT_COOKIEJAR => $jar,
        CURLOPT_FOLLOWLOCATION => true, CURLOPT_TIMEOUT => 60]);
    $get = function (string $path) use ($curl, $port): array {
        curl_setopt_array($curl, [CURLOPT_HTTPGET => true, CURLOPT_URL => "http://127.0.0.1:{$port}{$path}"]);
        $began = hrtime(true);
        $html = (string) curl_exec($curl);
        $taken = (hrtime(true) - $began) / 1e6;
        $status = curl_getinfo($curl, CURLINFO_RESPONSE_CODE);

        return $status === 200 ? [$taken, strlen($html), $html] : throw new \RuntimeException("{$path}: {$status}");
    };
    [, , $login] = $get('/login');
    preg_match('/name="_token" value="([^"]+)"/', $login, $token);
    curl_setopt_array($curl, [CURLOPT_POST => true, CURLOPT_URL => "http://127.0.0.1:{$port}/login",
        CURLOPT_POSTFIELDS => http_build_query(['_token' => $token[1], 'login' => 'supervisor', 'password' => 'pace'])]);
    curl_exec($curl);
    $running = (int) DB::table('orders')->where('state', 'running')->value('id');
    $pages = ['empty page' => '/empty', 'Today' => '/', 'customer orders' => '/customer-orders',
        'one customer order' => '/customer-orders/'.DB::table('customer_orders')
            ->max('id'), 'orders' => '/orders', 'orders, closed' => '/orders?state=closed', 'one order' => "/orders/{$running}",
        'release' => '/release', 'board' => '/board', 'late orders' => '/late', 'dispatch list' => '/dispatch/1?days=30', 'plans' => '/plans',
        'issue, one order' => "/issue?orders[]={$running}", 'station' => '/station/'.DB::table('order_steps')
            ->where('order_id', $running)->whereNotNull('work_centre_id')->value('work_centre_id'),
        'receive' => '/receive', 'ship' => '/ship', 'stock' => '/stock', 'movements of one item' => '/stock/'.DB::table('moves')
            ->max('item_id'), 'bookings' => '/bookings', 'find' => '/find?q=2'];
    $times = [];
    $sizes = [];
    for ($round = -2; $round < 12; $round++) {
        foreach ($pages as $name => $path) {
            [$taken, $size] = $get($path);
            if ($round >= 0) {
                $times[$name][] = $taken;
                $sizes[$name] = $size;
            }
        }
    }
    $server->stop(2);
    unlink($jar);
    $median = function (array $of): float {
        sort($of);

        return $of[intdiv(count($of), 2)];
    };
    $floor = $median($times['empty page']);
    $say('| page | ms, median of 12 | × empty page | kB |');
    $say('| --- | ---: | ---: | ---: |');
    foreach ($times as $name => $taken) {
        $say(sprintf('| %s | %.1f | %.1f | %.0f |', $name, $median($taken), $median($taken) / $floor, $sizes[$name] / 1024));
    }
}

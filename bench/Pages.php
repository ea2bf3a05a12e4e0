<?php

namespace Bench;

use Illuminate\Support\Facades\DB;

/**
 * Each main page as a multiple of an empty Blade page behind the same login, measured in turn in one run.
 *
 * @param  callable(string): void  $say
 */
function pages(callable $say): void
{
    $web = new Web('bench/router.php', 'supervisor');
    $running = (int) DB::table('orders')->where('state', 'running')->value('id');
    $pages = [
        'empty page' => '/empty',
        'Today' => '/',
        'customer orders' => '/customer-orders',
        'one customer order' => '/customer-orders/'.DB::table('customer_orders')->max('id'),
        'orders' => '/orders',
        'orders, closed' => '/orders?state=closed',
        'one order' => "/orders/{$running}",
        'release' => '/release',
        'rank' => '/rank',
        'shortages' => '/shortages',
        'purchases' => '/purchases',
        'board' => '/board',
        'late orders' => '/late',
        'dispatch list' => '/dispatch/1?days=30',
        'plans' => '/plans',
        'issue' => '/issue',
        'station' => '/station/'
            .DB::table('order_steps')
                ->where('order_id', $running)
                ->whereNotNull('work_centre_id')
                ->value('work_centre_id'),
        'receive' => '/receive',
        'ship' => '/ship',
        'stock' => '/stock',
        'movements of one item' => '/stock/'.DB::table('moves')->max('item_id'),
        'bookings' => '/bookings',
        'find' => '/find?q=2',
    ];
    $times = [];
    $sizes = [];
    for ($round = -2; $round < 12; $round++) {
        foreach ($pages as $name => $path) {
            [$taken, $page] = $web->get($path);
            if ($round >= 0) {
                $times[$name][] = $taken;
                $sizes[$name] = strlen($page);
            }
        }
    }
    $web->end();
    $median = function (array $of): float {
        sort($of);

        return $of[intdiv(count($of), 2)];
    };
    $floor = $median($times['empty page']);
    $say('| page | ms, median of 12 | × empty page | kB |');
    $say('| --- | ---: | ---: | ---: |');
    foreach ($times as $name => $taken) {
        $say(
            sprintf(
                '| %s | %.1f | %.1f | %.0f |',
                $name,
                $median($taken),
                $median($taken) / $floor,
                $sizes[$name] / 1024,
            ),
        );
    }
}

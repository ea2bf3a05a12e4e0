<?php

namespace Bench;

use Illuminate\Support\Facades\DB;

/** @return array<string, string>  the main pages, by what they are called */
function mainPages(): array
{
    $running = (int) DB::table('orders')->where('state', 'running')->value('id');

    return [
        'empty page' => '/empty',
        'Today' => '/',
        'customer orders' => '/customer-orders',
        'one customer order' => '/customer-orders/'.DB::table('customer_orders')->max('id'),
        'chain of a line' => '/customer-lines/'.DB::table('ties')
            ->where('quantity', '>', 0)
            ->where('supply_kind', 'output')
            ->max('line_id').'/chain',
        'orders' => '/orders',
        'orders, closed' => '/orders?state=closed',
        'one order' => "/orders/{$running}",
        'release' => '/release',
        'rank' => '/rank',
        'shortages' => '/shortages',
        'purchases' => '/purchases',
        'send out' => '/send-out',
        'at suppliers' => '/at-suppliers',
        'claims' => '/claims',
        'bills' => '/bills',
        'not billed' => '/not-billed',
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
        'builds' => '/builds',
        'combine' => '/combine',
        'set up once' => '/set-ups',
        'receive' => '/receive',
        'ship' => '/ship',
        'stock' => '/stock',
        'movements of one item' => '/stock/'.DB::table('moves')->max('item_id'),
        'bookings' => '/bookings',
        'find' => '/find?q=2',
    ];
}

/** @param  list<float>  $of */
function median(array $of): float
{
    sort($of);

    return $of[intdiv(count($of), 2)];
}

/**
 * Each main page as a multiple of an empty Blade page behind the same login, measured in turn in one run.
 *
 * @param  callable(string): void  $say
 */
function pages(callable $say): void
{
    $web = new Web('bench/router.php', 'supervisor');
    $pages = mainPages();
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
    $floor = median($times['empty page']);
    $say('| page | ms, median of 12 | × empty page | kB |');
    $say('| --- | ---: | ---: | ---: |');
    foreach ($times as $name => $taken) {
        $say(
            sprintf(
                '| %s | %.1f | %.1f | %.0f |',
                $name,
                median($taken),
                median($taken) / $floor,
                $sizes[$name] / 1024,
            ),
        );
    }
}

/**
 * Each main page of another checkout and of this one, on the same data, in turn: medians of five, the best of three
 * asked for each time.
 *
 * @param  string  $before  folder of the other checkout, with its packages
 * @param  callable(string): void  $say
 */
function inTurn(string $before, callable $say): void
{
    $webs = [
        'before' => new Web('bench/router.php', 'supervisor', $before),
        'now' => new Web('bench/router.php', 'supervisor'),
    ];
    $times = [];
    // a page that is new has nothing to be compared with
    $pages = array_filter(mainPages(), function (string $path) use ($webs): bool {
        try {
            return $webs['before']->get($path) !== [];
        } catch (\RuntimeException) {
            return false;
        }
    });
    for ($round = -1; $round < 5; $round++) {
        foreach ($pages as $name => $path) {
            foreach ($webs as $which => $web) {
                $taken = min(array_map(fn (): float => $web->get($path)[0], range(1, 3)));
                if ($round >= 0) {
                    $times[$name][$which][] = $taken;
                }
            }
        }
    }
    array_map(fn (Web $web) => $web->end(), $webs);
    $say('| page | ms before | ms now | ratio |');
    $say('| --- | ---: | ---: | ---: |');
    foreach ($times as $name => $of) {
        [$was, $is] = [median($of['before']), median($of['now'])];
        $say(sprintf('| %s | %.1f | %.1f | %.2f |', $name, $was, $is, $is / $was));
    }
}

<?php

namespace Bench;

use App\Access\Role;
use App\Actions\Orders\ReleaseOrders;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\GoodsIn;
use App\Books\Signed;
use App\Models\OrderComponent;
use App\Models\Person;
use App\Models\Place;
use App\Planner\KeepUp;
use App\Queries\Shortages\ShortageList;
use App\Shop\ShopState;
use App\Shop\StandingPlan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use KeepPace\Core\Quantity\TypedQuantity;

/**
 * Parts on the generated year: a usage slip over 50 orders and more, opened, kept and booked through the web server,
 * and the readiness of all open orders.
 *
 * @param  callable(string): void  $say
 */
function components(callable $say): void
{
    $orders = released(70);
    $finish = StandingPlan::of()->finishes();
    $median = function (int $times, callable $work): float {
        $took = [];
        for ($i = 0; $i < $times; $i++) {
            $began = hrtime(true);
            $work();
            $took[] = (hrtime(true) - $began) / 1e6;
        }
        sort($took);

        return $took[intdiv($times, 2)];
    };
    $ready = $median(7, function () use ($finish): void {
        $shop = ShopState::now();
        foreach ($shop->orders as $order) {
            $shop->readiness($order->id, $finish);
        }
    });
    $say('');
    $say('| parts | ms |');
    $say('| --- | ---: |');
    $say(
        sprintf(
            '| readiness of all %d open orders, read and worked out, median of 7 | %.0f |',
            DB::table('orders')
                ->whereIn('state', ['firm', 'released', 'running'])
                ->count(),
            $ready,
        ),
    );
    $say(sprintf('| shortages over all orders, median of 5 | %.0f |', $median(5, fn () => ShortageList::now())));

    $web = new Web('tests/Support/router.php', 'storekeeper');
    try {
        $web->get('/issue');
        $took = [];
        for ($round = -1; $round < 4; $round++) { // the first round warms the server up
            $orders = released(70);
            $one = [];
            [$one['propose']] = $web->send('POST', '/slips', [
                'orders' => $orders,
                'part' => 'whole',
                'token' => (string) Str::uuid(),
            ]);
            $slip = (int) DB::table('slips')->max('id');
            [$one['open'], $page] = $web->get("/slips/{$slip}");
            $lines = DB::table('slip_lines')
                ->where('slip_id', $slip)
                ->get(['id', 'typed'])
                ->mapWithKeys(fn ($line): array => [$line->id => ['quantity' => $line->typed]])
                ->all();
            $data = ['version' => 1, 'note' => '', 'lines' => $lines, 'token' => (string) Str::uuid()];
            [$one['keep']] = $web->send('PUT', "/slips/{$slip}", [...$data, 'do' => 'keep']);
            [$one['book']] = $web->send('PUT', "/slips/{$slip}", [
                ...$data,
                'version' => 2,
                'do' => 'book',
                'token' => (string) Str::uuid(),
            ]);
            $one['plan'] = (float) DB::table('plans')->where('is_live', true)->value('milliseconds');
            $booked = DB::table('slips')->where('id', $slip)->value('state');
            foreach ($round < 0 ? [] : $one as $what => $ms) {
                $took[$what][] = $ms;
            }
        }
        ['propose' => $propose, 'open' => $open, 'keep' => $keep, 'book' => $book, 'plan' => $plan] = array_map(
            function (array $of): float {
                sort($of);

                return ($of[1] + $of[2]) / 2;
            },
            $took,
        );
        $say(
            sprintf(
                '| usage slip over %d orders and %d lines: proposed, median of 4 | %.0f |',
                count($orders),
                count($lines),
                $propose,
            ),
        );
        $say(sprintf('| opened, %d kB | %.0f |', intdiv(strlen($page), 1024), $open));
        $say(sprintf('| kept as a draft | %.0f |', $keep));
        $say(sprintf('| booked until the reply (%s), the plan brought up to date with it | %.0f |', $booked, $book));
        $say(sprintf('| of that the plan | %.0f |', $plan));
    } finally {
        $web->end();
    }
}

/**
 * Firm orders released, their parts in stores.
 *
 * @return list<int>
 */
function released(int $count): array
{
    // most of them running already: there something more is to be used
    $running = DB::table('orders')
        ->where('state', 'running')
        ->orderByDesc('id')
        ->limit($count)
        ->pluck('id')
        ->map(intval(...))
        ->all();
    DB::table('order_components')
        ->whereIn('order_id', $running)
        ->whereColumn('planned_quantity', '<=', 'used_quantity')
        ->update(['planned_quantity' => DB::raw('used_quantity + 2')]);
    $there = DB::table('orders')->where('state', 'released')->pluck('id')->map(intval(...))->all();
    if (count($there) + count($running) >= $count) {
        return array_slice([...$running, ...$there], 0, $count);
    }
    $as = fn (Role $role): Person => Person::inRole($role);
    $ids = DB::table('orders')
        ->where('state', 'firm')
        ->orderBy('id')
        ->limit($count - count($running))
        ->pluck('id')
        ->map(intval(...))
        ->all();
    app(KeepUp::class)->atTheEnd(function () use ($ids, $running, $as): void {
        $store = (int) Place::query()->where('kind', 'store')->orderByDesc('id')->value('id');
        foreach (
            OrderComponent::query()
                ->whereIn('order_id', [...$ids, ...$running])
                ->distinct()
                ->pluck('item_id') as $item
        ) {
            app(GoodsIn::class)->handle(
                new Arrival((int) $item, new TypedQuantity('400'), '9.5', $store),
                Signed::by($as(Role::Storekeeper)),
            );
        }
        $ids === [] ?: app(ReleaseOrders::class)->handle($ids, 'bench', Signed::by($as(Role::Supervisor)));
    });

    return [...$running, ...$ids];
}

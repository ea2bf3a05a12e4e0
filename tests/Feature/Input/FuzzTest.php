<?php

use App\Access\Role;
use App\Http\Shape;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route as Routes;
use Tests\Support\Fields;
use Tests\Support\Sent;

/*
 * Random requests over all routes: fields that are right, fields of other forms, and rubbish, in any mixture. Nothing
 * may break, no words of the framework may be read, and the books agree afterwards. PACE_FUZZ_SEED=n plays one again,
 * PACE_FUZZ_REQUESTS=n more of it.
 */

/** @return list<Route> */
function fuzzed(): array
{
    // a person who is locked, or given a password, sends nothing more
    $without = [
        'login',
        'login.store',
        'logout',
        'dispatch.feed',
        'plans.search',
        'storage.local',
        'up',
        'people.lock',
        'people.reset',
        null,
    ];

    return array_values(array_filter(
        Routes::getRoutes()->getRoutes(),
        fn (Route $route): bool => ! in_array($route->getName(), $without, true),
    ));
}

function rubbish(): mixed
{
    return match (mt_rand(0, 13)) {
        0 => '',
        1 => null,
        2 => (string) mt_rand(-5, 50),
        3 => mt_rand(0, 20).'.'.mt_rand(0, 9999999),
        4 => str_repeat('9', mt_rand(5, 40)),
        5 => '-'.mt_rand(0, 9),
        6 => random(mt_rand(1, 40)),
        7 => sprintf('%04d-%02d-%02d', mt_rand(0, 9999), mt_rand(0, 14), mt_rand(0, 33)),
        8 => [rubbish()],
        9 => [(string) mt_rand(1, 9) => [random(3) => rubbish()]],
        10 => mt_rand(1, 40).','.mt_rand(0, 9),
        11 => [
            'SS-15',
            'LID-9',
            'TRAY-40',
            'H-7714',
            'S-07',
            'pc',
            'sheet',
            'free',
            'stock',
            'remake',
            'order',
        ][mt_rand(0, 10)],
        12 => '2026-1'.mt_rand(1, 2).'-'.mt_rand(10, 28),
        default => mb_chr(mt_rand(0x20, 0x2FFF)).mb_chr(mt_rand(0x1F300, 0x1F6FF)),
    };
}

function random(int $bytes): string
{
    return implode('', array_map(fn (): string => chr(mt_rand(0, 255)), range(1, $bytes)));
}

it('finds nothing that breaks, and books that agree', function () {
    $seed = (int) (getenv('PACE_FUZZ_SEED') ?: random_int(1, 1_000_000));
    fwrite(STDOUT, "  fuzz: seed {$seed}\n");
    mt_srand($seed);
    $this->shop->busy();
    $this->shop->order('LID-9', '9');
    $ids = fn (): string => mt_rand(0, 9) === 0
        ? (string) mt_rand(0, 99999)
        : (string) DB::table([
            'orders',
            'order_steps',
            'customer_order_lines',
            'balances',
            'bookings',
            'items',
            'moves',
        ][mt_rand(0, 6)])
            ->inRandomOrder(mt_rand())
            ->value('id');
    $routes = fuzzed();
    $before = DB::table('bookings')->count();
    $fields = array_keys(Fields::RIGHT);
    for ($i = 0; $i < (int) (getenv('PACE_FUZZ_REQUESTS') ?: 500); $i++) {
        $route = $routes[mt_rand(0, count($routes) - 1)];
        $method = strtolower(current(array_diff($route->methods(), ['HEAD'])));
        $uri = '/'.preg_replace_callback(
            '/\{(\w+)\}/',
            fn (array $part): string => $part[1] === 'what' ? 'person' : $ids(),
            $route->uri(),
        );
        $data = ['token' => "fuzz-{$i}"];
        foreach ($fields as $field) {
            $isSent = ! is_array(Fields::RIGHT[$field])
                || in_array($field, Shape::listsOf((string) $route->getName()), true);
            if ($isSent && mt_rand(0, 9) > 0) {
                $data[$field] = Fields::RIGHT[$field];
            }
        }
        for ($wrong = mt_rand(-4, 4); $wrong > 0; $wrong--) {
            $data[$fields[mt_rand(0, count($fields) - 1)]] = rubbish();
        }
        $this->actingAs($this->shop->as(Role::Supervisor));
        $sent = Sent::by($this, $method, $uri, $data);
        $fault = $sent->fault();
        if ($fault !== null) {
            $this->fail(
                "seed {$seed}, request {$i}, {$method} {$uri}: {$fault}\n".json_encode(
                    $data,
                    JSON_PARTIAL_OUTPUT_ON_ERROR,
                ),
            );
        }
    }
    expect($this->shop->differences())->toBe([], "seed {$seed}")
        // far fewer than usual: the requests are no longer those of the forms
        ->and(DB::table('bookings')->count() - $before)->toBeGreaterThan(5, "seed {$seed}: hardly anything was booked");
});

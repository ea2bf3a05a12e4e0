<?php

use App\Access\Role;
use App\Models\Booking;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route as Routes;
use Tests\Support\Fields;
use Tests\Support\Sent;

/*
 * A table of malformed requests over every route. Nothing breaks, nothing is taken silently, no form is lost to a
 * page that says 'not found', and nobody reads the framework's words.
 */

/** What is sent in place of one field. */
function malformed(): array
{
    return [
        'a list for a text' => ['a' => ['b' => ['c']]],
        'bad bytes' => "\xC3\x28",
        'a control character' => "a\x07b",
        'a null byte' => "a\0b",
        'twenty digits' => '99999999999999999999',
        'a far date' => '9999-12-31',
        'a year before all' => '0001-01-01',
        'a day that is none' => '2026-13-40',
        'the thirtieth of February' => '2027-02-30',
        'twelve digits' => '999999999999',
        'a huge number' => '1'.str_repeat('0', 40),
        'an exponent' => '1e9',
        'below zero' => '-1',
        'a comma' => '5,5',
        'very long' => str_repeat('x', 5000),
        'markup' => '<script>alert(1)</script>',
        'emoji' => '😀',
        'not a number' => 'NaN',
        'a float in bits' => '0.1e-400',
        'spaces' => '   ',
    ];
}

/** @return list<Route> the routes of the application that take something */
function routesOf(string ...$methods): array
{
    $without = ['login', 'login.store', 'logout', 'dispatch.feed', 'storage.local', 'up', null];
    $takes = fn (Route $route): bool => array_intersect($methods, $route->methods()) !== [];

    return array_values(array_filter(
        Routes::getRoutes()->getRoutes(),
        fn (Route $route): bool => $takes($route) && ! in_array($route->getName(), $without, true),
    ));
}

/** The address with these ids in it. */
function addressOf(Route $route, string $id): string
{
    return '/'.preg_replace_callback(
        '/\{(\w+)\}/',
        fn (array $part): string => $part[1] === 'what' ? 'machine' : $id,
        $route->uri(),
    );
}

beforeEach(function () {
    $order = $this->shop->busy();
    $this->ids = ['1' => '1', (string) $order->id => (string) $order->id];
    $this->actingAs($this->shop->as(Role::Supervisor));
    config(['pace.planner' => 'beside']); // hundreds of deeds; the plan follows at the end
});

it('answers every deed that is sent with nothing, or with everything malformed at once', function (string $what) {
    $value = $what === 'nothing' ? null : malformed()[$what];
    $faults = $taken = [];
    foreach (routesOf('POST', 'PUT', 'DELETE') as $route) {
        $method = strtolower(current(array_diff($route->methods(), ['HEAD'])));
        $data = $value === null ? [] : array_fill_keys(array_keys(Fields::RIGHT), $value);
        $before = Booking::query()->count();
        $sent = Sent::by(
            $this,
            $method,
            addressOf($route, (string) DB::table('orders')->min('id')),
            [...$data, 'token' => bin2hex(random_bytes(8))],
        );
        $fault = $sent->fault();
        $fault === null ?: $faults["{$method} {$route->uri()}"] = $fault;
        if (
            $value !== null
            && Booking::query()->count() > $before
            && ! in_array($what, ['spaces', 'very long', 'markup'], true)
            && ! takesWords($route)
        ) {
            $taken["{$method} {$route->uri()}"] = Booking::query()->latest('id')->value('says');
        }
    }
    expect($faults)->toBe([])->and($taken)->toBe([])->and($this->shop->differencesWhenPlanned())->toBe([]);
})->with(['nothing', ...array_keys(malformed())]);

/**
 * Deeds that are asked for by their address, with a reason in any words at most: nothing that is sent with them can
 * be wrong.
 */
function takesWords(Route $route): bool
{
    return in_array($route->getName(), [
        'station.start',
        'orders.close',
        'board.by-rank',
        'board.undo',
        'board.redo',
        'board.unpin',
        'plans.store',
        'plans.again',
        'plans.live',
        'plans.destroy',
        'absence.back',
        'promise.destroy',
        'reservations.destroy',
        'slips.destroy',
        'covers.destroy',
        'purchases.destroy',
        'people.lock',
        'people.unlock',
        'customers.store', // a number and a name in any words
        'suppliers.store',
        'settings.reasons',
    ], true);
}

it('answers every deed with one field malformed', function (string $name) {
    [$uri, $method, $right, $fields] = onefields()[$name];
    $faults = $taken = [];
    foreach ($fields as $field) {
        foreach (malformed() as $what => $value) {
            $before = Booking::query()->count();
            $data = $right;
            data_set($data, $field, $value);
            $sent = Sent::by($this, $method, $uri(), [...$data, 'token' => bin2hex(random_bytes(8))]);
            $fault = $sent->fault();
            $fault === null ?: $faults["{$field}: {$what}"] = $fault;
            if (Booking::query()->count() > $before && ! mayBe($field, $what)) {
                $taken["{$field}: {$what}"] = Booking::query()->latest('id')->value('says');
            }
        }
    }
    expect($faults)->toBe([])->and($taken)->toBe([])->and($this->shop->differencesWhenPlanned())->toBe([]);
})->with([
    'goods in',
    'a customer order',
    'an order',
    'the head of an order',
    'a step',
    'a step more',
    'a count at a step',
    'a receipt',
    'a count',
    'scrap',
    'a condition',
    'purchases',
    'a reservation',
    'a machine down',
    'a person away',
    'a calendar',
    'a period',
    'a held date',
    'a place in the rank',
    'a slip',
    'a shipment']);

/** Texts take any words, spaces are nothing typed. */
function mayBe(string $field, string $what): bool
{
    return $what === 'spaces'
        || in_array(
            preg_replace('/.*\./', '', $field),
            [
                'reason',
                'name',
                'reference',
                'ship_to',
                'note',
                'answer',
                'short_reason',
                'supplier_lot',
                'codes',
                'code',
                'for',
            ],
            true,
        );
}

/** @return array<string, array{Closure, string, array<string, mixed>, list<string>}> */
function onefields(): array
{
    $order = fn (): int => (int) DB::table('orders')->min('id');
    $step = fn (): int => (int) DB::table('order_steps')->min('id');
    $balance = fn (): int => (int) DB::table('balances AS b')
        ->join('items AS i', 'i.id', 'b.item_id')
        ->where('i.number', 'BRG-25')
        ->value('b.id');

    return [
        'goods in' => [fn () => '/stock', 'post', [
            'item' => 'BRG-25',
            'quantity' => '2',
            'price' => '7',
            'place_id' => '5',
        ],
            [
                'item',
                'quantity',
                'unit',
                'price',
                'place_id',
                'codes',
                'condition',
                'owner_id',
                'booked_on',
                'expires_on',
                'supplier_lot',
                'purchase_id',
            ]],
        'a customer order' => [fn () => '/customer-orders', 'post', [
            'customer_id' => '1',
            'lines' => [['item' => 'LID-9', 'quantity' => '1', 'promised_on' => '2026-12-18']],
        ],
            [
                'customer_id',
                'reference',
                'ship_to',
                'lines',
                'lines.0',
                'lines.0.item',
                'lines.0.quantity',
                'lines.0.unit',
                'lines.0.promised_on',
                'lines.0.price',
            ]],
        'an order' => [
            fn () => '/orders',
            'post',
            ['item' => 'TRAY-40', 'quantity' => '2', 'due_on' => '2026-12-18'],
            ['item', 'quantity', 'due_on', 'with_parts'],
        ],
        'the head of an order' => [
            fn () => "/orders/{$order()}",
            'put',
            ['version' => '1', 'quantity' => '6', 'rank' => '5', 'due_on' => '2026-12-18'],
            ['version', 'quantity', 'rank', 'due_on', 'is_held'],
        ],
        'a step' => [
            fn () => "/order-steps/{$step()}",
            'put',
            ['version' => '2', 'work_centre_id' => '1', 'setup_minutes' => '5', 'run_rate' => '2'],
            ['version', 'work_centre_id', 'setup_minutes', 'run_rate'],
        ],
        'a step more' => [fn () => "/orders/{$order()}/steps", 'post', [
            'version' => '2',
            'number' => '25',
            'name' => 'Polish',
            'work_centre_id' => '1',
            'setup_minutes' => '5',
            'run_rate' => '2',
        ],
            ['version', 'number', 'name', 'work_centre_id', 'setup_minutes', 'run_rate']],
        'a count at a step' => [
            fn () => "/order-steps/{$step()}/report",
            'post',
            ['good' => '1', 'scrap' => '0', 'pass_on' => '0', 'minutes' => '5'],
            ['good', 'scrap', 'pass_on', 'minutes', 'reason'],
        ],
        'a receipt' => [
            fn () => "/orders/{$order()}/receive",
            'post',
            ['quantity' => '1', 'place_id' => '5'],
            ['quantity', 'place_id', 'codes'],
        ],
        'a count' => [
            fn () => "/balances/{$balance()}/count",
            'post',
            ['quantity' => '70', 'reason' => 'x'],
            ['quantity', 'reason'],
        ],
        'scrap' => [
            fn () => "/balances/{$balance()}/scrap",
            'post',
            ['quantity' => '1', 'class' => 'handling', 'reason' => 'x'],
            ['quantity', 'class', 'reason'],
        ],
        'a condition' => [
            fn () => "/balances/{$balance()}/condition",
            'post',
            ['quantity' => '1', 'to' => 'blocked', 'reason' => 'x'],
            ['quantity', 'to', 'reason'],
        ],
        'purchases' => [fn () => '/purchases', 'post', ['items' => [[
            'number' => 'BRG-25',
            'quantity' => '1',
            'expected_on' => '2026-12-18',
        ]]],
            [
                'items',
                'items.0',
                'items.0.number',
                'items.0.quantity',
                'items.0.unit',
                'items.0.price',
                'items.0.expected_on',
                'items.0.supplier',
                'only',
                'add',
            ]],
        'a reservation' => [
            fn () => '/reservations',
            'post',
            ['order' => (string) $order(), 'item' => '1', 'quantity' => '1'],
            ['order', 'item', 'quantity', 'lot', 'reason'],
        ],
        'a machine down' => [
            fn () => '/absence/machine',
            'post',
            ['centre' => '1', 'machine' => '1', 'from' => '2026-11-25T08:00', 'until' => '2026-11-26T08:00'],
            ['centre', 'machine', 'from', 'until', 'reason'],
        ],
        'a person away' => [
            fn () => '/absence/person',
            'post',
            ['person' => Fields::WORKER, 'until' => '2026-11-26T08:00'],
            ['person', 'from', 'until', 'reason'],
        ],
        'a calendar' => [
            fn () => '/calendars/1',
            'put',
            ['date' => '2026-12-23', 'kind' => 'closed', 'name' => 'x'],
            ['date', 'kind', 'from', 'to', 'name', 'week', 'week.1', 'week.1.work', 'remove', 'remove.0'],
        ],
        'a period' => [fn () => '/periods', 'post', ['ends_on' => '2026-10-31'], ['ends_on']],
        'a held date' => [
            fn () => '/promise/held',
            'post',
            ['item' => 'TRAY-40', 'quantity' => '4', 'how' => 'nobody', 'hours' => '4'],
            ['item', 'quantity', 'unit', 'wanted', 'hours', 'for', 'how', 'finish'],
        ],
        'a place in the rank' => [fn () => '/rank', 'post', ['move' => "{$order()}-0"], ['move']],
        'a slip' => [
            fn () => '/slips/'.DB::table('slips')->min('id'),
            'put',
            ['version' => '1', 'do' => 'keep', 'lines' => [DB::table('slip_lines')->min('id') => ['quantity' => '1']]],
            [
                'version',
                'do',
                'note',
                'booked_on',
                'reason',
                'lines',
                'lines.'.DB::table('slip_lines')->min('id'),
                'lines.'.DB::table('slip_lines')->min('id').'.quantity',
                'lines.'.DB::table('slip_lines')->min('id').'.splits',
            ],
        ],
        'a shipment' => [
            fn () => '/customer-orders/'.DB::table('customer_orders')->min('id').'/ship',
            'post',
            ['lines' => [DB::table('customer_order_lines')->min('id') => ['quantity' => '1']]],
            [
                'lines',
                'lines.'.DB::table('customer_order_lines')->min('id'),
                'lines.'.DB::table('customer_order_lines')->min('id').'.quantity',
                'lines.'.DB::table('customer_order_lines')->min('id').'.lot',
            ],
        ],
    ];
}

it('answers every page whose address is malformed', function (string $what) {
    $names = [
        'plan',
        'text',
        'q',
        'before',
        'skip',
        'days',
        'show',
        'state',
        'readiness',
        'pace',
        'customer',
        'work_centre',
        'item',
        'machine',
        'person',
        'week',
        'order',
        'orders',
        'receive',
        'below',
        'zoom',
        'by',
        'centre',
        'step',
        'minute',
        'lot',
        'from',
    ];
    $faults = [];
    foreach (routesOf('GET') as $route) {
        $fault = Sent::by($this, 'get', addressOf($route, '1'), array_fill_keys($names, malformed()[$what]))->fault();
        $fault === null ?: $faults[$route->uri()] = $fault;
    }
    expect($faults)->toBe([]);
})->with(array_keys(malformed()));

it('answers ids nothing has, and ids that are none', function (string $id) {
    $faults = [];
    foreach (routesOf('GET', 'POST', 'PUT', 'DELETE') as $route) {
        if (! str_contains($route->uri(), '{')) {
            continue;
        }
        $method = strtolower(current(array_diff($route->methods(), ['HEAD'])));
        $sent = Sent::by(
            $this,
            $method,
            addressOf($route, $id),
            [...Fields::RIGHT, 'token' => bin2hex(random_bytes(8))],
        );
        $fault = $sent->fault();
        if ($fault !== null && ! (strlen($id) > 18 && $sent->answer->getStatusCode() < 500)) {
            $faults["{$method} {$route->uri()}"] = $fault;
        }
    }
    expect($faults)->toBe([])->and($this->shop->differencesWhenPlanned())->toBe([]);
})->with(['987654', '999999999999999999', '99999999999999999999', '0', 'abc', '1%00', '-1', '1.5']);

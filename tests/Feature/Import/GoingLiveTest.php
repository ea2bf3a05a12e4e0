<?php

use App\Access\Role;
use App\Actions\Orders\ChangeOrder;
use App\Models\Order;
use Illuminate\Support\Facades\DB;

/*
 * Going live in the middle of things: half-done orders, lots, serials, purchases and customer orders come from files.
 */

/**
 * Imports files and says what was wrong with them.
 *
 * @param  array<string, list<string>>  $files  lines by file, the head first
 * @return list<string>
 */
function goLive(object $test, array $files): array
{
    $named = [];
    foreach ($files as $name => $lines) {
        $named["{$name}.csv"] = implode("\n", $lines)."\n";
    }

    return $test->shop->import($named);
}

const HALF_DONE = [
    'customer-orders' => [
        'number,customer,reference,line,item,quantity,promised_on',
        'C-1900,K-02,PO 8,10,TRAY-40,8,today+9wd',
    ],
    'orders' => [
        'number,item,quantity,due_on,state,customer_order,line,material,labour,machine,overhead',
        '900,TRAY-40,8,today+8wd,released,C-1900,10,310.40,52.80,60.00,21.12',
        '901,LID-9,5,today+5wd,firm,,,,,,',
    ],
    'order-steps' => ['order,step,taken_in,good,scrap,passed_on', '900,10,8,6,1,6', '900,20,6,2,0,0'],
    'order-components' => ['order,component,used', '900,SS-15,9.1', '900,FOOT-1,12'],
];

it('goes on from where the shop is', function () {
    expect(goLive($this, HALF_DONE))->toBe([])->and($this->shop->differences())->toBe([]);
    $order = Order::query()->where('number', '900')->firstOrFail();
    expect($order->state->value)->toBe('running')
        ->and(
            $order->steps
                ->map(fn ($step): string => "{$step->taken_in}/{$step->good}/{$step->scrap}/{$step->passed_on}")
                ->all(),
        )
        ->toBe([
            '8.000000/6.000000/1.000000/6.000000',
            '6.000000/2.000000/0.000000/0.000000',
            '0.000000/0.000000/0.000000/0.000000',
        ]);
    $cost = DB::table('cost_entries')
        ->where('order_id', $order->id)
        ->groupBy('kind')
        ->selectRaw('kind, SUM(cents) AS cents')
        ->pluck('cents', 'kind');
    expect($cost->map(fn ($cents): int => (int) $cents)->all())->toEqualCanonicalizing([
        'material' => 31040,
        'labour' => 5280,
        'machine' => 6000,
        'overhead' => 2112,
    ]);
    expect((int) $order->components()->sum('used_value'))->toBe(31040)
        ->and($order->plannedCost()->labour)->toBeGreaterThan(0);
    // tied to its line, and the shop works on as if it had always been here
    $this->actingAs($this->shop->as(Role::Sales))
        ->get('/customer-orders')
        ->assertSee('C-1900')
        ->assertSee('7 from 900');
    $steps = $order->steps()->get();
    $this->shop->report($steps[0], '1', '1');
    $this->shop->report($steps[1]->refresh(), '5', '7');
    $this->shop->report($steps[2]->refresh(), '7');
    $this->shop->receive($order->refresh(), '7');
    $this->shop->close($order->refresh());
    expect($order->refresh()->state->value)->toBe('closed')
        ->and($this->shop->stock('TRAY-40')['quantity'])->toBe('7')
        ->and($this->shop->differences())->toBe([]);
    expect($this->shop->order('LID-9', '1')->number)->toBe('902');
});

it('leaves a firm order firm, to be changed and released as any other', function () {
    goLive($this, HALF_DONE);
    $order = Order::query()->where('number', '901')->firstOrFail();
    app(ChangeOrder::class)->head(
        $order->id,
        $order->version,
        ['quantity' => '6', 'due_on' => $order->due_on, 'rank' => 300, 'is_held' => false],
        $this->shop->sign(Role::Planner, token: 't'),
    );
    $this->shop->release($order->refresh());
    expect($order->refresh()->quantity)->toBe('6.000000')->and($this->shop->differences())->toBe([]);
});

it('takes all of it or nothing, and says what does not fit together', function (array $change, string $says) {
    $before = array_map(fn (string $table): int => DB::table($table)->count(), [
        'bookings',
        'orders',
        'customer_orders',
        'moves',
        'cost_entries',
        'step_entries',
    ]);
    $files = HALF_DONE;
    foreach ($change as $file => $lines) {
        $files[$file] = [HALF_DONE[$file][0], ...$lines];
    }
    expect(implode("\n", goLive($this, $files)))->toContain($says);
    expect(
        array_map(fn (string $table): int => DB::table($table)->count(), [
            'bookings',
            'orders',
            'customer_orders',
            'moves',
            'cost_entries',
            'step_entries',
        ]),
    )->toBe($before);
})->with([
    'more counted than taken in' => [
        ['order-steps' => ['900,10,8,8,1,6', '900,20,6,2,0,0']],
        'order-steps.csv line 2, good: good + scrap cannot be more than taken in',
    ],
    'more passed on than good' => [
        ['order-steps' => ['900,10,8,6,1,7', '900,20,7,2,0,0']],
        'nor passed on more than good',
    ],
    'pieces that came from nowhere' => [
        ['order-steps' => ['900,10,8,6,1,6', '900,20,7,2,0,0']],
        'step 20 took in 7, but 6 reached it',
    ],
    'pieces lost on the way' => [['order-steps' => ['900,10,8,6,1,6']], 'step 20 took in 0, but 6 reached it'],
    'pieces that are stock already' => [
        ['order-steps' => ['900,10,8,8,0,8', '900,20,8,8,0,8', '900,30,8,8,0,3']],
        'what its last step passed on is stock',
    ],
    'steps of a firm order' => [
        ['order-steps' => ['901,10,5,1,0,0']],
        '901 is not released: nothing can be booked on it yet',
    ],
    'steps of an order nobody knows' => [['order-steps' => ['999,10,5,1,0,0']], '999 is not in orders.csv'],
    'a component it does not take' => [['order-components' => ['900,MOT-120,1']], 'order 900 does not take MOT-120'],
    'cost without a use' => [
        ['order-components' => []],
        'carries material cost but order-components.csv names nothing used',
    ],
    'something that is not made' => [['orders' => ['900,BRG-25,8,,firm,,,,,,']], 'BRG-25 is not made here'],
    'a line that is not there' => [
        ['orders' => ['900,TRAY-40,8,,released,C-1900,20,,,,', '901,LID-9,5,,firm,,,,,,']],
        'customer-orders.csv has no line 20 of C-1900 for TRAY-40',
    ],
    'half a tray' => [
        ['orders' => ['900,TRAY-40,7.5,,released,,,,,,', '901,LID-9,5,,firm,,,,,,']],
        '7.5 pc: piece is counted whole',
    ],
    'a customer nobody knows' => [
        ['customer-orders' => ['C-1900,K-99,PO 8,10,TRAY-40,8,today+9wd']],
        "'K-99' is not among the customers",
    ],
    'one number for two customers' => [
        ['customer-orders' => ['C-1900,K-02,PO 8,10,TRAY-40,8,today+9wd', 'C-1900,K-03,PO 8,20,TRAY-40,8,today+9wd']],
        'C-1900 is for K-02 in an earlier line',
    ],
]);

it('does not take the same opening twice', function () {
    expect(goLive($this, HALF_DONE))->toBe([]);
    $problems = implode("\n", goLive($this, HALF_DONE));
    expect($problems)->toContain('C-1900 is there already')->toContain('900 is there already')
        ->and(Order::query()->where('number', '900')->count())->toBe(1);
});

it('takes lots and serials in, each where it lies, and finds them again', function () {
    expect(
        goLive($this, [
            'items' => [
                'number,name,kind,unit,tracking,costing',
                'LIVE-L,Lot thing,bought,m,lot,own',
                'LIVE-S,Serial thing,bought,pc,serial,own',
            ],
            'opening-stock' => [
                'item,place,lot,quantity,value',
                'LIVE-L,RACK,L-1,2.5,10.00',
                'LIVE-L,STORES,L-1,1.5,6.00',
                'LIVE-L,RACK,L-2,4,17.00',
                'LIVE-S,STORES,X-1,1,9.99',
                'LIVE-S,STORES,X-2,1,10.01',
            ],
        ]),
    )->toBe([]);
    expect($this->shop->stock('LIVE-L'))->toBe(['quantity' => '8', 'value' => 3300])
        ->and($this->shop->stock('LIVE-L', 'L-1'))->toBe(['quantity' => '4', 'value' => 1600])
        ->and($this->shop->differences())->toBe([]);
    $this->actingAs($this->shop->as(Role::Storekeeper))->get('/find?q=X-2')->assertRedirectContains('/stock/');
});

it('refuses serials that are more than one piece, and lots where there are none', function (
    string $line,
    string $says,
) {
    expect(
        implode(
            "\n",
            goLive($this, [
                'items' => [
                    'number,name,kind,unit,tracking',
                    'LIVE-L,Lot thing,bought,m,lot',
                    'LIVE-S,Serial thing,bought,pc,serial',
                    'LIVE-N,Plain thing,bought,pc,none',
                ],
                'opening-stock' => ['item,place,lot,quantity,value', $line],
            ]),
        ),
    )->toContain($says);
})->with([
    ['LIVE-S,STORES,X-1,2,9.99', 'a serial is one piece'],
    ['LIVE-S,STORES,,1,9.99', 'is tracked by serial: name it'],
    ['LIVE-L,STORES,,1,9.99', 'is tracked by lot: name it'],
    ['LIVE-N,STORES,L-1,1,9.99', 'is not tracked by lot'],
    ['LIVE-L,STORES,L-1,1.0005,1', 'metre is counted with 3 decimals'],
    ['LIVE-N,NOWHERE,,1,1', "'NOWHERE' is not among the places"],
    ['LIVE-N,STORES,,1,1.005', 'more than 2 decimals'],
]);

it('brings pieces at suppliers along, and the work that is ordered on them', function () {
    $head = "number,item,quantity,due_on,state\n";
    $steps = "order,step,taken_in,good,scrap,passed_on,at_supplier,sent_on,back_on\n";
    $work = "number,line,order,step,quantity,price,expected_on,state,reference\n";
    $order = "M-77,DRUM-9,10,2027-01-15,released\n";
    $counted = "M-77,10,10,10,0,10,,,\nM-77,20,10,10,0,10,,,\nM-77,30,10,10,0,8,,,\n";
    expect($this->shop->import([
        'orders.csv' => $head.$order,
        'order-steps.csv' => $steps.$counted."M-77,40,8,1,0,0,5,2026-11-20,2026-11-30\n",
        'work-orders.csv' => $work."P-77,,M-77,40,9,3.5,2026-11-30,confirmed,W-1\n",
    ]))->toBe([]);
    $step = App\Models\OrderStep::query()->whereNotNull('supplier_id')->latest('id')->firstOrFail();
    $line = App\Models\ConsignmentLine::query()->where('order_step_id', $step->id)->sole();
    expect($line->there)->toBe('5.000000')
        ->and($line->back_at->setTimezone('Europe/Dublin')->toDateString())->toBe('2026-11-30')
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    // they come back on that order, at its price; what is not there is not taken back
    $this->actingAs($this->shop->as(App\Access\Role::Storekeeper))->get('/at-suppliers')->assertSee('P-77');
    $this->shop->back($step, '5');
    expect(App\Models\PurchaseLine::query()->where('number', 'P-77')->value('received_quantity'))->toBe('5.000000')
        ->and((int) DB::table('cost_entries')->where('order_step_id', $step->id)->sum('cents'))->toBe(1750)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    $problems = implode(' ', $this->shop->import([
        'orders.csv' => $head.str_replace('M-77', 'M-78', $order),
        'order-steps.csv' => $steps.str_replace('M-77', 'M-78', $counted)
            ."M-78,40,8,1,0,0,9,2026-11-30,2026-11-20\n",
        'work-orders.csv' => $work."P-77,,M-78,40,9,3.5,2026-11-30,sent,\nP-79,,M-78,30,9,3.5,2026-11-30,sent,\n",
    ]));
    expect($problems)->toContain('no more can be with the supplier than taken in less good less scrap')
        ->toContain('they cannot be back before they went')
        ->toContain('P-77 is there already');
});

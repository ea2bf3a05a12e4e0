<?php

use App\Models\Order;
use App\Models\PurchaseOrder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\PurchaseState;

/* Going live at the edge: outside work that is ordered, units that moved, counts that do not meet. All or nothing. */

/** @param  array<string, string>  $files */
function opened(object $test, array $files): string
{
    return implode("\n", $test->shop->import($files));
}

const OPENING_ITEMS = [
    'items.csv' => "number,name,kind,unit,tracking,cost\n"
        ."AXLE-O,Axle,made,pc,none,12\nBLANK-O,Blank,bought,pc,none,5\nWIRE-O,Wire,bought,kg,none,3\n",
    'structures.csv' => "item,position,component,quantity,unit,basis\nAXLE-O,10,BLANK-O,1,,unit\n",
    'routings.csv' => "item,step,name,work_centre,supplier,setup_minutes,run_rate,lead_time_days,price\n"
        ."AXLE-O,10,Turn,BENCH,,5,2,,\nAXLE-O,20,Harden,,S-03,,,5,1.20\nAXLE-O,30,Polish,BENCH,,,1,,\n",
];

const OPENING_ORDER = [
    'orders.csv' => "number,item,quantity,due_on,state,material,labour,machine,overhead\n"
        ."800,AXLE-O,10,today+20wd,released,50,10,5,2\n",
    'order-steps.csv' => "order,step,taken_in,good,scrap,passed_on,at_supplier,sent_on,back_on\n"
        ."800,10,10,8,0,8,,,\n800,20,8,0,0,0,6,,\n",
    'order-components.csv' => "order,component,used\n800,BLANK-O,8\n",
];

beforeEach(function (): void {
    expect(opened($this, OPENING_ITEMS))->toBe('');
});

it('takes over work that is with its supplier, and the order of it', function () {
    expect(opened($this, [
        ...OPENING_ORDER,
        'work-orders.csv' => "number,order,step,quantity,expected_on,price\nP-90,800,20,8,today+6wd,\n",
    ]))->toBe('');
    $order = Order::query()->where('number', '800')->sole();
    $step = $order->steps()->where('number', 20)->sole();
    $line = DB::table('purchase_lines')->where('order_step_id', $step->id)->first();
    expect($line?->quantity)->toBe('8.000000')
        ->and((string) $line?->price)->toStartWith('1.2') // as the step says, where the file says nothing
        ->and(App\Shop\Away::pieces($step->id)->isEqualTo(6))->toBeTrue()
        ->and(PurchaseOrder::query()->where('number', 'P-90')->sole()->state)->not->toBe(PurchaseState::Cancelled)
        ->and($this->shop->differences())->toBe([]);
});

it('says what does not fit, and takes nothing of it', function (array $files, string $says) {
    $tables = ['orders', 'purchase_orders', 'bookings', 'consignment_lines', 'step_entries', 'cost_entries'];
    $count = fn (): array => array_map(fn (string $table): int => DB::table($table)->count(), $tables);
    $before = $count();
    expect(opened($this, [...OPENING_ORDER, ...$files]))->toContain($says)->and($count())->toBe($before);
})->with([
    'work of a step done here' => [
        ['work-orders.csv' => "number,order,step,quantity,expected_on,price\nP-90,800,10,8,today+6wd,\n"],
        '800 has no step 10 done outside',
    ],
    'work of no such order' => [
        ['work-orders.csv' => "number,order,step,quantity,expected_on,price\nP-90,899,20,8,today+6wd,\n"],
        '899',
    ],
    'a step that took in more than reached it' => [
        ['order-steps.csv' => "order,step,taken_in,good,scrap,passed_on\n800,10,10,8,0,8\n800,20,9,0,0,0\n"],
        'order 800 step 20 took in 9, but 8 reached it',
    ],
    'a first step that took in less than is ordered' => [
        ['order-steps.csv' => "order,step,taken_in,good,scrap,passed_on\n800,10,9,8,0,8\n800,20,8,0,0,0\n"],
        'order 800 step 10 took in 9, but 10',
    ],
    'pieces that are through' => [
        [
            'order-steps.csv' => "order,step,taken_in,good,scrap,passed_on\n"
                ."800,10,10,10,0,10\n800,20,10,10,0,10\n800,30,10,4,0,4\n",
        ],
        'what its last step passed on is stock',
    ],
    'a half piece' => [
        [
            'orders.csv' => "number,item,quantity,due_on,state,material,labour,machine,overhead\n"
                ."800,AXLE-O,9.5,today+20wd,firm,,,,\n",
            'order-steps.csv' => "order,step,taken_in,good,scrap,passed_on\n",
            'order-components.csv' => "order,component,used\n",
        ],
        '9.5 pc: piece is counted whole',
    ],
    'what is not made here' => [
        [
            'orders.csv' => "number,item,quantity,due_on,state,material,labour,machine,overhead\n"
                ."800,BLANK-O,9,today+20wd,firm,,,,\n",
            'order-steps.csv' => "order,step,taken_in,good,scrap,passed_on\n",
            'order-components.csv' => "order,component,used\n",
        ],
        'BLANK-O',
    ],
    'a number that is there' => [
        [
            'orders.csv' => "number,item,quantity,due_on,state,material,labour,machine,overhead\n"
                ."800,AXLE-O,9,today+20wd,firm,,,,\n800,AXLE-O,9,today+20wd,firm,,,,\n",
            'order-steps.csv' => "order,step,taken_in,good,scrap,passed_on\n",
            'order-components.csv' => "order,component,used\n",
        ],
        'orders.csv line 3, number: stands in line 2 already.',
    ],
    'a step that is counted twice' => [
        ['order-steps.csv' => "order,step,taken_in,good,scrap,passed_on\n800,10,10,8,0,8\n800,10,10,8,0,8\n"],
        'order + step: stands in line 2 already',
    ],
    'more good than was taken in' => [
        ['order-steps.csv' => "order,step,taken_in,good,scrap,passed_on\n800,10,10,12,0,8\n800,20,8,0,0,0\n"],
        'good + scrap cannot be more than taken in, nor passed on more than good',
    ],
]);

it('does not let a unit change its size under stock that was moved in it', function () {
    $units = [
        'units.csv' => "code,name,decimals\nreel,Reel,0\n",
        'item-units.csv' => "item,unit,p,q\nWIRE-O,reel,15,1\n",
    ];
    expect(opened($this, $units))->toBe('');
    // nothing was moved yet: it may
    expect(opened($this, ['item-units.csv' => "item,unit,p,q\nWIRE-O,reel,16,1\n"]))->toBe('');
    $this->shop->goodsIn('WIRE-O', '2', '48', '', 'reel');
    expect($this->shop->stock('WIRE-O')['quantity'])->toBe('32')
        ->and(opened($this, ['item-units.csv' => "item,unit,p,q\nWIRE-O,reel,15,1\n"]))
        ->toContain('one reel of WIRE-O has been 16/1 since it was first moved')
        // the same, said otherwise
        ->and(opened($this, ['item-units.csv' => "item,unit,p,q\nWIRE-O,reel,32,2\n"]))->toBe('');
});

it('names units that count finer than stock does', function () {
    expect(opened($this, ['units.csv' => "code,name,decimals\nspeck,Speck,7\n"]))->toContain('must be 6 or less')
        ->and(opened($this, ['units.csv' => "code,name,decimals\nspeck,Speck,6\n"]))->toBe('');
});

<?php

use App\Access\Role;
use App\Actions\Import\ImportFolder;
use App\Actions\Stock\SetStandardCost;
use App\Models\Booking;
use App\Models\Person;
use Illuminate\Support\Facades\DB;

/*
 * Product data keeps who changed what from what to what, by page or by file; a standard cost goes through its
 * valuation.
 */

/** @param  array<string, string>  $files */
function importAs(object $test, Role $role, array $files): void
{
    $path = sys_get_temp_dir().'/keep-pace-changes-'.bin2hex(random_bytes(6));
    mkdir($path);
    array_walk($files, fn (string $text, string $name) => file_put_contents("{$path}/{$name}", $text));
    try {
        app(ImportFolder::class)->handle($path, $test->shop->as($role));
    } finally {
        array_map(unlink(...), glob("{$path}/*") ?: []);
        rmdir($path);
    }
}

/** The line of the demo's items.csv, changed. */
function itemLine(string $number, string $from, string $to): string
{
    $lines = file(base_path('demo/items.csv')) ?: [];
    $line = current(array_filter($lines, fn (string $line): bool => str_starts_with($line, "{$number},")));

    return $lines[0].str_replace($from, $to, (string) $line);
}

function trail(): array
{
    return DB::table('product_changes AS c')
        ->join('bookings AS b', 'b.id', 'c.booking_id')
        ->join('people AS u', 'u.id', 'b.person_id')
        ->orderBy('c.id')
        ->where('c.booking_id', '>', DB::table('bookings')->min('id'))
        ->get(['u.login', 'c.record', 'c.field', 'c.before', 'c.after'])
        ->map(fn ($row): string => implode(' | ', (array) $row))
        ->all();
}

it('keeps what a file changed, with codes for what it refers to', function () {
    importAs($this, Role::Planner, ['items.csv' => itemLine('BRG-25', 'S-07,4,30,12', 'S-08,6,30,12')]);
    expect(trail())->toBe(['planner | BRG-25 | supplier | S-07 | S-08', 'planner | BRG-25 | lead time days | 4 | 6']);
    $item = $this->shop->item('BRG-25');
    $this->actingAs($this->shop->as(Role::Buyer))
        ->get("/stock/{$item->id}")
        ->assertSee('lead time days')
        ->assertSee('from 4 to 6')
        ->assertSee(Person::query()->firstWhere('login', 'planner')->name);
});

it('keeps nothing where nothing differs', function () {
    importAs($this, Role::Planner, ['items.csv' => itemLine('BRG-25', 'x', 'x')]);
    expect(trail())->toBe([]);
});

it('keeps what becomes of a draft, line by line', function () {
    $head = "item,revision,status,position,component,quantity,unit,step\n";
    importAs(
        $this,
        Role::Planner,
        ['structures.csv' => "{$head}STAND-3,X,draft,10,TUBE-30,3,m,10\nSTAND-3,X,draft,20,FOOT-1,3,pc,10\n"],
    );
    importAs($this, Role::Planner, ['structures.csv' => "{$head}STAND-3,x,draft,10,TUBE-30,3.5,m,10\n"]);
    expect(trail())->toBe([
        'planner | STAND-3 revision x | position 10, quantity | 3 | 3.5',
        'planner | STAND-3 revision x | position 20 | 3 pc FOOT-1 | taken out',
    ]);
});

it('leaves a standard cost to who may value stock', function () {
    $this->shop->item('FOOT-1');
    expect($this->shop->import(['items.csv' => itemLine('FOOT-1', ',0.92,', ',0.99,')]))->toHaveCount(1)
        ->and($this->shop->import(['items.csv' => itemLine('FOOT-1', ',0.92,', ',0.99,')])[0])
        ->toContain('items.csv line 2, cost')
        ->toContain('standard cost of 0.92')
        ->and($this->shop->item('FOOT-1')->cost)->toBe('0.920000');
});

it('revalues what lies there when a file of who may sets a standard cost', function () {
    $before = (int) DB::table('stock_values')->where('item_id', $this->shop->item('FOOT-1')->id)->value('value');
    importAs($this, Role::Supervisor, ['items.csv' => itemLine('FOOT-1', ',0.92,', ',1.00,')]);
    $value = DB::table('stock_values')->where('item_id', $this->shop->item('FOOT-1')->id)->first();
    expect((int) $value->value)->toBe((int) ((float) $value->quantity * 100))->not->toBe($before)
        ->and(
            DB::table('moves AS m')
                ->join('places AS p', 'p.id', 'm.from_place_id')
                ->where('m.booking_id', Booking::query()->latest('id')->value('id'))
                ->where('p.kind', 'variance')
                ->sum('m.value'),
        )
        ->toEqual((int) $value->value - $before)
        ->and(trail())->toBe(['supervisor | FOOT-1 | cost | 0.92 | 1'])
        ->and($this->shop->differences())->toBe([]);
});

it('keeps what a page changed', function () {
    app(SetStandardCost::class)->handle(
        $this->shop->item('FOOT-1')->id,
        '0.95',
        $this->shop->sign(Role::CostClerk, 'new contract', 's'),
    );
    expect(trail())->toBe(['cost-clerk | FOOT-1 | cost | 0.92 | 0.95']);
});

it('keeps what a file made of a calendar, each day by itself', function () {
    $plant = DB::table('calendars')->where('code', 'PLANT')->value('id');
    $week = DB::table('shifts')
        ->where('calendar_id', $plant)
        ->orderBy('weekday')
        ->get()
        ->map(
            fn ($row): string => implode(',', [
                'PLANT',
                $row->weekday,
                $row->from_time,
                $row->to_time,
                $row->is_break ? 'break' : 'work',
            ]),
        )
        ->all();
    $was = trim(
        (string) preg_replace(
            '/^PLANT,1,([\d:]+),([\d:]+),work$/',
            '$1-$2',
            array_values(preg_grep('/^PLANT,1,.*work$/', $week))[0],
        ),
    );
    $longer = preg_replace('/^(PLANT,1,[\d:]+),[\d:]+,work$/', '$1,17:45,work', $week);
    importAs($this, Role::Planner, [
        'shifts.csv' => "calendar,weekday,from,to,kind\n".implode("\n", $longer)."\n",
        'holidays.csv' => "calendar,date,kind,from,to,name\nPLANT,2027-05-14,closed,,,Bridge day\n",
    ]);
    $trail = trail();
    expect($trail)->toHaveCount(2)
        ->and($trail[0])->toStartWith("planner | PLANT | Monday | {$was}")->toContain('-17:45')
        ->and($trail[1])->toBe('planner | PLANT | 2027-05-14 |  | closed Bridge day');
    $this->actingAs($this->shop->as(Role::Planner))
        ->get("/calendars/{$plant}")
        ->assertSee('Changed')
        ->assertSee('Fri 14 May 2027 from nothing to closed Bridge day');
});

it('says one slip once: what refers to a refused row is no fault of its own', function (array $files, array $problems) {
    expect($this->shop->import($files))->toBe($problems);
})->with([
    'an item with a wrong cost, used forty times' => [
        ['items.csv' => "number,name,kind,unit,cost\nP-1,Part,bought,pc,x1\nP-2,Whole,made,pc,1\n",
            'structures.csv' => "item,position,component,quantity\n".implode(
                '',
                array_map(fn (int $n): string => "P-2,{$n}0,P-1,1\n", range(1, 40)),
            ),
            'opening-stock.csv' => "item,quantity,value\nP-1,5,10\n",
            'orders.csv' => "number,item,quantity\n901,P-1,2\n",
            'order-steps.csv' => "order,step,taken_in\n901,10,2\n"],
        ["items.csv line 2, cost: 'x1' must be a number such as 2.5, with a point and no thousands sign."],
    ],
    'a file whose head is misspelt' => [
        [
            'work-centres.csv' => "code,nam,calendar\nNEW-1,New,PLANT\n",
            'routings.csv' => "item,step,name,work_centre,run_rate\nLID-9,10,Cut,NEW-1,2\n",
        ],
        [
            'work-centres.csv line 1, name: this column is missing.',
            'work-centres.csv line 1, nam: no such column. There are: code, name, calendar, machines, labour_rate, '
                .'machine_rate, overhead_percent, overhead_hour, overhead_piece, load_size, changeovers, '
                .'other_changeover, overtime_hours, no_saturdays.',
        ],
    ],
    'a customer order line an order is for' => [
        [
            'customer-orders.csv' => "number,customer,line,item,quantity,promised_on\n"
                ."C-9,K-01,10,LID-9,two,2026-12-18\n",
            'orders.csv' => "number,item,quantity,customer_order,line\n901,LID-9,2,C-9,10\n",
        ],
        [
            "customer-orders.csv line 2, quantity: 'two' must be a number such as 2.5, with a point and no thousands "
                .'sign.',
        ],
    ],
    'a reference to nothing at all is still told' => [
        ['structures.csv' => "item,position,component,quantity\nLID-9,10,NOWHERE,1\n"],
        ["structures.csv line 2, component: 'NOWHERE' is not among the items. Add it there first, or to its file."],
    ],
]);

it('opens no stock where moves end', function () {
    DB::table('items')->insert([
        'number' => 'P-7',
        'name' => 'Part',
        'kind' => 'bought',
        'unit_id' => $this->shop->item('BRG-25')->unit_id,
    ]);
    expect($this->shop->import([
        'opening-stock.csv' => "item,place,quantity,value\nP-7,SCRAP,5,10\nP-7,CUSTOMERS,1,1\n",
    ]))->toHaveCount(2)
        ->and($this->shop->import(['opening-stock.csv' => "item,place,quantity,value\nP-7,SCRAP,5,10\n"])[0])
        ->toContain('nothing lies at SCRAP');
});

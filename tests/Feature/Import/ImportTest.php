<?php

use App\Access\Role;
use App\Actions\Import\Files;
use App\Actions\Import\ImportFolder;
use App\Models\Order;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;

/**
 * @param  array<string, string>  $files
 * @return list<string> problems as people read them; empty when it went in
 */
function import(array $files): array
{
    return test()->shop->import($files);
}

it('changes nothing when the same product data comes again', function () {
    $files = [];
    foreach (Files::all() as $spec) {
        if (is_file(base_path("demo/{$spec->file()}")) && $spec->name !== 'opening-stock') {
            $files[$spec->file()] = (string) file_get_contents(base_path("demo/{$spec->file()}"));
        }
    }
    $tables = [
        'units',
        'items',
        'item_units',
        'structures',
        'structure_lines',
        'routings',
        'routing_steps',
        'work_centres',
        'shifts',
        'calendar_days',
        'customers',
        'suppliers',
        'places',
    ];
    // not CHECKSUM TABLE: it is not steady where the database makes a column
    $sums = fn (): array => array_map(
        fn (string $table): string => md5((string) json_encode(DB::table($table)->orderBy('id')->get())),
        $tables,
    );
    $before = $sums();
    $result = $this->shop->inFolder(
        $files,
        fn (string $path) => app(ImportFolder::class)->handle($path, $this->shop->as(Role::Planner)),
    );
    expect($sums())->toBe($before)->and($result->sentence())->toStartWith('0 new, 0 changed');
});

it('takes files whose columns are called as they were before', function () {
    expect(import(['items.csv' => "number,name,kind,unit,lead_days\nOLD-1,Old,bought,pc,17\n"]))->toBe([])
        ->and(DB::table('items')->where('number', 'OLD-1')->value('lead_time_days'))->toBe(17);
    $both = "number,name,kind,unit,lead_days,lead_time_days\nOLD-2,Old,bought,pc,1,2\n";
    expect(implode(import(['items.csv' => $both])))->toContain('a column stands there twice');
});

it('says file, line, column and what would be right', function (array $files, array $says) {
    $bookings = DB::table('bookings')->count();
    $items = DB::table('items')->count();
    $problems = implode("\n", import($files));
    foreach ($says as $sentence) {
        expect($problems)->toContain($sentence);
    }
    expect(DB::table('bookings')->count())->toBe($bookings)->and(DB::table('items')->count())->toBe($items);
})->with([
    'missing and unknown columns' => [
        ['items.csv' => "number,nome,kind\nA,B,made\n"],
        [
            'items.csv line 1, name: this column is missing',
            'items.csv line 1, unit: this column is missing',
            'items.csv line 1, nome: no such column',
        ],
    ],
    'bad values, all of them' => [
        [
            'items.csv' => "number,name,kind,unit,cost,lead_time_days\nA-1,Good,bought,pc,1,1\n"
                .",Nameless,bolt,furlong,1 000,1.5\n",
        ],
        [
            'line 3, number: is empty',
            "'bolt' must be one of",
            "'furlong' is not among the units",
            "'1 000' must be a number",
            "'1.5' must be a whole number",
        ],
    ],
    'negative' => [['items.csv' => "number,name,kind,unit,cost\nA-1,Good,bought,pc,-1\n"], ["'-1' must be 0 or more"]],
    'a line twice' => [
        ['items.csv' => "number,name,kind,unit\nA-1,Good,bought,pc\na-1,Again,bought,pc\n"],
        ['line 3, number: stands in line 2 already'],
    ],
    'a loop' => [
        ['structures.csv' => "item,revision,position,component,quantity\nGEAR-48,Z,10,GBOX-1,1\n"],
        ['GEAR-48 > GBOX-1 > GEAR-48'],
    ],
    'opening stock after bookings' => [
        ['opening-stock.csv' => "item,quantity,value\nMOT-120,1,5\n"],
        ['Count instead'],
    ],
    'a changed approved revision' => [
        ['structures.csv' => "item,revision,position,component,quantity\nCTRL-3,A,10,BOARD-3,2\n"],
        ['revision A of CTRL-3 is approved and differs'],
    ],
    'a wrong unit and half a piece' => [
        [
            'customer-orders.csv' => "number,customer,line,item,quantity,unit,promised_on\n"
                ."C-9,K-01,10,TRAY-40,2,kg,today+5\nC-9,K-01,20,TRAY-40,2.5,,2027-02-30\n",
        ],
        ["not counted in 'kg'", 'must be a date'],
    ],
    'wrong encoding' => [['customers.csv' => "number,name\nK-77,J\xF8rgen\n"], ['line 2: is not in UTF-8']],
    'UTF-16' => [['customers.csv' => "\xFF\xFEn\0u\0"], ['is in UTF-16']],
    'a comma that is not quoted' => [
        ['customers.csv' => "number,name\nK-77,Birch, Una\n"],
        ['line 2: has 3 cells, the first line has 2'],
    ],
    'a file nobody knows' => [['parts.csv' => "a\n1\n"], ['parts.csv: is not a file this imports']],
    'nothing' => [[], ['no file to import']],
    'line numbers after a quoted newline' => [['customers.csv' => "number,name\nK-77,\"two\nlines\"\n,none\n"],
        ['customers.csv line 4, number: is empty']],
]);

it('reads byte-order mark, CRLF, semicolons and quoted newlines', function () {
    expect(
        import([
            'customers.csv' => "\xEF\xBB\xBFnumber;name;address\r\nK-77;Zoë Fernández;\"Unit 2\r\nMill Lane\"\r\n"
                ."\r\n",
        ]),
    )->toBe([]);
    expect(DB::table('customers')->where('number', 'K-77')->value('address'))->toBe("Unit 2\r\nMill Lane");
});

it('takes customer orders with dates relative to today, and half-done orders with their pieces and cost', function () {
    $problems = import([
        'customer-orders.csv' => "number,customer,reference,line,item,quantity,promised_on\nC-2001,K-02,PO "
            ."5,10,TRAY-40,6,today+3wd\nC-2001,K-02,PO 5,20,FOOT-1,24,2027-01-15\n",
        'orders.csv' => "number,item,quantity,due_on,state,customer_order,line,material,labour,machine,overhead\n"
            ."900,TRAY-40,6,today+2,released,C-2001,10,310.25,12.50,8.00,5.00\n901,LID-9,5,,firm,,,,,,\n",
        'order-steps.csv' => "order,step,taken_in,good,scrap,passed_on\n900,10,6,5,1,4\n900,20,4,2,0,0\n",
        'order-components.csv' => "order,component,used\n900,SS-15,6.8041\n",
    ]);
    expect($problems)->toBe([]);
    $order = Order::query()->where('number', '900')->firstOrFail();
    expect($order->state->value)->toBe('running')
        ->and((int) DB::table('cost_entries')->where('order_id', $order->id)->sum('cents'))->toBe(33575);
    expect(DB::table('customer_order_lines')->where('position', 10)->latest('id')->value('promised_on'))->toBe(
        '2026-11-27',
    );
    expect($this->shop->covers($order))
        ->toBe('5.000000') // one of the six is scrapped
        ->and($this->shop->differences())->toBe([]);
    expect($this->shop->order('LID-9', '1')->number)->toBe('902');
    expect(import(['orders.csv' => "number,item,quantity,state\n950,TRAY-40,6,released\n",
        'order-steps.csv' => "order,step,taken_in,good,scrap,passed_on\n950,10,6,5,0,4\n950,20,3,0,0,0\n"]))
        ->toContain('order-steps.csv line 2, taken_in: order 950 step 20 took in 3, but 4 reached it.');
});

it('runs from the page, on the queue, with its progress and its problems shown', function () {
    $planner = $this->shop->as(Role::Planner);
    $this->actingAs($planner)
        ->post('/import', [
            'files' => [UploadedFile::fake()->createWithContent('customers.csv', "number,name\nK-88,New Customer\n")],
        ])
        ->assertRedirect();
    $id = DB::table('imports')->max('id');
    $this->get("/import/{$id}")->assertSee('Done.')->assertSee('customers.csv');
    expect(DB::table('customers')->where('number', 'K-88')->exists())->toBeTrue();
    $this->post('/import', [
        'files' => [UploadedFile::fake()->createWithContent('customers.csv', "number,name\n,Nobody\n")],
    ]);
    $this->get('/import/'.DB::table('imports')->max('id'))
        ->assertSee('Not imported.')
        ->assertSee('is empty and must be filled');
    $this->actingAs($this->shop->as(Role::Operator))->get('/import')->assertForbidden();
});

it('reads 50,000 lines, telling how far it is', function () {
    $lines = "number,name,kind,unit,cost\n";
    for ($i = 1; $i <= 50_000; $i++) {
        $lines .= "MANY-{$i},\"Part, {$i}\",bought,pc,1.25\n";
    }
    $told = [];
    $tell = function (string $doing, int $done) use (&$told): void {
        $told[] = $done;
    };
    $this->shop->inFolder(
        ['items.csv' => $lines],
        fn (string $path) => app(ImportFolder::class)->handle($path, $this->shop->as(Role::Planner), $tell),
    );
    expect(DB::table('items')->where('number', 'like', 'MANY-%')->count())->toBe(50_000)
        ->and(count($told))->toBeGreaterThan(50);
});

it('is told of in docs/formats.md: every file and column, with examples that can be imported together', function () {
    $docs = (string) file_get_contents(base_path('docs/formats.md'));
    $examples = [];
    foreach (Files::all() as $spec) {
        preg_match('/^## '.preg_quote($spec->file()).'\n(.*?)(?=^## |\z)/ms', $docs, $section);
        expect($section)->not->toBe([], "{$spec->file()} has no section");
        preg_match_all('/^\| ([a-z0-9_]+) \| [^|]*\| ([^|]*) \|$/m', $section[1], $rows);
        $told = array_diff(array_combine($rows[1], $rows[2]), ['if left out']);
        $names = array_map(fn ($column): string => $column->name, $spec->columns);
        expect(array_keys($told))->toBe($names, $spec->file());
        foreach ($spec->columns as $column) {
            expect($told[$column->name] === 'must be filled')->toBe(
                $column->default === null,
                "{$spec->file()}, {$column->name}",
            );
        }
        preg_match('/```csv\n(.*?)```/s', $section[1], $example);
        $examples[$spec->file()] = $example[1];
    }
    $list = Illuminate\Support\Arr::pull($examples, 'structure-list.csv'); // in place of structures.csv
    expect(import($examples))->toBe([])
        ->and(import(['structure-list.csv' => $list]))->toBe([])
        ->and($this->shop->differences())->toBe([]);
    $order = Order::query()->where('number', 'M-9001')->firstOrFail();
    expect((int) DB::table('cost_entries')->where('order_id', $order->id)->sum('cents'))->toBe(14580)
        ->and($order->steps()->where('number', 20)->value('taken_in'))->toBe('40.000000');
});

it('keeps how a moved item is tracked and valued, and asks own cost for lots', function (string $row, string $says) {
    expect(
        implode("\n", $this->shop->import(['items.csv' => "number,name,kind,unit,tracking,costing\n{$row}\n"])),
    )->toContain($says);
})->with([
    ['SS-15,Stainless sheet 1.5 mm,bought,m2,none,own', 'SS-15 has been moved with tracking lot, and that stays'],
    ['GATE-40,Honey gate 40 mm,bought,pc,none,average', 'GATE-40 has been moved with costing fifo, and that stays'],
    ['NEW-1,New thing,bought,pc,none,own', 'own cost is kept by lot or serial'],
]);

it(
    'is not brought down by half a million short wrong lines: counts them, tells the first, and stops at what a file '
        .'may have',
    function () {
        memory_reset_peak_usage();
        $before = memory_get_peak_usage();
        $import = fn (string $lines): array => [
            $this->shop->import(['items.csv' => "number,name,kind,unit\n{$lines}"]),
            memory_get_peak_usage() - $before,
        ];
        [$problems, $memory] = $import(
            implode("\n", array_map(fn (int $n): string => "A{$n},x,bolt,y", range(1, 480_000))),
        );
        expect($problems)->toHaveCount(500)
            ->and($problems[0])->toContain('items.csv line 2, kind')
            ->and($memory)->toBeLessThan(160 * 1024 * 1024);
        $file = "number,name,kind,unit\n".str_repeat("A,x,bolt,y\n", 2000);
        try {
            $this->shop->inFolder(
                ['items.csv' => $file],
                fn (string $path) => app(ImportFolder::class)->handle($path, $this->shop->as(Role::Planner)),
            );
            $this->fail('It went in.');
        } catch (App\Actions\Import\ImportRefused $refused) {
            // each line: the kind, the unit, and that it stands there already
            expect($refused->count)->toBe(2000 * 3 - 1)
                ->and($refused->getMessage())
                ->toBe('5 999 problems found; nothing was imported. The first 500 are told.');
        }
    },
);

it('brings open purchases along as far as they are: lines under a head, drafts that bring nothing', function () {
    $supplier = App\Models\Supplier::query()->orderBy('id')->value('number');
    $head = "number,line,supplier,item,quantity,price,expected_on,state,reference\n";
    expect($this->shop->import(['purchases.csv' => $head
        ."P-41,1,{$supplier},FOOT-1,40,0.9,2026-12-04,confirmed,C-1\n"
        ."P-41,2,{$supplier},BOLT-8,80,2.3,2026-12-07,confirmed,C-1\n"
        ."P-42,,{$supplier},GATE-40,10,11,2026-12-09,draft,\n"]))->toBe([]);
    $lines = App\Models\PurchaseLine::query()->with('order')->whereIn('number', ['P-41/1', 'P-41/2', 'P-42'])
        ->orderBy('id')->get();
    expect($lines->map(fn ($line): array => [
        $line->number,
        $line->order->number,
        $line->order->state->value,
        $line->is_open,
        $line->order->supplier_reference,
    ])->all())->toBe([
        ['P-41/1', 'P-41', 'confirmed', true, 'C-1'],
        ['P-41/2', 'P-41', 'confirmed', true, 'C-1'],
        ['P-42', 'P-42', 'draft', false, ''],
    ])->and($this->shop->differencesWhenPlanned())->toBe([]);
    $problems = implode(' ', $this->shop->import(['purchases.csv' => $head
        ."P-41,3,{$supplier},FOOT-1,40,0.9,2026-12-04,sent,\n"
        ."P-43,1,{$supplier},FOOT-1,40,0.9,2026-12-04,sent,\n"
        ."P-43,2,{$supplier},BOLT-8,40,0.9,2026-12-04,draft,\n"
        ."P-44,,{$supplier},FOOT-1,40,0.9,2026-12-04,half,\n"]));
    expect($problems)->toContain('P-41 is there already')
        ->and($problems)->toContain('line 4, state: is another than in')
        ->and($problems)->toContain("'half' must be one of: draft, sent, confirmed");
});

it('brings purchases for one order along: an item is kept for it, what words say is its cost', function () {
    $order = $this->shop->order('TRAY-40', '6');
    $this->shop->release($order);
    $supplier = App\Models\Supplier::query()->orderBy('id')->value('number');
    $head = "number,line,supplier,item,words,unit,for_order,quantity,price,expected_on,state\n";
    expect($this->shop->import(['purchases.csv' => $head
        ."P-51,1,{$supplier},FOOT-1,,,{$order->number},40,0.9,2026-12-04,sent\n"
        ."P-51,2,{$supplier},,crane for a day,pc,{$order->number},2,60.25,2026-12-07,sent\n"]))->toBe([]);
    $lines = App\Models\PurchaseLine::query()->whereIn('number', ['P-51/1', 'P-51/2'])->orderBy('id')->get();
    $feet = $order->components()->where('item_id', $this->shop->item('FOOT-1')->id)->sole();
    expect($lines[1]->only(['words', 'cost_order_id', 'quantity']))
        ->toBe(['words' => 'crane for a day', 'cost_order_id' => $order->id, 'quantity' => '2.000000'])
        ->and($lines[0]->cost_order_id)->toBeNull()
        ->and((string) $lines[0]->ties()->sum('quantity'))->toBe((string) $feet->openQuantity())
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    // comes as any other
    $crane = App\Models\PurchaseLine::query()->where('number', 'P-51/2')->sole();
    $this->shop->comes($crane, '2', price: $crane->price);
    expect((int) DB::table('cost_entries')->where('order_id', $order->id)->where('kind', 'bought')->sum('cents'))
        ->toBe(12050)
        ->and($this->shop->differences())->toBe([]);
    $problems = $this->shop->import(['purchases.csv' => $head
        ."P-52,1,{$supplier},,,,,1,1,2026-12-04,sent\n"
        ."P-52,2,{$supplier},FOOT-1,feet,pc,,1,1,2026-12-04,sent\n"
        ."P-52,3,{$supplier},,crane,,,1,1,2026-12-04,sent\n"
        ."P-52,4,{$supplier},FOOT-1,,pc,,1,1,2026-12-04,sent\n"]);
    expect($problems)->toBe([
        'purchases.csv line 2, item: name an item, or what it is in words.',
        'purchases.csv line 3, item: name an item, or what it is in words.',
        'purchases.csv line 4, unit: say what it is counted in.',
        'purchases.csv line 5, unit: an item is bought in its stock unit: leave it empty.',
    ]);
    expect($this->shop->import(['purchases.csv' => $head
        ."P-53,1,{$supplier},,crane,pc,,1,1,2026-12-04,sent\n"]))
        ->toBe(['purchases.csv line 2, for_order: what is bought by words is for one order.'])
        ->and($this->shop->import(['purchases.csv' => $head
            ."P-53,1,{$supplier},,crane,pc,9999,1,1,2026-12-04,sent\n"
            ."P-53,2,{$supplier},BRG-25,,,{$order->number},1,1,2026-12-04,sent\n"]))
        ->toBe([
            'purchases.csv line 2, for_order: there is no order 9999, neither here nor in orders.csv.',
            "purchases.csv line 3, for_order: order {$order->number} takes no BRG-25.",
        ]);
    $firm = $this->shop->order('LID-9', '4');
    expect($this->shop->import(['purchases.csv' => $head
        ."P-53,1,{$supplier},,crane,pc,{$firm->number},1,1,2026-12-04,sent\n"]))
        ->toBe(["purchases.csv line 2, for_order: order {$firm->number} is firm: it takes no cost."]);
});

<?php

use App\Access\Role;
use App\Models\Booking;
use App\Models\Order;
use App\Models\Slip;
use App\Queries\Usage\PickList;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\Support\PdfText;

/** @param  list<Order>  $orders */
function slipFor(object $test, array $orders, string $part = 'whole', array $over = []): Slip
{
    $test
        ->actingAs($test->shop->as(Role::Storekeeper))
        ->from('/issue')
        ->post('/slips', [
            'token' => (string) Str::uuid(),
            'orders' => array_map(fn (Order $order): int => $order->id, $orders),
            'part' => $part,
            ...$over,
        ])
        ->assertSessionHasNoErrors()
        ->assertRedirect();

    return Slip::query()->with('lines.item', 'lines.splits')->latest('id')->firstOrFail();
}

/** @param  array<string, mixed>  $lines by item number */
function sendSlip(
    object $test,
    Slip $slip,
    string $do,
    array $lines = [],
    array $over = [],
): Illuminate\Testing\TestResponse {
    $byItem = $slip->lines()->with('item')->get()->keyBy('item.number');
    $rows = [];
    foreach ($lines as $number => $typed) {
        $rows[$byItem[$number]->id] = $typed;
    }

    return $test
        ->from("/slips/{$slip->id}")
        ->put("/slips/{$slip->id}", [
            'token' => (string) Str::uuid(),
            'version' => $slip->refresh()->version,
            'do' => $do,
            'lines' => $rows,
            ...$over,
        ]);
}

function releasedExtractor(object $test, string $pieces = '3'): Order
{
    $order = $test->shop->order('EX-9E', $pieces);
    $test->shop->release($order);

    return $order;
}

it('proposes what is planned, with lots and places, and leaves out what backflush uses by itself', function () {
    $drum = $this->shop->order('DRUM-9', '40');
    $this->shop->release($drum);
    $slip = slipFor($this, [$drum, releasedExtractor($this)]);
    $lines = $slip->lines->keyBy('item.number');
    expect($lines->keys())->toContain('MOT-120', 'SS-15')->not->toContain('FOOT-1', 'BOLT-8', 'WIRE-1');
    // 40 drums take 40 x 1.72 / 0.96 and 0.4 once: the first line needs all of H-7714 and some; 1.7 sheets of oldest
    // first
    $sheet = $slip->lines->where('item.number', 'SS-15')->first();
    expect((float) $sheet->proposed)->toBe(71.6667)
        ->and($sheet->splits->map(fn ($split): array => [$split->code, $split->typed])->all())
        ->toBe([['H-7714', '71.6667']]);
    expect($slip->lines->where('item.number', 'SS-15')->last()->splits->pluck('code')->all())->toBe(['H-7714']);
});

it('proposes for what is reported so far, and for one step', function () {
    $order = releasedExtractor($this, '4');
    $steps = $order->steps()->get();
    $this->shop->report($steps[0], '1', '1');
    $slip = slipFor($this, [$order], 'reported');
    expect($slip->lines->where('step_number', 10)->firstWhere('item.number', 'GATE-40')->proposed)->toBe('1.000000')
        ->and($slip->lines->where('step_number', '>', 10))->toHaveCount(0);
    $slip = slipFor($this, [$order], 'step', ['step_number' => 30]);
    expect($slip->lines->pluck('item.number')->all())->toBe(['GBOX-1', 'MOT-120']);
});

it('keeps a draft right or wrong, for others to go on with, and books it once', function () {
    $order = releasedExtractor($this);
    $slip = slipFor($this, [$order]);
    $motor = $slip->lines->firstWhere('item.number', 'MOT-120')->id;
    sendSlip(
        $this,
        $slip,
        'keep',
        ['MOT-120' => ['quantity' => 'two', 'reason' => 'one burnt out'], 'BRG-25' => ['quantity' => '5']],
        ['note' => 'for Mina'],
    )->assertSessionHasNoErrors();
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->get("/slips/{$slip->id}")
        ->assertOk()
        ->assertSee('value="two"', false)
        ->assertSee('for Mina')
        ->assertSee('one burnt out');
    sendSlip($this, $slip, 'book')->assertSessionHasErrors("lines.{$motor}.quantity");
    expect(Booking::query()->where('kind', 'issue')->exists())->toBeFalse();
    $send = fn () => $this->from("/slips/{$slip->id}")->put("/slips/{$slip->id}", [
        'token' => 'twice',
        'version' => $slip->version,
        'do' => 'book',
        'lines' => [$motor => ['quantity' => '2']],
    ]);
    $slip->refresh();
    foreach ([1, 2] as $n) {
        $send()->assertSessionHasNoErrors()->assertSessionHas('done');
    }
    expect(Booking::query()->where('kind', 'issue')->count())->toBe(1)
        ->and($slip->refresh()->state)->toBe('booked')
        ->and($this->shop->component($order, 'BRG-25')->used_quantity)->toBe('5.000000')
        ->and($this->shop->component($order, 'MOT-120')->used_quantity)->toBe('2.000000')
        ->and($this->shop->differences())->toBe([]);
    $this->get("/slips/{$slip->id}")->assertSee('Booked');
    sendSlip($this, $slip, 'keep')->assertSessionHasErrors('refused');
});

it('tells who changed a slip meanwhile, and loses nothing typed', function () {
    $slip = slipFor($this, [releasedExtractor($this)]);
    $line = $slip->lines->firstWhere('item.number', 'MOT-120')->id;
    sendSlip($this, $slip, 'keep', ['BRG-25' => ['quantity' => '5']]);
    $this->from("/slips/{$slip->id}")
        ->put("/slips/{$slip->id}", [
            'token' => 'stale',
            'version' => 1,
            'do' => 'keep',
            'lines' => [$line => ['quantity' => '1']],
        ])
        ->assertSessionHasErrors('refused')
        ->assertSessionHasInput("lines.{$line}.quantity", '1');
    expect(implode(session('errors')->all()))->toContain('changed this slip meanwhile');
});

it('asks for lots until none is left to be named', function () {
    DB::table('items')->where('number', 'SS-15')->update(['lot_rule' => 'ask']);
    $drum = $this->shop->order('TANK-50', '2');
    $this->shop->release($drum);
    $slip = slipFor($this, [$drum]);
    $id = $slip->lines->firstWhere('item.number', 'SS-15')->id;
    expect($slip->lines->firstWhere('item.number', 'SS-15')->splits)->toHaveCount(0);
    $this->get("/slips/{$slip->id}")
        ->assertSee('1 line has lots or serials to be named')
        ->assertSee('still to be named');
    $need = (float) DB::table('slip_lines')->where('id', $id)->value('proposed');
    sendSlip($this, $slip, 'book', [
        'SS-15' => [
            'quantity' => (string) $need,
            'splits' => [['code' => 'H-7714', 'quantity' => '1.5'], ['code' => '', 'quantity' => '']],
        ],
    ])->assertSessionHasErrors("lines.{$id}.splits");
    // what was named stays
    $this->get("/slips/{$slip->id}")->assertSee('value="H-7714"', false);
    sendSlip($this, $slip, 'book', [
        'SS-15' => [
            'splits' => [
                ['code' => 'H-7714', 'quantity' => '1.5'],
                ['code' => 'H-7731', 'quantity' => (string) round($need - 1.5, 4)],
            ],
        ],
    ])->assertSessionHasNoErrors();
    expect($this->shop->stock('SS-15', 'H-7714')['quantity'])->toBe('73.5')
        ->and($this->shop->differences())->toBe([]);
});

it('takes lines out, adds what is not on it, and takes another item instead', function () {
    $order = releasedExtractor($this);
    $slip = slipFor($this, [$order]);
    $motor = $slip->lines->firstWhere('item.number', 'MOT-120')->id;
    sendSlip($this, $slip, 'keep', [
        'BRG-25' => ['out' => '1'],
        'MOT-120' => ['item' => 'no-such'],
    ])->assertSessionHasErrors("lines.{$motor}.item");
    sendSlip($this, $slip, 'keep', [
        'BRG-25' => ['out' => '1'],
        'MOT-120' => ['item' => 'CRANK-1', 'quantity' => '1'],
    ])->assertSessionHasNoErrors();
    $this->post("/slips/{$slip->id}/lines", [
        'token' => 'a',
        'version' => $slip->refresh()->version,
        'order' => $order->id,
        'item' => 'CABLE-3',
        'step_number' => 40,
        'quantity' => '2',
        'reason' => 'longer lead',
    ])->assertSessionHasNoErrors();
    sendSlip($this, $slip, 'book')->assertSessionHasErrors();
    sendSlip($this, $slip, 'book', [], ['over_plan' => '1'])->assertSessionHasNoErrors();
    expect($this->shop->component($order, 'BRG-25')->used_quantity)->toBe('0.000000')
        ->and($this->shop->component($order, 'CRANK-1')->used_quantity)->toBe('1.000000')
        ->and($this->shop->component($order, 'MOT-120')->replaced_quantity)->toBe('1.000000')
        ->and($this->shop->component($order, 'CABLE-3')->used_quantity)->toBe('2.000000')
        ->and($this->shop->differences())->toBe([]);
});

it('is picked by scanning, in part; the rest stays on a slip of its own', function () {
    $order = $this->shop->order('DRUM-9', '3');
    $this->shop->release($order);
    $extractor = releasedExtractor($this);
    $slip = slipFor($this, [$order, $extractor]);
    $pick = fn (string $do, array $over = [], ?Slip $other = null) => $this->from('/issue')->post(
        '/slips/'.($other ?? $slip)->id.'/pick',
        ['token' => (string) Str::uuid(), 'version' => ($other ?? $slip)->refresh()->version, 'do' => $do, ...$over],
    );
    $this->get("/slips/{$slip->id}/pick")
        ->assertOk()
        ->assertSeeInOrder(['Main stores', 'Sheet and bar rack'])
        ->assertSee('H-7714');
    $pick('scan', ['scan' => 'mot-120'])->assertSessionHasNoErrors();
    $pick('scan', ['scan' => 'MOT-120'])->assertSessionHasErrors(['scan' => 'MOT-120 is picked already.']);
    $pick('scan', ['scan' => 'H-7731'])->assertSessionHasErrors('scan');
    expect(implode(session('errors')->all()))->toContain('It is a lot of SS-15');
    $pick('scan', ['scan' => 'zzz'])->assertSessionHasErrors('scan');
    expect(implode(session('errors')->all()))->toContain('Nothing is known by this code');
    $ids = DB::table('slip_splits')->where('is_picked', true)->pluck('id')->all();
    $pick('book', ['picked' => $ids])
        ->assertSessionHasNoErrors()
        ->assertSessionHas('done');
    expect($this->shop->component($extractor, 'MOT-120')->used_quantity)->toBe('3.000000')
        ->and($this->shop->component($extractor, 'BRG-25')->used_quantity)->toBe('0.000000');
    $rest = Slip::query()->with('lines.item')->latest('id')->firstOrFail();
    expect($rest->state)->toBe('open')
        ->and($rest->lines->pluck('item.number')->all())->toContain('BRG-25', 'SS-15')->not->toContain('MOT-120')
        ->and($this->shop->differences())->toBe([]);
    $pick('all', [], $rest);
    $pick(
        'book',
        ['picked' => DB::table('slip_splits')->where('is_picked', true)->pluck('id')->all()],
        $rest,
    )->assertSessionHasNoErrors();
    expect($this->shop->component($extractor, 'BRG-25')->used_quantity)->toBe('6.000000')
        ->and(Slip::query()->where('state', 'open')->exists())->toBeFalse()
        ->and($this->shop->differences())->toBe([]);
});

it('says when a scanned code stands for two things', function () {
    $order = $this->shop->order('DRUM-9', '30');
    $this->shop->release($order);
    $slip = slipFor($this, [$order]);
    $line = $slip->lines->firstWhere('item.number', 'SS-15');
    sendSlip($this, $slip, 'keep', [
        'SS-15' => ['splits' => [['code' => 'H-7714', 'quantity' => '10'], ['code' => 'H-7731', 'quantity' => '5']]],
    ]);
    $this->from('/x')
        ->post("/slips/{$slip->id}/pick", [
            'token' => 's',
            'version' => $slip->refresh()->version,
            'do' => 'scan',
            'scan' => 'SS-15',
        ])
        ->assertSessionHasErrors('scan');
    expect(implode(session('errors')->all()))->toContain(
        'stands for several things here: SS-15 H-7714 and SS-15 H-7731',
    );
});

it('prints the pick list with barcodes', function () {
    $slip = slipFor($this, [releasedExtractor($this)]);
    $pdf = $this->get("/slips/{$slip->id}/pick.pdf")
        ->assertOk()
        ->assertHeader('Content-Type', 'application/pdf')
        ->getContent();
    $said = PdfText::of((string) $pdf);
    expect($pdf)->toStartWith('%PDF-')->and($said)->toContain("Pick list {$slip->id}");
    foreach (PickList::of($slip->id)->rows as $row) {
        expect($said)->toContain($row->itemNumber)->toContain($row->code);
    }
});

it('gives a draft up, and proposes nothing for orders that are not in the shop', function () {
    $slip = slipFor($this, [releasedExtractor($this)]);
    $this->delete("/slips/{$slip->id}", ['token' => 'd', 'version' => $slip->version])->assertSessionHasNoErrors();
    expect($slip->refresh()->state)->toBe('dropped');
    $firm = $this->shop->order('EX-9E', '1');
    $this->from('/issue')
        ->post('/slips', ['token' => 'f', 'orders' => [$firm->id], 'part' => 'whole'])
        ->assertSessionHasErrors('orders');
    $this->from('/issue')
        ->post('/slips', ['token' => 'g', 'part' => 'step', 'orders' => [$firm->id]])
        ->assertSessionHasErrors('step_number');
});

it('names a scanned lot at the line that wants it, and says what does not belong', function () {
    DB::table('items')->whereIn('number', ['SS-15', 'GBOX-1'])->update(['lot_rule' => 'ask']);
    $this->shop->goodsIn('GBOX-1', '3', '100', "S-1\nS-2\nS-3");
    $tank = $this->shop->order('TANK-50', '2');
    $this->shop->release($tank);
    $slip = slipFor($this, [$tank, releasedExtractor($this, '2')]);
    $scan = fn (string $code) => $this->from('/x')->put("/slips/{$slip->id}", [
        'token' => (string) Str::uuid(),
        'version' => $slip->refresh()->version,
        'scan' => $code,
    ]);
    $splits = fn (): array => DB::table('slip_splits AS s')
        ->join('slip_lines AS l', 'l.id', 's.slip_line_id')
        ->join('items AS i', 'i.id', 'l.item_id')
        ->whereIn('i.number', ['SS-15', 'GBOX-1'])
        ->orderBy('s.id')
        ->pluck('s.typed', 's.code')
        ->all();
    foreach (['s-2', 'H-7731', 'S-3'] as $code) {
        $scan($code)->assertSessionHasNoErrors();
    }
    expect($splits())->toBe(['S-2' => '1', 'H-7731' => '2.8125', 'S-3' => '1']);
    $wrong = [
        'S-1' => 'its lines are complete',
        'zzz' => 'Nothing is known by this code',
        'MOT-120' => 'It is Drive motor',
    ];
    foreach ($wrong as $code => $says) {
        $scan($code)->assertSessionHasErrors('scan');
        expect(implode(session('errors')->all()))->toContain($says);
    }
    $this->get('/find?q=slip-'.$slip->id)->assertRedirect("/slips/{$slip->id}");
});

it('refuses a sign that is no number, and leaves out what is typed as nothing', function (
    string $typed,
    bool $isRefused,
) {
    $slip = slipFor($this, [releasedExtractor($this)]);
    $motor = $slip->lines->firstWhere('item.number', 'MOT-120');
    $before = $this->shop->stock('MOT-120');
    $response = sendSlip($this, $slip, 'book', ['MOT-120' => ['quantity' => $typed]]);
    $isRefused
        ? $response->assertSessionHasErrors("lines.{$motor->id}.quantity")
        : $response->assertSessionHasNoErrors();
    expect($this->shop->stock('MOT-120'))->toBe($before);
})->with([
    'a minus' => ['-', true],
    'a plus' => ['+', true],
    'a point' => ['.', true],
    'nought' => ['0', false],
    'nought with places' => ['0.00', false],
]);

<?php

use App\Access\Role;
use App\Actions\Billing\AcceptBill;
use App\Actions\Billing\EnterBill;
use App\Actions\Billing\RefuseBill;
use App\Actions\Billing\TypedBill;
use App\Actions\Billing\TypedBillLine;
use App\Actions\Purchasing\SendBack;
use App\Actions\Purchasing\TypedReturn;
use App\Actions\Stock\AddLateCost;
use App\Models\Balance;
use App\Models\Bill;
use App\Models\Booking;
use App\Models\PurchaseLine;
use App\Models\Supplier;
use App\Queries\Billing\NotBilled;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\SpreadBy;
use KeepPace\Core\Purchasing\BillState;
use KeepPace\Core\Purchasing\Holds;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use Tests\Support\Words;

/*
 * A supplier's bill against what came and was agreed (common practice); what is beyond it, and charges, by W6. Gates
 * are kept at what they cost, feet at 0.92.
 */

beforeEach(function () {
    $this->gates = $this->shop->purchase('P-71', 'GATE-40', '40', '2026-12-03');
    $this->feet = $this->shop->purchase('P-72', 'FOOT-1', '100', '2026-12-03');
    $this->supplier = $this->gates->order->supplier;
    $this->buyer = fn () => $this->shop->sign(Role::Buyer);
    $this->bill = fn (TypedBillLine ...$lines): Bill => Bill::query()->findOrFail(app(EnterBill::class)->handle(
        [new TypedBill($this->supplier->id, 'R-'.mt_rand(), '2026-12-04', null, null, array_values($lines))],
        ($this->buyer)(),
    )->bill_id);
    $this->accept = fn (Bill $bill, ?Holds $holds = null): Booking => app(AcceptBill::class)->handle(
        $bill->id,
        $bill->refresh()->version,
        $holds === null ? [] : array_fill_keys($bill->lines->pluck('id')->all(), $holds),
        ($this->buyer)(),
    );
    $this->came = fn (PurchaseLine $line, string $quantity): Booking => $this->shop
        ->comes($line, $quantity, price: $line->price);
    /** not billed of a line: quantity and cents */
    $this->owed = function (PurchaseLine $line, string $on = '2099-01-01'): array {
        $one = NotBilled::on($on)->firstWhere('lineId', $line->id);

        return $one === null ? ['0', 0] : [Amount::plain($one->owed), $one->cents];
    };
    $this->variance = fn (Booking $of): int => (int) DB::table('moves AS m')
        ->join('places AS p', 'p.id', 'm.to_place_id')
        ->join('places AS f', 'f.id', 'm.from_place_id')
        ->where('m.booking_id', $of->id)
        ->selectRaw("SUM(IF(p.kind = 'variance', m.value, IF(f.kind = 'variance', -m.value, 0))) AS cents")
        ->value('cents');
});

it('accepts what came and is as agreed, and owes it no longer', function () {
    ($this->came)($this->gates, '40');
    expect(($this->owed)($this->gates))->toBe(['40', 320000]);
    $bill = ($this->bill)(TypedBillLine::goods('lines.1', $this->gates->id, '40', null, '80'));
    expect($bill->cents)->toBe(320000)->and(($this->owed)($this->gates))->toBe(['40', 320000]);
    $booking = ($this->accept)($bill);
    expect(($this->owed)($this->gates))->toBe(['0', 0])
        ->and((float) $this->gates->refresh()->billed_quantity)->toBe(40.0)
        ->and($bill->refresh()->state)->toBe(BillState::Accepted)
        ->and($booking->says)->toContain('accepted: 3,200.00 €')
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    $this->shop->reverse($booking);
    expect(($this->owed)($this->gates))->toBe(['40', 320000])
        ->and($bill->refresh()->state)->toBe(BillState::Open)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    ($this->accept)($bill);
    expect(($this->owed)($this->gates))->toBe(['0', 0]);
});

it('asks about what differs, and takes it as it is said', function (Holds $holds, int $stock, array $owed, int $paid) {
    ($this->came)($this->gates, '40');
    $was = $this->shop->stock('GATE-40')['value'];
    $bill = ($this->bill)(TypedBillLine::goods('lines.1', $this->gates->id, '40', null, '81.5'));
    expect(fn () => ($this->accept)($bill))->toThrow(Refused::class, 'It differs: say whose figure holds');
    $booking = ($this->accept)($bill, $holds);
    expect($this->shop->stock('GATE-40')['value'] - $was)->toBe($stock)
        ->and(($this->owed)($this->gates))->toBe($owed)
        ->and((int) DB::table('purchase_entries')->sum('cents'))->toBe($paid)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    $this->shop->reverse($booking);
    expect($this->shop->stock('GATE-40')['value'])->toBe($was)
        ->and((int) DB::table('purchase_entries')->sum('cents'))->toBe(0)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
})->with([
    '60.00 dearer, paid' => [Holds::Theirs, 6000, ['0', 0], 326000],
    'as agreed' => [Holds::Ours, 0, ['0', 0], 320000],
]);

it('lets the dearer part of what has left be variance, also where it is kept at a standard (W6)', function () {
    ($this->came)($this->gates, '40');
    ($this->came)($this->feet, '100');
    $lies = fn (string $item): Balance => Balance::query()
        ->where('item_id', $this->shop->item($item)->id)
        ->where('quantity', '>', 0)
        ->orderByDesc('quantity')
        ->firstOrFail();
    $there = (string) $this->shop->stock('GATE-40')['quantity'];
    // all but 30 leave
    app(App\Actions\Stock\ScrapStock::class)->handle(
        $lies('GATE-40')->id,
        (string) (((float) $there) - 30),
        KeepPace\Core\Stock\ScrapClass::Handling,
        $this->shop->sign(Role::Storekeeper, 'dropped'),
    );
    $was = [$this->shop->stock('GATE-40')['value'], $this->shop->stock('FOOT-1')['value']];
    $booking = ($this->accept)(($this->bill)(
        TypedBillLine::goods('lines.1', $this->gates->id, '40', null, '81'),
        TypedBillLine::goods('lines.2', $this->feet->id, '100', null, '80.1'),
    ), Holds::Theirs);
    // 40.00 on 40 gates of which 30 are there; 10.00 on feet, all of it variance
    expect($this->shop->stock('GATE-40')['value'] - $was[0])->toBe(3000)
        ->and($this->shop->stock('FOOT-1')['value'] - $was[1])->toBe(0)
        ->and(($this->variance)($booking))->toBe(2000)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('spreads charges over the goods of the bill, or over a delivery of somebody else', function () {
    ($this->came)($this->gates, '40');
    $feet = ($this->came)($this->feet, '100');
    $was = $this->shop->stock('GATE-40')['value'];
    // 3,200.00 gates, 8,000.00 feet
    $booking = ($this->accept)(($this->bill)(
        TypedBillLine::goods('lines.1', $this->gates->id, '40', null, '80'),
        TypedBillLine::goods('lines.2', $this->feet->id, '100', null, '80'),
        TypedBillLine::charge('charges.0', 'freight', 11200, SpreadBy::Value),
    ));
    expect($this->shop->stock('GATE-40')['value'] - $was)->toBe(3200)
        ->and(($this->variance)($booking))->toBe(8000);
    $more = ($this->accept)(($this->bill)(
        TypedBillLine::charge('charges.0', 'duty', 500, SpreadBy::Evenly, $feet->id),
    ));
    expect(($this->variance)($more))->toBe(500)->and($this->shop->differencesWhenPlanned())->toBe([]);
    $this->shop->reverse($more);
    $this->shop->reverse($booking);
    expect($this->shop->stock('GATE-40')['value'])->toBe($was)->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('adds a late cost to a delivery by what is asked, lots of one line being one', function () {
    $this->shop->item('SS-15')->update(['weight' => '12']);
    $sheet = $this->shop->purchase('P-73', 'SS-15', '20', '2026-12-03');
    $booking = $this->shop->comes($sheet, '20', "H-91 = 15\nH-92 = 5", price: '80');
    $late = app(AddLateCost::class)->handle($booking->id, 1000, $this->shop->sign(Role::CostClerk), SpreadBy::Weight);
    expect($late->says)->toContain('by weight: 10.00 to stock')->and($this->shop->differencesWhenPlanned())->toBe([]);
    expect(fn () => app(AddLateCost::class)->handle(
        $booking->id,
        1000,
        $this->shop->sign(Role::CostClerk),
        SpreadBy::Volume,
    ))->toThrow(Refused::class, 'has no volume');
});

it('refuses what never came, was sent before, adds up otherwise or is of another', function () {
    ($this->came)($this->gates, '38');
    $goods = TypedBillLine::goods('lines.1', $this->gates->id, '40', null, '80');
    $bill = ($this->bill)($goods);
    expect(fn () => ($this->accept)($bill, Holds::Theirs))
        ->toThrow(Refused::class, '38 of P-71 are here and not billed, 40 are billed');
    $again = fn (string $number, ?int $total = null, ?int $of = null): Booking => app(EnterBill::class)->handle(
        [new TypedBill($of ?? $this->supplier->id, $number, '2026-12-04', null, $total, [$goods])],
        ($this->buyer)(),
    );
    expect(fn () => $again(mb_strtolower($bill->number)))->toThrow(Refused::class, 'sent bill '.$bill->number)
        ->and(fn () => $again('R-9', 320001))->toThrow(Refused::class, 'come to 3,200.00 €, its total is 3,200.01 €')
        ->and(fn () => $again('R-9', null, Supplier::query()->whereKeyNot($this->supplier->id)->firstOrFail()->id))
        ->toThrow(Refused::class, 'P-71 is of another supplier');
    app(RefuseBill::class)->handle($bill->id, $bill->version, $this->shop->sign(Role::Buyer, 'two never came'));
    expect(fn () => ($this->accept)($bill))->toThrow(Refused::class, 'is sent back already');
    // another comes under its number
    $again($bill->number);
    expect(Bill::query()->where('number', $bill->number)->count())->toBe(2);
});

it('takes ours of what came only, and the rest with another bill', function () {
    ($this->came)($this->gates, '38');
    ($this->accept)(($this->bill)(TypedBillLine::goods('lines.1', $this->gates->id, '40', null, '80')), Holds::Ours);
    expect((float) $this->gates->refresh()->billed_quantity)->toBe(38.0)
        ->and((int) DB::table('purchase_entries')->sum('cents'))->toBe(304000);
    ($this->came)($this->gates, '2');
    expect(($this->owed)($this->gates))->toBe(['2', 16000]);
});

it('keeps a delivery that is billed, and shows what goes back after it as a claim', function () {
    $came = ($this->came)($this->gates, '40');
    ($this->accept)(($this->bill)(TypedBillLine::goods('lines.1', $this->gates->id, '40', null, '80')));
    expect(fn () => $this->shop->reverse($came))->toThrow(Refused::class, 'is billed, and the bill is accepted');
    $lies = Balance::query()->where('item_id', $this->gates->item_id)->where('quantity', '>', 3)->firstOrFail();
    app(SendBack::class)->handle(
        new TypedReturn($this->gates->id, $lies->id, '3', false),
        $this->shop->sign(Role::Storekeeper, 'bent'),
    );
    expect(($this->owed)($this->gates))->toBe(['-3', -24000])->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('lists what is to be looked at with how it compares, and takes what is as agreed in the row', function () {
    ($this->came)($this->gates, '40');
    $agreed = ($this->bill)(TypedBillLine::goods('lines.1', $this->gates->id, '38', null, '80'));
    // no foot of the five has come
    $differs = ($this->bill)(TypedBillLine::goods('lines.1', $this->feet->id, '5', null, '80'));
    $list = fn (): string => Words::of($this->actingAs($this->shop->as(Role::CostClerk))->get('/bills')->assertOk());
    expect($list())->toContain('1 is as it came and was agreed, 1 differs.')
        ->toContain('040.00 as it came and was agreed Accept it')
        ->toContain("{$this->feet->number}: 5 pc are not here")
        ->not->toContain('not here Accept it');
    $this->put("/bills/{$agreed->id}", [
        'version' => (string) $agreed->refresh()->version,
        'token' => $this->shop->token(),
    ])->assertSessionHasNoErrors();
    expect($agreed->refresh()->state)->toBe(BillState::Accepted)
        ->and($differs->refresh()->state)->toBe(BillState::Open)
        ->and($list())->toContain('0 are as they came and were agreed, 1 differs.')->not->toContain('Accept it');
});

it('says of what came once that it is on two bills, and takes neither in the row', function () {
    ($this->came)($this->gates, '40');
    $first = ($this->bill)(TypedBillLine::goods('lines.1', $this->gates->id, '40', null, '80'));
    $again = ($this->bill)(TypedBillLine::goods('lines.1', $this->gates->id, '40', null, '80'));
    $this->actingAs($this->shop->as(Role::CostClerk));
    $page = fn (string $at): string => Words::of($this->get($at)->assertOk());
    expect($page('/bills'))->toContain('0 are as they came and were agreed, 2 differ.')
        ->toContain("{$this->gates->number}: also on bill {$again->number}")
        ->toContain("{$this->gates->number}: also on bill {$first->number}")
        ->not->toContain('Accept it')
        ->and($page("/bills/{$first->id}"))->toContain('1 line is on another bill too: what came once is paid once.')
        ->toContain("also on bill {$again->number}");
    // one of them is accepted: of what the other bills nothing is left to be billed
    ($this->accept)($first);
    expect($page('/bills'))->toContain("{$this->gates->number}: 40 pc are not here")->not->toContain('also on bill')
        ->and($page("/bills/{$first->id}"))->not->toContain('also on bill');
});

it('takes a credit note for what went back, and keeps what is not credited as variance', function () {
    ($this->came)($this->gates, '40');
    ($this->accept)(($this->bill)(TypedBillLine::goods('lines.1', $this->gates->id, '40', null, '80')));
    $lies = Balance::query()->where('item_id', $this->gates->item_id)->where('quantity', '>', 3)->firstOrFail();
    app(SendBack::class)->handle(
        new TypedReturn($this->gates->id, $lies->id, '3', false),
        $this->shop->sign(Role::Storekeeper, 'bent'),
    );
    $this->actingAs($this->shop->as(Role::Buyer))->get("/bills/new?supplier={$this->supplier->id}")
        ->assertSee('went back, to be credited');
    // 75.00 of the 80.00 each, less freight they pay: 3 × 75.00 = 225.00, of 240.00
    $this->post('/bills', [
        'token' => $this->shop->token(),
        'form' => 'bill',
        'supplier' => $this->supplier->id,
        'number' => 'CN-9',
        'billed_on' => '2026-11-24',
        'total' => '-225.00',
        'lines' => [$this->gates->id => ['on' => '1', 'quantity' => '-3', 'price' => '75']],
    ])->assertSessionHasNoErrors();
    $note = Bill::query()->where('number', 'CN-9')->sole();
    $this->get("/bills/{$note->id}")->assertSee('Credit note CN-9')->assertSee('15.00 € less credited than agreed');
    $accepted = ($this->accept)($note, Holds::Theirs);
    expect($accepted->says)->toContain('Credit note CN-9 of')->toContain('15.00 € is not credited: variance')
        ->and(($this->owed)($this->gates))->toBe(['0', 0])
        ->and(($this->variance)($accepted))->toBe(1500)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    // once is enough
    $again = ($this->bill)(TypedBillLine::goods('lines.1', $this->gates->id, '-3', null, '80'));
    expect(fn () => ($this->accept)($again, Holds::Theirs))->toThrow(Refused::class, 'Nothing of P-71')
        ->and(fn () => ($this->accept)($again, Holds::Ours))->toThrow(Refused::class);
    $this->shop->reverse($accepted);
    expect(($this->owed)($this->gates))->toBe(['-3', -24000])->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('tells what was not billed at the end of any day', function () {
    $this->travelTo('2026-11-24 10:00:00');
    ($this->came)($this->gates, '40');
    $this->travelTo('2026-11-25 10:00:00');
    ($this->accept)(($this->bill)(TypedBillLine::goods('lines.1', $this->gates->id, '15', null, '80')));
    expect(($this->owed)($this->gates, '2026-11-23'))->toBe(['0', 0])
        ->and(($this->owed)($this->gates, '2026-11-24'))->toBe(['40', 320000])
        ->and(($this->owed)($this->gates, '2026-11-25'))->toBe(['25', 200000]);
    // the same by what was booked as by what stands on the line
    $this->travelTo('2026-11-27 10:00:00');
    expect(($this->owed)($this->gates, '2026-11-26'))->toBe(($this->owed)($this->gates, '2026-11-27'));
    $page = $this->actingAs($this->shop->as(Role::CostClerk))->get('/not-billed?on=2026-11-24');
    $page->assertSee('200.00')->assertSee($this->supplier->name);
    $this->get('/not-billed?on=never')->assertOk()->assertSee('is no day');
});

it('is typed from the paper, looked at and accepted on its page', function () {
    ($this->came)($this->gates, '40');
    $this->actingAs($this->shop->as(Role::Buyer))->get("/bills/new?supplier={$this->supplier->id}")->assertSee('P-71');
    $this->post('/bills', [
        'token' => $this->shop->token(),
        'form' => 'bill',
        'supplier' => $this->supplier->id,
        'number' => 'R-4711',
        'billed_on' => '2026-11-25',
        'total' => '3271.00',
        'lines' => [
            $this->gates->id => ['on' => '1', 'quantity' => '40', 'price' => '81.5'],
            $this->feet->id => ['quantity' => '100', 'price' => '80'],
        ],
        'charges' => [['says' => 'freight', 'amount' => '11', 'spread' => 'value']],
    ])->assertSessionHasNoErrors();
    $bill = Bill::query()->where('number', 'R-4711')->sole();
    $this->get("/bills/{$bill->id}")->assertSee('60.00 € dearer than agreed')->assertSee('freight, by value');
    $this->put("/bills/{$bill->id}", ['token' => $this->shop->token(), 'version' => $bill->version])
        ->assertSessionHasErrors("holds.{$bill->lines[0]->id}");
    $this->put("/bills/{$bill->id}", [
        'token' => $this->shop->token(),
        'version' => $bill->version,
        'holds' => [$bill->lines[0]->id => 'theirs'],
    ])->assertSessionHasNoErrors();
    expect($bill->refresh()->state)->toBe(BillState::Accepted);
    $this->get('/bills?show=accepted')->assertSee('R-4711');
    $this->get("/purchases/{$this->gates->purchase_order_id}")->assertSee('billed');
});

it('comes as a file, several bills at once, CSV or JSON', function (string $name, string $content) {
    ($this->came)($this->gates, '40');
    ($this->came)($this->feet, '100');
    $content = str_replace('SUPPLIER', $this->supplier->number, $content);
    $this->actingAs($this->shop->as(Role::Buyer))->post('/bills/file', [
        'token' => $this->shop->token(),
        'file' => UploadedFile::fake()->createWithContent($name, $content),
    ])->assertSessionHasNoErrors();
    expect(Bill::query()->orderBy('id')->get()->map(fn (Bill $one): array => [$one->number, $one->cents])->all())
        ->toBe([['R-1', 321100], ['R-2', 800000]]);
})->with([
    ['bills.csv', "supplier,bill,date,total,purchase,quantity,price,charge,amount\n"
        ."SUPPLIER,R-1,2026-11-25,3211.00,P-71,40,80,,\nSUPPLIER,R-1,2026-11-25,3211.00,,,,freight,11\n"
        ."SUPPLIER,R-2,2026-11-25,,P-72,100,80,,\n"],
    ['bills.json', '[{"supplier":"SUPPLIER","bill":"R-1","date":"2026-11-25","purchase":"P-71","quantity":"40",'
        .'"price":"80","charge":"","amount":""},{"supplier":"SUPPLIER","bill":"R-1","date":"2026-11-25","purchase":"",'
        .'"quantity":"","price":"","charge":"freight","amount":"11"},{"supplier":"SUPPLIER","bill":"R-2","date":'
        .'"2026-11-25","purchase":"P-72","quantity":"100","price":"80","charge":"","amount":""}]'],
]);

it('says line by line what is wrong with a file, and puts nothing down', function (string $row, string $says) {
    $head = "supplier,bill,date,purchase,quantity,price,charge,amount\n";
    $this->actingAs($this->shop->as(Role::Buyer))->post('/bills/file', [
        'token' => $this->shop->token(),
        'file' => UploadedFile::fake()
            ->createWithContent('bills.csv', $head.str_replace('SUPPLIER', $this->supplier->number, $row)),
    ])->assertSessionHasErrors();
    expect(implode(' ', session('errors')->all()))->toContain($says)->and(Bill::query()->count())->toBe(0);
})->with([
    ['NOBODY,R-1,2026-11-25,P-71,40,80,,', "line 2, supplier: 'NOBODY' is no supplier's number"],
    ['SUPPLIER,R-1,soon,P-71,40,80,,', "'soon' must be a date"],
    ['SUPPLIER,R-1,2026-11-25,P-99,40,80,,', "'P-99' is no line of a purchase"],
    ['SUPPLIER,R-1,2026-11-25,P-71,,80,,', 'quantity: is empty and must be filled'],
    ['SUPPLIER,R-1,2026-11-25,,,,freight,', 'names neither a purchase line nor a charge'],
    ['SUPPLIER,R-1,2026-11-25,P-71,1.5,80,,', '1.5'],
    ['SUPPLIER,R-1,2026-11-25', 'has 3 cells'],
]);

it('shows the first lines of a supplier that are not billed, and all of one who is asked for', function () {
    for ($i = 1; $i <= 8; $i++) {
        $line = $this->shop->purchase("P-9{$i}", 'FOOT-1', '10', '2026-12-03');
        ($this->came)($line, '10');
    }
    $page = $this->actingAs($this->shop->as(Role::CostClerk))->get('/not-billed')->assertOk();
    $page->assertSee('P-94')->assertDontSee('P-95')->assertSee('4 lines more of', false);
    $this->get("/not-billed?supplier={$this->supplier->id}")->assertOk()->assertSee('P-98')->assertDontSee('more of');
});

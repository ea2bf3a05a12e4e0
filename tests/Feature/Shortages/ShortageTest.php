<?php

use App\Access\Role;
use App\Actions\Purchasing\ChangePurchase;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Queries\Shortages\ReleasedShort;
use App\Queries\Shortages\ShortageList;
use App\Shop\Ties;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/* 14 motors and 12 cranks lie there. */
beforeEach(function () {
    $this->electric = $this->shop->order('EX-9E', '20');
    $this->hand = $this->shop->order('EX-9H', '15', '2026-12-20');
});

it('groups by item and by order, with the date it starts to hurt', function () {
    $list = ShortageList::now();
    $motor = $list->byItem()->firstWhere('number', 'MOT-120');
    $start = DB::table('plan_steps AS p')
        ->join('order_steps AS s', 's.id', 'p.order_step_id')
        ->where('s.order_id', $this->electric->id)
        ->where('s.number', 30)
        ->value('start_at');
    expect($motor->missing->toInt())->toBe(6)
        ->and($motor->parts->first()->hurts)->toBe($start)
        ->and($motor->parts->pluck('orderId')->all())->toBe([$this->electric->id])
        ->and($list->byOrder()->flatten(1)->pluck('orderId')->all())->toContain($this->electric->id, $this->hand->id);
    foreach (['', '?by=order'] as $by) {
        $this->actingAs($this->shop->as(Role::Supervisor))
            ->get("/shortages{$by}")
            ->assertOk()
            ->assertSee('Drive motor 120 W')
            ->assertSee('Crank handle')
            ->assertSee($this->electric->number);
    }
    $this->get("/shortages/{$motor->id}/cures")
        ->assertOk()
        ->assertSee("{$this->electric->number} takes instead")
        ->assertSee('Substitute');
    $this->get('/shortages/'.$this->shop->item('FOOT-1')->id.'/cures')
        ->assertOk()
        ->assertSee('no longer short');
});

it('cures many shortages in one deed, one order a supplier', function () {
    $this->actingAs($this->shop->as(Role::Buyer));
    $list = ShortageList::now()->byItem()->keyBy('number');
    $items = fn (array $of): array => $list
        ->only($of)
        ->mapWithKeys(
            fn ($item): array => [$item->id => ['quantity' => App\Wording\Figures::amount((string) $item->missing)]],
        )
        ->all();
    $this->from('/shortages')
        ->post('/purchases', [
            'token' => 'b',
            'items' => $items(['MOT-120', 'CRANK-1', 'BOARD-3']),
            'only' => $list
                ->only(['MOT-120', 'CRANK-1'])
                ->pluck('id')
                ->all(),
        ])
        ->assertSessionHasNoErrors();
    expect(PurchaseOrder::query()->count())->toBe(1)
        ->and(PurchaseLine::query()->pluck('number')->all())->toBe(['P-500/1', 'P-500/2'])
        ->and(ShortageList::now()->byItem()->pluck('number'))->not->toContain('MOT-120', 'CRANK-1');
    // adding goes onto the open order of that supplier
    $this->from('/x')
        ->post('/purchases', ['token' => 'c', 'items' => [['number' => 'BRG-25', 'quantity' => '10']], 'add' => '1'])
        ->assertSessionHasNoErrors();
    expect(PurchaseLine::query()->latest('id')->value('number'))->toBe('P-500/3')
        ->and($this->shop->differences())->toBe([]);
    $this->get('/purchases')->assertOk()->assertSee('P-500/3')->assertSee($this->electric->number);
    $this->get('/purchases/'.PurchaseOrder::query()->value('id'))->assertOk()->assertSee('Hexley');
});

it('hurries what is coming, receives it with its lot, and gives up the rest', function () {
    $this->actingAs($this->shop->as(Role::Buyer));
    $this->post('/purchases', [
        'token' => 'b',
        'items' => [['number' => 'BOARD-3', 'quantity' => '10', 'price' => '38.10', 'expected_on' => '2026-12-18']],
    ])->assertSessionHasNoErrors();
    $line = PurchaseLine::query()->firstOrFail();
    $this->put("/purchase-lines/{$line->id}", [
        'token' => 'h',
        'expected_on' => '2026-12-03',
        'asked_for' => '2026-12-02',
    ])->assertSessionHas('done', 'P-500/1: expected on Thu 3 Dec 2026, before Fri 18 Dec 2026.');
    $this->get("/stock?receive={$line->id}")
        ->assertSee('value="BOARD-3"', false)
        ->assertSee('value="38.1"', false);
    $this->post('/stock', [
        'token' => 'i',
        'item' => 'BOARD-3',
        'quantity' => '6',
        'price' => '38.10',
        'place_id' => $this->shop->place('STORES')->id,
        'codes' => 'N-77',
        'purchase_id' => $line->id,
        'supplier_lot' => 'CE-4411',
        'expires_on' => '2028-01-31',
        'condition' => 'inspection',
    ])->assertSessionHasNoErrors();
    expect($line->refresh()->received_quantity)->toBe('6.000000')
        ->and(
            DB::table('lots')
                ->where('code', 'N-77')
                ->first(['supplier_lot', 'expires_on']),
        )
        ->toEqual((object) ['supplier_lot' => 'CE-4411', 'expires_on' => '2028-01-31'])
        ->and(
            DB::table('balances')
                ->where('item_id', $line->item_id)
                ->where('condition', 'inspection')
                ->value('quantity'),
        )
        ->toBe('6.000000');
    $this->delete("/purchase-lines/{$line->id}", [
        'token' => 'g',
        'reason' => 'found elsewhere',
    ])->assertSessionHasNoErrors();
    expect($line->refresh()->is_open)->toBeFalse()->and($this->shop->differences())->toBe([]);
    expect(
        fn () => app(ChangePurchase::class)->date(
            $line->id,
            '2026-12-09',
            null,
            $this->shop->sign(Role::Buyer, token: 'z'),
        ),
    )->toThrow(Refused::class, 'nothing of it is to come');
});

it('offers the day something is expected to hurry it, but no day that has passed', function () {
    $motor = ['number' => 'MOT-120', 'quantity' => '4', 'price' => '80', 'expected_on' => '2026-11-27'];
    $this->actingAs($this->shop->as(Role::Buyer))->post('/purchases', ['token' => 'b', 'items' => [$motor]]);
    $cures = "/shortages/{$this->shop->item('MOT-120')->id}/cures";
    $this->get($cures)->assertOk()->assertSee('value="Fri 27 Nov 2026"', false);
    // half past midnight by the plant's clock: the day has passed, though not in UTC
    config(['pace.zone' => 'Europe/Berlin']);
    $this->travelTo('2026-11-27 23:30:00');
    $this->get($cures)->assertOk()->assertSee('New date of P-500/1')->assertDontSee('value="Fri 27 Nov 2026"', false);
});

it('refuses what cannot be ordered, at its line', function (array $row, string $field, string $says) {
    $response = $this->actingAs($this->shop->as(Role::Buyer))
        ->from('/purchases')
        ->post('/purchases', ['token' => 't', 'items' => [$row]]);
    $response->assertSessionHasErrors($field);
    expect(implode(' ', session('errors')->all()))->toContain($says)->and(PurchaseLine::query()->count())->toBe(0);
})->with([
    'no such item' => [['number' => 'NO', 'quantity' => '1'], 'items.0.number', 'No item has the number NO'],
    'no number' => [['number' => 'MOT-120', 'quantity' => 'x'], 'items.0.quantity', 'plain number'],
    'half a motor' => [['number' => 'MOT-120', 'quantity' => '0.5'], 'items.0', 'whole'],
    'a unit without conversion' => [
        ['number' => 'MOT-120', 'quantity' => '1', 'unit' => 'm'],
        'items.0',
        'not counted in m',
    ],
    'nothing' => [['number' => 'MOT-120', 'quantity' => '0'], 'refused', 'Nothing to order'],
    'yesterday' => [
        ['number' => 'MOT-120', 'quantity' => '1', 'expected_on' => '2026-11-20'],
        'items.0',
        'before today',
    ],
    'of nobody' => [['number' => 'DRUM-9', 'quantity' => '1'], 'items.0', 'has no supplier'],
]);

it('takes from another order, showing first what that does to it', function () {
    $late = $this->shop->order('EX-9E', '3', '2026-12-22');
    $motor = $this->shop->item('MOT-120')->id;
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->post('/reservations/preview', ['token' => 'p', 'order' => $late->id, 'item' => $motor, 'quantity' => '3'])
        ->assertOk()
        ->assertSee('Nothing is kept yet')
        ->assertSee('Keep it for '.$late->number);
    expect(Ties::kept()->exists())->toBeFalse();
    $this->post('/reservations', [
        'token' => 'k',
        'order' => $late->id,
        'item' => $motor,
        'quantity' => '3',
        'reason' => 'fair',
    ])->assertSessionHasNoErrors();
    expect(ShortageList::now()->byItem()->firstWhere('number', 'MOT-120')->parts->pluck('orderId')->all())
        ->toBe([$this->electric->id])
        ->and($this->shop->differences())->toBe([]);
});

it('takes another item instead before it is issued', function () {
    $motor = $this->shop->component($this->electric, 'MOT-120');
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->from('/x')
        ->put("/order-components/{$motor->id}/swap", [
            'token' => 's',
            'version' => $this->electric->refresh()->version,
            'item' => 'CRANK-1',
            'quantity' => '20',
            'reason' => 'by hand then',
        ])
        ->assertSessionHasNoErrors();
    expect($motor->refresh()->planned_quantity)->toBe('0.000000')
        ->and($this->shop->component($this->electric, 'CRANK-1')->planned_quantity)->toBe('20.000000')
        ->and(ShortageList::now()->byItem()->pluck('number'))->not->toContain('MOT-120');
});

it('keeps what was released short on a list until it is issued', function () {
    $this->shop->release($this->electric, 'customer insists');
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->get('/shortages')
        ->assertSee('Released short, not issued yet')
        ->assertSee('customer insists');
    $this->shop->goodsIn('MOT-120', '6', '84');
    $row = fn (): ?ReleasedShort => ShortageList::now()->released->firstWhere('part.itemNumber', 'MOT-120');
    expect($row()?->isThere)->toBeTrue();
    $this->get('/shortages')->assertSee('there, not issued yet');
    $this->shop->issue($this->shop->component($this->electric, 'MOT-120'), '20');
    expect($row())->toBeNull();
});

it('shows what has to be ordered first, and all of it when asked', function (): void {
    $items = "number,name,kind,unit,cost,lead_time_days\nBIG-1,Big thing,assembled,pc,900,0\n";
    $lines = "item,position,component,quantity\n";
    for ($i = 1; $i <= 90; $i++) {
        $days = 100 - $i; // the last of them can be ordered last
        $number = sprintf('SMALL-%03d', $i);
        $items .= "{$number},Small part,bought,pc,1,{$days}\n";
        $lines .= "BIG-1,{$i}0,{$number},1\n";
    }
    expect($this->shop->import(['items.csv' => $items, 'structures.csv' => $lines]))->toBe([]);
    $this->shop->order('BIG-1', '2', '2027-06-30');
    $this->actingAs($this->shop->as(Role::Buyer));
    $numbers = ShortageList::now()->byItem()->pluck('number')->all();
    $all = count($numbers);
    $said = "The first 80 of {$all}, by when they have to be ordered";
    expect($all)->toBeGreaterThan(90);
    $this->get('/shortages')
        ->assertSee("{$all} items are short")
        ->assertSee($said)
        ->assertSee($numbers[79])
        ->assertDontSee($numbers[80]);
    $this->get('/shortages?all=1')->assertSee($numbers[80])->assertDontSee($said);
    // what is wrong with one that is typed is said beside it, where it stands
    $this->from('/shortages?all=1')->post('/purchases', [
        'token' => $this->shop->token(),
        'only' => [$this->shop->item('SMALL-090')->id],
        'items' => [$this->shop->item('SMALL-090')->id => ['quantity' => 'many', 'supplier' => '1']],
    ])->assertRedirect('/shortages?all=1');
});

<?php

use App\Access\Role;
use App\Actions\Cover\CoverBy;
use App\Actions\Shop\StartStep;
use App\Queries\Board\DispatchCentre;
use App\Queries\Demand\CustomerOrderList;
use App\Queries\Demand\DemandLine;
use App\Queries\Orders\OrderFilter;
use App\Queries\Orders\OrderList;
use App\Queries\Stock\StockList;
use App\Shop\LowItem;
use App\Shop\Positions;
use App\Shop\ShopClock;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

it('shows a long list in parts, each with the address of the next', function () {
    $this->shop->order('LID-9', '1');
    $row = (array) DB::table('orders')->first();
    unset($row['id'], $row['number_key']); // the database makes that
    $output = (array) DB::table('order_outputs')->first();
    unset($output['id'], $output['is_open']);
    DB::table('orders')->insert(array_map(fn (int $n): array => [...$row, 'number' => "L{$n}"], range(1, 200)));
    DB::table('order_outputs')->insert(
        DB::table('orders')
            ->where('number', 'like', 'L%')
            ->pluck('id')
            ->map(fn (int $id): array => [...$output, 'order_id' => $id])
            ->all(),
    );
    $page = fn (int $skip) => OrderList::rows(new OrderFilter(skip: $skip));
    expect($page(0))->toHaveCount(80)
        ->and($page(160))->toHaveCount(41)
        ->and($page(0)->pluck('id')->intersect($page(80)->pluck('id')))
        ->toHaveCount(0);
    $this->actingAs($this->shop->as(Role::Supervisor))->get('/orders')->assertSee('201 orders')->assertSee('121 more')
        ->assertSee('skip=80', false);
    $this->get('/orders?skip=160')->assertSee('from number 161')->assertDontSee('more</a>', false);
    $this->get('/orders?skip=-5')->assertOk()->assertSee('201 orders');
    expect(OrderList::rows(new OrderFilter(state: 'all'))->first()->number)->toBe('L200');
});

it('groups serials on the stock page, and names each on the page of the item', function () {
    foreach (['S-1', 'S-2', 'S-3'] as $serial) {
        $this->shop->goodsIn('CTRL-3', '1', '80', $serial);
    }
    $rows = StockList::balances('CTRL-3')->rows;
    expect($rows)->toHaveCount(1)->and((int) $rows[0]->serials)->toBeGreaterThanOrEqual(3)
        ->and(StockList::ofItem($this->shop->item('CTRL-3')->id)->rows->pluck('lot')->all())
        ->toContain('S-1', 'S-2', 'S-3');
    $this->actingAs($this->shop->as(Role::Storekeeper))
        ->get('/stock')
        ->assertSee('serials')
        ->assertDontSee('>S-2<', false);
    expect(StockList::balances('S-2')->rows->pluck('lot')->all())->toBe(['S-2']);
});

it('lists what is low by its position: free and coming less promised (W8, common practice)', function () {
    $item = $this->shop->item('MOT-120'); // 14 there
    DB::table('items')->where('id', '<>', $item->id)->update(['reorder_point' => 0]);
    $low = fn (): array => Positions::low()->rows
        ->map(fn (LowItem $row): array => [$row->number, (string) $row->is->position()->stripTrailingZeros()])
        ->all();
    $reorderAt = fn (int $at) => DB::table('items')->where('id', $item->id)->update(['reorder_point' => $at]);
    $reorderAt(13);
    expect($low())->toBe([]);
    $reorderAt(14);
    expect($low())->toBe([['MOT-120', '14']]);
    // needed by an open order, then coming
    $reorderAt(10);
    $this->shop->order('EX-9E', '6');
    expect($low())->toBe([['MOT-120', '8']])->and((string) Positions::of($item->id)->promised)->toStartWith('6');
    $this->shop->goodsIn('MOT-120', '3', '84');
    expect($low())->toBe([]);
    // what is blocked is not free; nothing on hand at all is listed too
    DB::table('balances')->where('item_id', $item->id)->update(['condition' => 'blocked']);
    expect($low())->toBe([['MOT-120', '-6']]);
    $this->actingAs($this->shop->as(Role::Buyer))
        ->get('/stock?below=1')
        ->assertOk()
        ->assertSee('MOT-120')
        ->assertSee('Reorder at');
    DB::table('balances')->where('item_id', $item->id)->update(['quantity' => 0]);
    expect($low())->toBe([['MOT-120', '-6']]);
    app(App\Actions\Purchasing\RaisePurchases::class)->handle(
        [new App\Actions\Purchasing\LineToBuy($item->id, '17')],
        false,
        $this->shop->sign(Role::Buyer, token: 'p'),
    );
    expect($low())->toBe([]);
    $this->get('/stock?below=1')->assertSee('Nothing is.');
    $this->get("/stock/{$item->id}")->assertSee('17')->assertSee('coming');
});

/** So many lots of the sheet, one of each on the rack. */
function manyLots(object $test, string $prefix, int $count): void
{
    $item = $test->shop->item('SS-15');
    $place = $test->shop->place('RACK')->id;
    DB::table('lots')->insert(array_map(
        fn (int $n): array => ['item_id' => $item->id, 'code' => sprintf("{$prefix}-%03d", $n)],
        range(1, $count),
    ));
    $ids = DB::table('lots')->where('code', 'like', "{$prefix}-%")->pluck('id');
    DB::table('balances')->insert($ids->map(fn (int $id): array => [
        'item_id' => $item->id,
        'place_id' => $place,
        'lot_id' => $id,
        'condition' => 'free',
        'owner_id' => 0,
        'quantity' => 1,
    ])->all());
}

it('says of how many it shows the first, and narrows before it cuts', function () {
    manyLots($this, 'CUT', 520);
    $all = DB::table('balances')->where('quantity', '>', 0)->count();
    $cut = StockList::balances();
    expect($cut->rows)->toHaveCount(200)
        ->and($cut->says())->toBe("first 200 of {$cut->count}")
        ->and($cut->count)->toBeGreaterThan(519)->toBeLessThanOrEqual($all);
    $this->actingAs($this->shop->as(Role::Buyer))
        ->get('/stock')
        ->assertSee("First 200 of {$cut->count}. Narrow it down");
    expect(StockList::balances('CUT-520')->rows->pluck('lot')->all())->toBe(['CUT-520'])
        ->and(StockList::balances('CUT-520')->says())->toBe('');
    // serials at one place are one row, each other balance is one
    $serials = "CONCAT_WS('-', i.id, b.place_id, b.condition, b.owner_id)";
    $rows = DB::table('balances AS b')
        ->join('items AS i', 'i.id', 'b.item_id')
        ->where('b.quantity', '>', 0)
        ->selectRaw("COUNT(DISTINCT IF(i.tracking = 'serial', {$serials}, b.id)) AS count");
    $this->shop->goodsIn('GBOX-1', '1', '100', 'S-1');
    $this->shop->goodsIn('GBOX-1', '1', '100', 'S-2');
    expect(StockList::balances()->count)->toBe((int) $rows->value('count'));
});

it('tells late lines by the day of the plant', function () {
    $late = $this->shop->customerOrder(['TRAY-40' => '30'], '2026-11-24');
    $this->shop->cover($late, CoverBy::NewOrder);
    $fine = $this->shop->customerOrder(['LID-9' => '2'], '2026-12-18');
    $this->shop->cover($fine);
    $isLate = fn (DemandLine $line): bool => $line->isLate();
    expect(CustomerOrderList::lines('late')->pluck('customerOrderId')->all())->toBe([$late->id])
        ->and(CustomerOrderList::lines('open')->filter($isLate)->pluck('customerOrderId')->all())->toBe([$late->id]);
    $this->actingAs($this->shop->as(Role::Sales))
        ->get('/customer-orders?show=late')
        ->assertSee($late->number)
        ->assertDontSee($fine->number);
});

it('lists what waits for nothing but the carrier', function () {
    $order = $this->shop->customerOrder(['LID-9' => '2']);
    expect(CustomerOrderList::lines('ready'))->toHaveCount(0);
    $this->shop->cover($order, CoverBy::Stock);
    expect(CustomerOrderList::lines('ready'))->toHaveCount(1);
    $this->actingAs($this->shop->as(Role::Storekeeper))->get('/ship')->assertSee($order->number)
        ->assertSee('1 line of 1 customer order can go');
    $this->shop->ship($order, [$order->lines[0]->id => '2']);
    expect(CustomerOrderList::lines('ready'))->toHaveCount(0)->and(CustomerOrderList::lines('shipped'))->toHaveCount(1);
});

it('tells the shift that runs, the break, and when work goes on', function (string $now, string $says) {
    Cache::flush();
    Carbon::setTestNow(new DateTimeImmutable($now, new DateTimeZone('Europe/Dublin')));
    expect(ShopClock::now()->shift)->toBe($says);
})->with([
    'in the morning' => ['2026-11-24 08:00', 'shift until 15:30'],
    'in a break' => ['2026-11-24 09:40', 'break until 09:45'],
    'before work' => ['2026-11-24 05:00', 'closed until 07:00'],
    'in the evening' => ['2026-11-24 20:00', 'closed until tomorrow 07:00'],
    'over the week-end' => ['2026-11-27 18:00', 'closed until Mon 07:00'],
    'on the last minute' => ['2026-11-24 15:29', 'shift until 15:30'],
]);

it('shows the plan as a board and as dispatch lists, and what is asked for oddly all the same', function () {
    $this->shop->order('TRAY-40', '6');
    $this->actingAs($this->shop->as(Role::Operator))
        ->get('/board')
        ->assertSee('Uncapping tray')
        ->assertSee('"number":"218"', false);
    $this->get('/board?zoom=never&at=no&customer=%3Cb%3E&plan=0')->assertOk()->assertDontSee('<b>', false);
    $this->get('/board?plan=99')->assertNotFound();
    $this->get('/plans/99')->assertNotFound();
    $this->get('/plans/1')->assertNotFound()->assertSee('The live plan is what others are compared with.');
    $this->get('/dispatch/1')->assertSee('218')->assertSee('Uncapping tray');
    $this->get('/dispatch/1?machine=7&person=9&days=99')->assertOk()->assertSee('Nothing is planned here');
    $this->get('/dispatch/99')->assertNotFound();
});

it('shows at a glance what each work centre runs, does next, and has to do in a week', function () {
    $late = $this->shop->order('TRAY-40', '6', '2026-11-20');
    $this->shop->release($late);
    $this->shop->issueAll($late);
    $after = $this->shop->order('LID-9', '4', '2026-12-18');
    $centre = fn (string $name): DispatchCentre => DispatchCentre::all()->firstWhere('name', $name);
    $laser = $centre('Laser cutting');
    expect($laser->running)->toHaveCount(0)
        ->and($laser->next->order)->toBe($late->number)
        ->and($laser->next->ready)->toBe('can start')
        ->and([$laser->steps, $laser->late])->toBe([2, 1])
        ->and($centre('Turning')->next)->toBeNull();
    app(StartStep::class)->handle($late->steps[0]->id, $this->shop->sign(Role::Operator));
    $laser = $centre('Laser cutting');
    expect($laser->running->pluck('order')->all())->toBe([$late->number])
        ->and($laser->next->order)->toBe($after->number);
    $this->actingAs($this->shop->as(Role::Supervisor))->get('/dispatch')
        ->assertSeeInOrder(['Laser cutting', $late->number, $after->number, '10 Cut'])
        ->assertSeeInOrder(['Turning', 'nothing is planned here']);
});

it('puts back what was typed into the form it was typed into, and no other', function () {
    foreach (['LID-9', 'TRAY-40'] as $item) {
        $order = $this->shop->order($item, '4');
        $this->shop->release($order);
        $this->shop->issueAll($order);
        $this->shop->workThrough($order);
        $orders[] = $order;
    }
    $this->actingAs($this->shop->as(Role::Storekeeper))
        ->from('/receive')
        ->post("/orders/{$orders[1]->id}/receive", [
            'token' => 't',
            'form' => "receive-{$orders[1]->id}",
            'quantity' => '17',
            'place_id' => $this->shop->place('FINISHED')->id,
        ])
        ->assertSessionHasErrors('quantity');
    $html = (string) $this->get('/receive')->getContent();
    expect(substr_count($html, 'value="17"'))->toBe(1)->and(substr_count($html, 'is-wrong'))->toBe(1)->and($html)
        ->toContain('17 to receive, 4 good');
});

it('shows an import that waits, runs, is done or refused', function (string $state, string $doing, string $says) {
    $id = DB::table('imports')->insertGetId([
        'person_id' => $this->shop->as(Role::Planner)->id,
        'folder' => '/x',
        'files' => 'items.csv',
        'state' => $state,
        'doing' => $doing,
        'lines_done' => 30,
        'lines_total' => 100,
        'problems' => $state === 'refused'
                ? json_encode([
                    ['file' => 'items.csv', 'line' => 7, 'column' => 'unit', 'says' => "'<b>' is not among the units."],
                ])
                : null,
        'problem_count' => $state === 'refused' ? 3 : 0,
        'created_at' => now(),
        'updated_at' => now(),
    ]);
    $this->actingAs($this->shop->as(Role::Planner))
        ->get("/import/{$id}")
        ->assertSee($says)
        ->assertDontSee('<b>', false);
    $this->get("/import/{$id}", ['HX-Request' => 'true'])->assertDontSee('<html', false);
    $this->get("/import/{$id}", ['HX-Request' => 'true', 'HX-Boosted' => 'true'])->assertSee('<html', false);
})->with([['waiting', '', 'Waiting for the worker.'], ['running', 'Reading items.csv', '30 of 100 lines'],
    ['done', '3 new', 'Done. 3 new'], ['refused', '3 problems', 'and 2 more'], ['failed', 'broke off', 'Broken off.']]);

it('shows the first lots of an item on its page, and the one asked for before them', function () {
    $item = $this->shop->item('SS-15');
    manyLots($this, 'MANY', 70);
    $count = DB::table('balances')->where('item_id', $item->id)->where('quantity', '>', 0)->count();
    expect(StockList::ofItem($item->id)->rows)->toHaveCount(40)
        ->and(StockList::ofItem($item->id)->says())->toBe("first 40 of {$count}")
        ->and(StockList::ofItem($item->id)->rows->pluck('lot'))->not->toContain('MANY-070')
        ->and(StockList::ofItem($item->id, 'many-070')->rows[0]->lot)->toBe('MANY-070')
        ->and(StockList::ofItem($item->id, '070')->rows[0]->lot)->toBe('MANY-070')
        ->and(StockList::ofItem($item->id, 'no such lot')->rows)->toHaveCount(40);
    $this->actingAs($this->shop->as(Role::Storekeeper))
        ->get("/stock/{$item->id}?lot=MANY-070")
        ->assertSee("First 40 of {$count} lots.")
        ->assertSee('MANY-070');
    $this->get("/stock/{$this->shop->item('GATE-40')->id}")->assertDontSee('Show it first');
});

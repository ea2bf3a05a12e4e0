<?php

use App\Access\Role;
use App\Actions\Cover\CoverBy;
use App\Queries\Demand\CustomerOrderList;
use App\Queries\Orders\OrderFilter;
use App\Queries\Orders\OrderList;
use App\Queries\Shop\ShopClock;
use App\Queries\Stock\StockList;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

it('shows a long list in parts, each with the address of the next', function () {
    $this->shop->order('LID-9', '1');
    $row = (array) DB::table('orders')->first();
    unset($row['id'], $row['number_key']); // the database makes that
    DB::table('orders')->insert(array_map(fn (int $n): array => [...$row, 'number' => "L{$n}"], range(1, 200)));
    $page = fn (int $skip) => OrderList::rows(new OrderFilter(skip: $skip));
    expect($page(0))->toHaveCount(80)->and($page(160))->toHaveCount(41)->and($page(0)->pluck('id')->intersect($page(80)->pluck('id')))
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
    $rows = StockList::balances('CTRL-3');
    expect($rows)->toHaveCount(1)->and((int) $rows[0]->serials)->toBeGreaterThanOrEqual(3)
        ->and(StockList::balances(item: $this->shop->item('CTRL-3')->id)->pluck('lot')->all())->toContain('S-1', 'S-2', 'S-3');
    $this->actingAs($this->shop->as(Role::Storekeeper))->get('/stock')->assertSee('serials')->assertDontSee('>S-2<', false);
    expect(StockList::balances('S-2')->pluck('lot')->all())->toBe(['S-2']);
});

it('lists what is below its reorder point', function () {
    expect(StockList::balances(below: true)->pluck('item_number')->unique()->all())->not->toContain('BRG-25');
    DB::table('items')->where('number', 'BRG-25')->update(['reorder_point' => 1000]);
    expect(StockList::balances(below: true)->pluck('item_number')->unique()->all())->toContain('BRG-25');
    $this->actingAs($this->shop->as(Role::Buyer))->get('/stock?below=1')->assertSee('below 1000');
});

it('tells late lines by the day of the plant', function () {
    $late = $this->shop->customerOrder(['TRAY-40' => '30'], '2026-11-24');
    $this->shop->cover($late, CoverBy::NewOrder);
    $fine = $this->shop->customerOrder(['LID-9' => '2'], '2026-12-18');
    $this->shop->cover($fine);
    expect(CustomerOrderList::lines('late')->pluck('customer_order_id')->all())->toBe([$late->id])
        ->and(CustomerOrderList::lines('open')->where('late', true)->pluck('customer_order_id')->all())->toBe([$late->id]);
    $this->actingAs($this->shop->as(Role::Sales))->get('/customer-orders?show=late')->assertSee($late->number)
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
    'in the morning' => ['2026-11-24 08:00', 'shift until 15:30'], 'in a break' => ['2026-11-24 09:40', 'break until 09:45'],
    'before work' => ['2026-11-24 05:00', 'closed until 07:00'],
    'in the evening' => ['2026-11-24 20:00', 'closed until tomorrow 07:00'],
    'over the week-end' => ['2026-11-27 18:00', 'closed until Mon 07:00'],
    'on the last minute' => ['2026-11-24 15:29', 'shift until 15:30'],
]);

it('shows the plan as a board and as dispatch lists, and what is asked for oddly all the same', function () {
    $this->shop->order('TRAY-40', '6');
    $this->actingAs($this->shop->as(Role::Operator))->get('/board')->assertSee('Uncapping tray')->assertSee('"number":"218"', false);
    $this->get('/board?zoom=never&at=no&customer=%3Cb%3E&plan=0')->assertOk()->assertDontSee('<b>', false);
    $this->get('/board?plan=99')->assertNotFound();
    $this->get('/dispatch/1')->assertSee('218')->assertSee('Uncapping tray');
    $this->get('/dispatch/1?machine=7&person=9&days=99')->assertOk()->assertSee('Nothing is planned here');
    $this->get('/dispatch/99')->assertNotFound();
});

it('puts back what was typed into the form it was typed into, and no other', function () {
    foreach (['LID-9', 'TRAY-40'] as $item) {
        $order = $this->shop->order($item, '4');
        $this->shop->release($order);
        $this->shop->issueAll($order);
        $this->shop->workThrough($order);
        $orders[] = $order;
    }
    $this->actingAs($this->shop->as(Role::Storekeeper))->from('/receive')
        ->post("/orders/{$orders[1]->id}/receive",
            ['token' => 't', 'form' => "receive-{$orders[1]->id}", 'quantity' => '17', 'place_id' => $this->shop->place('FINISHED')->id])
        ->assertSessionHasErrors('quantity');
    $html = (string) $this->get('/receive')->getContent();
    expect(substr_count($html, 'value="17"'))->toBe(1)->and(substr_count($html, 'is-wrong'))->toBe(1)->and($html)
        ->toContain('17 to receive, 4 good');
});

it('shows an import that waits, runs, is done or refused', function (string $state, string $doing, string $says) {
    $id = DB::table('imports')->insertGetId(['user_id' => $this->shop->as(Role::Planner)
        ->id, 'folder' => '/x', 'files' => 'items.csv', 'state' => $state, 'doing' => $doing, 'lines_done' => 30, 'lines_total' => 100,
        'problems' => $state === 'refused'
            ? json_encode([['file' => 'items.csv', 'line' => 7, 'column' => 'unit', 'says' => "'<b>' is not among the units."]]) : null,
        'problem_count' => $state === 'refused' ? 3 : 0, 'created_at' => now(), 'updated_at' => now()]);
    $this->actingAs($this->shop->as(Role::Planner))->get("/import/{$id}")->assertSee($says)->assertDontSee('<b>', false);
    $this->get("/import/{$id}", ['HX-Request' => 'true'])->assertDontSee('<html', false);
    $this->get("/import/{$id}", ['HX-Request' => 'true', 'HX-Boosted' => 'true'])->assertSee('<html', false);
})->with([['waiting', '', 'Waiting for the worker.'], ['running', 'Reading items.csv', '30 of 100 lines'],
    ['done', '3 new', 'Done. 3 new'], ['refused', '3 problems', 'and 2 more'], ['failed', 'broke off', 'Broken off.']]);

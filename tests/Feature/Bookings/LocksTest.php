<?php

use App\Models\Calendar;
use App\Models\CustomerOrder;
use App\Models\Order;
use Illuminate\Support\Facades\DB;
use Tests\Support\Locks;

/* The reader of locks itself: it must see what is out of order, or the test of every deed proves nothing. */

it('sees what is out of order', function (string $says, Closure $deed) {
    $this->shop->order('TRAY-40', '2');
    $this->shop->order('TRAY-40', '2');
    $locks = new Locks;
    DB::transaction(fn () => $deed());
    expect(implode("\n", $locks->wrong()))->toContain($says);
})->with([
    'a head after another that comes later' => ['customer_orders after orders', function () {
        Order::query()->lockForUpdate()->get();
        CustomerOrder::query()->lockForUpdate()->get();
    }],
    'a row that is guarded by another' => [
        'calendars is no lock of ours',
        fn () => Calendar::query()->whereKey(1)->lockForUpdate()->get(),
    ],
    'a lock after a write' => ['item_stock after orders was written', function () {
        Order::query()->update(['rank' => 7]);
        DB::table('item_stock')->whereIn('item_id', [1])->lockForUpdate()->get();
    }],
    'ids that go down' => [' after ', function () {
        [$first, $second] = Order::query()->orderBy('id')->pluck('id')->all();
        Order::query()->whereKey([$second])->lockForUpdate()->get();
        Order::query()->whereKey([$first])->lockForUpdate()->get();
    }],
]);

it('sees nothing in what is in order', function () {
    $locks = new Locks;
    $this->shop->goodsIn('BRG-25', '3', '7');
    expect($locks->wrong())
        ->toBe([])
        ->and(array_column($locks->taken, 'table'))
        ->toContain('period')
        ->toContain('item_stock');
});

<?php

use App\Actions\Cover\CoverBy;
use App\Actions\Orders\TypedOutput;
use App\Models\CustomerOrderLine;
use App\Models\Order;
use App\Shop\Ties;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

it('goes from a customer line to shipment, and every figure agrees on the way', function () {
    $customerOrder = $this->shop->customerOrder(['TRAY-40' => '5']);
    $this->shop->cover($customerOrder);
    $order = Order::query()->latest('id')->firstOrFail();
    expect($order->state)->toBe(OrderState::Firm)
        ->and($order->due_on)->toBe('2026-12-17')
        ->and($order->steps()->count())->toBe(3);

    $this->shop->release($order, null);
    $this->shop->issueAll($order);
    expect($order->refresh()->state)->toBe(OrderState::Running);
    $this->shop->workThrough($order);
    $this->shop->receive($order, '5');
    expect($order->refresh()->state)->toBe(OrderState::Built)
        ->and($this->shop->stock('TRAY-40')['quantity'])->toBe('5');
    expect($this->shop->differences())->toBe([]);

    $this->shop->close($order);
    // 5 trays: 30 minutes at each of three steps and their own material at its average; nothing left in the order
    expect((int) DB::table('cost_entries')->where('order_id', $order->id)->sum('cents'))->toBe(0);
    $costIn = (int) DB::table('cost_entries')
        ->where('order_id', $order->id)
        ->whereIn('kind', ['material', 'labour', 'machine', 'overhead'])
        ->sum('cents');
    expect($this->shop->stock('TRAY-40')['value'])->toBe($costIn);

    $this->shop->ship($customerOrder, [$customerOrder->lines[0]->id => '5']);
    expect(CustomerOrderLine::query()->find($customerOrder->lines[0]->id)->is_open)->toBeFalse()
        ->and($this->shop->stock('TRAY-40'))
        ->toBe(['quantity' => '0', 'value' => 0]);
    expect($this->shop->differences())->toBe([]);
});

it('costs labour, machine and overhead by the frozen rates', function () {
    $order = $this->shop->order('TRAY-40', '5');
    $this->shop->release($order);
    DB::table('work_centres')->update(['labour_rate' => 999]); // later rates do not reach a released order
    $this->shop->report($order->steps[0], '5', '5', over: ['minutes' => 60]);
    $cost = DB::table('cost_entries')->where('order_id', $order->id)->pluck('cents', 'kind');
    // laser: 32 an hour of labour, 58 of machine, 40 % of labour
    expect($cost->all())->toBe(['labour' => 3200, 'machine' => 5800, 'overhead' => 1280]);
});

it('adds overhead by the hour and by the piece, scrap too, at what held at release', function () {
    $plain = $this->shop->order('TRAY-40', '5');
    $this->shop->release($plain);
    DB::table('work_centres')->update(['overhead_hour' => '6', 'overhead_piece' => '0.5']);
    $order = $this->shop->order('TRAY-40', '5');
    $this->shop->release($order);
    DB::table('work_centres')->update(['overhead_hour' => '99', 'overhead_piece' => '99']);

    // ten cents a minute, fifty a piece at each of three steps
    $onTop = 10 * (int) $order->steps()->sum('planned_minutes') + 3 * 5 * 50;
    expect($order->refresh()->planned_overhead - $plain->refresh()->planned_overhead)->toBe($onTop);

    $this->shop->report($order->steps[0], '4', '4', '1', over: ['minutes' => 60]);
    $overhead = DB::table('cost_entries')->where('order_id', $order->id)->where('kind', 'overhead')->sum('cents');
    // 40 % of 32.00, an hour at 6.00, five pieces at 0.50
    expect((int) $overhead)->toBe(1280 + 600 + 250)
        ->and($this->shop->differences())->toBe([]);
});

it('takes part receipts at planned unit cost and settles at close', function () {
    $order = $this->shop->order('LID-9', '10');
    $this->shop->release($order);
    $this->shop->issueAll($order);
    $this->shop->workThrough($order);
    // off-cuts come back with it: half a kilogram a piece, at a set value of 2.10
    $planned = $order->refresh()->plannedCost()->total() - 1050;
    $before = $this->shop->stock('LID-9')['value'];
    $this->shop->receive($order, '4', place: 'STORES');
    expect($this->shop->stock('LID-9')['value'] - $before)->toBe((int) round($planned * 0.4));
    $this->shop->receive($order, '6', place: 'STORES', beside: [$order->beside()->sole()->id => new TypedOutput('5')]);
    expect($this->shop->stock('LID-9')['value'] - $before)->toBe($planned);
    $this->shop->close($order->refresh());
    expect((int) DB::table('cost_entries')->where('order_id', $order->id)->sum('cents'))->toBe(0)
        ->and($this->shop->differences())->toBe([]);
});

it('covers from stock first, then by an order with orders for its parts', function () {
    DB::table('items')->where('number', 'TRAY-40')->update(['tracking' => 'none']);
    $shelf = $this->shop->order('TRAY-40', '3');
    $this->shop->release($shelf);
    $this->shop->issueAll($shelf);
    $this->shop->workThrough($shelf);
    $this->shop->receive($shelf, '3');
    $customerOrder = $this->shop->customerOrder(['TRAY-40' => '5', 'EX-9H' => '6']);
    $booking = $this->shop->cover($customerOrder, CoverBy::StockThenOrder, withParts: true);
    expect($booking->says)->toContain('3 from stock, 2 from new order')
        ->and($booking->says)->toContain('for its parts');
    expect(Ties::madeFor()->exists())->toBeTrue()
        ->and($this->shop->differences())->toBe([]);
    // what is promised cannot be taken for something else
    $other = $this->shop->customerOrder(['TRAY-40' => '1']);
    expect(fn () => $this->shop->cover($other, CoverBy::Stock))->toThrow(\KeepPace\Core\Refused::class, '0 of TRAY-40');
});

<?php

use App\Access\Role;
use App\Actions\Orders\PlaceInRank;
use App\Actions\Orders\SplitOrder;
use App\Models\Booking;
use App\Models\CustomerOrderLine;
use App\Models\Order;
use App\Models\Plan;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

function splitOff(object $test, Order $order, string $pieces): Order
{
    $order->refresh();
    app(SplitOrder::class)->handle(
        $order->id,
        $order->version,
        $pieces,
        $test->shop->sign(Role::Supervisor, 'one half first'),
    );

    return Order::query()->latest('id')->firstOrFail();
}

it('splits an order: components, cost, cover and pieces follow', function () {
    $co = $this->shop->customerOrder(['TRAY-40' => '10']);
    $this->shop->cover($co);
    $order = Order::query()->latest('id')->firstOrFail();
    $this->shop->release($order);
    $planned = $order->refresh()->planned_material;
    $sheet = $this->shop->component($order, 'SS-15');
    $this->shop->issue($sheet, (string) $sheet->openQuantity(), [
        'H-7714' => '8',
        'H-7731' => (string) $sheet->openQuantity()->minus('8'),
    ]);
    $used = $sheet->refresh()->used_value;
    $new = splitOff($this, $order, '4');
    $theirs = $this->shop->component($new, 'SS-15');
    $sheet->refresh();
    expect($order->refresh()->quantity)->toBe('6.000000')
        ->and($new->quantity)->toBe('4.000000')
        ->and($new->state->value)->toBe('running')
        ->and($new->split_from_id)->toBe($order->id)
        ->and((float) $sheet->planned_quantity + (float) $theirs->planned_quantity)->toEqualWithDelta(11.3402, 0.001)
        ->and($sheet->used_value + $theirs->used_value)->toBe($used)
        ->and((float) $theirs->used_quantity)->toEqualWithDelta(4.536, 0.001)
        ->and($order->planned_material + $new->planned_material)->toEqualWithDelta($planned, 3)
        ->and($this->shop->covers($new))->toBe('4.000000')
        ->and($this->shop->covers($order))->toBe('6.000000')
        ->and($this->shop->differences())->toBe([]);
    // both are built and closed to the cent
    foreach ([$order, $new] as $half) {
        $this->shop->issueAll($half);
        $this->shop->workThrough($half);
        $this->shop->receive($half, (string) (int) $half->quantity);
        $this->shop->close($half->refresh());
    }
    expect($this->shop->differences())->toBe([]);
    $this->actingAs($this->shop->as(Role::Sales))->get("/customer-orders/{$co->id}")->assertSee('10 from stock');
});

it('splits a firm order, and refuses pieces that have begun', function () {
    $order = $this->shop->order('LID-9', '8');
    $new = splitOff($this, $order, '3');
    expect($new->state->value)->toBe('firm')
        ->and($new->steps()->count())->toBe($order->steps()->count())
        ->and($this->shop->differences())->toBe([]);
    $this->shop->release($order->refresh());
    $this->shop->report($order->steps[0], '4', '4');
    expect(fn () => splitOff($this, $order, '2'))->toThrow(Refused::class, '1 of 5 pieces have not begun')
        ->and(fn () => splitOff($this, $order, '5'))->toThrow(Refused::class);
});

it('lets a customer line go: to the shelf, on hold, stopped, or to another line', function (
    string $then,
    string $state,
    bool $held,
    string $says,
) {
    $co = $this->shop->customerOrder(['TRAY-40' => '3']);
    $this->shop->cover($co);
    $other = $this->shop->customerOrder(['TRAY-40' => '2'])->lines[0];
    $order = Order::query()->latest('id')->firstOrFail();
    $this->actingAs($this->shop->as(Role::Sales))
        ->get("/customer-orders/{$co->id}")
        ->assertSee('The customer no longer wants a line');
    $this->from('/x')
        ->delete('/customer-order-lines/'.$co->lines[0]->id, [
            'token' => 'k',
            'version' => $co->refresh()->version,
            'then' => $then,
            'other' => $then === 'line' ? $other->id : null,
            'reason' => 'budget cut',
        ])
        ->assertSessionHasNoErrors();
    $order->refresh();
    expect($order->state->value)->toBe($state)
        ->and($order->is_held)->toBe($held)
        ->and(CustomerOrderLine::query()->findOrFail($co->lines[0]->id)->is_open)->toBeFalse()
        ->and(Booking::query()->latest('id')->firstOrFail()->says)->toContain($says)
        ->and($this->shop->differences())->toBe([]);
    expect((float) DB::table('ties')->where('line_id', $other->id)->sum('quantity'))->toBe(
        $then === 'line' ? 2.0 : 0.0,
    );
})->with([
    ['shelf', 'firm', false, 'goes on for the shelf'],
    ['hold', 'firm', true, 'is held'],
    ['stop', 'cancelled', false, 'is cancelled'],
    ['line', 'firm', false, 'no longer wanted'],
]);

it('says what becomes of components when the quantity falls below what they were issued for', function () {
    $order = $this->shop->order('TRAY-40', '10');
    $this->shop->release($order);
    $this->shop->issueAll($order);
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->from('/x')
        ->put("/orders/{$order->id}", [
            'token' => 'q',
            'version' => $order->refresh()->version,
            'quantity' => '6',
            'rank' => $order->rank,
            'due_on' => $order->due_on,
        ])
        ->assertSessionHasNoErrors();
    expect(Booking::query()->latest('id')->value('says'))->toContain('More is issued than it takes now')
        ->toContain('16 pc FOOT-1')
        ->and($this->shop->differences())->toBe([]);
});

it('places orders in the rank, shows the effect first, and gives scarce parts to the higher', function () {
    $orders = array_map(fn (int $n): Order => $this->shop->order('EX-9E', '10', "2026-12-1{$n}"), [1, 2, 3]);
    $given = fn (): array => array_map(
        fn (Order $order): string => (string) (int) DB::table('plan_components')
            ->where('component_id', $this->shop->component($order, 'MOT-120')->id)
            ->value('from_stock'),
        $orders,
    );
    expect($given())->toBe(['10', '4', '0']);
    $this->actingAs($this->shop->as(Role::Supervisor));
    $before = DB::table('orders')->pluck('rank', 'id')->all();
    $this->post('/rank/preview', ['token' => 'p', 'move' => "{$orders[2]->id}-{$orders[0]->id}"])
        ->assertOk()
        ->assertSee("before {$orders[0]->number} would mean")
        ->assertSee('Keep it so');
    expect(DB::table('orders')->pluck('rank', 'id')->all())->toBe($before)
        ->and($given())->toBe(['10', '4', '0']);
    $this->post('/rank', ['token' => 'r', 'move' => "{$orders[2]->id}-{$orders[0]->id}"])->assertSessionHas(
        'done',
        "Order {$orders[2]->number} from place 3 to place 1.",
    );
    expect($given())->toBe(['4', '0', '10']);
    $this->get('/rank')->assertSeeInOrder([$orders[2]->number, $orders[0]->number, $orders[1]->number]);
    app(PlaceInRank::class)->handle($orders[2]->id, null, $this->shop->sign(Role::Supervisor, token: 'last'));
    expect($given())->toBe(['10', '4', '0'])->and($this->shop->differences())->toBe([]);
});

it('always finds room between two, whatever the ranks were', function () {
    mt_srand(3);
    $orders = array_map(fn (): Order => $this->shop->order('LID-9', '1'), range(1, 6));
    DB::table('orders')->update(['rank' => 1]);
    $expected = array_map(fn (Order $order): int => $order->id, $orders);
    app(App\Planner\KeepUp::class)->atTheEnd(function () use (&$expected): void {
        for ($i = 0; $i < 40; $i++) {
            $id = $expected[mt_rand(0, 5)];
            $rest = array_values(array_diff($expected, [$id]));
            $at = mt_rand(0, 5);
            try {
                app(PlaceInRank::class)->handle(
                    $id,
                    $rest[$at] ?? null,
                    $this->shop->sign(Role::Supervisor, token: "rank-{$i}"),
                );
            } catch (Refused) {
                continue; // stands there already
            }
            array_splice($rest, $at, 0, [$id]);
            $expected = $rest;
        }
    });
    expect(DB::table('orders')->orderBy('rank')->orderBy('due_on')->orderBy('id')->pluck('id')->all())->toBe($expected)
        ->and(
            DB::table('plan_orders')->where('plan_id', Plan::LIVE)->orderBy('place_in_rank')->pluck('order_id')->all(),
        )
        ->toBe($expected);
});

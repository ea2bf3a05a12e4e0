<?php

use App\Access\Role;
use App\Actions\Cover\CoverBy;
use App\Actions\Demand\ReceiveAndShip;
use App\Actions\Orders\ChangeOrder;
use App\Actions\Orders\ChangeSteps;
use App\Actions\Orders\SplitOrder;
use App\Actions\Orders\TypedReceipt;
use App\Models\Order;
use App\Models\WorkCentre;
use App\Planner\KeepUp;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Refused;

/* An order without steps is only put together: released, its parts issued, received, closed like any other. */

beforeEach(function () {
    // a stand that is only put together of what is in stores
    $item = $this->shop->item('STAND-3');
    DB::table('routings')->where('item_id', $item->id)->update(['status' => 'replaced']);
    $this->order = $this->shop->order('STAND-3', '4');
    expect($this->order->steps()->exists())->toBeFalse();
    $this->parts = fn () => $this->order->components()->with('item')->get();
    foreach (($this->parts)() as $part) {
        $this->shop->goodsIn($part->item->number, '99', '2', $part->item->isTracked() ? 'LOT-W' : '');
    }
});

it('goes from release to close', function () {
    $this->shop->release($this->order, null);
    expect($this->order->refresh()->state)->toBe(OrderState::Released);
    $this->shop->issueAll($this->order);
    expect($this->order->refresh()->state)->toBe(OrderState::Running)
        ->and($this->shop->differences())->toBe([]);
    $this->shop->receive($this->order, '3');
    expect($this->order->refresh()->state)->toBe(OrderState::Running)
        ->and(fn () => $this->shop->receive($this->order, '2'))->toThrow(Refused::class, '2 to receive, 1 good');
    $this->shop->receive($this->order, '1');
    expect($this->order->refresh()->state)->toBe(OrderState::Built);
    $this->shop->close($this->order);
    expect((int) DB::table('cost_entries')->where('order_id', $this->order->id)->sum('cents'))->toBe(0)
        ->and($this->order->refresh()->planned_labour)->toBe(0)
        ->and($this->order->planned_material)->toBeGreaterThan(0)
        ->and($this->shop->differences())->toBe([]);
});

it('goes back the way it came', function () {
    $release = $this->shop->release($this->order, null);
    $issue = $this->shop->issueAll($this->order);
    $in = $this->shop->receive($this->order, '4');
    expect(fn () => $this->shop->reverse($release))->toThrow(Refused::class, 'Components were issued');
    $this->shop->reverse($in);
    expect($this->order->refresh()->state)->toBe(OrderState::Running);
    $this->shop->reverse($issue);
    expect($this->order->refresh()->state)->toBe(OrderState::Released);
    $this->shop->reverse($release);
    expect($this->order->refresh()->state)->toBe(OrderState::Firm)->and($this->shop->differences())->toBe([]);
});

it('is planned for the day all of it is there', function () {
    $plan = fn () => DB::table('plan_orders')->where('plan_id', 1)->where('order_id', $this->order->id)->first();
    app(KeepUp::class)->handle();
    expect($plan()->readiness)->toBe('ready')->and((int) $plan()->can_start)->toBe(1)
        ->and($plan()->finish_at)->toBeLessThanOrEqual(now()->utc()->addMinute()->toDateTimeString());
    // one part is not there: it waits for what could be ordered today
    $part = ($this->parts)()->first();
    DB::table('items')->where('id', $part->item_id)->update(['lead_time_days' => 5]);
    $part->update(['planned_quantity' => '5000']);
    app(KeepUp::class)->handle();
    expect($plan()->readiness)->toBe('stuck')->and((int) $plan()->can_start)->toBe(0)
        ->and($plan()->finish_at)->toBeGreaterThan(now()->addDays(5)->toDateTimeString())
        ->and($this->shop->differences())->toBe([]);
    DB::table('orders')->where('id', $this->order->id)->update(['due_on' => '2026-11-23']);
    app(KeepUp::class)->handle();
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->get("/late/{$this->order->id}")
        ->assertOk()
        ->assertSee("{$part->item->name}, not ordered")
        ->assertDontSee('nothing to explain');
});

it('can be promised, sent on, split and changed', function () {
    $demand = $this->shop->customerOrder(['STAND-3' => '3']);
    $this->shop->cover($demand, CoverBy::NewOrder);
    $order = Order::query()->latest('id')->firstOrFail();
    $this->shop->release($order, null);
    $this->shop->issueAll($order);
    $by = fn () => $this->shop->sign(Role::Planner, 'as it is');
    $split = app(SplitOrder::class);
    $order->refresh();
    expect(fn () => $split->handle($order->id, $order->version, '3', $by()))->toThrow(Refused::class);
    $to = ['due_on' => '2026-12-10', 'rank' => 500, 'is_held' => false];
    $change = fn (string $quantity) => app(ChangeOrder::class)
        ->head($order->id, $order->refresh()->version, ['quantity' => $quantity, ...$to], $by());
    expect(fn () => $change('2'))->toThrow(Refused::class, 'promised');
    $change('5');
    $shipped = app(ReceiveAndShip::class)->handle(
        $order->id,
        new TypedReceipt('2', $this->shop->place('FINISHED')->id),
        $this->shop->sign(Role::Storekeeper),
    );
    expect($shipped->says)->toContain('Shipped to')
        ->and((string) $order->refresh()->willGive())->toBe('5.000000')
        ->and($this->shop->differences())->toBe([]);
});

it('gets no step once it is released: its pieces are on their way', function () {
    $this->shop->release($this->order, null);
    $step = [
        'number' => 10,
        'name' => 'Late',
        'work_centre_id' => (int) WorkCentre::query()->value('id'),
        'setup_minutes' => '5',
        'run_rate' => '1',
    ];
    expect(fn () => app(ChangeSteps::class)->add(
        $this->order->id,
        (int) $this->order->refresh()->version,
        $step,
        $this->shop->sign(Role::Planner),
    ))->toThrow(Refused::class, 'put together without steps');
});

it('shows on its pages', function () {
    $this->shop->release($this->order, null);
    $this->actingAs($this->shop->as(Role::Supervisor));
    $this->get("/orders/{$this->order->id}")->assertOk();
    $this->get('/receive')->assertOk()->assertSee($this->order->number);
    DB::table('orders')->where('id', $this->order->id)->update(['due_on' => '2026-11-02']);
    app(KeepUp::class)->handle();
    foreach (['/', '/orders', '/board', "/board?order={$this->order->id}", '/late', "/late/{$this->order->id}",
        '/release', '/rank', '/parts', '/shortages'] as $page) {
        $this->get($page)->assertOk();
    }
});

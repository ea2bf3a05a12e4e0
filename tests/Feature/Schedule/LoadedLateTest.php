<?php

use App\Access\Role;
use App\Models\Order;
use App\Models\Plan;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/* An order loaded as late as its date allows. */

function startOf(Order $order): CarbonImmutable
{
    return CarbonImmutable::parse(
        DB::table('plan_steps AS p')
            ->join('order_steps AS s', 's.id', 'p.order_step_id')
            ->where('p.plan_id', Plan::LIVE)
            ->where('s.order_id', $order->id)
            ->min('p.start_at'),
    );
}

/** @param  array<string, string>  $typed */
function sendHead(object $test, Order $order, array $typed): void
{
    $order->refresh();
    $test->actingAs($test->shop->as(Role::Supervisor))->put("/orders/{$order->id}", [
        'token' => $test->shop->token(),
        'version' => $order->version,
        'quantity' => $order->quantity,
        'due_on' => $order->due_on,
        'rank' => $order->rank,
        ...$typed,
    ])->assertSessionHasNoErrors();
}

it('begins when it must for its date, and at once again when it is asked to', function () {
    $order = $this->shop->order('LID-9', '4', '2027-01-20');
    $early = startOf($order);
    sendHead($this, $order, ['is_loaded_late' => '1']);
    $late = startOf($order);
    expect($late->diffInDays($early, true))->toBeGreaterThan(14.0)
        ->and(DB::table('plan_orders')->where('order_id', $order->id)->value('late_minutes'))->toBeLessThanOrEqual(0)
        ->and($this->shop->differences())->toBe([]);
    $this->get("/orders/{$order->id}")->assertSee('loaded as late as its date allows');
    $this->get("/late/{$order->id}")->assertSee('held back');
    expect(DB::table('order_changes')->where('order_id', $order->id)->where('what', 'loaded')->value('after'))
        ->toBe('as late as its date allows');
    sendHead($this, $order, []);
    expect(startOf($order)->equalTo($early))->toBeTrue();
});

it('follows the date, and the margin of the shop', function () {
    $order = $this->shop->order('LID-9', '4', '2027-01-20');
    sendHead($this, $order, ['is_loaded_late' => '1']);
    $late = startOf($order);
    sendHead($this, $order, ['is_loaded_late' => '1', 'due_on' => '2027-01-27']);
    expect(startOf($order)->greaterThan($late))->toBeTrue();
    config(['pace.late_margin' => 4800]); // ten days of eight hours
    sendHead($this, $order, ['is_loaded_late' => '1', 'due_on' => '2027-01-20']);
    expect(startOf($order)->lessThan($late->subDays(7)))->toBeTrue();
});

it('keeps it in both parts of an order that is split', function () {
    $order = $this->shop->order('LID-9', '4', '2027-01-20');
    sendHead($this, $order, ['is_loaded_late' => '1']);
    $this->post("/orders/{$order->id}/split", [
        'token' => $this->shop->token(),
        'version' => $order->refresh()->version,
        'quantity' => '1',
        'reason' => 'one goes first',
    ])->assertSessionHasNoErrors();
    expect(Order::query()->where('split_from_id', $order->id)->sole()->is_loaded_late)->toBeTrue();
});

it('loads all orders late where the shop is set so, in a change of the settings', function () {
    $this->shop->import(['opening-stock.csv' => "item,quantity,value\nROD-12,500,0\nSHEET-5,500,0\n"]);
    [$far, $near] = [$this->shop->order('LID-9', '4', '2027-01-20'), $this->shop->order('LID-9', '4', '2027-01-11')];
    $none = $this->shop->order('LID-9', '4', null);
    $early = array_map(startOf(...), [$far, $near, $none]);
    $this->actingAs($this->shop->as(Role::Supervisor))->get('/settings')->assertSee('as late as their dates allow');
    config(['pace.loading' => 'late']);
    sendHead($this, $none, ['rank' => '501']);
    $late = array_map(startOf(...), [$far, $near, $none]);
    expect($late[0]->diffInDays($early[0], true))->toBeGreaterThan(14.0)
        ->and($late[1]->diffInDays($early[1], true))->toBeGreaterThan(5.0)
        ->and($late[1]->lessThan($late[0]))->toBeTrue()
        ->and($late[2]->lessThanOrEqualTo($early[2]))->toBeTrue() // without a date
        ->and($this->shop->differences())->toBe([]);
});

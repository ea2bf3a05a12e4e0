<?php

use App\Access\Role;
use App\Actions\Orders\AddedComponent;
use App\Actions\Orders\ChangeComponents;
use App\Actions\Orders\ChangeOrder;
use App\Actions\Orders\SplitOrder;
use App\Models\Booking;
use App\Models\Order;
use App\Models\OrderComponent;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Structure\LineBasis;

/* What a person planned of an order's components, when its quantity changes afterwards. */

beforeEach(function (): void {
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,cost\nSTAND-H,Stand,assembled,pc,60\nFOOT-H,Foot,bought,pc,2\n"
            ."FOOT-R,Rubber foot,bought,pc,3\nPAINT-H,Paint,bought,pc,9\nWRAP-H,Wrap,bought,pc,1\n",
        'structures.csv' => "item,position,component,quantity,basis\n"
            ."STAND-H,10,FOOT-H,4,unit\nSTAND-H,20,WRAP-H,1,order\n",
        'work-centres.csv' => "code,name,calendar,machines\nBENCH-H,Bench,TWO-SHIFT,1\n",
        'routings.csv' => "item,step,name,work_centre,setup_minutes,run_basis,run_rate\n"
            ."STAND-H,10,Put together,BENCH-H,10,min_per_unit,5\n",
    ]);
    foreach (['FOOT-H', 'FOOT-R', 'PAINT-H', 'WRAP-H'] as $item) {
        $this->shop->goodsIn($item, '400', '2');
    }
    $this->order = $this->shop->order('STAND-H', '12');
    $this->planned = fn (string $item): string => rtrim(rtrim(
        $this->shop->component($this->order, $item)->planned_quantity,
        '0',
    ), '.');
});

function standsOf(object $test, string $quantity): Booking
{
    $order = $test->order->refresh();

    return app(ChangeOrder::class)->head($order->id, $order->version, [
        'quantity' => $quantity,
        'due_on' => $order->due_on,
        'rank' => $order->rank,
        'is_held' => $order->is_held,
    ], $test->shop->sign(Role::Planner));
}

function feetOf(object $test, string $quantity): void
{
    app(ChangeComponents::class)->change(
        $test->shop->component($test->order, 'FOOT-H')->id,
        $test->order->refresh()->version,
        $quantity,
        $test->shop->sign(Role::Planner),
    );
}

function rubberInstead(object $test, string $quantity): void
{
    app(ChangeComponents::class)->swap(
        $test->shop->component($test->order, 'FOOT-H')->id,
        $test->order->refresh()->version,
        $test->shop->item('FOOT-R')->id,
        $quantity,
        $test->shop->sign(Role::Planner, 'they stand on a tiled floor'),
    );
}

it('takes as much for each piece as was planned by hand, without drifting, and says so', function (): void {
    feetOf($this, '50');
    $says = standsOf($this, '24')->says;
    expect(($this->planned)('FOOT-H'))->toBe('100')
        ->and($says)->toContain('What was planned by hand follows: 100 pc FOOT-H Foot.');
    // 50 for 12 are 4.1666… each: up and down again comes back to what was typed
    foreach (['7' => '30', '5' => '21', '12' => '50'] as $pieces => $feet) {
        standsOf($this, (string) $pieces);
        expect(($this->planned)('FOOT-H'))->toBe($feet);
    }
    expect($this->shop->component($this->order, 'FOOT-H')->baseline_quantity)->toBe('48.000000')
        ->and($this->shop->differences())->toBe([]);
});

it('takes none for more pieces either, where none is planned', function (): void {
    feetOf($this, '0');
    standsOf($this, '24');
    expect(($this->planned)('FOOT-H'))->toBe('0')
        ->and(($this->planned)('WRAP-H'))->toBe('1');
});

it('swaps what more pieces take as well, those that have the old one apart', function (): void {
    $this->shop->release($this->order);
    $this->shop->issue($this->shop->component($this->order, 'FOOT-H'), '16');
    rubberInstead($this, '32');
    standsOf($this, '20');
    // four stands have the old feet, sixteen get the new ones
    expect(($this->planned)('FOOT-H'))->toBe('16')
        ->and(($this->planned)('FOOT-R'))->toBe('64');
    standsOf($this, '5');
    expect(($this->planned)('FOOT-R'))->toBe('4')
        ->and($this->shop->differences())->toBe([]);
});

it('adds a component for each piece, or for the order whatever its quantity', function (
    LineBasis $basis,
    string $for24,
    string $for6,
): void {
    app(ChangeComponents::class)->add(
        $this->order->id,
        $this->order->refresh()->version,
        new AddedComponent($this->shop->item('PAINT-H')->id, new TypedQuantity('3'), 10, $basis),
        $this->shop->sign(Role::Planner),
    );
    standsOf($this, '24');
    expect(($this->planned)('PAINT-H'))->toBe($for24);
    standsOf($this, '6');
    expect(($this->planned)('PAINT-H'))->toBe($for6);
})->with([
    'for each' => [LineBasis::PerUnit, '6', '2'],
    'for the order' => [LineBasis::PerOrder, '3', '3'],
]);

it('asks whether an added component goes along, and says it of what was planned by hand', function (): void {
    $this->actingAs($this->shop->as(Role::Planner));
    $this->get("/orders/{$this->order->id}")->assertOk()->assertSee('When the quantity changes');
    $this->post("/orders/{$this->order->id}/components", [
        'token' => 'paint',
        'version' => $this->order->refresh()->version,
        'item' => 'PAINT-H',
        'quantity' => '3',
        'step_number' => '10',
        'basis' => 'order',
    ])->assertSessionHasNoErrors();
    feetOf($this, '50');
    $this->get("/orders/{$this->order->id}")
        ->assertSee('the master says 0; planned by hand, it stays when the order&#039;s quantity changes', false)
        ->assertSee('the master says 48; planned by hand, it goes with the order&#039;s quantity', false);
    $this->post("/orders/{$this->order->id}/components", [
        'token' => 'wrong',
        'version' => $this->order->refresh()->version,
        'item' => 'PAINT-H',
        'quantity' => '3',
        'step_number' => '10',
        'basis' => 'sometimes',
    ])->assertSessionHasErrors('basis');
});

it('follows on both sides of a split', function (): void {
    feetOf($this, '50');
    app(SplitOrder::class)->handle(
        $this->order->id,
        $this->order->refresh()->version,
        '6',
        $this->shop->sign(Role::Planner),
    );
    $other = Order::query()->where('split_from_id', $this->order->id)->firstOrFail();
    $feet = OrderComponent::query()->where('order_id', $other->id)->firstOrFail();
    expect(($this->planned)('FOOT-H'))->toBe('25')
        ->and($feet->planned_quantity)->toBe('25.000000');
    standsOf($this, '12');
    expect(($this->planned)('FOOT-H'))->toBe('50');
    $this->order = $other;
    standsOf($this, '12');
    expect(($this->planned)('FOOT-H'))->toBe('50')
        ->and($this->shop->differences())->toBe([]);
});

it('goes by the structure again after less was made than was issued for', function (): void {
    $this->shop->release($this->order);
    $this->shop->issue($this->shop->component($this->order, 'FOOT-H'), '48');
    standsOf($this, '6');
    expect(($this->planned)('FOOT-H'))->toBe('48'); // they are issued
    standsOf($this, '20');
    expect(($this->planned)('FOOT-H'))->toBe('80');
});

it('goes by the structure again where a person plans just what it says', function (): void {
    $this->shop->import(['structures.csv' => "item,revision,position,component,quantity,scrap_percent\n"
        ."STAND-H,B,10,FOOT-H,4,3\n"]);
    $this->order = $this->shop->order('STAND-H', '12');
    $copied = ($this->planned)('FOOT-H');
    feetOf($this, '60');
    feetOf($this, $copied);
    standsOf($this, '100');
    // 400 at 3 per cent lost: 412.37, not a hundred twelfths of the 50 that twelve take
    expect($copied)->toBe('50')
        ->and(($this->planned)('FOOT-H'))->toBe('413');
});

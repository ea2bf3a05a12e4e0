<?php

use App\Access\Role;
use App\Actions\Cover\TieLine;
use App\Actions\Outside\ComesBack;
use App\Actions\Outside\TypedBack;
use App\Models\Booking;
use App\Models\Consignment;
use App\Models\CustomerOrder;
use App\Models\CustomerOrderLine;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\Supplier;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Outside\Onward;
use KeepPace\Core\Outside\Whose;
use KeepPace\Core\Refused;

/* Chains: pieces go from supplier to supplier and on to the customer without passing the house. */

const CHAIN_FILES = [
    'items.csv' => <<<'CSV'
        number,name,kind,unit,tracking
        PIN-7,Hinge pin,made,pc,
        PIN-8,Hinge pin by lot,made,pc,lot
        CSV,
    'routings.csv' => <<<'CSV'
        item,step,name,work_centre,supplier,run_rate,lead_time_days,price
        PIN-7,10,Harden,,S-03,,3,2.00
        PIN-7,20,Grind,,S-04,,3,3.00
        PIN-7,30,Coat,,S-06,,3,1.00
        PIN-8,10,Turn,TURN,,2,,
        PIN-8,20,Grind,,S-04,,3,3.00
        CSV,
];

beforeEach(function () {
    expect($this->shop->import(CHAIN_FILES))->toBe([]);
    $this->demand = fn (string $item, string $pieces): CustomerOrder => tap(
        $this->shop->customerOrder([$item => $pieces]),
        $this->shop->cover(...),
    );
    $this->orderOf = fn (string $item): Order => tap(
        Order::query()->where('item_id', $this->shop->item($item)->id)->latest('id')->firstOrFail(),
        $this->shop->release(...),
    );
    $this->step = fn (Order $order, int $number): OrderStep => $order->steps()->where('number', $number)->sole();
    $back = fn (string $good, Onward $onward, string $spoiled): TypedBack => new TypedBack(
        $good,
        spoiled: $spoiled,
        reason: $spoiled === '0' ? '' : 'cracked',
        whose: $spoiled === '0' ? null : Whose::Theirs,
        onward: $onward,
    );
    $this->on = fn (OrderStep $step, string $good, Onward $onward, string $spoiled = '0'): Booking => app(
        ComesBack::class,
    )->handle($step->id, $back($good, $onward, $spoiled), $this->shop->sign(Role::Storekeeper));
});

it('goes through three suppliers and to the customer, and never lies here', function () {
    $demand = ($this->demand)('PIN-7', '10');
    $order = ($this->orderOf)('PIN-7');
    [$harden, $grind, $coat] = array_map(fn (int $number) => ($this->step)($order, $number), [10, 20, 30]);
    $this->shop->sendAll($harden);
    ($this->on)($harden, '10', Onward::Supplier);
    $second = Consignment::query()->latest('id')->firstOrFail();
    expect($second->supplier->number)->toBe('S-04')
        ->and($second->from->number)->toBe('S-03')
        ->and($grind->refresh()->taken_in)->toBe('10.000000')
        ->and($this->shop->differences())->toBe([]);
    $this->actingAs($this->shop->as(Role::Storekeeper))->get("/consignments/{$second->id}")
        ->assertSee('straight from Emberfield Heat Treatment');
    ($this->on)($grind, '9', Onward::Supplier, '1');
    $last = ($this->on)($coat, '9', Onward::Customer);
    $line = CustomerOrderLine::query()->where('customer_order_id', $demand->id)->sole();
    expect($line->shipped_quantity)->toBe('9.000000')
        ->and($this->shop->stock('PIN-7')['quantity'])->toBe('0')
        ->and($last->says)->toContain('9 pc PIN-7 Hinge pin received from order')
        ->and($this->shop->differences())->toBe([]);
    // all three works are in the cost of the order: 10 less the one unpaid × 2 and 3, and 9 × 1
    expect((int) DB::table('cost_entries')->where('order_id', $order->id)->where('kind', 'outside')->sum('cents'))
        ->toBe(2000 + 2700 + 900);
    // reversed as one, and booked once more
    $this->shop->reverse($last);
    expect($line->refresh()->shipped_quantity)->toBe('0.000000')
        ->and($coat->refresh()->good)->toBe('0.000000')
        ->and($this->shop->differences())->toBe([]);
    ($this->on)($coat, '9', Onward::Customer);
    expect($line->refresh()->shipped_quantity)->toBe('9.000000')->and($this->shop->differences())->toBe([]);
});

it('takes back what went on to the next supplier only while it is there', function () {
    ($this->demand)('PIN-7', '10');
    $order = ($this->orderOf)('PIN-7');
    $this->shop->sendAll(($this->step)($order, 10));
    $booking = ($this->on)(($this->step)($order, 10), '10', Onward::Supplier);
    $this->shop->back(($this->step)($order, 20), '4', '4');
    expect(fn () => $this->shop->reverse($booking))->toThrow(Refused::class);
    $this->shop->reverse(Booking::query()->where('kind', 'came_back')->latest('id')->firstOrFail());
    $this->shop->reverse($booking);
    expect(($this->step)($order, 20)->taken_in)->toBe('0.000000')
        ->and(($this->step)($order, 10)->good)->toBe('0.000000')
        ->and($this->shop->differences())->toBe([]);
});

it('hands what a supplier has done to the order here that waits for it, and takes it back as one', function () {
    expect($this->shop->import([
        'items.csv' => "number,name,kind,unit\nHINGE-8,Hinge,assembled,pc\n",
        'structures.csv' => "item,position,component,quantity\nHINGE-8,10,PIN-8,2\n",
    ]))->toBe([]);
    $pins = $this->shop->order('PIN-8', '10');
    $this->shop->release($pins);
    $hinges = $this->shop->order('HINGE-8', '4');
    $this->shop->release($hinges);
    $this->shop->report(($this->step)($pins, 10), '10', '10');
    $this->shop->sendAll($grind = ($this->step)($pins, 20));
    $this->actingAs($this->shop->as(Role::Storekeeper))->get("/order-steps/{$grind->id}/back")
        ->assertSee("straight to order {$hinges->number}");
    $booking = ($this->on)($grind, '10', Onward::Waiting);

    expect($this->shop->component($hinges, 'PIN-8')->used_quantity)->toBe('8.000000')
        ->and($pins->refresh()->received()->isEqualTo('10'))->toBeTrue()
        ->and($this->shop->stock('PIN-8', $pins->number)['quantity'])->toBe('2')
        ->and($this->shop->differences())->toBe([]);
    $this->get("/bookings/{$booking->id}/labels.pdf")->assertOk();

    $this->shop->reverse($booking);

    expect($this->shop->component($hinges, 'PIN-8')->used_quantity)->toBe('0.000000')
        ->and($pins->refresh()->received()->isZero())->toBeTrue()
        ->and($grind->refresh()->good)->toBe('0.000000')
        ->and($this->shop->differences())->toBe([]);
});

it('ships a lot that never lay here under the number of its order', function () {
    $demand = ($this->demand)('PIN-8', '6');
    $order = ($this->orderOf)('PIN-8');
    $this->shop->report(($this->step)($order, 10), '6', '6');
    $this->shop->sendAll(($this->step)($order, 20));
    ($this->on)(($this->step)($order, 20), '6', Onward::Customer);
    expect($demand->lines()->sole()->shipped_quantity)->toBe('6.000000')
        ->and($this->shop->stock('PIN-8', $order->number)['quantity'])->toBe('0')
        ->and($this->shop->differences())->toBe([]);
});

it('says why pieces cannot go straight on', function () {
    ($this->demand)('PIN-7', '10');
    $pins = ($this->orderOf)('PIN-7');
    $this->shop->sendAll(($this->step)($pins, 10));
    expect(fn () => ($this->on)(($this->step)($pins, 10), '10', Onward::Customer))
        ->toThrow(Refused::class, 'After step 10 Harden comes step 20 Grind: from here nothing goes to the customer.')
        ->and(fn () => ($this->on)(($this->step)($pins, 10), '0', Onward::Supplier, '10'))
        ->toThrow(Refused::class, 'Type how many are good');
    $shelf = $this->shop->order('PIN-8', '3');
    $this->shop->release($shelf);
    $this->shop->report(($this->step)($shelf, 10), '3', '3');
    $this->shop->sendAll(($this->step)($shelf, 20));
    expect(fn () => ($this->on)(($this->step)($shelf, 20), '3', Onward::Supplier))
        ->toThrow(Refused::class, 'step 20 Grind is the last')
        // made for nobody, and nobody waits
        ->and(fn () => ($this->on)(($this->step)($shelf, 20), '3', Onward::Waiting))
        ->toThrow(Refused::class, 'No released order waits')
        ->and(fn () => ($this->on)(($this->step)($pins, 10), '10', Onward::Waiting))
        ->toThrow(Refused::class, 'they are not done for who waits for them')
        ->and(fn () => ($this->on)(($this->step)($shelf, 20), '3', Onward::Customer))->toThrow(Refused::class);
    expect(Consignment::query()->whereNotNull('from_supplier_id')->exists())->toBeFalse()
        ->and($this->shop->differences())->toBe([]);
});

it('offers where pieces can go, in the form that counts them', function () {
    ($this->demand)('PIN-7', '10');
    $order = ($this->orderOf)('PIN-7');
    $this->shop->sendAll($step = ($this->step)($order, 10));
    $this->actingAs($this->shop->as(Role::Storekeeper))->get("/order-steps/{$step->id}/back")
        ->assertSee('straight on to Truewheel Grinding')->assertDontSee('straight to');
    $this->from('/at-suppliers')->post("/order-steps/{$step->id}/back", [
        'token' => $this->shop->token(),
        'good' => '10',
        'onward' => 'supplier',
    ])->assertSessionHasNoErrors();
    expect(Supplier::query()->find(Consignment::query()->latest('id')->value('supplier_id'))->number)->toBe('S-04');
    $this->post("/order-steps/{$step->id}/back", ['token' => $this->shop->token(), 'good' => '1', 'onward' => 'moon'])
        ->assertSessionHasErrors('onward');
});

it('shows the whole chain of a line, with what to do next', function () {
    DB::table('routing_steps')->where('name', 'Grind')->update(['work_ordered' => 'confirmed']);
    $demand = ($this->demand)('PIN-7', '10');
    $line = $demand->lines()->sole();
    $chain = fn () => $this->actingAs($this->shop->as(Role::Supervisor))->get("/customer-lines/{$line->id}/chain");
    $order = ($this->orderOf)('PIN-7');
    $chain()->assertSee("{$order->number} Hinge pin")->assertSee('0 of 10')->assertSee('10 here, to go')
        ->assertSee('Order the work')->assertSee('orders itself when the one before is confirmed');
    $harden = ($this->step)($order, 10);
    $work = $this->shop->orderWork($harden);
    $chain()->assertSee('Send them out')->assertSee($work->number);
    $this->shop->sendAll($harden);
    $chain()->assertSee('10 there')->assertSee('Have them back');
    $this->travelTo('2026-12-20 09:00');
    $chain()->assertSee('Ask when it comes');
    ($this->on)($harden, '10', Onward::Supplier);
    ($this->on)(($this->step)($order, 20), '10', Onward::Supplier);
    ($this->on)(($this->step)($order, 30), '10', Onward::Customer);
    $chain()->assertSee('10 of 10')->assertSee('Nothing is to be done outside now.');
    $this->get('/customer-lines/999999/chain')->assertNotFound();
});

it('shows what is bought for a line, parts of its parts, and what goes along', function () {
    $line = $this->shop->purchase('P-77', 'CAST-48', '6', '2026-12-04');
    $demand = $this->shop->customerOrder(['CAST-48' => '6', 'EX-9H' => '2']);
    app(TieLine::class)->toPurchase($demand->lines[0]->id, $line->id, '6', $this->shop->sign(Role::Sales));
    $this->shop->goesAlong($line, 'FOOT-1');
    $page = $this->actingAs($this->shop->as(Role::Sales))->get("/customer-lines/{$demand->lines[0]->id}/chain");
    $page->assertSee('P-77')->assertSee('goes along')->assertSee('Have it confirmed')->assertSee('along');
});

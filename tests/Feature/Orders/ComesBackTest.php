<?php

use App\Access\Role;
use App\Actions\Cover\TieLine;
use App\Actions\Orders\ChangeBeside;
use App\Actions\Orders\ChangeOrder;
use App\Actions\Orders\SplitOrder;
use App\Actions\Orders\TypedOutput;
use App\Actions\Stock\ReserveOutput;
use App\Actions\Stock\ScrapStock;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\CustomerOrderLine;
use App\Models\Order;
use App\Models\OrderOutput;
use App\Planner\PlanRound;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\ScrapClass;

/* What comes back of orders beside their product: co-products, by-products, parts that are taken out. */

beforeEach(function (): void {
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,tracking,cost,costing\n"
            ."RING-A,Ring,assembled,pc,none,12,average\n"
            ."LID-A,Lid,assembled,pc,none,5,average\n"
            ."PLATE-A,Plate,bought,pc,none,15,standard\n"
            ."CHIP-A,Chips,bought,kg,none,0.90,average\n"
            ."OLD-A,Old gearbox,bought,pc,serial,25,own\n",
        'structures.csv' => "item,position,component,quantity,comes_back,share_rule,share\n"
            ."RING-A,10,PLATE-A,1,,,\n"
            ."RING-A,20,LID-A,-0.6,co_product,value,\n"
            ."LID-A,10,PLATE-A,1,,,\n"
            ."LID-A,20,CHIP-A,-0.2,by_product,set_value,0.9\n"
            ."LID-A,30,OLD-A,-1,recovered,set_value,25\n",
    ]);
    $this->shop->goodsIn('PLATE-A', '400', '15');
});

/** An order with its plates in it. */
function platedOrder(object $test, string $item, string $quantity): Order
{
    $order = $test->shop->order($item, $quantity);
    $test->shop->release($order);
    $test->shop->issueAll($order->refresh());

    return $order->refresh();
}

function outputOf(object $test, Order $order, string $item): OrderOutput
{
    return OrderOutput::query()
        ->where('order_id', $order->id)
        ->where('item_id', $test->shop->item($item)->id)
        ->firstOrFail();
}

/** @return array{string, int} quantity and value in stock */
function lying(object $test, string $item): array
{
    $row = DB::table('stock_values')->where('item_id', $test->shop->item($item)->id)
        ->selectRaw('SUM(quantity) AS quantity, SUM(value) AS value')
        ->first();

    return [(string) $row->quantity, (int) $row->value];
}

it('takes rings in at their share by value before the lids come, and settles both by what came', function (): void {
    // trade.md, W2: 100 rings of 12.00 and 60 lids of 5.00 for 1,500.00
    $order = platedOrder($this, 'RING-A', '100');
    $lids = outputOf($this, $order, 'LID-A');

    expect($order->plannedCost()->total())->toBe(150_000)
        ->and($lids->planned_quantity)->toBe('60.000000')
        ->and($lids->planned_value)->toBe(30_000);

    $this->shop->receive($order, '40', beside: [$lids->id => new TypedOutput('0')]);

    expect(lying($this, 'RING-A'))->toBe(['40.000000', 48_000])
        ->and(lying($this, 'LID-A')[1])->toBe(0);

    $this->shop->receive($order, '60', beside: [$lids->id => new TypedOutput('60')]);

    expect(lying($this, 'RING-A'))->toBe(['100.000000', 120_000])
        ->and(lying($this, 'LID-A'))->toBe(['60.000000', 30_000]);

    $close = $this->shop->close($order->refresh());

    expect($close->says)->toContain('0.00 variance')
        ->and($this->shop->differences())->toBe([]);

    $this->shop->reverse($close);
    foreach (Booking::query()->where('kind', 'receive')->orderByDesc('id')->get() as $receipt) {
        $this->shop->reverse($receipt);
    }

    expect(lying($this, 'RING-A')[0])->toBe('0.000000')
        ->and(lying($this, 'LID-A')[0])->toBe('0.000000')
        ->and($lids->refresh()->received_quantity)->toBe('0.000000')
        ->and($this->shop->differences())->toBe([]);
});

it('shares what it really cost by good pieces, what is still there and what is gone', function (): void {
    // trade.md, W2: 96 rings and 60 lids for 1,620.00; 56 of the rings and all lids are still there
    $this->shop->import([
        'work-centres.csv' => "code,name,calendar,machines,labour_rate\nPRESS-A,Press,TWO-SHIFT,1,0\n",
        'routings.csv' => "item,step,name,work_centre,setup_minutes,run_basis,run_rate\n"
            ."RING-A,10,Press,PRESS-A,0,min_per_unit,1\n",
    ]);
    $order = platedOrder($this, 'RING-A', '100');
    $lids = outputOf($this, $order, 'LID-A');
    $step = $order->steps()->firstOrFail();
    $none = [$lids->id => new TypedOutput('0')];
    $this->shop->report($step, '40');
    $this->shop->receive($order->refresh(), '40', beside: $none);
    expect(lying($this, 'RING-A'))->toBe(['40.000000', 48_000]);
    app(ScrapStock::class)->handle(
        Balance::query()->where('item_id', $this->shop->item('RING-A')->id)->where('quantity', '>', 0)->sole()->id,
        '40',
        ScrapClass::Handling,
        $this->shop->sign(Role::Storekeeper, 'gone'),
    );
    // eight more plates at 15.00 were spoiled, and with them four rings
    $this->shop->issue($this->shop->component($order, 'PLATE-A'), '8', overPlan: true, reason: 'spoiled');
    $this->shop->report($step->refresh(), '56', scrap: '4');
    $this->shop->receive($order->refresh(), '56', beside: [$lids->id => new TypedOutput('60')]);
    $closed = $this->shop->close($order->refresh());
    expect(lying($this, 'RING-A'))->toBe(['56.000000', 67_200 + 7_775])
        ->and(lying($this, 'LID-A'))->toBe(['60.000000', 30_000 + 3_471])
        ->and($closed->says)->toContain('55.54 variance, 112.46 to stock')
        ->and($this->shop->differences())->toBe([]);
});

it('credits a by-product at its set value as it was weighed, and the product gains or loses the rest', function () {
    // trade.md, W3, with tracked parts that are named or stay to be booked (W15)
    $order = platedOrder($this, 'LID-A', '10');
    $chips = outputOf($this, $order, 'CHIP-A');
    $old = outputOf($this, $order, 'OLD-A');

    // 150.00 less 2 kg at 0.90 and, capped at what is left, ten old ones at 25.00
    expect([$chips->planned_value, $old->planned_value])->toBe([180, 14_820])
        ->and($order->plannedOfProduct())->toBe(0);

    $first = $this->shop->receive($order, '6', beside: [$chips->id => new TypedOutput('1.3')]);

    expect($first->says)->toContain('Still to be booked back: 6 pc OLD-A Old gearbox')
        ->and(lying($this, 'CHIP-A'))->toBe(['1.300000', 117])
        ->and(lying($this, 'LID-A'))->toBe(['6.000000', 0]);

    $named = $this->shop->receive($order, '0', beside: [$old->id => new TypedOutput(codes: "G-1\nG-2\nG-3")]);

    expect($named->says)->toContain("Back from order {$order->number}")->toContain('3 pc OLD-A')
        ->and(lying($this, 'OLD-A'))->toBe(['3.000000', 7_500]);

    // no more than the order has cost: 150.00 - 1.17 - 75.00 are left
    $this->shop->receive($order->refresh(), '4', beside: [
        $old->id => new TypedOutput(codes: 'G-4,G-5,G-6'),
        $chips->id => new TypedOutput('0'),
    ]);

    expect(lying($this, 'OLD-A'))->toBe(['6.000000', 14_883])
        ->and($this->shop->differences())->toBe([]);

    expect(fn () => $this->shop->close($order->refresh()))
        ->toThrow(Refused::class, 'Still to come for order');

    $close = $this->shop->close($order->refresh(), nothingMore: true);

    expect($close->says)->toContain('closed')
        ->and($old->refresh()->given_up_quantity)->toBe('4.000000')
        ->and($this->shop->differences())->toBe([]);

    // found after closing: a gain of the open period
    $found = $this->shop->receive($order->refresh(), '0', beside: [$chips->id => new TypedOutput('0.5')]);

    expect(lying($this, 'CHIP-A'))->toBe(['1.800000', 162])
        ->and((int) DB::table('cost_entries')->where('booking_id', $found->id)->where('kind', 'variance')->sum('cents'))
        ->toBe(45)
        ->and($this->shop->differences())->toBe([]);

    $this->shop->reverse($found);

    expect(lying($this, 'CHIP-A'))->toBe(['1.300000', 117])
        ->and($this->shop->differences())->toBe([]);
});

it('books nothing of an output without its lot, with too many serials, or of one already there', function (): void {
    $order = platedOrder($this, 'LID-A', '4');
    $old = outputOf($this, $order, 'OLD-A');
    $before = Booking::query()->count();

    foreach (
        [
            [new TypedOutput('2'), '2 serials are still to be named'],
            [new TypedOutput('1', "G-1\nG-2"), '2 serials for 1 pieces'],
            [new TypedOutput('2', "G-1\nG-1"), 'named twice'],
        ] as [$typed, $says]
    ) {
        expect(fn () => $this->shop->receive($order, '1', beside: [$old->id => $typed]))
            ->toThrow(Refused::class, $says);
    }

    expect(Booking::query()->count())->toBe($before)
        ->and($order->refresh()->received()->isZero())->toBeTrue();
});

it('is promised to a line and kept for an order before it exists, and they are told when it shrinks', function () {
    $order = $this->shop->order('RING-A', '100');
    $demand = $this->shop->customerOrder(['LID-A' => '50']);
    $line = CustomerOrderLine::query()->where('customer_order_id', $demand->id)->firstOrFail();
    app(TieLine::class)->toOrder($line->id, $order->id, '50', $this->shop->sign(Role::Sales));

    expect((string) $order->unpromisedOf($line->item_id))->toBe('10.000000')
        ->and((string) $order->unpromised())->toBe('100.000000');

    $this->shop->import([
        'items.csv' => "number,name,kind,unit,cost\nBOX-A,Box,assembled,pc,9\n",
        'structures.csv' => "item,position,component,quantity\nBOX-A,10,LID-A,2\n",
    ]);
    $box = $this->shop->order('BOX-A', '5', '2026-12-20');
    $part = $this->shop->component($box, 'LID-A');
    $kept = app(ReserveOutput::class)->handle($part->id, $order->id, '10', $this->shop->sign(Role::Planner));

    expect($kept->says)->toContain("10 pc LID-A Lid of order {$order->number} kept for order {$box->number}");

    $shrunk = app(ChangeOrder::class)->head($order->id, (int) $order->refresh()->version, [
        'quantity' => '90',
        'due_on' => $order->due_on,
        'rank' => $order->rank,
        'is_held' => false,
    ], $this->shop->sign(Role::Supervisor));

    expect($shrunk->says)->toContain("It keeps 6 less for order {$box->number}")
        ->and($this->shop->differences())->toBe([]);

    $this->shop->release($order->refresh());
    $this->shop->issueAll($order->refresh());
    $this->shop->receive($order->refresh(), '90');
    $ties = DB::table('ties')->where('item_id', $line->item_id)->where('quantity', '>', 0);

    expect((clone $ties)->where('demand_kind', 'line')->where('supply_kind', 'stock')->value('quantity'))
        ->toBe('50.000000')
        ->and((clone $ties)->where('demand_kind', 'component')->where('supply_kind', 'stock')->value('quantity'))
        ->toBe('4.000000')
        ->and($this->shop->differences())->toBe([]);
});

it('gives what it was promised for from whichever part of a split order can', function (): void {
    // 100 rings with 60 lids: 50 of them for a customer, 10 kept for five boxes
    $order = $this->shop->order('RING-A', '100');
    $demand = $this->shop->customerOrder(['LID-A' => '50']);
    $line = CustomerOrderLine::query()->where('customer_order_id', $demand->id)->firstOrFail();
    app(TieLine::class)->toOrder($line->id, $order->id, '50', $this->shop->sign(Role::Sales));
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,cost\nBOX-A,Box,assembled,pc,9\n",
        'structures.csv' => "item,position,component,quantity\nBOX-A,10,LID-A,2\n",
    ]);
    $part = $this->shop->component($this->shop->order('BOX-A', '5', '2027-02-20'), 'LID-A');
    app(ReserveOutput::class)->handle($part->id, $order->id, '10', $this->shop->sign(Role::Planner));
    $split = app(SplitOrder::class)->handle(
        $order->id,
        $order->refresh()->version,
        '30',
        $this->shop->sign(Role::Planner),
    );
    $new = Order::query()->where('split_from_id', $order->id)->firstOrFail();
    $tied = fn (Order $of, string $column): array => DB::table('ties')
        ->join('order_outputs AS o', 'o.id', 'ties.output_id')
        ->where('o.order_id', $of->id)
        ->whereNotNull($column)
        ->where('quantity', '>', 0)
        ->get(['quantity', 'is_hard'])
        ->map(fn (object $tie): array => [(float) $tie->quantity, (bool) $tie->is_hard])
        ->all();
    // seventy give 42, thirty give 18: whoever wants them first keeps where they were
    expect($tied($order, 'line_id'))->toBe([[42.0, true]])
        ->and($tied($new, 'line_id'))->toBe([[8.0, true]])
        ->and($tied($order, 'component_id'))->toBe([])
        ->and($tied($new, 'component_id'))->toBe([[10.0, true]])
        ->and($split->says)->not->toContain('less')
        ->and(fn () => $this->shop->reverse($split))->toThrow(Refused::class, 'stays an order of its own')
        ->and($this->shop->differences())->toBe([]);
});

it('refuses a ring of orders that supply one another with what falls out of them', function (): void {
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,cost\nLOOP-1,One,assembled,pc,9\nLOOP-2,Two,assembled,pc,9\n"
            ."FALL-1,Falls out,bought,pc,1\n",
        'structures.csv' => "item,position,component,quantity\n"
            ."LOOP-1,10,LOOP-2,1\nLOOP-1,20,FALL-1,-1\nLOOP-2,10,FALL-1,1\n",
    ]);
    [$one, $two] = [$this->shop->order('LOOP-1', '5'), $this->shop->order('LOOP-2', '5')];
    $keep = fn (Order $for, Order $of, string $item) => app(ReserveOutput::class)->handle(
        $this->shop->component($for, $item)->id,
        $of->id,
        '2',
        $this->shop->sign(Role::Planner),
    );
    $keep($one, $two, 'LOOP-2');

    expect(fn () => $keep($two, $one, 'FALL-1'))->toThrow(Refused::class, 'wait');
});

it('is planned for another order before it is there, with the day of the order that gives it', function (): void {
    $order = $this->shop->order('RING-A', '100');
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,cost\nBOX-A,Box,assembled,pc,9\n",
        'structures.csv' => "item,position,component,quantity\nBOX-A,10,LID-A,2\n",
    ]);
    $box = $this->shop->order('BOX-A', '20');
    app(PlanRound::class)->handle();
    $part = DB::table('plan_components')
        ->where('component_id', $this->shop->component($box, 'LID-A')->id)
        ->first();

    expect($part)->not->toBeNull()
        ->and((string) $part->missing)->toBe('0.000000')
        ->and(json_encode($part))->toContain($order->number);
});

it('plans by hand what comes back of one order, as the pieces go', function () {
    $order = platedOrder($this, 'LID-A', '10');
    $chips = outputOf($this, $order, 'CHIP-A');
    $old = outputOf($this, $order, 'OLD-A');
    $plan = fn (OrderOutput $output, string $quantity) => app(ChangeBeside::class)->handle(
        $output->id,
        $order->refresh()->version,
        $quantity,
        $this->shop->sign(Role::Supervisor),
    );
    expect($plan($chips, '1.5')->says)->toContain('1.5 kg CHIP-A')->toContain('not 2')
        ->and($chips->refresh()->planned_quantity)->toBe('1.500000')
        ->and($chips->baseline_quantity)->toBe('2.000000')
        ->and($chips->planned_value)->toBe(135) // 1.5 kg at 0.90
        ->and($this->shop->differences())->toBe([]);
    // it follows the order: half of the pieces, half of it
    $this->actingAs($this->shop->as(Role::Supervisor))->get("/orders/{$order->id}")
        ->assertSee('the master says 2')->assertSee('Plan this much');
    $this->shop->receive($order->refresh(), '5', beside: [
        $chips->id => new TypedOutput('0.75'),
        $old->id => new TypedOutput(codes: "G-1\nG-2"),
    ]);
    expect(fn () => $plan($old, '1'))->toThrow(Refused::class, '2 came back already')
        ->and(fn () => $plan($old, '2.5'))->toThrow(Refused::class)
        ->and(fn () => $plan($order->output(), '5'))->toThrow(Refused::class, 'change the quantity of the order');
    $this->put("/order-outputs/{$old->id}", [
        'token' => $this->shop->token(),
        'version' => $order->refresh()->version,
        'quantity' => '3',
    ])->assertSessionHasNoErrors();
    expect($old->refresh()->openQuantity()->isEqualTo(1))->toBeTrue()
        ->and($this->shop->differences())->toBe([]);
    $this->actingAs($this->shop->as(Role::Operator))->put("/order-outputs/{$old->id}", [
        'token' => $this->shop->token(),
        'version' => $order->refresh()->version,
        'quantity' => '4',
    ])->assertForbidden();
});

it('tells whom it was promised to when fewer are planned to come back', function () {
    $order = $this->shop->order('RING-A', '100');
    $demand = $this->shop->customerOrder(['LID-A' => '50']);
    $line = CustomerOrderLine::query()->where('customer_order_id', $demand->id)->firstOrFail();
    app(TieLine::class)->toOrder($line->id, $order->id, '50', $this->shop->sign(Role::Sales));
    $lids = outputOf($this, $order, 'LID-A');
    $says = app(ChangeBeside::class)
        ->handle($lids->id, (int) $order->refresh()->version, '45', $this->shop->sign(Role::Supervisor))->says;
    expect($says)->toContain('45 pc LID-A')
        ->and($says)->toContain("It covers 5 less of {$demand->number} line 10")
        ->and((int) DB::table('ties')->where('output_id', $lids->id)->sum('quantity'))->toBe(45)
        ->and($this->shop->differences())->toBe([]);
});

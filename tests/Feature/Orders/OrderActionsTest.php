<?php

use App\Access\Role;
use App\Actions\Orders\AddedComponent;
use App\Actions\Orders\ChangeComponents;
use App\Actions\Orders\ChangedMeanwhile;
use App\Actions\Orders\ChangeOrder;
use App\Actions\Orders\ChangeSteps;
use App\Books\Signed;
use App\Models\Order;
use App\Models\StructureLine;
use App\Models\WorkCentre;
use App\Wording\Figures;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\Rates;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Refused;

it('copies structure and routing, phantoms passed through', function () {
    $order = $this->shop->order('EX-9H', '3');
    $bolts = $order->components->first(fn ($component) => $component->item->number === 'BOLT-8');
    expect($bolts->planned_quantity)->toBe('6.000000')
        ->and($order->components->pluck('item.number')->contains('FIX-KIT'))->toBeFalse();
    StructureLine::query()->update(['quantity' => 99]);
    expect($order->refresh()->components()->where('item_id', $bolts->item_id)->value('planned_quantity'))->toBe(
        '6.000000',
    );
});

it('releases only with all the reasons gone, or short by name and reason', function () {
    $order = $this->shop->order('EX-20E', '40');
    expect(fn () => $this->shop->release($order, null))->toThrow(Refused::class, 'short of');
    expect($order->refresh()->state)->toBe(OrderState::Firm)
        ->and(DB::table('bookings')->where('kind', 'release')->exists())->toBeFalse();
    $this->shop->release($order, 'the rest comes on Friday');
    expect($order->refresh()->short_reason)->toBe('the rest comes on Friday')->and($order->released_by)
        ->toBe($this->shop->as(Role::Supervisor)->id);
    expect(fn () => $this->shop->release($order))->toThrow(Refused::class, 'released already');
});

it('releases all of a selection or none', function () {
    $good = $this->shop->order('TRAY-40', '2');
    $bad = $this->shop->order('EX-20E', '40');
    $response = $this->actingAs($this->shop->as(Role::Supervisor))->from('/release')
        ->post('/release', ['token' => 't', 'orders' => [$good->id, $bad->id]]);
    $response->assertRedirect('/release')->assertSessionHasErrors('refused');
    expect($good->refresh()->state)->toBe(OrderState::Firm);
});

it('changes quantity with components and time, and keeps the difference to the master', function () {
    $order = $this->shop->order('TRAY-40', '10');
    $change = app(ChangeOrder::class);
    $components = app(ChangeComponents::class);
    $by = $this->shop->as(Role::Planner);
    $feet = $order->components->first(fn ($component) => $component->item->number === 'FOOT-1');
    $components->change($feet->id, $order->version, '50', new Signed('c1', $by));
    $change->head(
        $order->id,
        $order->refresh()->version,
        ['quantity' => '20', 'due_on' => '2026-12-15', 'rank' => 100, 'is_held' => false],
        new Signed('c2', $by),
    );
    $order->refresh();
    // 20 x 1.1 m2 at 3 % scrap = 22.6804..., rounded up at the unit's 4 decimals; what was planned by hand goes along
    $sheet = $order->components()->whereRelation('item', 'number', 'SS-15')->firstOrFail();
    expect($sheet->planned_quantity)->toBe('22.680500')->and($feet->refresh()->planned_quantity)->toBe('100.000000')
        ->and($feet->baseline_quantity)->toBe('80.000000');
    expect($order->steps()->first()->planned_minutes)->toBe(140)
        ->and($order->steps()->first()->baseline_minutes)->toBe(80);
    expect(DB::table('order_changes')->where('order_id', $order->id)->pluck('what')->all())
        ->toContain('quantity', 'due', 'rank', 'component FOOT-1');
    expect(StructureLine::query()->where('quantity', '4')->exists())->toBeTrue();
});

it('lets quantity down only as far as pieces have not begun', function () {
    $order = $this->shop->order('TRAY-40', '10');
    $this->shop->release($order);
    $this->shop->report($order->steps[0], '6', '6');
    $rest = ['due_on' => null, 'rank' => 500, 'is_held' => false];
    $to = fn (string $quantity): array => ['quantity' => $quantity, ...$rest];
    expect(
        fn () => app(ChangeOrder::class)->head(
            $order->id,
            $order->refresh()->version,
            $to('5'),
            $this->shop->sign(Role::Planner, token: 'q1'),
        ),
    )->toThrow(Refused::class, 'Only 4');
    app(ChangeOrder::class)->head(
        $order->id,
        $order->refresh()->version,
        $to('7'),
        $this->shop->sign(Role::Planner, token: 'q2'),
    );
    expect($this->shop->differences())->toBe([]);
});

it('tells who changed an order meanwhile and overwrites nothing', function () {
    $order = $this->shop->order('TRAY-40', '10');
    $seen = $order->version;
    $to = ['quantity' => '11', 'due_on' => '2026-12-10', 'rank' => 500, 'is_held' => false];
    app(ChangeOrder::class)->head($order->id, $seen, $to, $this->shop->sign(Role::Planner, token: 'm1'));
    expect(
        fn () => app(ChangeOrder::class)->head(
            $order->id,
            $seen,
            [...$to, 'quantity' => '12'],
            $this->shop->sign(Role::Supervisor, token: 'm2'),
        ),
    )->toThrow(ChangedMeanwhile::class, 'Planner changed this meanwhile');
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->from("/orders/{$order->id}")
        ->put("/orders/{$order->id}", ['token' => 'm3', 'version' => $seen, 'quantity' => '12', 'rank' => 500])
        ->assertRedirect("/orders/{$order->id}")
        ->assertSessionHasErrors('refused')
        ->assertSessionHasInput('quantity', '12');
    expect(Order::query()->find($order->id)->quantity)->toBe('11.000000');
});

it('adds, changes and refuses components and steps', function () {
    $order = $this->shop->order('TRAY-40', '10');
    $components = app(ChangeComponents::class);
    $steps = app(ChangeSteps::class);
    $by = $this->shop->as(Role::Planner);
    $components->add(
        $order->id,
        $order->version,
        new AddedComponent($this->shop->item('FOOT-1')->id, new TypedQuantity('2', 'box'), 30),
        new Signed('a1', $by),
    );
    expect($order->components()->reorder('id', 'desc')->first()->planned_quantity)->toBe('48.000000');
    expect(
        fn () => $components->add(
            $order->id,
            $order->refresh()->version,
            new AddedComponent($this->shop->item('WIRE-1')->id, new TypedQuantity('1'), 30),
            new Signed('a2', $by),
        ),
    )
        ->toThrow(Refused::class, 'never issued')
        ->and(
            fn () => $components->add(
                $order->id,
                $order->refresh()->version,
                new AddedComponent($this->shop->item('FOOT-1')->id, new TypedQuantity('1', 'kg'), 30),
                new Signed('a3', $by),
            ),
        )
        ->toThrow(Refused::class, 'not counted in kg')
        ->and(
            fn () => $components->add(
                $order->id,
                $order->refresh()->version,
                new AddedComponent($this->shop->item('FOOT-1')->id, new TypedQuantity('1'), 35),
                new Signed('a4', $by),
            ),
        )
        ->toThrow(Refused::class, 'no step 35');
    $step = $order->steps()->first();
    $steps->change(
        $step->id,
        $order->refresh()->version,
        ['work_centre_id' => $step->work_centre_id, 'setup_minutes' => '5', 'run_rate' => '2'],
        [],
        new Signed('a5', $by),
    );
    expect($step->refresh()->planned_minutes)->toBe(25);
});

it('takes another overhead on an order, with a reason, from the next count on', function () {
    $order = $this->shop->order('TRAY-40', '5');
    $step = $order->steps[0];
    $change = fn (array $overheads, array $over = []) => $this->from("/orders/{$order->id}")
        ->put("/order-steps/{$step->id}", [
            'token' => uniqid(),
            'version' => $order->refresh()->version,
            'work_centre_id' => $step->work_centre_id,
            'setup_minutes' => $step->setup_minutes,
            'run_rate' => $step->run_rate,
            ...$overheads,
            ...$over,
        ]);
    $this->actingAs($this->shop->as(Role::Planner));
    $other = ['overhead_percent' => '40', 'overhead_hour' => '6', 'overhead_piece' => '0.5'];
    $why = ['reason' => 'the customer lends the fixture'];
    $change($other, $why)->assertSessionHasErrors(['overhead_percent']);
    $this->shop->release($order);
    $this->shop->report($step, '1', '1', over: ['minutes' => 60]);
    $change($other)->assertSessionHasErrors(['reason' => 'Say why step 10 has another overhead than its work centre.']);
    $change(['overhead_piece' => '-1'], $why)->assertSessionHasErrors(['overhead_piece']);
    $change($other, $why)->assertSessionHasNoErrors();
    $this->shop->report($step->refresh(), '2', '2', over: ['minutes' => 60]);

    $overhead = DB::table('cost_entries')->where('order_id', $order->id)->where('kind', 'overhead')->orderBy('id');
    // 40 % of 32.00; then an hour at 6.00 and two pieces at 0.50 on top
    expect($overhead->pluck('cents')->all())->toBe([1280, 1280 + 600 + 100])
        ->and($this->shop->differences())->toBe([]);
    $this->get("/orders/{$order->id}")->assertSee('step 10, overhead piece')->assertSee('the customer lends');
});

it('leaves the overhead to the work centre a step moves to', function () {
    $order = $this->shop->order('TRAY-40', '5');
    $this->shop->release($order);
    $step = $order->steps[0]->refresh();
    $bench = WorkCentre::query()->where('code', 'BENCH')->firstOrFail();
    $this->actingAs($this->shop->as(Role::Planner))->put("/order-steps/{$step->id}", [
        'token' => 'moved',
        'version' => $order->refresh()->version,
        'work_centre_id' => $bench->id,
        'setup_minutes' => $step->setup_minutes,
        'run_rate' => $step->run_rate,
        'overhead_percent' => '40',
        'overhead_hour' => '0',
        'overhead_piece' => '0',
    ])->assertSessionHasNoErrors();
    expect($step->refresh()->rates())->toEqual(new Rates('31.0000', '4.0000', '35.0000', '0.0000', '0.0000'));
});

it('cancels what has not begun and frees its cover', function () {
    $customerOrder = $this->shop->customerOrder(['TRAY-40' => '5']);
    $this->shop->cover($customerOrder);
    $order = Order::query()->latest('id')->firstOrFail();
    app(ChangeOrder::class)->cancel(
        $order->id,
        $order->version,
        $this->shop->sign(Role::Planner, 'customer asked for another', 'x1'),
    );
    expect($order->refresh()->state)->toBe(OrderState::Cancelled)
        ->and((float) DB::table('ties')->sum('quantity'))->toBe(0.0)
        ->and($this->shop->differences())->toBe([]);
});

it('closes only what is built', fn () => $this->shop->close($this->shop->order('TRAY-40', '1')))
    ->throws(Refused::class, 'Only a built order');

it('puts a step in where no pieces have been, and takes one out', function () {
    $order = $this->shop->order('TRAY-40', '10');
    $this->shop->release($order);
    $this->shop->report($order->steps[0], '4', '4');
    $steps = app(ChangeSteps::class);
    $by = $this->shop->as(Role::Planner);
    $new = fn (int $number): array => [
        'number' => $number,
        'name' => 'Polish',
        'work_centre_id' => (int) $order->steps[0]->work_centre_id,
        'setup_minutes' => '10',
        'run_rate' => '1.5',
    ];
    expect(fn () => $steps->add($order->id, $order->refresh()->version, $new(20), new Signed('s1', $by)))
        ->toThrow(Refused::class, 'has a step 20 already')
        ->and(fn () => $steps->add($order->id, $order->refresh()->version, $new(15), new Signed('s2', $by)))
        ->toThrow(Refused::class, 'have reached step 20');
    $steps->add($order->id, $order->refresh()->version, $new(25), new Signed('s3', $by));
    $polish = $order->steps()->where('number', 25)->firstOrFail();
    expect($polish->planned_minutes)->toBe(25)
        ->and($polish->baseline_minutes)->toBe(0)
        ->and($polish->labour_rate)->not->toBeNull();
    expect(fn () => $steps->remove($order->steps[1]->id, $order->refresh()->version, new Signed('s4', $by)))->toThrow(
        Refused::class,
        'have reached',
    );
    $component = $order->components()->firstOrFail();
    $component->update(['step_number' => 25]);
    $steps->remove($polish->id, $order->refresh()->version, new Signed('s5', $by));
    expect($component->refresh()->step_number)->toBe(30)
        ->and($order->steps()->count())->toBe(3)
        ->and($this->shop->differences())->toBe([])
        ->and(DB::table('order_changes')->where('order_id', $order->id)->where('what', 'step 25')->count())->toBe(2);
    $this->shop->report($order->steps()->where('number', 20)->firstOrFail(), '4', '4');
    expect(fn () => $steps->remove(
        $order->steps()->get()->last()->id,
        $order->refresh()->version,
        new Signed('s6', $by),
    ))
        ->toThrow(Refused::class, 'have reached');
});

it('keeps the planned cost of a released order in proportion when its quantity changes', function () {
    $order = $this->shop->order('LID-9', '10');
    $this->shop->release($order);
    $before = $order->refresh()->plannedCost();
    app(ChangeOrder::class)->head(
        $order->id,
        $order->version,
        ['quantity' => '20', 'due_on' => null, 'rank' => 500, 'is_held' => false],
        $this->shop->sign(Role::Planner, token: 'p1'),
    );
    $after = $order->refresh()->plannedCost();
    // material twice as much; time is setup once and run twice
    expect($after->material)->toBe(2 * $before->material)
        ->and($after->labour)->toBeGreaterThan($before->labour)
        ->and($after->labour)->toBeLessThan(2 * $before->labour);
});

it('says no planned cost before there is one', function () {
    $order = $this->shop->order('LID-9', '10');
    $this->actingAs($this->shop->as(Role::CostClerk));
    $says = 'What it is to cost is set when it is released.';
    $this->get("/orders/{$order->id}")->assertOk()->assertSee($says);
    $this->shop->release($order);
    $planned = Figures::money($order->refresh()->plannedCost()->total());

    expect($order->plannedCost()->total())->toBeGreaterThan(0);
    $this->get("/orders/{$order->id}")->assertOk()->assertDontSee($says)->assertSee($planned);
});

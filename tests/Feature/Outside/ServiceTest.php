<?php

use App\Access\Role;
use App\Actions\Outside\ComesBack;
use App\Actions\Outside\TypedBack;
use App\Actions\Purchasing\AnswerPurchase;
use App\Actions\Purchasing\OrderWork;
use App\Actions\Purchasing\RaiseWork;
use App\Actions\Purchasing\RewritePurchase;
use App\Actions\Purchasing\SendPurchase;
use App\Actions\Purchasing\TypedLine;
use App\Actions\Purchasing\TypedSending;
use App\Actions\Purchasing\WorkElsewhere;
use App\Models\Consignment;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\Plan;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Models\Routing;
use App\Models\Supplier;
use App\Models\SupplierItem;
use App\Shop\Deliveries;
use App\Shop\RolledUp;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\PurchaseState;
use KeepPace\Core\Refused;
use KeepPace\Core\Routing\WorkOrdered;
use Tests\Support\ItemPage;

/*
 * Services: work of suppliers as items, with terms of each supplier. Prices go by what is gathered when it is cut off
 * (trade.md W1); the figures are from memory.
 */

const SERVICE_FILES = [
    'items.csv' => <<<'CSV'
        number,name,kind,unit,usual_lot
        HARDEN-60,Harden to 60 HRC,outside,pc,
        GRIND-H6,Grind to H6,outside,pc,
        JAW-1,Clamping jaw,made,pc,25
        CSV,
    'supplier-items.csv' => <<<'CSV'
        item,supplier,number,minimum,lead_time_days,prices,over_percent,setup_charge,least_charge
        HARDEN-60,S-03,H60,,4,2.00 20:1.80 50:1.50,,15.00,30.00
        HARDEN-60,S-05,,,2,2.40,,,
        CSV,
    'routings.csv' => <<<'CSV'
        item,step,name,work_centre,supplier,run_rate,lead_time_days,price,service,work_ordered
        JAW-1,10,Mill,MILL,,5,,,,
        JAW-1,20,Harden,,S-03,,9,7.00,HARDEN-60,
        JAW-1,30,Grind,,S-04,,3,3.00,,confirmed
        CSV,
];

beforeEach(function () {
    expect($this->shop->import(SERVICE_FILES))->toBe([]);
    $this->jaws = fn (string $pieces): Order => $this->shop->order('JAW-1', $pieces);
    $this->step = fn (Order $order, int $number): OrderStep => $order->steps()->where('number', $number)->sole();
    $this->supplier = fn (string $number): Supplier => Supplier::query()->where('number', $number)->sole();
    $this->elsewhere = fn (OrderStep $step, string $supplier) => app(WorkElsewhere::class)->handle(
        $step->id,
        $step->order()->firstOrFail()->version,
        ($this->supplier)($supplier)->id,
        $this->shop->sign(Role::Buyer),
    );
});

it('takes price, charges and days of a step from what is agreed for its service', function () {
    $step = ($this->step)(($this->jaws)('20'), 20);
    expect([$step->price, $step->setup_cents, $step->minimum_cents, $step->lead_time_days])
        ->toBe(['1.800000', 1500, 3000, 4])
        // what names no service stays as its routing says
        ->and(($this->step)(Order::query()->latest('id')->firstOrFail(), 30)->only(['price', 'lead_time_days']))
        ->toBe(['price' => '3.000000', 'lead_time_days' => 3]);
    // 25 at 1.80 and the set-up, 25 at 3.00: of the usual lot
    $rolled = RolledUp::of([$this->shop->item('JAW-1')->id])->cost->of('JAW-1');
    expect((string) $rolled->work->outside)->toBe((string) (4500 + 1500 + 7500));
});

it('counts days on the way beside those the supplier takes', function () {
    $this->shop->import([
        'supplier-items.csv' => "item,supplier,number,lead_time_days,transport_days,prices\n"
            ."HARDEN-60,S-03,H60,4,2,2.00\n",
        'items.csv' => "number,name,kind,unit\nJAW-2,Clamping jaw of two,made,pc\n",
        'routings.csv' => "item,step,name,work_centre,supplier,run_rate,lead_time_days,transport_days,price,service\n"
            ."JAW-2,10,Mill,MILL,,5,,,,\nJAW-2,20,Harden,,S-03,,9,3,7.00,HARDEN-60\nJAW-2,30,Grind,,S-04,,3,1,3.00,\n",
    ]);
    $order = tap($this->shop->order('JAW-2', '5'), $this->shop->release(...));
    [$harden, $grind] = [($this->step)($order, 20), ($this->step)($order, 30)];
    // as agreed for the service, and as the step says where nothing is
    expect($harden->only(['lead_time_days', 'transport_days', 'planned_minutes']))
        ->toBe(['lead_time_days' => 4, 'transport_days' => 2, 'planned_minutes' => 6 * 1440])
        ->and($grind->only(['lead_time_days', 'transport_days', 'planned_minutes']))
        ->toBe(['lead_time_days' => 3, 'transport_days' => 1, 'planned_minutes' => 4 * 1440]);
    // the plan has it away so long, one day after the other: he has no calendar
    $plan = DB::table('plan_steps')->where('plan_id', Plan::LIVE)->where('order_step_id', $harden->id);
    $planned = $plan->sole();
    expect(CarbonImmutable::parse($planned->start_at)->diffInDays($planned->end_at))->toEqual(6)
        // and so does who sends it
        ->and(Deliveries::now()->backFrom(CarbonImmutable::now(), $harden->supplier_id, $harden->daysAway()))
        ->toStartWith('2026-11-30');
    // another supplier's way is another: what is agreed with him is taken whole
    ($this->elsewhere)($harden, 'S-05');
    expect($harden->refresh()->only(['lead_time_days', 'transport_days']))
        ->toBe(['lead_time_days' => 2, 'transport_days' => 0]);
    // terms that say the way alone leave the days there to the step
    SupplierItem::query()->where('item_id', $this->shop->item('HARDEN-60')->id)
        ->where('supplier_id', ($this->supplier)('S-03')->id)
        ->update(['lead_time_days' => 0]);
    expect(($this->step)($this->shop->order('JAW-2', '1'), 20)->only(['lead_time_days', 'transport_days']))
        ->toBe(['lead_time_days' => 9, 'transport_days' => 2]);
    $routing = Routing::query()->where('item_id', $this->shop->item('JAW-2')->id)->sole();
    $this->actingAs($this->shop->as(Role::Planner))->get("/routings/{$routing->id}?pieces=5")->assertSee('11 days');
    SupplierItem::query()->where('item_id', $this->shop->item('HARDEN-60')->id)
        ->where('supplier_id', ($this->supplier)('S-03')->id)
        ->update(['lead_time_days' => 4]);
    $this->actingAs($this->shop->as(Role::Planner))->get("/routings/{$routing->id}?pieces=5")
        ->assertSee('6 days')->assertSee('4 days');
    $file = $this->post('/take-out', ['token' => $this->shop->token(), 'format' => 'csv', 'kinds' => ['routings']])
        ->assertDownload()->baseResponse->getFile()->getPathname();
    expect((string) file_get_contents($file))->toContain(',HARDEN-60,3');
});

it('takes days on the way on the page of a service only, and within bounds', function () {
    $harden = $this->shop->item('HARDEN-60');
    $send = fn (string $item, string $days) => ItemPage::change($this, $item, [
        'sources' => [[
            'supplier' => (string) ($this->supplier)('S-03')->id,
            'lead_time_days' => '4',
            'transport_days' => $days,
        ]],
    ]);
    $send('HARDEN-60', '61')->assertSessionHasErrors('sources.0.transport_days');
    $send('HARDEN-60', 'two')->assertSessionHasErrors('sources.0.transport_days');
    $send('BRG-25', '2')->assertSessionHasErrors('sources.0.transport_days');
    $send('HARDEN-60', '2')->assertSessionHasNoErrors();
    $terms = SupplierItem::query()
        ->where('item_id', $harden->id)
        ->where('supplier_id', ($this->supplier)('S-03')->id)
        ->sole();
    expect($terms->transport_days)->toBe(2)->and($terms->daysAway())->toBe(6);
    $this->get("/items/{$harden->id}")->assertSee('2 on the way');
});

it('shows on the routing what is agreed, and gives it out to who may see money', function () {
    $routing = Routing::query()->where('item_id', $this->shop->item('JAW-1')->id)->sole();
    $this->actingAs($this->shop->as(Role::Planner))->get("/routings/{$routing->id}?pieces=50")
        ->assertSee('HARDEN-60')->assertSee('1.50 € each, set-up 15.00 €, at least 30.00 €')->assertSee('4 days');
    $take = fn (Role $role): string => (string) file_get_contents($this->actingAs($this->shop->as($role))
        ->post('/take-out', ['token' => $this->shop->token(), 'format' => 'csv', 'kinds' => ['supplier-items']])
        ->assertDownload()->baseResponse->getFile()->getPathname());
    expect($take(Role::Planner))->toContain('HARDEN-60,S-03,H60,0,4,"2 20:1.8 50:1.5",,15,30')
        ->and($take(Role::Operator))->not->toContain('1.8')->not->toContain('15,30');
});

it('gathers at the price of all that is gathered, and leaves a price that was typed', function () {
    [$one, $two] = [($this->step)(($this->jaws)('15'), 20), ($this->step)(($this->jaws)('10'), 20)];
    $this->shop->release($one->order);
    $this->shop->release($two->order);
    $first = $this->shop->orderWork($one, $two);
    expect($first->lines()->orderBy('id')->pluck('price')->all())->toBe(['1.800000', '1.800000'])
        ->and($first->lines()->sum('setup_cents'))->toBe('3000'); // each line says it; it is charged once
    $this->actingAs($this->shop->as(Role::Buyer))->get("/purchases/{$first->id}")->assertSee('60.00 €');
    // typed on the draft: another price than any agreed
    $third = ($this->step)(($this->jaws)('5'), 20);
    $this->shop->release($third->order);
    app(OrderWork::class)->handle([$third->id], $this->shop->sign(Role::Buyer));
    $line = PurchaseLine::query()->where('order_step_id', $third->id)->sole();
    expect($line->price)->toBe('2.000000');
    $line->update(['price' => '1.10']);
    $this->shop->orderWork(($this->step)(tap(($this->jaws)('30'), $this->shop->release(...)), 20));
    expect($line->refresh()->price)->toBe('1.100000')
        ->and(PurchaseLine::query()->latest('id')->firstOrFail()->price)->toBe('1.800000')
        ->and($this->shop->differences())->toBe([]);
});

it('has a step done by another supplier on his terms, ordered anew', function () {
    $order = tap(($this->jaws)('12'), $this->shop->release(...));
    $step = ($this->step)($order, 20);
    $was = $this->shop->orderWork($step);
    $booking = ($this->elsewhere)($step, 'S-05');
    $step->refresh();
    $line = PurchaseLine::query()->where('order_step_id', $step->id)->latest('id')->firstOrFail();
    expect($step->supplier->number)->toBe('S-05')
        ->and([$step->price, $step->setup_cents, $step->lead_time_days])->toBe(['2.400000', 0, 2])
        ->and($was->refresh()->state)->toBe(PurchaseState::Cancelled)
        ->and($was->changed_on)->not->toBeNull() // he has to be told
        ->and([$line->quantity, $line->price, $line->is_draft])->toBe(['12.000000', '2.400000', true])
        ->and($booking->says)->toContain('is done by Clearpass Surface Works, not by Emberfield Heat Treatment')
        ->and($this->shop->differences())->toBe([]);
    // from its page
    $this->actingAs($this->shop->as(Role::Planner))->get("/orders/{$order->id}")
        ->assertSee('Emberfield Heat Treatment, 2.00 € each, 4 days');
    $this->put("/order-steps/{$step->id}/supplier", [
        'token' => $this->shop->token(),
        'version' => $order->refresh()->version,
        'supplier' => ($this->supplier)('S-03')->id,
    ])->assertSessionHasNoErrors();
    expect($step->refresh()->supplier->number)->toBe('S-03');
});

it('gathers anew where a draft is changed', function () {
    [$one, $two] = [($this->step)(($this->jaws)('15'), 20), ($this->step)(($this->jaws)('10'), 20)];
    $this->shop->release($one->order);
    $this->shop->release($two->order);
    app(OrderWork::class)->handle([$one->id, $two->id], $this->shop->sign(Role::Buyer));
    $lines = PurchaseLine::query()->whereIn('order_step_id', [$one->id, $two->id])->orderBy('id')->get();
    $typed = $lines->mapWithKeys(fn (PurchaseLine $line): array => [
        $line->id => new TypedLine($line->order_step_id === $two->id ? '2' : '15', $line->price, $line->expected_on),
    ]);
    $order = PurchaseOrder::query()->findOrFail($lines[0]->purchase_order_id);
    app(RewritePurchase::class)->handle($order->id, $order->version, $typed->all(), '', $this->shop->sign(Role::Buyer));
    expect($lines->map(fn (PurchaseLine $line): string => $line->refresh()->price)->all())
        ->toBe(['2.000000', '2.000000']);
});

it('leaves the price of what was cut off, and gathers anew what was not', function () {
    [$one, $two] = [($this->step)(($this->jaws)('15'), 20), ($this->step)(($this->jaws)('10'), 20)];
    $this->shop->release($one->order);
    $this->shop->release($two->order);
    app(OrderWork::class)->handle([$one->id, $two->id], $this->shop->sign(Role::Buyer));
    $price = fn (): string => PurchaseLine::query()->where('order_step_id', $one->id)->sole()->price;
    expect($price())->toBe('1.800000');
    ($this->elsewhere)($two, 'S-05');
    expect($price())->toBe('2.000000');
    ($this->elsewhere)($two->refresh(), 'S-03');
    $draft = PurchaseOrder::query()->whereRelation('lines', 'order_step_id', $one->id)->sole();
    expect($price())->toBe('1.800000');
    app(SendPurchase::class)->handle(
        $draft->id,
        $draft->version,
        new TypedSending(null, ''),
        $this->shop->sign(Role::Buyer),
    );
    ($this->elsewhere)($two->refresh(), 'S-05');
    expect($price())->toBe('1.800000')->and($this->shop->differences())->toBe([]);
});

it('refuses another supplier while pieces are with the first, and one who does it already', function () {
    $order = tap(($this->jaws)('12'), $this->shop->release(...));
    $this->shop->report(($this->step)($order, 10), '12', '12');
    $step = ($this->step)($order, 20);
    expect(fn () => ($this->elsewhere)($step, 'S-03'))
        ->toThrow(Refused::class, 'Emberfield Heat Treatment does step 20 Harden already');
    $this->shop->sendOut($step, '5');
    expect(fn () => ($this->elsewhere)($step->refresh(), 'S-05'))
        ->toThrow(Refused::class, '5 of step 20 Harden are with Emberfield Heat Treatment')
        ->and(fn () => ($this->elsewhere)(($this->step)($order, 10), 'S-05'))->toThrow(Refused::class);
    // back as they went they can go to the other
    app(ComesBack::class)->handle($step->id, new TypedBack('0', unworked: '5'), $this->shop->sign(Role::Storekeeper));
    ($this->elsewhere)($step->refresh(), 'S-05');
    $this->shop->sendOut($step->refresh(), '12');
    expect(Consignment::query()->latest('id')->firstOrFail()->supplier->number)->toBe('S-05')
        ->and($this->shop->differences())->toBe([]);
});

it('orders no service of a supplier who has no price for it', function () {
    $order = tap(($this->jaws)('12'), $this->shop->release(...));
    $step = ($this->step)($order, 20);
    SupplierItem::of($step->service_item_id, $step->supplier_id)->prices()->delete();
    $step->update(['price' => '0']);
    expect(fn () => $this->shop->orderWork($step))
        ->toThrow(Refused::class, 'Emberfield Heat Treatment has no price for HARDEN-60 Harden to 60 HRC.');
    expect(PurchaseOrder::query()->where('kind', 'service')->count())->toBe(0);
});

it('orders the next of a chain when the one before it is confirmed', function () {
    $order = tap(($this->jaws)('12'), $this->shop->release(...));
    $step = ($this->step)($order, 20);
    expect(app(RaiseWork::class)->due())->toBe(0);
    $work = $this->shop->orderWork($step);
    expect(app(RaiseWork::class)->due())->toBe(0);
    app(AnswerPurchase::class)->handle(
        $work->id,
        $work->version,
        [$work->lines()->sole()->id => new TypedLine('12', '2', '2026-12-01')],
        '',
        $this->shop->sign(Role::Buyer),
    );
    $next = PurchaseLine::query()->where('order_step_id', ($this->step)($order, 30)->id)->sole();
    expect($next->is_draft)->toBeTrue()
        ->and($next->quantity)->toBe('12.000000')
        ->and(($this->step)($order, 30)->work_ordered)->toBe(WorkOrdered::AfterBefore);
});

it('says at its row or field what is wrong with a service', function () {
    $bad = [
        str_replace('JAW-1,10', 'JAW-1,5', SERVICE_FILES['routings.csv']),
        'JAW-1,40,Mark,MILL,,1,,,HARDEN-60,',
        'JAW-1,50,Plate,,S-04,,3,1,JAW-1,',
    ];
    // a step done here may name who else could do it
    expect($this->shop->import(['routings.csv' => implode("\n", $bad)]))
        ->toBe(['routings.csv line 6, service: JAW-1 is made, no outside service.']);
    $sold = ['supplier' => (string) ($this->supplier)('S-01')->id, 'prices' => '5'];
    ItemPage::change($this, 'SS-15', ['sources' => [[...$sold, 'setup_charge' => '15']]])
        ->assertSessionHasErrors([
            'sources.0.setup_charge' => 'Only an outside service is charged so: leave it empty.',
        ]);
    ItemPage::change($this, 'HARDEN-60', ['sources' => [[...$sold, 'setup_charge' => '15', 'least_charge' => '-1']]])
        ->assertSessionHasErrors('sources.0.least_charge');
    ItemPage::change($this, 'HARDEN-60', ['sources' => [[...$sold, 'setup_charge' => '15', 'least_charge' => '40']]])
        ->assertSessionHasNoErrors();
    $terms = SupplierItem::query()->where('item_id', $this->shop->item('HARDEN-60')->id)->sole();
    expect([$terms->setup_cents, $terms->minimum_cents])->toBe([1500, 4000]);
    $this->get('/items/'.$terms->item_id)->assertSee('set-up 15.00')->assertSee('5, set-up 15.00, at least 40.00');
});

/* trade.md W1: the price goes by all that is gathered; what an ended order gives up is gathered no more. */
it('gathers anew when an order whose work is on the draft is cancelled', function () {
    $orders = [($this->jaws)('12'), ($this->jaws)('10')];
    array_map($this->shop->release(...), $orders);
    $steps = array_map(fn (Order $order): int => ($this->step)($order, 20)->id, $orders);
    app(OrderWork::class)->handle($steps, $this->shop->sign(Role::Buyer));
    $lines = PurchaseLine::query()->whereIn('order_step_id', $steps)->orderBy('id');
    $price = fn (): array => $lines->pluck('price')->all();
    expect($price())->toBe(['1.800000', '1.800000']); // 22 of them
    $this->actingAs($this->shop->as(Role::Supervisor))->delete("/orders/{$orders[0]->id}", [
        'token' => 'c', 'version' => $orders[0]->refresh()->version, 'reason' => 'withdrawn',
    ])->assertSessionHas('done');
    expect($price()[1])->toBe('2.000000') // 10 of them
        ->and($this->shop->differences())->toBe([]);
});

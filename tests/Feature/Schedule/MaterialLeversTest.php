<?php

use App\Access\Role;
use App\Actions\Purchasing\PartSooner;
use App\Actions\Schedule\WhatIf;
use App\Actions\Stock\ReserveComing;
use App\Models\Order;
use App\Models\Plan;
use App\Models\PurchaseLine;
use App\Models\Supplier;
use App\Models\SupplierItem;
use App\Models\Tie;
use App\Shop\LeverKind;
use App\Shop\LeverOffer;
use App\Shop\LeverOffers;
use App\Shop\ShopState;
use App\Shop\Supposed;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;
use KeepPace\Core\Scheduling\Step;

/* What could be done about material a late order waits for; each is tried on the plan (our own rules). */

beforeEach(function () {
    /** A tray that waits for feet: none is there, 40 are to come too late. */
    $this->late = function (string $comes = '2027-01-15', string $quantity = '4'): Order {
        $feet = $this->shop->item('FOOT-1');
        DB::table('balances')->where('item_id', $feet->id)->delete();
        DB::table('purchase_lines')->where('item_id', $feet->id)->delete();
        $this->purchase = $this->shop->purchase('P-71', 'FOOT-1', '40', $comes);

        return $this->shop->order('TRAY-40', $quantity, '2026-12-10');
    };
    /** what is offered about material, by what it says */
    $this->offers = fn (Order $order): array => array_values(array_filter(
        LeverOffers::of($order->id),
        fn (LeverOffer $offer): bool => $offer->lever->kind === LeverKind::Material,
    ));
    $this->offer = fn (Order $order, string $begins): ?LeverOffer => collect(($this->offers)($order))
        ->first(fn (LeverOffer $one): bool => str_starts_with($one->lever->says, $begins));
});

it('hurries a purchase no more than it has to, and says what that gains', function () {
    $order = ($this->late)(quantity: '10');
    [$hurry] = ($this->offers)($order);
    expect($hurry->lever->says)->toStartWith('Hurry P-71 of ')
        ->and($hurry->lever->says)->toContain('40 pc FOOT-1')
        ->and($hurry->lever->says)->toContain('instead of 15 Jan')
        ->and($hurry->finishWith)->toBeLessThan($hurry->finish)
        ->and($hurry->lateWith)->toBeLessThan($hurry->late);
    // on the day it names the order is in time, on the next working day it is not
    $on = $hurry->lever->deed->fields['asked_for'];
    $lateIf = function (string $day) use ($order): int {
        DB::table('purchase_lines')->where('id', $this->purchase->id)->update(['expected_on' => $day]);
        app(App\Planner\KeepUp::class)->handle(true);

        return (int) DB::table('plan_orders')->where('plan_id', Plan::LIVE)->where('order_id', $order->id)
            ->value('late_minutes');
    };
    $next = App\Shop\Deliveries::now()->plant->workingDaysFrom($on, 1);
    expect($lateIf($on))->toBeLessThanOrEqual(0)->and($lateIf($next))->toBeGreaterThan(0);
});

it('supposes that a purchase comes sooner without reading the shop again, nor changing what was read', function () {
    $order = ($this->late)(quantity: '10');
    $shop = ShopState::now();
    $materialAt = function (ShopState $shop) use ($order): array {
        $jobs = array_column($shop->problem(60)->jobs, 'steps', 'id');

        return array_map(fn (Step $step): int => $step->materialAt, $jobs[$order->id]);
    };
    $before = $materialAt($shop);
    $queries = 0;
    DB::listen(function () use (&$queries): void {
        $queries++;
    });
    $sooner = $shop->supposing(Supposed::comes($this->purchase->id, '2026-12-07'));
    $dealt = $queries;
    $anew = ShopState::now();
    expect($dealt)->toBeLessThan($queries - $dealt)
        ->and($materialAt($sooner))->not->toBe($before)
        ->and($materialAt($shop))->toBe($before)
        ->and($materialAt($anew))->toBe($before)
        // what is read anew when it is so
        ->and($sooner->orders->keys()->all())->toBe($anew->orders->keys()->all());
    $this->purchase->update(['expected_on' => '2026-12-07']);
    expect($materialAt(ShopState::now()))->toBe($materialAt($sooner));
});

it('asks the supplier at one click: the day is asked for, and not taken before somebody gives it', function () {
    $order = ($this->late)(quantity: '10');
    $deed = ($this->offers)($order)[0]->lever->deed;
    $this->actingAs($this->shop->as(Role::Buyer))->get("/late/{$order->id}/levers")->assertSee('Ask for it');
    $this->put("/purchase-lines/{$deed->id}", ['token' => $this->shop->token(), ...$deed->fields])
        ->assertSessionHasNoErrors();
    expect($deed->fields['expected_on'])->toBe('2027-01-15!')
        ->and($this->purchase->refresh()->asked_for)->toBe($deed->fields['asked_for'])
        ->and($this->purchase->expected_on)->toBe('2027-01-15');
    $this->actingAs($this->shop->as(Role::Operator))->get("/late/{$order->id}/levers")->assertDontSee('Ask for it');
});

it('buys of another supplier who is quicker, and puts that on a draft at one click', function () {
    $order = ($this->late)();
    $other = Supplier::query()->whereKeyNot($this->purchase->order->supplier_id)->firstOrFail();
    $terms = SupplierItem::query()->create([
        'supplier_id' => $other->id,
        'item_id' => $this->purchase->item_id,
        'unit_id' => $this->shop->item('FOOT-1')->unit_id,
        'number' => 'G40',
        'lead_time_days' => 3,
    ]);
    $terms->prices()->create(['from_quantity' => '1', 'price' => '91.5']);
    $offer = ($this->offer)($order, 'Buy what');
    expect($offer->lever->says)->toContain("of {$other->name}: here on")
        ->and($offer->lever->costs)->toContain('91.50 € each instead of 80')
        ->and($offer->finishWith)->toBeLessThan($offer->finish);
    $this->actingAs($this->shop->as(Role::Buyer))->put("/purchases/{$offer->lever->deed->id}/supplier", [
        'token' => $this->shop->token(),
        ...$offer->lever->deed->fields,
    ])->assertSessionHasNoErrors();
    expect(PurchaseLine::query()->where('is_draft', true)->sole()->order->supplier_id)->toBe($other->id);
});

it('offers nobody who is slower', function () {
    $order = ($this->late)('2026-12-18');
    $other = Supplier::query()->whereKeyNot($this->purchase->order->supplier_id)->firstOrFail();
    SupplierItem::query()->create([
        'supplier_id' => $other->id,
        'item_id' => $this->purchase->item_id,
        'unit_id' => $this->shop->item('FOOT-1')->unit_id,
        'number' => 'G40',
        'lead_time_days' => 60,
    ]);
    $said = array_map(fn (LeverOffer $one): string => $one->lever->says, ($this->offers)($order));
    expect(implode(' ', $said))->not->toContain($other->name);
});

it('takes from an order that needs it later, and keeps it for the late one at one click', function () {
    $order = ($this->late)();
    $this->shop->goodsIn('FOOT-1', '16');
    $later = $this->shop->order('TRAY-40', '4', '2027-03-26');
    // the later one ranks first and has what is there
    DB::table('orders')->where('id', $later->id)->update(['rank' => 1]);
    app(App\Planner\KeepUp::class)->handle(true);
    $offer = ($this->offer)($order, 'Take ');
    expect($offer->lever->says)->toContain("16 pc FOOT-1 from order {$later->number}, due 26 Mar")
        ->and($offer->finishWith)->toBeLessThan($offer->finish);
    $this->actingAs($this->shop->as(Role::Planner))
        ->post('/reservations', ['token' => $this->shop->token(), ...$offer->lever->deed->fields])
        ->assertSessionHasNoErrors();
    $kept = Tie::query()->where('component_id', $this->shop->component($order, 'FOOT-1')->id)->sole();
    expect($kept->left()->toInt())->toBe(16)->and($this->shop->differencesWhenPlanned())->not->toContain('kept');
});

it('puts another item in its place where enough of it is there', function () {
    $order = ($this->late)();
    $crank = $this->shop->item('CRANK-1');
    $this->shop->goodsIn('CRANK-1', '40');
    DB::table('item_substitutes')->insert([
        'item_id' => $this->purchase->item_id,
        'substitute_id' => $crank->id,
        'position' => 1,
        'p' => 2,
        'q' => 1,
    ]);
    $offer = ($this->offer)($order, 'Use ');
    expect($offer->lever->says)->toContain('CRANK-1')->and($offer->lever->says)->toContain("for order {$order->number}")
        ->and($offer->lever->deed->fields['quantity'])->toBe('32');
    $this->actingAs($this->shop->as(Role::Planner))->put("/order-components/{$offer->lever->deed->id}/swap", [
        'token' => $this->shop->token(),
        ...$offer->lever->deed->fields,
    ])->assertSessionHasNoErrors();
    expect(DB::table('order_components')->where('order_id', $order->id)->where('item_id', $crank->id)
        ->value('planned_quantity'))->toBe('32.000000');
});

it('changes no fact by trying, and can be tried as a what-if', function () {
    $order = ($this->late)();
    $facts = fn (): array => [
        DB::table('purchase_lines')->pluck('expected_on', 'id')->all(),
        DB::table('ties')->count(),
        DB::table('order_components')->pluck('item_id', 'id')->all(),
    ];
    $before = $facts();
    [$hurry] = ($this->offers)($order);
    expect($facts())->toBe($before);
    app(WhatIf::class)->tryLever($order->id, $hurry->lever, $this->shop->sign(Role::Planner));
    $plan = Plan::query()->where('is_live', false)->latest('id')->firstOrFail();
    app(WhatIf::class)->again($plan->id, $this->shop->sign(Role::Planner));
    $late = fn (int $id): int => (int) DB::table('plan_orders')->where('plan_id', $id)->where('order_id', $order->id)
        ->value('late_minutes');
    expect($late($plan->id))->toBeLessThan($late(Plan::LIVE))->and($facts())->toBe($before);
});

it('hurries only so much of a purchase as the order waits for, on a line of its own', function () {
    $order = ($this->late)();
    [$hurry] = ($this->offers)($order);
    expect($hurry->lever->says)->toContain('16 pc FOOT-1 of 40');
    $deed = $hurry->lever->deed;
    $this->actingAs($this->shop->as(Role::Buyer))->get("/late/{$order->id}/levers")->assertSee('Ask for so much');
    $this->post("/purchase-lines/{$deed->id}/part", ['token' => $this->shop->token(), ...$deed->fields])
        ->assertSessionHasNoErrors()
        ->assertSessionHas('done');
    $part = PurchaseLine::query()->latest('id')->firstOrFail();
    $rest = $this->purchase->refresh();
    expect([$part->quantity, $rest->quantity])->toBe(['16.000000', '24.000000'])
        ->and([$part->asked_for, $rest->asked_for])->toBe([$deed->fields['asked_for'], null])
        ->and($part->expected_on)->toBe('2027-01-15')
        ->and($part->purchase_order_id)->toBe($rest->purchase_order_id)
        ->and($rest->order->changed_on)->not->toBeNull();
    // once the supplier says so, the order is in time
    $part->update(['expected_on' => $part->asked_for]);
    app(App\Planner\KeepUp::class)->handle(true);
    expect((int) DB::table('plan_orders')->where('plan_id', Plan::LIVE)->where('order_id', $order->id)
        ->value('late_minutes'))->toBeLessThanOrEqual(0);
});

it('gives of the part to whom it was bought for first', function () {
    $order = ($this->late)();
    $feet = $this->shop->component($order, 'FOOT-1');
    app(ReserveComing::class)->handle($feet->id, $this->purchase->id, '16', $this->shop->sign(Role::Buyer));
    app(PartSooner::class)->handle($this->purchase->id, '10', '2026-12-01', $this->shop->sign(Role::Buyer));
    $part = PurchaseLine::query()->latest('id')->firstOrFail();
    expect([$part->ties()->sum('quantity'), $this->purchase->ties()->sum('quantity')])
        ->toBe(['10.000000', '6.000000']);
});

it('parts no line of which the supplier says something else that is not settled', function () {
    ($this->late)();
    $this->purchase->update(['answered_quantity' => '38', 'answered_price' => '80']);
    $part = fn () => app(PartSooner::class)
        ->handle($this->purchase->id, '10', '2026-12-01', $this->shop->sign(Role::Buyer));
    expect($part)->toThrow(Refused::class, 'say first which holds');
    $this->purchase->update(['answered_quantity' => null, 'answered_price' => null]);
    $part();
    expect($this->purchase->refresh()->quantity)->toBe('30.000000');
});

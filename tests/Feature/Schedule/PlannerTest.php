<?php

use App\Access\Role;
use App\Actions\Schedule\MoveStep;
use App\Models\BookingKind;
use App\Models\Plan;
use App\Planner\PlannerState;
use App\Planner\PlanRound;
use App\Planner\Unplanned;
use App\Queries\Board\EffectOf;
use App\Queries\Board\PlanAge;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Plan\Put;

/* The plan follows what is booked, and does not hold it up. */

beforeEach(function (): void {
    $this->plan->stop();
    $this->stamp = fn (): string => Plan::query()->findOrFail(Plan::LIVE)->stamp;
});

it('plans nothing with a deed, keeps in mind what it does not know, and plans it all at once', function (): void {
    $stamp = ($this->stamp)();
    $touched = [];
    DB::listen(function ($query) use (&$touched): void {
        preg_match_all('/`(plans|plan_\w*|planner)`/', $query->sql, $tables);
        $touched = [...$touched, ...$tables[1]];
    });
    $first = $this->shop->order('TRAY-40', '30', '2026-12-03');
    $second = $this->shop->order('LID-9', '20', '2026-12-07');
    $this->shop->goodsIn('BRG-25', '5', '7');
    expect($touched)->toBe([])
        ->and(($this->stamp)())->toBe($stamp)
        ->and(count(Unplanned::ids()))->toBe(3)
        ->and(PlanAge::now()->says())->toBe('3 bookings are not in the plan yet.');
    app(PlanRound::class)->handle();
    expect(($this->stamp)())->not->toBe($stamp)
        ->and(Unplanned::ids())->toBe([])
        ->and(PlanAge::now()->says())->toBe('')
        ->and(DB::table('plan_orders')->where('plan_id', Plan::LIVE)->pluck('order_id')->sort()->values()->all())
        ->toBe([$first->id, $second->id])
        ->and($this->shop->differences())->toBe([]);
});

it('plans at once what is answered by the plan', function (): void {
    $first = $this->shop->order('TRAY-40', '30', '2026-12-03');
    $second = $this->shop->order('LID-9', '20', '2026-12-07');
    app(App\Actions\Orders\PlaceInRank::class)->handle($second->id, $first->id, $this->shop->sign(Role::Supervisor));
    expect(Unplanned::ids())->toBe([])
        ->and(DB::table('plan_orders')->where('plan_id', 1)->orderBy('place_in_rank')->pluck('order_id')->all())
        ->toBe([$second->id, $first->id]);
});

it('gives way to who arranged the board while it computed, and plans then', function (): void {
    config(['pace.planner' => 'at-once']);
    $order = $this->shop->order('TRAY-40', '30', '2026-12-03');
    config(['pace.planner' => 'beside']);
    $this->shop->goodsIn('BRG-25', '5', '7');
    $step = DB::table('plan_steps')->where('plan_id', Plan::LIVE)->orderBy('start_at')->first();
    $moved = false;
    $at = 0;
    // the first time the planner takes the plan's lock, somebody has just moved a step
    DB::listen(function ($query) use (&$moved, &$at, $step): void {
        if ($moved || ! str_contains($query->sql, 'from `unplanned`')) {
            return;
        }
        $moved = true;
        $at = intdiv((int) strtotime($step->start_at.' UTC'), 60) + 24 * 60;
        $put = new Put((int) $step->order_step_id, (int) $step->work_centre_id, (int) $step->machine, $at);
        app(MoveStep::class)->handle(Plan::LIVE, $put, true, null, $this->shop->sign(Role::Planner));
        // the planner goes on with what it read before
        DB::table('plans')->where('id', Plan::LIVE)->update(['stamp' => 'of the move']);
    });
    app(PlanRound::class)->handle();
    $stands = DB::table('plan_steps')->where('order_step_id', $step->order_step_id)->value('start_at');
    expect($moved)->toBeTrue()
        ->and(intdiv((int) strtotime($stands.' UTC'), 60))->toBe($at)
        ->and(Unplanned::ids())->toBe([])
        ->and($order->exists)->toBeTrue();
});

it('says what a planning did, and when others were planned with it', function (): void {
    config(['pace.planner' => 'at-once']);
    $order = $this->shop->order('TRAY-40', '10', '2026-11-27');
    config(['pace.planner' => 'beside']);
    $booking = $this->shop->goodsIn('BRG-25', '5', '7');
    $late = DB::table('plan_orders')->where('plan_id', Plan::LIVE)->where('order_id', $order->id);
    expect((int) $late->value('late_minutes'))->toBeLessThanOrEqual(0);
    $this->actingAs($this->shop->as(Role::Operator))->get("/bookings/{$booking->id}/effect")->assertStatus(202);
    DB::table('orders')->where('id', $order->id)->update(['due_on' => '2026-11-20']);
    app(PlanRound::class)->handle();
    $this->get("/bookings/{$booking->id}/effect")
        ->assertOk()
        ->assertSee("{$order->number} (")
        ->assertSee('becomes late by it.')
        ->assertSee('All that would help');
    $again = [$this->shop->goodsIn('BRG-25', '5', '7'), $this->shop->goodsIn('BRG-25', '6', '7')];
    DB::table('orders')->where('id', $order->id)->update(['due_on' => '2026-12-20']);
    app(PlanRound::class)->handle();
    expect(EffectOf::booking($again[0]->id)->says())->toBe("In time again: {$order->number}.");
    $none = $this->shop->goodsIn('BRG-25', '7', '7');
    app(PlanRound::class)->handle();
    expect($this->get("/bookings/{$none->id}/effect")->status())->toBe(204);
});

it('shows an order that is not planned yet wherever open orders stand', function (): void {
    $order = $this->shop->order('TRAY-40', '30', '2026-12-03');
    $this->shop->release($order);
    $this->actingAs($this->shop->as(Role::Supervisor));
    foreach (['/', '/orders', "/orders/{$order->id}", '/parts', '/board', '/station', '/rank', '/issue'] as $page) {
        $this->get($page)->assertOk();
    }
    $this->get('/orders')->assertSee($order->number)->assertSee('plan 2 behind');
    $this->get('/parts')->assertSee($order->number);
});

it('says on every page since when and why the plan stands still, and books on', function (): void {
    $breaks = true;
    DB::listen(function ($query) use (&$breaks): void {
        if ($breaks && str_contains($query->sql, 'from `plan_orders`')) {
            throw new RuntimeException('no room on the machine');
        }
    });
    $this->shop->goodsIn('BRG-25', '5', '7');
    $this->artisan('pace:planner', ['--once' => true])->assertSuccessful();
    $this->travel(10)->minutes();
    $this->artisan('pace:planner', ['--once' => true])->assertSuccessful();
    $this->actingAs($this->shop->as(Role::Supervisor));
    $says = 'The plan stands still since today 09:00: no room on the machine. What is booked stands';
    expect(PlanAge::now()->says())->toContain($says);
    $this->get('/stock')->assertSee($says);
    $this->get('/bookings')->assertSee($says);
    $this->shop->goodsIn('BRG-25', '6', '7');
    expect(count(Unplanned::ids()))->toBe(2);
    $breaks = false;
    $this->artisan('pace:planner', ['--once' => true])->assertSuccessful();
    expect(Unplanned::ids())->toBe([]);
    $this->get('/stock')->assertDontSee('stands still');
});

it('says that nobody plans when a booking waits for long', function (): void {
    $this->shop->goodsIn('BRG-25', '5', '7');
    DB::table('unplanned')->update(['since' => DB::raw('NOW(3) - INTERVAL 40 SECOND')]);
    $this->actingAs($this->shop->as(Role::Supervisor))->get('/')->assertSee('nobody plans');
});

it('lets one planner plan at a time, and another when it falls silent', function (): void {
    $state = app(PlannerState::class);
    expect($state->hold('one'))->toBeTrue()
        ->and($state->hold('one'))->toBeTrue()
        ->and($state->hold('two'))->toBeFalse();
    DB::table('planner')->update(['until' => DB::raw('NOW(3) - INTERVAL 1 SECOND')]);
    expect($state->hold('two'))->toBeTrue()->and($state->hold('one'))->toBeFalse();
    $state->leave('one'); // not its own any more
    expect($state->hold('one'))->toBeFalse();
    $state->leave('two');
    expect($state->hold('one'))->toBeTrue();
});

it('leaves the session of a page that draws itself anew as it is', function (): void {
    $this->actingAs($this->shop->as(Role::Buyer))->from('/stock')->post('/stock', [
        'token' => 'quiet',
        'item' => 'BRG-25',
        'quantity' => '5',
        'price' => '7',
        'place_id' => $this->shop->place('STORES')->id,
    ])->assertSessionHas('done');
    $done = (string) session('done');
    $this->get('/stock', ['X-Plan' => '1'])->assertOk()->assertCookieMissing('keep_pace');
    // nor is it said to a part of the page, or to how a day that is typed is read
    $this->get('/find?q=a', ['HX-Request' => 'true'])->assertOk()->assertCookieMissing('keep_pace');
    $this->get('/day?typed=fri', ['X-Plan' => '1'])->assertOk()->assertCookieMissing('keep_pace');
    // it is still to be said to who made it, and then no more
    $this->get('/stock')->assertSee($done)->assertCookie('keep_pace');
    $this->get('/stock')->assertDontSee($done);
});

it('has a row to be planned for each kind of booking that changes a fact', function (): void {
    $without = array_values(array_filter(
        BookingKind::cases(),
        fn (BookingKind $kind): bool => ! $kind->changesFacts(),
    ));
    expect(array_column($without, 'value'))->toBe([
        'loaded_by_rank', 'step_moved', 'step_pinned', 'set_up_once', 'plan_undone', 'what_if', 'went_live',
        'late_cost', 'revalued', 'bill_entered', 'bill_accepted', 'bill_refused', 'claim_settled',
        'period_closed',
        'taken_out',
    ]);
});

it('reports pieces by no more than twenty statements, none of them of the plan', function (): void {
    $order = $this->shop->order('TRAY-40', '30', '2026-12-03');
    $this->shop->release($order);
    $step = $order->steps()->firstOrFail();
    $asked = [];
    DB::listen(function ($query) use (&$asked): void {
        // who reports is known from the session
        str_contains($query->sql, 'from `people`') || $asked[] = $query->sql;
    });
    $this->shop->report($step, '3', '3');
    expect(count($asked))->toBeLessThanOrEqual(20)
        ->and(preg_grep('/`(plans|plan_\w+|planner)`/', $asked))->toBe([]);
});

it('bears the stamp of the plan it was begun with, whatever is planned while it is drawn', function (): void {
    $this->shop->order('TRAY-40', '30', '2026-12-03');
    $stamp = ($this->stamp)();
    $planned = false;
    // the planner is done after the page read its orders and before its head is drawn
    DB::listen(function ($query) use (&$planned): void {
        if (! $planned && str_contains($query->sql, 'from `orders` as `o`')) {
            $planned = true;
            DB::statement("/* of another process */ UPDATE plans SET stamp = 'newer' WHERE id = 1");
            DB::statement('/* of another process */ DELETE FROM unplanned');
        }
    });
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->get('/orders')
        ->assertOk()
        ->assertSee("data-stamp=\"{$stamp}\"", false)
        ->assertSee('plan 1 behind');
    expect($planned)->toBeTrue()->and(($this->stamp)())->toBe('newer')->not->toBe($stamp);
});

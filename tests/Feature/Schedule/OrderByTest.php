<?php

use App\Access\Role;
use App\Models\Order;
use App\Models\Plan;
use App\Planner\KeepUp;
use App\Queries\Board\LateOrders;
use App\Queries\Today\TodayPage;
use App\Shop\ShopState;
use App\Shop\StandingPlan;
use App\Shop\WhyLate;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\LateFor;

/*
 * What nothing is ordered for: planned as if ordered today, with the day by which it has to be (W11, common practice).
 * Today is Tue 24 Nov 2026.
 */

function withoutCastings(object $test, int $leadTimeDays): void
{
    DB::table('balances')->where('item_id', $test->shop->item('CAST-48')->id)->update(['quantity' => 0]);
    DB::table('items')->where('id', $test->shop->item('CAST-48')->id)->update(['lead_time_days' => $leadTimeDays]);
}

function planned(Order $order): stdClass
{
    return DB::table('plan_orders')->where('plan_id', Plan::LIVE)->where('order_id', $order->id)->first();
}

function firstStart(Order $order): string
{
    return DB::table('plan_steps')
        ->where('order_step_id', $order->steps[0]->id)
        ->where('plan_id', Plan::LIVE)
        ->value('start_at');
}

it('plans a missing part for the day it could be here if ordered today', function (
    int $lead,
    string $start,
    string $says,
) {
    withoutCastings($this, $lead);
    $gear = $this->shop->order('GEAR-48', '10', '2027-02-26');
    expect(firstStart($gear))->toBe($start)->and(planned($gear)->readiness)->toBe('stuck');
    $this->actingAs($this->shop->as(Role::Buyer))->get("/orders/{$gear->id}")->assertSee($says);
})->with([
    '15 working days: Tue 15 Dec, used the morning after' => [
        15,
        '2026-12-16 07:00:00',
        'ordered (to be used on 16 Dec if ordered today)',
    ],
    'not known: the shop\'s ten' => [0, '2026-12-09 07:00:00', 'if ordered today; its lead time is not known)'],
]);

it('says the last day on which it keeps its date, and how much too late that is', function () {
    withoutCastings($this, 10);
    $gear = $this->shop->order('GEAR-48', '10', '2027-02-26');
    $by = planned($gear)->order_by;
    expect($by)->toBeGreaterThan('2026-12-31')->and(planned($gear)->late_for)->toBe('')
        ->and(DB::table('plan_components')->where('plan_id', Plan::LIVE)->where('missing', '>', 0)->value('order_by'))
        ->toBe($by);
    // ordered on that day it is in time, a working day later it is not
    $isLate = function (string $day) use ($gear): bool {
        $this->travelTo(new Carbon\CarbonImmutable("{$day} 06:30", 'Europe/Dublin'));
        app(KeepUp::class)->handle();

        return planned($gear)->late_minutes > 0;
    };
    $plant = ShopState::now()->plant;
    expect($isLate($by))->toBeFalse()->and($isLate($plant->workingDaysFrom($by, 1)))->toBeTrue()
        ->and(planned($gear)->late_for)->toBe('parts');
    $this->actingAs($this->shop->as(Role::Buyer))
        ->get("/orders/{$gear->id}")
        ->assertSee('what it misses is 1 working day too late; ordered today it can be used');
    $this->get('/shortages')->assertSee('Order by');
});

it('tells orders late for parts nobody ordered from those late for time', function () {
    withoutCastings($this, 15);
    $parts = $this->shop->order('GEAR-48', '10', '2026-12-15');
    $time = $this->shop->order('TRAY-40', '200', '2026-11-25');
    $both = $this->shop->order('GEAR-48', '10', '2026-11-25'); // no part would make it in time
    expect(planned($parts)->late_for)->toBe('parts')
        ->and(planned($time)->late_for)->toBe('capacity')
        ->and(planned($both)->late_for)->toBe('capacity');
    $lateFor = LateOrders::all()->mapWithKeys(fn ($late): array => [$late->order->id => $late->order->lateFor]);
    expect($lateFor->all())
        ->toEqual([$parts->id => LateFor::Parts, $time->id => LateFor::Time, $both->id => LateFor::Time]);
    expect(TodayPage::now()->counts)->toMatchArray(['late' => 3, 'for_parts' => 1]);
    $this->actingAs($this->shop->as(Role::Supervisor))->get('/')->assertSee('1 of them for parts nobody has ordered');
    $this->get('/late')->assertSee('1 for parts nobody has ordered');
});

it('passes on to who waits that parts make it late', function () {
    withoutCastings($this, 30);
    DB::table('balances')->where('item_id', $this->shop->item('GEAR-48')->id)->update(['quantity' => 0]);
    $gear = $this->shop->order('GEAR-48', '20', '2026-12-11');
    $box = $this->shop->order('GBOX-1', '2', '2026-12-18');
    expect(planned($gear)->late_for)->toBe('parts')
        ->and(planned($box)->late_for)->toBe('parts')
        ->and(planned($box)->order_by)->toBeNull();
});

it('makes no order stuck for consumables, and asks for none', function () {
    $drum = $this->shop->order('DRUM-20', '2');
    $wire = $this->shop->item('WIRE-1');
    DB::table('balances')->where('item_id', $wire->id)->update(['quantity' => 0]);
    $drum
        ->components()
        ->create([
            'position' => 90,
            'item_id' => $wire->id,
            'step_number' => 10,
            'baseline_quantity' => '2',
            'planned_quantity' => '2',
            'issue_by' => 'backflush',
        ]);
    app(KeepUp::class)->handle();
    expect(planned($drum)->readiness)->toBe('ready')
        ->and(
            DB::table('plan_components AS p')
                ->join('order_components AS c', 'c.id', 'p.component_id')
                ->where('c.item_id', $wire->id)
                ->count(),
        )
        ->toBe(0);
    $this->shop->release($drum, null);
    $this->shop->report($drum->steps[0], '2', '2');
    expect(DB::table('questions')->count())->toBe(0);
});

it('names in the why what nobody ordered, and what is overdue', function () {
    withoutCastings($this, 15);
    $gear = $this->shop->order('GEAR-48', '10', '2026-12-15');
    $cause = fn (): string => implode(
        '; ',
        array_column((new WhyLate(StandingPlan::of()))->rows($gear->id, true), 'says'),
    );
    expect($cause())->toContain('waits for')->toContain(', not ordered');
    app(App\Actions\Purchasing\RaisePurchases::class)->handle(
        [new App\Actions\Purchasing\LineToBuy($this->shop->item('CAST-48')->id, '50', expectedOn: '2026-11-25')],
        false,
        $this->shop->sign(Role::Buyer, token: 'p'),
    );
    $this->travelTo(new Carbon\CarbonImmutable('2026-12-08 09:00', 'Europe/Dublin'));
    app(KeepUp::class)->handle();
    expect($cause())->toContain(', overdue');
});

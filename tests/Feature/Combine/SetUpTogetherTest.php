<?php

use App\Access\Role;
use App\Actions\Combine\SetUpTogether;
use App\Actions\Orders\ChangeOrder;
use App\Actions\Orders\ChangeSteps;
use App\Actions\Schedule\UndoPlan;
use App\Models\Booking;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\Plan;
use App\Models\WorkCentre;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/* Orders of different items that run on one set-up: each stays an order of its own, and pays its share of it. */

beforeEach(function (): void {
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,cost\nBAR-T,Bar,bought,pc,2\nROLLER-T,Roller,made,pc,9\n"
            ."SLEEVE-T,Sleeve,made,pc,9\nPIN-T,Pin,made,pc,9\n",
        'structures.csv' => "item,position,component,quantity\n"
            ."ROLLER-T,10,BAR-T,1\nSLEEVE-T,10,BAR-T,1\nPIN-T,10,BAR-T,1\n",
        'shifts.csv' => "calendar,weekday,from,to\n".implode('', array_map(
            fn (int $day): string => "ALL-T,{$day},00:00,23:59\n",
            range(1, 7),
        )),
        'work-centres.csv' => "code,name,calendar,machines,labour_rate\n"
            ."LATHE-T,Lathe,ALL-T,1,60\nDRILL-T,Drill,ALL-T,1,60\n",
        'routings.csv' => "item,step,name,work_centre,setup_minutes,run_basis,run_rate\n"
            ."ROLLER-T,10,Turn,LATHE-T,40,min_per_unit,5\nROLLER-T,20,Drill,DRILL-T,10,min_per_unit,1\n"
            ."SLEEVE-T,10,Turn,LATHE-T,60,min_per_unit,10\nPIN-T,10,Turn,LATHE-T,30,min_per_unit,3\n",
    ]);
    $this->shop->goodsIn('BAR-T', '400', '2');
    // one behind the other at the lathe: 40 + 100, 60 + 100, 30 + 30
    $this->roller = $this->shop->order('ROLLER-T', '20');
    $this->sleeve = $this->shop->order('SLEEVE-T', '10');
    $this->pin = $this->shop->order('PIN-T', '10');
});

/** @param  Order  ...$orders  whose first steps are set up once */
function setUpOnce(object $test, Order ...$orders): Booking
{
    return app(SetUpTogether::class)->handle(
        array_map(fn (Order $order): int => $order->steps()->firstOrFail()->id, $orders),
        $test->shop->sign(Role::Planner),
    );
}

function turnStep(Order $order): OrderStep
{
    return $order->steps()->firstOrFail();
}

/** @return array<string, int> minutes each stands on the lathe, one behind the other, by order */
function onTheLathe(): array
{
    $lathe = WorkCentre::query()->where('code', 'LATHE-T')->value('id');

    return DB::table('plan_steps AS p')
        ->join('order_steps AS s', 's.id', 'p.order_step_id')
        ->join('orders AS o', 'o.id', 's.order_id')
        ->where('p.plan_id', Plan::LIVE)
        ->where('p.work_centre_id', $lathe)
        ->orderBy('p.start_at')
        ->selectRaw('o.number, TIMESTAMPDIFF(MINUTE, p.start_at, p.end_at) AS minutes')
        ->pluck('minutes', 'number')
        ->map(fn (mixed $minutes): int => (int) $minutes)
        ->all();
}

it('sets up once for the longest, brings them together and lets each pay by its run', function (): void {
    $before = onTheLathe();
    $says = setUpOnce($this, $this->roller, $this->pin)->says;
    $planned = fn (Order $order): int => turnStep($order)->planned_minutes;
    // 40 minutes over runs of 100 and 30: 30.77 and 9.23
    expect($before)->toBe([$this->roller->number => 140, $this->sleeve->number => 160, $this->pin->number => 60])
        ->and($says)->toContain("Set up once at Lathe, 40 min: order {$this->roller->number} 31, ")
        ->toContain("order {$this->pin->number} 9.")
        ->and([$planned($this->roller), $planned($this->pin), $planned($this->sleeve)])->toBe([131, 39, 160])
        // the roller goes behind the sleeve, to the pin; it pays the set-up in time, the pin none
        ->and(onTheLathe())
        ->toBe([$this->sleeve->number => 160, $this->roller->number => 140, $this->pin->number => 30])
        ->and($this->shop->differences())->toBe([]);
    // what is booked afterwards leaves them together
    $this->shop->goodsIn('BAR-T', '5', '2');
    expect(onTheLathe())
        ->toBe([$this->sleeve->number => 160, $this->roller->number => 140, $this->pin->number => 30]);
});

it('freezes its share as what the order should cost', function (): void {
    setUpOnce($this, $this->roller, $this->pin);
    $this->shop->release($this->roller->refresh());
    // 131 and 30 minutes at 60.00 an hour
    expect($this->roller->refresh()->planned_labour)->toBe(16_100)
        ->and(fn () => app(SetUpTogether::class)->takeOut(
            turnStep($this->pin)->id,
            $this->shop->sign(Role::Planner),
        ))->toThrow(Refused::class, 'what each pays of the set-up');
});

it('needs no set-up for the second once the first was counted', function (): void {
    setUpOnce($this, $this->roller, $this->sleeve);
    foreach ([$this->roller, $this->sleeve, $this->pin] as $order) {
        $this->shop->release($order->refresh());
        $this->shop->issueAll($order->refresh());
    }
    expect(onTheLathe()[$this->roller->number])->toBe(160);
    $this->shop->report(turnStep($this->roller), '20', '20');
    expect(onTheLathe()[$this->sleeve->number])->toBe(100);
    // another job in between: the lathe is set up anew
    $this->shop->report(turnStep($this->pin), '10');
    expect(onTheLathe()[$this->sleeve->number])->toBe(160);
});

it('keeps its share when the quantity changes, and sets up by itself again', function (): void {
    setUpOnce($this, $this->roller, $this->sleeve, $this->pin);
    // 60 over 100, 100 and 30
    $shares = DB::table('shared_run_steps')->orderBy('order_step_id')->pluck('setup_minutes')->all();
    expect($shares)->toBe([26, 26, 8]);
    $pin = $this->pin->refresh();
    $to = ['quantity' => '20', 'due_on' => $pin->due_on, 'rank' => $pin->rank, 'is_held' => false];
    app(ChangeOrder::class)->head($pin->id, $pin->version, $to, $this->shop->sign(Role::Planner));
    expect(turnStep($pin)->planned_minutes)->toBe(68)
        ->and(fn () => app(ChangeSteps::class)->change(turnStep($pin)->id, $pin->refresh()->version, [
            'work_centre_id' => WorkCentre::query()->where('code', 'DRILL-T')->value('id'),
            'setup_minutes' => '30',
            'run_rate' => '3',
        ], [], $this->shop->sign(Role::Planner)))->toThrow(Refused::class, 'is set up with steps of other orders');
    $out = app(SetUpTogether::class)->takeOut(turnStep($this->sleeve)->id, $this->shop->sign(Role::Planner));
    // the others share the longest of what is left: 40 over 100 and 60
    expect($out->says)->toContain("step 10 Turn of order {$this->sleeve->number} is set up by itself")
        ->and(turnStep($this->sleeve)->planned_minutes)->toBe(160)
        ->and(turnStep($this->roller)->planned_minutes)->toBe(125)
        ->and(turnStep($pin)->planned_minutes)->toBe(75);
    app(SetUpTogether::class)->takeOut(turnStep($this->pin)->id, $this->shop->sign(Role::Planner));
    expect(DB::table('shared_run_steps')->count())->toBe(0)
        ->and(turnStep($this->roller)->planned_minutes)->toBe(140)
        ->and($this->shop->differences())->toBe([]);
});

it('is taken back and done again on the board', function (): void {
    $before = onTheLathe();
    setUpOnce($this, $this->roller, $this->pin);
    $after = onTheLathe();
    $undo = app(UndoPlan::class);
    $undo->undo(Plan::LIVE, $this->shop->sign(Role::Planner));
    expect(onTheLathe())->toBe($before)
        ->and(DB::table('shared_run_steps')->count())->toBe(0)
        ->and(turnStep($this->pin)->planned_minutes)->toBe(60);
    $undo->redo(Plan::LIVE, $this->shop->sign(Role::Planner));
    expect(onTheLathe())->toBe($after)
        ->and(turnStep($this->pin)->planned_minutes)->toBe(39);
    // what takes a step out of a run is taken back too
    app(SetUpTogether::class)->takeOut(turnStep($this->pin)->id, $this->shop->sign(Role::Planner));
    $undo->undo(Plan::LIVE, $this->shop->sign(Role::Planner));
    expect(DB::table('shared_run_steps')->count())->toBe(2)
        ->and(turnStep($this->pin)->planned_minutes)->toBe(39)
        ->and($this->shop->differences())->toBe([]);
});

it('offers on the page what could be set up once, and shows what is', function (): void {
    $this->actingAs($this->shop->as(Role::Planner));
    $this->get('/set-ups')->assertOk()
        ->assertSee("10 Turn of order {$this->roller->number}")
        ->assertDontSee("20 Drill of order {$this->roller->number}"); // nobody else drills
    $steps = [turnStep($this->roller)->id, turnStep($this->pin)->id];
    $this->post('/set-ups', ['token' => 'once', 'steps' => $steps])->assertRedirect('/set-ups');
    $this->get('/set-ups')->assertSee('Lathe, Turn, 40 min for 2 orders')->assertSee('31 of 40 min');
    $this->get("/orders/{$this->roller->id}")->assertSee('set up with others, pays');
    $this->get('/dispatch/'.WorkCentre::query()->where('code', 'LATHE-T')->value('id'))->assertOk();
    $this->from('/set-ups')->delete("/set-ups/{$steps[0]}", ['token' => 'alone'])->assertRedirect('/set-ups');
    $this->get('/set-ups')->assertDontSee('31 of 40 min');
});

it('plans people for its share where the machine runs without them', function (): void {
    // two minutes of a person for five of the machine; the set-up is theirs all the time
    OrderStep::query()->whereKey(turnStep($this->roller)->id)->update(['run_rate' => '2', 'machine_minutes' => '5']);
    setUpOnce($this, $this->roller, $this->pin);
    $this->shop->release($this->roller->refresh());
    // 31 of the set-up, 40 of the run, and ten and twenty at the drill, at 60.00 an hour
    expect(turnStep($this->roller)->planned_minutes)->toBe(131)
        ->and($this->roller->refresh()->planned_labour)->toBe(10_100);
});

it('says what of a set-up nobody pays once one of its orders is cancelled', function (): void {
    setUpOnce($this, $this->roller, $this->pin);
    $pin = $this->pin->refresh();
    app(ChangeOrder::class)->cancel($pin->id, $pin->version, $this->shop->sign(Role::Planner, 'not wanted'));
    $this->actingAs($this->shop->as(Role::Planner))->get('/set-ups')
        ->assertSee('Lathe, Turn, 40 min for 1 order')
        ->assertSee('9 min were to be paid by an order that ended');
    // set up by itself the other pays for all of its own again
    app(SetUpTogether::class)->takeOut(turnStep($this->roller)->id, $this->shop->sign(Role::Planner));
    expect(turnStep($this->roller)->planned_minutes)->toBe(140)
        ->and(DB::table('shared_runs')->count())->toBe(0)
        ->and($this->shop->differences())->toBe([]);
});

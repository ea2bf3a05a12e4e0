<?php

use App\Access\Role;
use App\Actions\Purchasing\WorkElsewhere;
use App\Actions\Purchasing\WorkHere;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\Plan;
use App\Models\PurchaseLine;
use App\Models\Supplier;
use App\Models\WorkCentre;
use App\Shop\LeverKind;
use App\Shop\LeverOffer;
use App\Shop\LeverOffers;
use Illuminate\Support\Facades\DB;

/*
 * A step done here that a supplier could do, and the other way round. Costs by hand beside the figures; rules are our
 * own: what is begun stays where it is, what was ordered and has not come is given up.
 */

const HERE_OR_THERE = [
    'items.csv' => <<<'CSV'
        number,name,kind,unit
        GRIND-H6,Grind to H6,outside,pc
        ROD-1,Rod,made,pc
        CSV,
    'supplier-items.csv' => <<<'CSV'
        item,supplier,number,minimum,lead_time_days,prices,over_percent,setup_charge,least_charge
        GRIND-H6,S-03,,,2,1.50,,20.00,
        GRIND-H6,S-05,,,4,1.10,,,
        CSV,
    'routings.csv' => <<<'CSV'
        item,step,name,work_centre,supplier,setup_minutes,run_rate,lead_time_days,price,service,alternatives
        ROD-1,10,Turn,BENCH,,,1,,,,
        ROD-1,20,Grind,MILL,,30,60,,,GRIND-H6,
        ROD-1,30,Harden,,S-03,15,2,5,0.90,,BENCH:150
        CSV,
];

beforeEach(function () {
    expect($this->shop->import(HERE_OR_THERE))->toBe([]);
    DB::table('work_centres')->where('code', 'MILL')->update([
        'labour_rate' => '40',
        'machine_rate' => '20',
        'overhead_percent' => '0',
        'overhead_hour' => '0',
        'overhead_piece' => '0',
    ]);
    $this->step = fn (Order $order, int $number): OrderStep => $order->steps()->where('number', $number)->sole();
    $this->supplier = fn (string $number): int => Supplier::query()->where('number', $number)->sole()->id;
    $this->out = fn (OrderStep $step, string $supplier) => app(WorkElsewhere::class)->handle(
        $step->id,
        $step->order()->sole()->version,
        ($this->supplier)($supplier),
        $this->shop->sign(Role::Buyer),
    );
    $this->in = fn (OrderStep $step, string $rate = '2') => app(WorkHere::class)->handle(
        $step->id,
        $step->order()->sole()->version,
        [
            'work_centre_id' => WorkCentre::query()->where('code', 'BENCH')->sole()->id,
            'setup_minutes' => '15',
            'run_rate' => $rate,
        ],
        $this->shop->sign(Role::Supervisor),
    );
});

it('sends a step out that was to be done here, ordered on a draft at the price agreed', function () {
    $order = tap($this->shop->order('ROD-1', '20'), $this->shop->release(...));
    $step = ($this->step)($order, 20);
    $booking = ($this->out)($step, 'S-03');
    $line = PurchaseLine::query()->where('order_step_id', $step->id)->sole();
    expect($step->refresh()->isOutside())->toBeTrue()
        ->and($step->work_centre_id)->toBeNull()
        ->and($step->lead_time_days)->toBe(2)
        ->and($booking->says)->toContain('is done by Emberfield Heat Treatment, not here')
        ->and([$line->quantity, $line->price, $line->setup_cents, $line->is_draft])
        ->toBe(['20.000000', '1.500000', 2000, true])
        ->and($this->shop->differences())->toBe([]);
    // and back again, where it came from
    $mill = WorkCentre::query()->where('code', 'MILL')->sole();
    $this->actingAs($this->shop->as(Role::Supervisor))->get("/orders/{$order->id}")->assertSee('Do it here');
    $this->put("/order-steps/{$step->id}/place", [
        'token' => $this->shop->token(),
        'version' => $order->refresh()->version,
        'work_centre_id' => $mill->id,
        'setup_minutes' => '30',
        'run_rate' => '60',
    ])->assertSessionHasNoErrors();
    expect($step->refresh()->work_centre_id)->toBe($mill->id)
        ->and($step->planned_minutes)->toBe(30 + 20 * 60)
        ->and($step->labour_rate)->toBe('40.0000')
        ->and($line->refresh()->wanted()->isZero())->toBeTrue()
        ->and($this->shop->differences())->toBe([]);
});

it('leaves what is begun where it is, and sends nothing to who has no price for it', function () {
    $order = tap($this->shop->order('ROD-1', '20'), $this->shop->release(...));
    $refused = fn (Closure $deed): string => rescue($deed, fn (Throwable $why): string => $why->getMessage(), false);
    expect($refused(fn () => ($this->out)(($this->step)($order, 10), 'S-03')))->toContain('names no service')
        ->and($refused(fn () => ($this->out)(($this->step)($order, 20), 'S-04')))
        ->toContain('has no price for GRIND-H6');
    $this->shop->report(($this->step)($order, 10), '20', '20');
    $this->shop->report(($this->step)($order, 20), '3');
    expect($refused(fn () => ($this->out)(($this->step)($order, 20), 'S-03')))->toContain('is begun here')
        ->and($refused(fn () => ($this->in)(($this->step)($order, 20))))->toContain('done in the shop already')
        ->and($refused(fn () => ($this->in)(($this->step)($order, 30), '0')))->toContain('how long')
        ->and(($this->step)($order, 20)->isOutside())->toBeFalse()
        ->and($this->shop->differences())->toBe([]);
});

it('brings nothing in while pieces are with the supplier', function () {
    $order = tap($this->shop->order('ROD-1', '20'), $this->shop->release(...));
    $this->shop->report(($this->step)($order, 10), '20', '20');
    $this->shop->report(($this->step)($order, 20), '20', '20');
    $this->shop->sendOut(($this->step)($order, 30), '20');
    $says = rescue(fn () => ($this->in)(($this->step)($order, 30)), fn (Throwable $why) => $why->getMessage(), false);
    expect($says)->toContain('20 of step 30 Harden are with Emberfield Heat Treatment');
});

it('offers each who does it with days and costs, live at one click', function () {
    // 20 h of grinding behind which nothing is in time
    $order = tap($this->shop->order('ROD-1', '20', '2026-11-26'), $this->shop->release(...));
    app(App\Planner\KeepUp::class)->handle(true);
    $offers = collect(LeverOffers::of($order->id))->keyBy('lever.says');
    $grind = "{$order->number} step 20 Grind";
    $there = $offers->get("{$grind} at Emberfield Heat Treatment, 2 days away");
    // there 20 × 1.50 + 20.00 once; here 30 + 1,200 min = 20.5 h at 40 + 20
    expect($offers->keys()->all())->toContain("{$grind} at Clearpass Surface Works, 4 days away")
        ->and($there->lever->costs)->toBe('50.00 € there, 1 230.00 € here')
        ->and($there->finishWith)->toBeLessThan($there->finish)
        ->and($there->lever->deed->to)->toBe('step-suppliers.update');
    // a supplier's step that has a place and a time here: half as long again at the bench, 15 + 20 × 3 min
    $bench = WorkCentre::query()->where('code', 'BENCH')->sole();
    $here = $offers->get("{$order->number} step 30 Harden here, at {$bench->name}, not by Emberfield Heat Treatment");
    expect($here->lever->kind)->toBe(LeverKind::BringIn)
        ->and($here->lever->here)->toMatchObject(['setup' => 15, 'minutes' => 60])
        ->and($here->lever->costs)->toEndWith('18.00 € there') // 20 × 0.90
        ->and($here->finishWith)->toBeLessThan($here->finish);
    $page = fn (Role $role) => $this->actingAs($this->shop->as($role))->get("/late/{$order->id}/levers")->assertOk();
    $page(Role::Supervisor)->assertSee('50.00 € there');
    $page(Role::Operator)->assertDontSee('50.00 €')->assertDontSee('Do it here');
    $page(Role::Planner);
    $this->put(route($here->lever->deed->to, $here->lever->deed->id), [
        'token' => $this->shop->token(),
        ...$here->lever->deed->fields,
    ])->assertSessionHasNoErrors();
    expect(($this->step)($order, 30))->work_centre_id->toBe($bench->id)->planned_minutes->toBe(75);
});

it('keeps a supplier of a lever in a what-if, which is worked out again with it', function () {
    $order = tap($this->shop->order('ROD-1', '20', '2026-11-26'), $this->shop->release(...));
    app(App\Planner\KeepUp::class)->handle(true);
    $lever = collect(LeverOffers::of($order->id))
        ->first(fn (LeverOffer $offer): bool => str_contains($offer->lever->says, 'Emberfield Heat Treatment, 2 days'));
    $this->actingAs($this->shop->as(Role::Planner))->get("/late/{$order->id}/levers");
    $this->post("/late/{$order->id}", [
        'token' => $this->shop->token(),
        'says' => $lever->lever->says,
        'of' => Plan::query()->findOrFail(Plan::LIVE)->stamp,
    ])->assertSessionHasNoErrors();
    $plan = Plan::query()->latest('id')->firstOrFail();
    $step = DB::table('plan_steps')->where('plan_id', $plan->id)
        ->where('order_step_id', ($this->step)($order, 20)->id)->first();
    expect($plan->id)->not->toBe(Plan::LIVE)
        ->and($step->work_centre_id ?? null)->toBeNull()
        ->and(strtotime($step->end_at) - strtotime($step->start_at))->toBeGreaterThanOrEqual(2 * 86_400);
});

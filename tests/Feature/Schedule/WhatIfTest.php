<?php

use App\Access\Role;
use App\Actions\Schedule\GoLive;
use App\Actions\Schedule\UndoPlan;
use App\Actions\Schedule\WhatIf;
use App\Books\Signed;
use App\Jobs\RunSearch;
use App\Models\Order;
use App\Models\Plan;
use App\Queries\Board\LastSearch;
use App\Queries\Board\PlanComparison;
use App\Queries\Board\PlanList;
use App\Queries\Board\WhyPage;
use App\Shop\LeverKind;
use App\Shop\LeverOffer;
use App\Shop\LeverOffers;
use App\Shop\ShopState;
use App\Shop\StandingPlan;
use App\Shop\WhyLate;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use KeepPace\Core\Refused;

/* Plans beside the live one: searching, levers, going live; why an order is late. */

/** A shop with more work than it can finish in time: laser and forming are short. */
function overloaded(object $test): Order
{
    foreach (
        [
            ['TRAY-40', '90', '2026-11-30'],
            ['LID-9', '60', '2026-12-01'],
            ['TRAY-40', '60', '2026-11-27'],
            ['DRUM-9', '12', '2026-12-02'],
            ['LID-20', '40', '2026-11-27'],
        ] as [$item, $quantity, $due]
    ) {
        $last = $test->shop->order($item, $quantity, $due);
    }

    return Order::query()->findOrFail(
        DB::table('plan_orders')
            ->where('plan_id', Plan::LIVE)
            ->where('late_minutes', '>', 0)
            ->orderByDesc('late_minutes')
            ->value('order_id') ?? $last->id,
    );
}

function lateness(int $plan = Plan::LIVE): int
{
    return (int) DB::table('plan_orders')->where('plan_id', $plan)->where('late_minutes', '>', 0)->sum('late_minutes');
}

function arrangedSteps(int $plan = Plan::LIVE): array
{
    return DB::table('plan_steps')
        ->where('plan_id', $plan)
        ->orderBy('order_step_id')
        ->get()
        ->map(fn ($row): string => "{$row->order_step_id} {$row->work_centre_id}/{$row->machine} {$row->start_at}")
        ->all();
}

it('searches on the queue, shows before and after, and goes live as one deed that can be undone', function () {
    overloaded($this);
    [$before, $plan] = [lateness(), arrangedSteps()];
    $this->actingAs($this->shop->as(Role::Planner))
        ->post('/plans/search', ['token' => 's', 'seconds' => '2', 'seed' => '3', 'moved_weight' => '0'])
        ->assertSessionHasNoErrors();
    $search = LastSearch::find();
    expect($search->state)->toBe('done')
        ->and($search->planId)->not->toBeNull()
        ->and((int) $search->cost)->toBeLessThanOrEqual((int) $search->costBefore)
        ->and((int) $search->costBefore)->toBe($before)
        ->and(arrangedSteps())->toBe($plan)
        ->and(lateness($search->planId))->toBe((int) $search->cost);
    $compared = PlanComparison::of($search->planId);
    expect($compared->effect['totalBefore'])->toBe($before)
        ->and($compared->effect['totalAfter'])->toBe(lateness($search->planId))
        ->and($compared->since)->toHaveCount(0);
    $this->get("/plans/{$search->planId}")->assertOk()->assertSee('Let it go live')->assertSee('What moves');
    $found = arrangedSteps($search->planId);
    $this->post("/plans/{$search->planId}/live", ['token' => 'l', 'seen' => '0'])
        ->assertRedirect('/board')
        ->assertSessionHas('undo_plan', true);
    expect(arrangedSteps())->toBe($found)->and($this->shop->differences())->toBe([]);
    app(UndoPlan::class)->undo(Plan::LIVE, $this->shop->sign(Role::Planner, token: 'u'));
    expect(arrangedSteps())->toBe($plan);
});

it('finds the same from the same seed and iterations', function () {
    overloaded($this);
    $standing = StandingPlan::of();
    $solve = fn (): array => KeepPace\Core\Scheduling\Plan\ScheduleSearch::solve(
        $standing->problem(),
        $standing->steps(),
        5,
        40,
        fn (): bool => true,
    )->schedule->finish;
    expect($solve())->toBe($solve());
});

it('leaves what runs and what begins in the running shift', function () {
    overloaded($this);
    $fence = StandingPlan::of()->problem()->workCentres[1]->fence;
    // the laser works two shifts; the one that runs ends at 14:00
    expect($fence)->toBe(ShopState::minute(CarbonImmutable::parse('2026-11-24 14:00', 'Europe/Dublin')));
    $this->actingAs($this->shop->as(Role::Planner))->post('/plans/search', ['token' => 's', 'seconds' => '2']);
    $fixed = fn (int $plan): array => DB::table('plan_steps')
        ->where('plan_id', $plan)
        ->where('work_centre_id', 1)
        ->where('start_at', '<', gmdate('Y-m-d H:i:s', $fence * 60))
        ->orderBy('order_step_id')
        ->pluck('start_at', 'order_step_id')
        ->all();
    expect($fixed((int) LastSearch::find()->planId))->toMatchArray($fixed(Plan::LIVE));
});

it('runs one search at a time, can be stopped, and a broken one says so', function () {
    Queue::fake();
    $this->actingAs($this->shop->as(Role::Planner))
        ->post('/plans/search', ['token' => 's', 'seconds' => '30'])
        ->assertSessionHas('done');
    $this->post('/plans/search', ['token' => 't', 'seconds' => '30'])->assertSessionHasErrors('refused');
    $this->get('/plans')->assertSee('waits for its turn')->assertSee('Watch it, stop it');
    $id = LastSearch::find()->id;
    $this->post("/searches/{$id}/stop")->assertRedirect("/searches/{$id}");
    (new RunSearch($id))->handle(app(WhatIf::class));
    expect(LastSearch::find()->state)->toBe('stopped')->and((float) LastSearch::find()->ran)->toBeLessThan(5.0);
    $row = LastSearch::find();
    (new RunSearch($id))->handle(app(WhatIf::class)); // sent twice by the queue: done once
    expect(LastSearch::find())->toEqual($row);
    (new RunSearch($id))->failed(new RuntimeException('x'));
    $this->get('/plans')->assertSee('broke off');
    $this->post('/plans/search', ['token' => 'w', 'seconds' => '1'])->assertSessionHasErrors('seconds');
    $this->post('/plans/search', ['token' => 'x', 'seconds' => 'long'])->assertSessionHasErrors('seconds');
});

it('does not go live over facts that changed: it is worked out again first', function () {
    overloaded($this);
    $planner = $this->shop->as(Role::Planner);
    app(WhatIf::class)->copy('Quiet', new Signed('c', $planner));
    $plan = (int) Plan::query()->where('is_live', false)->value('id');
    $new = $this->shop->order('LID-9', '4', '2026-12-09');
    expect(fn () => app(GoLive::class)->handle($plan, null, new Signed('l', $planner)))->toThrow(
        Refused::class,
        'Something was booked since',
    );
    $this->actingAs($planner)
        ->get("/plans/{$plan}")
        ->assertSee('Booked since it was worked out')
        ->assertSee('Work it out again')
        ->assertDontSee('Let it go live');
    $this->post("/plans/{$plan}/again", ['token' => 'a'])->assertSessionHas('done');
    expect(DB::table('plan_orders')->where('plan_id', $plan)->where('order_id', $new->id)->exists())->toBeTrue();
    app(GoLive::class)->handle($plan, null, new Signed('l2', $planner));
    expect($this->shop->differences())->toBe([]);
});

it('keeps several what-ifs, moves steps in them, and the shop follows none', function () {
    overloaded($this);
    $planner = $this->shop->as(Role::Planner);
    app(WhatIf::class)->copy('One', new Signed('c1', $planner));
    app(WhatIf::class)->copy('Two', new Signed('c2', $planner));
    $two = (int) Plan::query()->where('name', 'Two')->value('id');
    $live = arrangedSteps();
    $bar = collect(App\Queries\Board\BoardData::of($two)['bars'])
        ->filter(fn (array $bar): bool => $bar[1] === 1)
        ->last();
    $this->actingAs($planner)
        ->postJson("/board/steps/{$bar[0]}", [
            'token' => 'm',
            'plan' => $two,
            'centre' => 1,
            'machine' => 1,
            'minute' => ShopState::minute(now()),
        ])
        ->assertOk();
    expect(arrangedSteps())->toBe($live)
        ->and(arrangedSteps($two))->not->toBe($live)
        ->and(PlanList::all()->pluck('moved', 'name')['Two'])->toBeGreaterThan(0);
    $this->get("/board?plan={$two}")
        ->assertOk()
        ->assertSee('Nothing here counts until it goes live');
    $this->post('/board/undo', ['token' => 'u', 'plan' => $two])->assertSessionHas('done');
    expect(arrangedSteps($two))->toBe($live);
    $this->delete("/plans/{$two}", ['token' => 'd'])->assertSessionHas('done');
    expect(Plan::query()->whereKey($two)->exists())->toBeFalse()
        ->and(DB::table('plan_steps')->where('plan_id', $two)->count())->toBe(0);
    $this->delete('/plans/1', ['token' => 'd2'])->assertSessionHasErrors('refused');
    expect(Plan::query()->whereKey(1)->exists())->toBeTrue();
});

it('keeps a dozen, and starts no search whose find would have no room', function () {
    $planner = $this->shop->as(Role::Planner);
    for ($i = 0; $i < 12; $i++) {
        app(WhatIf::class)->copy("No {$i}", new Signed("c{$i}", $planner));
    }
    expect(fn () => app(WhatIf::class)->copy(
        'One more',
        new Signed('c', $planner),
    ))->toThrow(Refused::class, '12 what-if plans');
    $this->actingAs($planner)
        ->from('/plans')
        ->post('/plans/search', ['token' => 's', 'seconds' => '2'])
        ->assertSessionHasErrors('refused');
    expect(DB::table('searches')->count())->toBe(0);
});

it('explains each late order: the minutes add up to its completion, and a sentence says the most of it', function () {
    $order = overloaded($this);
    $standing = StandingPlan::of();
    $why = new WhyLate($standing);
    foreach ($standing->finishes() as $id => $finish) {
        $stretches = $why->stretches($id);
        expect(array_sum(array_map(fn ($stretch): int => $stretch->minutes(), $stretches)))
            ->toBe($finish - $standing->problem()->now)
            ->and(array_sum(array_column($why->rows($id, true), 'minutes')))->toBe($finish - $standing->problem()->now);
    }
    $this->actingAs($this->shop->as(Role::Sales))->get('/late')->assertSee($order->number)->assertSee('busy with');
    $this->get("/late/{$order->id}")->assertSee('From now to its completion')->assertSee('each minute once');
    // and the time to its date taken off, they add up to how late it is
    $page = WhyPage::of($order->id);
    $minute = fn (string $of): int => ShopState::minute(
        CarbonImmutable::parse(DB::table('plan_orders')->where('order_id', $order->id)->value($of), 'UTC'),
    );
    expect($page->rest())->toBe($minute('finish_at') - $minute('due_at'))
        ->and($page->rest())->toBeGreaterThan(0)
        ->and($page->restSays())->toEndWith(' late');
    $this->get('/late/99999')->assertNotFound();
});

it('tries levers: overtime, a machine, halves, rank; the effect is what the what-if then shows', function () {
    $order = overloaded($this);
    $offers = LeverOffers::of($order->id);
    $due = ShopState::minute(
        CarbonImmutable::parse(DB::table('plan_orders')->where('order_id', $order->id)->value('due_at'), 'UTC'),
    );
    $kinds = array_map(fn (LeverOffer $offer): LeverKind => $offer->lever->kind, $offers);
    expect($kinds)->toContain(
        LeverKind::Overtime,
        LeverKind::Machine,
        LeverKind::Split,
        LeverKind::Rank,
        LeverKind::SendOut,
    );
    $others = [LeverKind::SendOut, LeverKind::Other];
    $isByTime = fn (LeverOffer $offer): bool => ! in_array($offer->lever->kind, $others, true);
    foreach (array_filter($offers, $isByTime) as $offer) {
        // an order in time either way may end some minutes later for others' sake
        expect($offer->finishWith)->toBeLessThanOrEqual(max($offer->finish, $due), $offer->lever->says);
    }
    $this->actingAs($this->shop->as(Role::Planner))
        ->get("/late/{$order->id}/levers")
        ->assertSee('Try it as a what-if')
        ->assertSee($offers[0]->lever->says);
    $of = Plan::query()->findOrFail(Plan::LIVE)->stamp;
    $this->post("/late/{$order->id}", ['token' => 't', 'says' => $offers[0]->lever->says, 'of' => $of])
        ->assertSessionHas('done');
    $plan = Plan::query()->where('is_live', false)->firstOrFail();
    expect(
        DB::table('plan_orders')->where('plan_id', $plan->id)->where('order_id', $order->id)->value('finish_at'),
    )->toBe(gmdate('Y-m-d H:i:s', $offers[0]->finishWith * 60));
    $this->post("/late/{$order->id}", ['token' => 't2', 'says' => 'Pray', 'of' => $of])
        ->assertSessionHasErrors('refused');
});

it('makes a lever a fact when it goes live, and takes it back with the undo', function (LeverKind $kind, Closure $is) {
    $order = overloaded($this);
    $planner = $this->shop->as(Role::Planner);
    $lever = collect(LeverOffers::of($order->id))->firstWhere('lever.kind', $kind)->lever;
    $before = $is($order);
    app(WhatIf::class)->tryLever($order->id, $lever, new Signed('t', $planner));
    $plan = Plan::query()->where('is_live', false)->firstOrFail();
    $tried = arrangedSteps($plan->id);
    $version = $order->refresh()->version;
    app(GoLive::class)->handle($plan->id, null, new Signed('l', $planner));
    // an old form of the order must not overwrite its new rank, or its halves, unseen
    expect($order->refresh()->version)->toBe($version + ($kind === LeverKind::Overtime ? 0 : 1));
    $after = $is($order);
    expect($after)->not->toEqual($before)
        ->and(arrangedSteps())->toBe($tried)
        ->and($this->shop->differences())->toBe([]);
    app(UndoPlan::class)->undo(Plan::LIVE, new Signed('u', $planner));
    expect($is($order))->toEqual($before)
        ->and($order->refresh()->version)->toBe($version + ($kind === LeverKind::Overtime ? 0 : 2));
    app(UndoPlan::class)->redo(Plan::LIVE, new Signed('r', $planner));
    expect($is($order))->toEqual($after)->and(arrangedSteps())->toBe($tried);
})->with([
    [LeverKind::Overtime, fn (Order $order): int => DB::table('overtimes')->count()],
    [LeverKind::Rank, fn (Order $order): int => (int) $order->refresh()->rank],
    [
        LeverKind::Split,
        fn (Order $order): array => DB::table('order_steps')
            ->where('order_id', $order->id)
            ->pluck('transfer_quantity')
            ->all(),
    ],
]);

it('lets no second machine go live: it is bought, not planned', function () {
    $order = overloaded($this);
    $lever = collect(LeverOffers::of($order->id))->firstWhere('lever.kind', LeverKind::Machine)->lever;
    app(WhatIf::class)->tryLever($order->id, $lever, $this->shop->sign(Role::Planner, token: 't'));
    expect(
        fn () => app(GoLive::class)->handle(
            (int) Plan::query()->where('is_live', false)->value('id'),
            null,
            $this->shop->sign(Role::Planner, token: 'l'),
        ),
    )->toThrow(Refused::class, 'a plan cannot make that true');
});

it('offers no more overtime than the shop sets, or the work centre for itself', function () {
    $order = overloaded($this);
    [$centre] = (new WhyLate(StandingPlan::of()))->bottleneck($order->id);
    $overtime = function () use ($order): array {
        $offers = array_filter(
            LeverOffers::of($order->id),
            fn (LeverOffer $offer): bool => $offer->lever->kind === LeverKind::Overtime,
        );

        return array_values(array_map(
            fn (LeverOffer $offer): array => [$offer->lever->says, $offer->lever->spans],
            $offers,
        ));
    };
    $set = fn (array $values) => DB::table('work_centres')->where('id', $centre)->update($values);
    $hours = fn (array $span): int => (int) substr($span[2], 0, 2) - (int) substr($span[1], 0, 2);
    $says = fn (): string => implode(' | ', array_column($overtime(), 0));
    expect($says())->toContain('2 hours longer at ')->toContain('A shift at ');
    $set(['overtime_hours' => 1]);
    expect($says())->toContain('1 hour longer at ');
    $spans = collect($overtime())->first(fn (array $offer): bool => str_contains($offer[0], 'longer'))[1];
    expect(array_unique(array_map($hours, $spans)))->toBe([1]);
    $set(['overtime_hours' => 0]);
    expect($says())->not->toContain('longer')->toContain('A shift at ');
    $set(['no_saturdays' => true]);
    expect($overtime())->toBe([]);
});

it('offers nothing where a search finds nothing better, and says so', function () {
    $this->shop->order('TRAY-40', '10', '2027-01-15');
    $this->shop->order('LID-9', '20', '2027-01-20');
    $steps = arrangedSteps();
    $planner = $this->shop->as(Role::Planner);
    $this->actingAs($planner)
        ->post('/plans/search', ['token' => 's', 'seconds' => '2', 'moved_weight' => '0', 'seed' => '3'])
        ->assertSessionHas('done');
    $row = DB::table('searches')->latest('id')->first();
    expect($row->state)->toBe('done')
        ->and($row->plan_id)->toBeNull()
        ->and($row->cost)->toBe($row->cost_before)
        ->and($row->iterations)->toBeGreaterThan(100);
    expect(Plan::query()->where('is_live', false)->count())->toBe(0)->and(arrangedSteps())->toBe($steps);
    $this->get('/plans')
        ->assertSee('No better plan found in')
        ->assertSee('seed 3')
        ->assertDontSee('Look at what it found');
});

it('fences the running shift, and a day where one works round the clock', function () {
    $ends = fn (): array => array_map(
        fn ($centre): string => gmdate('Y-m-d H:i', $centre->fence * 60),
        (new App\Shop\Capacity(ShopState::minute(now()), 45))->workCentres,
    );
    $laser = App\Models\WorkCentre::query()->where('code', 'LASER')->firstOrFail();
    $form = App\Models\WorkCentre::query()->where('code', 'FORM')->value('id');
    expect($ends()[$laser->id])->toBe('2026-11-24 14:00')->and($ends()[$form])->toBe('2026-11-24 15:30');
    DB::table('shifts')->where('calendar_id', $laser->calendar_id)->delete();
    foreach (range(1, 7) as $day) {
        DB::table('calendar_days')->insert([
            'calendar_id' => $laser->calendar_id,
            'date' => '2026-11-'.(22 + $day),
            'kind' => 'overtime',
            'from_time' => '00:00',
            'to_time' => '00:00',
            'name' => 'burn-in',
        ]);
    }
    expect($ends()[$laser->id])->toBe('2026-11-25 09:00'); // not the end of the calendar
});

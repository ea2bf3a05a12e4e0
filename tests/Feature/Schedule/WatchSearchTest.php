<?php

use App\Access\Role;
use App\Actions\Schedule\WhatIf;
use App\Jobs\RunSearch;
use App\Jobs\SearchCourse;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\Plan;
use App\Planner\SearchNews;
use App\Queries\Board\AgainstRank;
use App\Queries\Board\LastSearch;
use App\Queries\Board\SearchPage;
use App\Shop\Prepared;
use App\Shop\StandingPlan;
use App\Wording\When;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;

/* A search as one watches it: 24 November 2026, 09:00 in Dublin, a Tuesday. */

/** A search for two seconds of a shop that has more work than time. */
function searchedFor(object $test): LastSearch
{
    foreach (
        [
            ['TRAY-40', '90', '2026-11-30'],
            ['LID-9', '60', '2026-12-01'],
            ['TRAY-40', '60', '2026-11-27'],
            ['LID-20', '40', '2026-11-27'],
        ] as [$item, $quantity, $due]
    ) {
        $test->shop->order($item, $quantity, $due);
    }
    $test->actingAs($test->shop->as(Role::Planner))
        ->post('/plans/search', ['token' => 's', 'seconds' => '2', 'seed' => '3', 'moved_weight' => '0'])
        ->assertRedirect('/searches/'.LastSearch::find()->id);

    return LastSearch::find();
}

it('shows how the cost fell, who is late before and now, and says the gain in words', function () {
    $search = searchedFor($this);
    expect($search->planId)->not->toBeNull();
    $page = SearchPage::of($search->id);
    $late = fn (int $plan): array => DB::table('plan_orders')
        ->where('plan_id', $plan)
        ->where('late_minutes', '>', 0)
        ->pluck('late_minutes', 'order_id')
        ->all();
    [$before, $after] = [$late(Plan::LIVE), $late($search->planId)];
    // the same as the two plans say themselves
    expect($page->late->where('before', '>', 0)->pluck('before', 'id')->all())->toEqual($before)
        ->and($page->late->where('after', '>', 0)->pluck('after', 'id')->all())->toEqual($after)
        ->and($page->lateBefore())->toBe(count($before))
        ->and($page->gain())->toContain('h less lateness; ')->toMatch('/ \d+ steps? moves?\.$/')
        ->and($page->course->lines)->toHaveCount(1);
    // the line begins at the top, at nought, and never rises
    $points = array_map(fn (string $at): array => array_map(floatval(...), explode(',', $at)),
        explode(' ', $page->course->lines[0]));
    [$x, $y] = [array_column($points, 0), array_column($points, 1)];
    $sorted = [$x, $y];
    sort($sorted[0]);
    sort($sorted[1]);
    expect([$x, $y])->toBe($sorted)->and($points[0])->toBe([0.0, 8.0])->and(max($x))->toBeLessThanOrEqual(620.0);
    $this->get("/searches/{$search->id}")
        ->assertOk()
        ->assertSee($page->gain())
        ->assertSee("/board?plan={$search->planId}&amp;moved=1", false)
        ->assertDontSee('every 700ms');
});

it('is asked again while it runs, can be stopped by who plans, and offers nothing without a gain', function () {
    Queue::fake();
    $this->shop->order('TRAY-40', '10', '2027-01-15');
    $this->actingAs($this->shop->as(Role::Planner))->post('/plans/search', ['token' => 's', 'seconds' => '2']);
    $id = LastSearch::find()->id;
    $this->get("/searches/{$id}")
        ->assertSee('waits for its turn')
        ->assertSee('every 700ms')
        ->assertSee('Stop and take the best so far')
        ->assertSee('Nobody, before or now.');
    $this->actingAs($this->shop->as(Role::Sales))
        ->get("/searches/{$id}")
        ->assertOk()
        ->assertDontSee('Stop and take the best so far');
    $this->post("/searches/{$id}/stop")->assertForbidden();
    (new RunSearch($id))->handle(app(WhatIf::class));
    $page = SearchPage::of($id);
    expect($page->gain())->toBe('')->and($page->search->planId)->toBeNull();
    $this->get("/searches/{$id}")->assertSee('No better plan found')->assertDontSee('See on the board');
    (new RunSearch($id))->failed(new RuntimeException('x'));
    $this->get("/searches/{$id}")->assertSee('broke off')->assertDontSee('every 700ms');
    $this->get('/searches/'.($id + 1))->assertNotFound();
});

it('leads on to what would help where orders stay late whatever their sequence', function () {
    Queue::fake();
    $late = $this->shop->order('TRAY-40', '10', '2026-11-02');
    $this->actingAs($this->shop->as(Role::Planner))->post('/plans/search', ['token' => 's', 'seconds' => '2']);
    $id = LastSearch::find()->id;
    $this->get("/searches/{$id}")->assertDontSee('what would help');
    (new RunSearch($id))->handle(app(WhatIf::class));
    expect(SearchPage::of($id)->lateNow())->toBe(1);
    $this->get("/searches/{$id}")
        ->assertSee('No better plan found')
        ->assertSee('Why each is late, and what would help')
        ->assertSee(route('late.index'));
    $this->get('/late')->assertSee($late->number);
});

it('says first, by customer, which promise already told it breaks', function () {
    $sold = $this->shop->customerOrder(['TRAY-40' => '30'], '2026-12-18');
    $this->shop->cover($sold);
    $line = $sold->lines->firstOrFail();
    $order = Order::query()->latest('id')->firstOrFail();
    $whatIf = app(WhatIf::class);
    $whatIf->copy('Later', $this->shop->sign(Role::Planner));
    $plan = (int) Plan::query()->where('is_live', false)->value('id');
    $finish = fn (int $of, string $at): int => DB::table('plan_orders')
        ->where('plan_id', $of)
        ->where('order_id', $order->id)
        ->update(['finish_at' => $at]);
    $this->plan->stop();
    $this->actingAs($this->shop->as(Role::Planner));
    // still within what was promised
    $finish($plan, '2026-12-18 15:00:00');
    $this->get("/plans/{$plan}")->assertOk()->assertDontSee('was told');
    $finish($plan, '2026-12-21 15:00:00');
    $customer = DB::table('customers')->where('id', $line->customerOrder->customer_id)->value('name');
    $told = "{$customer} was told ".When::day('2026-12-18');
    $this->get("/plans/{$plan}")->assertSee($told)->assertSee('here it is finished');
    // the customer was given a later day since
    $line->forceFill(['told_last_on' => '2026-12-22'])->save();
    $this->get("/plans/{$plan}")->assertDontSee('was told');
    // broken by the live plan already: nothing new
    $line->forceFill(['told_last_on' => '2026-12-18'])->save();
    $finish(Plan::LIVE, '2026-12-20 15:00:00');
    $this->get("/plans/{$plan}")->assertDontSee('was told');
});

it('says who is later for one that stands behind him in rank, and nothing where the rank is kept', function () {
    $orders = array_map(
        fn (string $due): Order => $this->shop->order('TRAY-40', '10', $due),
        ['2026-12-10', '2026-12-11', '2026-12-14'],
    );
    $this->plan->catchUp();
    [$first, $second, $third] = array_map(fn (Order $order): int => $order->id, $orders);
    [$one, $two, $three] = array_map(fn (Order $order): string => $order->number, $orders);
    foreach ([$first, $second, $third] as $place => $id) {
        DB::table('plan_orders')->where('plan_id', Plan::LIVE)->where('order_id', $id)->update([
            'place_in_rank' => 10 + $place,
        ]);
    }
    expect(AgainstRank::says([$third => 60], [$first => 30]))
        ->toBe("Against the rank: {$one} is later for {$three}, which stands behind it.")
        ->and(AgainstRank::says([$third => 60, $first => 5], [$first => 30, $second => 7]))
        ->toBe("Against the rank: {$one}, {$two} are later for {$three}, which stands behind them.")
        // the better ranked gains, the other pays: that is what a rank is for
        ->and(AgainstRank::says([$first => 60], [$third => 500]))->toBe('')
        ->and(AgainstRank::says([$first => 60, $third => 60], [$first => 60, $third => 10]))->toBe('')
        ->and(AgainstRank::says([], []))->toBe('');
});

it('keeps the course short however often it is told', function () {
    $course = new SearchCourse(10_000);
    for ($i = 1; $i <= 2000; $i++) {
        $course->add($i / 10, [new SearchNews(10_000 - $i, $i, []), new SearchNews(PHP_INT_MAX, 0, [])]);
    }
    [$falling, $silent] = json_decode($course->json(), true);
    expect(count($falling))->toBeLessThanOrEqual(160)
        ->and($falling[0])->toBe([0, 10_000])
        ->and(end($falling))->toBe([2000, 8000])
        ->and($silent)->toBe([[0, 10_000]]);
});

it('knows what people rely on: what begins soon behind the shift that runs, and what has its parts', function () {
    $soon = $this->shop->order('TRAY-40', '5', '2026-11-26');
    $later = $this->shop->order('TRAY-40', '900', '2026-12-18');
    $standing = StandingPlan::of();
    $steps = fn (): array => Prepared::steps($standing->problem(), $standing->steps());
    $of = fn (Order $order): array => $order->steps()->orderBy('number')->pluck('id')->all();
    $last = $of($later)[count($of($later)) - 1];
    expect($steps())->toHaveKey($of($soon)[0])->not->toHaveKey($last);
    DB::table('order_components')->insert([
        'order_id' => $later->id,
        'item_id' => DB::table('items')->where('number', 'SS-15')->value('id'),
        'position' => 90,
        'step_number' => OrderStep::query()->findOrFail($last)->number,
        'baseline_quantity' => 1,
        'planned_quantity' => 1,
        'used_quantity' => 1,
    ]);
    expect($steps())->toHaveKey($last);
});

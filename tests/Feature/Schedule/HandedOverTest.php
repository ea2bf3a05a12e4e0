<?php

use App\Access\Role;
use App\Actions\Product\KeepWorkCentre;
use App\Actions\Product\TypedCentre;
use App\Models\Calendar;
use App\Models\Family;
use App\Models\Order;
use App\Models\WorkCentre;
use App\Shop\ShopState;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Plan\ForwardLoading;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\Step;
use Tests\Core\Scheduling\FullChecker;

/*
 * What routings and work centres say is handed to the plan: loads of several orders, changeovers by family, what may
 * not be interrupted, people to set up.
 */

/** A work centre as somebody enters it. */
function enterCentre(object $test, string $code, int $load = 0, ?int $other = null, int $machines = 1): WorkCentre
{
    app(KeepWorkCentre::class)->enter($code, new TypedCentre(
        $code,
        Calendar::query()->where('code', 'PLANT')->firstOrFail()->id,
        $machines,
        $load,
        $other !== null,
        (int) $other,
        null,
        false,
        ['labour_rate' => '30', 'machine_rate' => '10', 'overhead_percent' => '0'],
        [],
    ), $test->shop->sign(Role::Planner));

    return WorkCentre::query()->where('code', $code)->firstOrFail();
}

/** @param  array<string, string>  $over  columns of the routing's one step */
function madeAt(object $test, string $item, string $centre, array $over = []): void
{
    $step = ['item' => $item, 'step' => '10', 'name' => 'Work', 'work_centre' => $centre, 'run_rate' => '60', ...$over];
    $problems = $test->shop->import([
        'items.csv' => "number,name,kind,unit\n{$item},{$item},made,pc\n",
        'routings.csv' => implode(',', array_keys($step))."\n".implode(',', $step)."\n",
    ]);
    expect($problems)->toBe([]);
}

/** @return list<object> what is planned at a work centre, by its start */
function plannedAt(WorkCentre $centre): array
{
    return DB::table('plan_steps AS p')
        ->join('order_steps AS s', 's.id', 'p.order_step_id')
        ->where('p.work_centre_id', $centre->id)
        ->orderBy('p.start_at')
        ->orderBy('s.order_id')
        ->get(['s.order_id', 'p.start_at', 'p.run_at', 'p.end_at', 'p.machine'])
        ->all();
}

it('puts five orders into one load of an oven, and the sixth into the next', function () {
    $oven = enterCentre($this, 'OVEN', load: 50);
    madeAt($this, 'BAKED-1', 'OVEN', ['run_basis' => 'min_per_batch', 'batch' => '50', 'family' => 'at 180']);
    for ($i = 0; $i < 6; $i++) {
        $this->shop->order('BAKED-1', '10');
    }
    $loads = collect(plannedAt($oven))->groupBy('start_at')->map(fn ($load): int => $load->count())->values()->all();
    expect($loads)->toBe([5, 1])->and($this->shop->differences())->toBe([]);
    $this->actingAs($this->shop->as(Role::Planner))->get('/board/data')->assertOk()
        ->assertJsonFragment(['name' => 'OVEN', 'loadSize' => 50]);
});

it('takes more than a load in loads one after the other', function () {
    $oven = enterCentre($this, 'OVEN', load: 50);
    madeAt($this, 'BAKED-1', 'OVEN', ['run_basis' => 'min_per_batch', 'batch' => '50']);
    $this->shop->order('BAKED-1', '120');
    $one = plannedAt($oven)[0];
    $minutes = CarbonImmutable::parse($one->start_at)->diffInMinutes(CarbonImmutable::parse($one->end_at));
    expect((int) $minutes)->toBeGreaterThanOrEqual(180); // three loads of an hour
});

it('keeps families of an oven apart', function () {
    $oven = enterCentre($this, 'OVEN', load: 50);
    madeAt($this, 'BAKED-1', 'OVEN', ['family' => 'at 180']);
    madeAt($this, 'BAKED-2', 'OVEN', ['family' => 'at 220']);
    $this->shop->order('BAKED-1', '1');
    $this->shop->order('BAKED-2', '1');
    expect(collect(plannedAt($oven))->groupBy('start_at'))->toHaveCount(2);
});

it('takes time to change over from one family to the next, by the table', function () {
    $press = enterCentre($this, 'PRESS', other: 90);
    madeAt($this, 'PART-R', 'PRESS', ['family' => 'red']);
    madeAt($this, 'PART-W', 'PRESS', ['family' => 'white']);
    [$red, $white] = [Family::called('red')->id, Family::called('white')->id];
    app(KeepWorkCentre::class)->change($press->id, 1, new TypedCentre(
        'PRESS',
        $press->calendar_id,
        1,
        0,
        true,
        90,
        null,
        false,
        null,
        [$red => [$white => 45]],
    ), $this->shop->sign(Role::Planner));
    $this->shop->order('PART-R', '1', '2026-11-25');
    $this->shop->order('PART-W', '1', '2026-11-26');
    $this->shop->order('PART-R', '1', '2026-11-27');
    $setUps = array_map(
        fn (object $one): int => (int) CarbonImmutable::parse($one->start_at)->diffInMinutes($one->run_at),
        plannedAt($press),
    );
    // nobody knows what it is set up for; red to white by the table; back to red as the others
    expect($setUps)->toBe([0, 45, 90]);
    expect(DB::table('product_changes')->where('field', 'from red to white')->value('after'))->toBe('45');
});

it('knows what the last step left a machine set up for', function () {
    $press = enterCentre($this, 'PRESS', other: 20);
    madeAt($this, 'PART-R', 'PRESS', ['family' => 'red']);
    madeAt($this, 'PART-W', 'PRESS', ['family' => 'white']);
    $order = $this->shop->order('PART-R', '1');
    $this->shop->release($order);
    $step = $order->steps()->firstOrFail();
    $this->shop->report($step->refresh(), '1');
    $now = ShopState::now()->problem(30)->workCentres[$press->id]->familyNow;
    expect($now)->toBe([1 => (string) Family::called('red')->id]);
    $this->shop->order('PART-W', '1');
    $one = plannedAt($press)[0];
    expect((int) CarbonImmutable::parse($one->start_at)->diffInMinutes($one->run_at))->toBe(20);
});

it('does in one go what may not be interrupted', function () {
    $bench = enterCentre($this, 'GLUE');
    madeAt($this, 'GLUED', 'GLUE', ['run_rate' => '170', 'unbroken' => 'yes']);
    madeAt($this, 'LOOSE', 'GLUE', ['run_rate' => '300']);
    $this->shop->order('LOOSE', '1');
    $order = $this->shop->order('GLUED', '1');
    $steps = collect(ShopState::now()->problem(30)->jobs)->flatMap(fn ($job): array => $job->steps);
    $glued = $steps->firstOrFail(fn (Step $one): bool => $one->id === $order->steps()->firstOrFail()->id);
    expect($glued->unbroken)->toBeTrue();
    $one = collect(plannedAt($bench))->firstWhere('order_id', $order->id);
    $length = CarbonImmutable::parse($one->start_at)->diffInMinutes(CarbonImmutable::parse($one->end_at));
    expect((int) $length)->toBe(170); // no break and no night in it
});

it('asks for people to set up apart from those who run', function () {
    madeAt($this, 'TWO-UP', 'WELD', ['setup_minutes' => '30', 'setup_crew' => '2', 'crew' => '0']);
    // of the two welders one is away: then a crew is counted
    DB::table('absences')->insert([
        'person_id' => DB::table('people')->where('name', 'Nell Farrow')->value('id'),
        'from_at' => now()->addDays(3),
        'until_at' => now()->addDays(4),
        'booking_id' => DB::table('bookings')->max('id'),
    ]);
    $order = $this->shop->order('TWO-UP', '1');
    $steps = collect(ShopState::now()->problem(30)->jobs)->flatMap(fn ($job): array => $job->steps);
    $step = $steps->firstOrFail(fn (Step $one): bool => $one->id === $order->steps()->firstOrFail()->id);
    expect($step->crewing?->setup)->toBe(2)->and($step->crewing?->run)->toBe(0);
});

it('plans for a step only those who are qualified for it', function () {
    madeAt($this, 'BEAM-1', 'WELD', ['qualification' => 'Overhead welding', 'run_rate' => '60']);
    DB::table('people')->where('name', 'Nell Farrow')->update(['qualifications' => 'overhead WELDING|crane']);
    $away = fn (int $from, int $until): bool => DB::table('absences')->insert([
        'person_id' => DB::table('people')->where('name', 'Nell Farrow')->value('id'),
        'from_at' => now()->addDays($from),
        'until_at' => now()->addDays($until),
        'booking_id' => DB::table('bookings')->max('id'),
    ]);
    $away(-1, 3);
    $order = $this->shop->order('BEAM-1', '1');
    $step = $order->steps()->firstOrFail();
    $planned = plannedAt(WorkCentre::query()->where('code', 'WELD')->firstOrFail());
    $mine = collect($planned)->firstWhere('order_id', $order->id);
    expect($step->qualification)->toBe('Overhead welding')
        ->and(CarbonImmutable::parse($mine->start_at) >= now()->addDays(3))->toBeTrue()
        ->and($this->shop->differences())->toBe([]);
});

it('plans what nobody is qualified for as if anybody could, and says so where crews are kept', function () {
    madeAt($this, 'BEAM-1', 'WELD', ['qualification' => 'overhead welding']);
    $order = $this->shop->order('BEAM-1', '1');
    $planned = plannedAt(WorkCentre::query()->where('code', 'WELD')->firstOrFail());
    expect(collect($planned)->firstWhere('order_id', $order->id))->not->toBeNull();
    $this->actingAs($this->shop->as(Role::Planner))->get('/crews')
        ->assertSee('is qualified for overhead welding, which');
    DB::table('people')->where('name', 'Nell Farrow')->update(['qualifications' => 'Overhead Welding']);
    $this->get('/crews')->assertDontSee('is qualified for overhead welding, which')->assertSee('Overhead Welding');
});

it('binds nobody to a machine that runs on without people, and costs what they work at it', function () {
    madeAt($this, 'CAST-X', 'WELD', ['setup_minutes' => '10', 'run_rate' => '4', 'machine_minutes' => '30']);
    DB::table('people')->where('name', 'Nell Farrow')->update(['qualifications' => 'any']); // a crew that is counted
    madeAt($this, 'ANY-X', 'WELD', ['qualification' => 'any']);
    $this->shop->order('ANY-X', '1');
    $order = $this->shop->order('CAST-X', '5');
    $step = $order->steps()->firstOrFail();
    $planned = collect(ShopState::now()->problem(30)->jobs)
        ->flatMap(fn ($job): array => $job->steps)
        ->firstOrFail(fn (Step $one): bool => $one->id === $step->id);
    expect([$planned->setup, $planned->minutes])->toBe([10, 150])
        ->and([$planned->crewing?->setup, $planned->crewing?->run])->toBe([1, 0]);
    $this->shop->release($order);
    $rate = (float) $step->refresh()->labour_rate;
    expect($order->refresh()->planned_labour)->toBe((int) round($rate * 100 * 30 / 60)); // 10 and five times 4
    $this->travel(1)->minutes();
    $this->shop->report($step, '5', over: ['minutes' => 160]);
    $entry = DB::table('step_entries')->where('order_step_id', $step->id)->latest('id')->first();
    expect([$entry->machine_minutes, $entry->labour_minutes])->toBe([160, 30])
        ->and($this->shop->differences())->toBe([]);
});

it('passes pieces on in lots, as the routing says', function () {
    $step = fn (string $item, string $transfer): array => $this->shop->import([
        'items.csv' => "number,name,kind,unit\n{$item},{$item},made,pc\n",
        'routings.csv' => "item,step,name,work_centre,run_rate,transfer\n"
            ."{$item},10,Cut,SAW,10,{$transfer}\n{$item},20,Weld,WELD,10,\n",
    ]);
    expect($step('WHOLE', ''))->toBe([])->and($step('IN-LOTS', '5'))->toBe([]);
    $problem = function (string $item): Step {
        $order = $this->shop->order($item, '20');
        $steps = collect(ShopState::now()->problem(30)->jobs)->flatMap(fn ($job): array => $job->steps);

        return $steps->firstOrFail(fn (Step $one): bool => $one->id === $order->steps()->firstOrFail()->id);
    };
    expect($problem('WHOLE')->passOn)->toBeNull()
        ->and($problem('IN-LOTS')->passOn?->first)->toBe(50);
});

// FullChecker judges minute by minute and shares nothing with the engine
it('plans random shops of all this so that nothing is broken, anew and kept', function (int $seed) {
    mt_srand($seed);
    enterCentre($this, 'OVEN', load: 20);
    enterCentre($this, 'PRESS', other: 35, machines: mt_rand(1, 2));
    foreach (['OVEN', 'PRESS'] as $centre) {
        $at = WorkCentre::query()->where('code', $centre)->firstOrFail();
        foreach (['gold', 'gold|fine', ''] as $n => $qualifications) {
            DB::table('people')->insert([
                'number' => "{$centre}-{$n}",
                'name' => "{$centre} {$n}",
                'work_centre_id' => $at->id,
                'calendar_id' => $at->calendar_id,
                'qualifications' => $qualifications,
            ]);
        }
        foreach (['red', 'white', 'blue'] as $family) {
            madeAt($this, "{$centre}-{$family}", $centre, [
                'family' => $family,
                'run_rate' => (string) mt_rand(5, 15), // six of them in the longest time without a break
                'setup_minutes' => (string) mt_rand(0, 20),
                'unbroken' => mt_rand(0, 2) === 0 ? 'yes' : 'no',
                'setup_crew' => (string) mt_rand(0, 2),
                'crew' => (string) mt_rand(0, 2),
                'run_basis' => $centre === 'OVEN' ? 'min_per_batch' : 'min_per_unit',
                'batch' => '20',
                'machine_minutes' => mt_rand(0, 2) === 0 ? (string) mt_rand(3, 20) : '',
                'qualification' => ['', 'Gold', 'fine', 'nobody has this'][mt_rand(0, 3)],
            ]);
        }
    }
    for ($i = 0; $i < 14; $i++) {
        $item = ['OVEN', 'PRESS'][mt_rand(0, 1)].'-'.['red', 'white', 'blue'][mt_rand(0, 2)];
        $this->shop->order($item, (string) mt_rand(1, 6), sprintf('2026-12-%02d', mt_rand(1, 20)));
    }
    $problem = ShopState::now()->problem(120);
    $new = ForwardLoading::load($problem, []);
    $kept = KeptSequence::load($problem, $new->steps);
    expect(FullChecker::faults($problem, $new))->toBe([])
        ->and(FullChecker::faults($problem, $kept))->toBe([])
        ->and($new->unplaced)->toBe([])
        ->and(Order::query()->where('state', 'firm')->count())->toBe(14);
})->with(range(1, 6));

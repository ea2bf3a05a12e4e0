<?php

use App\Access\Role;
use App\Actions\Schedule\MoveStep;
use App\Actions\Schedule\UndoPlan;
use App\Models\Booking;
use App\Models\Order;
use App\Models\Plan;
use App\Planner\KeepUp;
use App\Queries\Board\BoardData;
use App\Queries\Board\MovePreview;
use App\Queries\Board\PrintedPlan;
use App\Queries\Board\Threads;
use App\Shop\ShopState;
use Carbon\CarbonImmutable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;
use KeepPace\Core\Scheduling\Plan\Put;
use Tests\Support\PdfText;

/* Arranging the live plan. The shop: 24 November 2026, 09:00 in Dublin, a Tuesday; the plant works 07:00 to 15:30. */

/** @return array<int, string> where each step of the live plan stands, by step id */
function arranged(int $plan = Plan::LIVE): array
{
    return DB::table('plan_steps')
        ->where('plan_id', $plan)
        ->orderBy('order_step_id')
        ->get()
        ->mapWithKeys(
            fn (stdClass $row): array => [
                $row->order_step_id => "{$row->work_centre_id}/{$row->machine} {$row->start_at}",
            ],
        )
        ->all();
}

/** @return array{step: int, centre: int, machine: int, start: int} the first step of an order, as planned */
function firstStep(Order $order): array
{
    $row = DB::table('plan_steps AS p')
        ->join('order_steps AS s', 's.id', 'p.order_step_id')
        ->where('p.plan_id', Plan::LIVE)
        ->where('s.order_id', $order->id)
        ->orderBy('s.number')
        ->first(['s.id', 'p.work_centre_id', 'p.machine', 'p.start_at']);

    return [
        'step' => $row->id,
        'centre' => $row->work_centre_id,
        'machine' => $row->machine,
        'start' => ShopState::minute(CarbonImmutable::parse($row->start_at, 'UTC')),
    ];
}

function move(
    object $test,
    Order $order,
    int $minute,
    bool $pin = false,
    ?int $seen = null,
    Role $by = Role::Planner,
): Booking {
    $at = firstStep($order);

    return app(MoveStep::class)->handle(
        Plan::LIVE,
        new Put($at['step'], $at['centre'], $at['machine'], $minute),
        $pin,
        $seen,
        $test->shop->sign($by),
    );
}

beforeEach(function (): void {
    $this->first = $this->shop->order('TRAY-40', '30', '2026-12-03');
    $this->second = $this->shop->order('TRAY-40', '30', '2026-12-04');
    $this->third = $this->shop->order('LID-9', '20', '2026-12-07');
});

it('moves a step, keeps every other sequence, and brings all back by undo and forth by redo', function () {
    $before = arranged();
    $booking = move($this, $this->third, firstStep($this->first)['start']);
    $after = arranged();
    expect(firstStep($this->third)['start'])->toBeLessThan(firstStep($this->first)['start'])
        ->and($after)->not->toBe($before)
        ->and($booking->says)->toContain("{$this->third->number} step 10")->and($this->shop->differences())->toBe([]);
    app(UndoPlan::class)->undo(Plan::LIVE, $this->shop->sign(Role::Supervisor, token: 'u'));
    expect(arranged())->toBe($before);
    app(UndoPlan::class)->redo(Plan::LIVE, $this->shop->sign(Role::Supervisor, token: 'r'));
    expect(arranged())->toBe($after)
        ->and(fn () => app(UndoPlan::class)->redo(Plan::LIVE, $this->shop->sign(Role::Supervisor, token: 'r2')))
        ->toThrow(Refused::class, 'Nothing is left to do again');
    // a new deed ends what could be redone
    app(UndoPlan::class)->undo(Plan::LIVE, $this->shop->sign(Role::Supervisor, token: 'u2'));
    move($this, $this->second, firstStep($this->first)['start'] - 1);
    expect(fn () => app(UndoPlan::class)->redo(Plan::LIVE, $this->shop->sign(Role::Supervisor, token: 'r3')))->toThrow(
        Refused::class,
    );
    app(UndoPlan::class)->undo(Plan::LIVE, $this->shop->sign(Role::Supervisor, token: 'u3'));
    expect(arranged())->toBe($before)
        ->and(fn () => app(UndoPlan::class)->undo(Plan::LIVE, $this->shop->sign(Role::Supervisor, token: 'u4')))
        ->toThrow(Refused::class, 'Nothing on this plan is left to undo');
});

it('undoes a move over facts that changed since: what is new keeps its place, what is done stays done', function () {
    $before = firstStep($this->first)['start'];
    move($this, $this->third, $before);
    $new = $this->shop->order('LID-9', '6', '2026-12-01');
    $this->shop->release($this->first);
    app(UndoPlan::class)->undo(Plan::LIVE, $this->shop->sign(Role::Planner, token: 'u'));
    expect(firstStep($this->first)['start'])->toBeLessThan(firstStep($this->third)['start'])
        ->and(arranged())->toHaveCount(12)
        ->and(firstStep($new)['start'])->toBeGreaterThan(0)->and($this->shop->differences())->toBe([]);
});

it('keeps a pin through every booking, until it is taken out', function () {
    $friday = ShopState::minute(CarbonImmutable::parse('2026-11-27 08:00', 'Europe/Dublin'));
    move($this, $this->first, $friday, pin: true);
    expect(firstStep($this->first)['start'])->toBe($friday)
        ->and(BoardData::of()['bars'])
        ->toContain(...array_filter(BoardData::of()['bars'], fn (array $bar): bool => $bar[10] === 1));
    $this->shop->order('LID-9', '4');
    app(KeepUp::class)->handle();
    expect(firstStep($this->first)['start'])->toBe($friday)->and($this->shop->differences())->toBe([]);
    app(MoveStep::class)->unpin(
        Plan::LIVE,
        firstStep($this->first)['step'],
        null,
        $this->shop->sign(Role::Planner, token: 'out'),
    );
    expect(firstStep($this->first)['start'])->toBeLessThan($friday)
        ->and(
            fn () => app(MoveStep::class)->unpin(
                Plan::LIVE,
                firstStep($this->first)['step'],
                null,
                $this->shop->sign(Role::Planner, token: 'out2'),
            ),
        )
        ->toThrow(Refused::class, 'not pinned');
    // undo brings the pin back
    app(UndoPlan::class)->undo(Plan::LIVE, $this->shop->sign(Role::Planner, token: 'u'));
    expect(firstStep($this->first)['start'])->toBe($friday);
});

it('pins on another work centre that can do the step, in that one\'s time', function () {
    $order = $this->shop->order('GBOX-1', '2');
    $at = firstStep($order);
    $other = DB::table('work_centres')->where('code', 'ASM')->value('id');
    $monday = ShopState::minute(CarbonImmutable::parse('2026-11-30 08:00', 'Europe/Dublin'));
    $minutes = fn (): int => (int) DB::table('order_steps')->where('id', $at['step'])->value('planned_minutes');
    app(MoveStep::class)->handle(
        Plan::LIVE,
        new Put($at['step'], $other, 2, $monday),
        true,
        null,
        $this->shop->sign(Role::Planner, token: 'p'),
    );
    $now = firstStep($order);
    // 15 of setup and 84 of run: 99 minutes on the bench; the run takes one and a half times that at assembly
    expect([$now['centre'], $now['machine'], $now['start']])->toBe([$other, 2, $monday])->and($minutes())->toBe(99);
    $row = DB::table('plan_steps')->where('plan_id', Plan::LIVE)->where('order_step_id', $at['step'])->first();
    // the morning break is in it
    expect(strtotime($row->end_at) - strtotime($row->start_at))->toBe((15 + 126 + 15) * 60);
    $this->actingAs($this->shop->as(Role::Operator))->get("/dispatch/{$other}")->assertSee('Assemble gearbox');
});

it('refuses what cannot be, and says what can', function (Closure $act, string $says) {
    $before = arranged();
    expect(fn () => $act($this))->toThrow(Refused::class, $says)
        ->and(arranged())->toBe($before)
        ->and(DB::table('plan_changes')->count())->toBe(0);
})->with([
    'a work centre that cannot do it' => [
        fn ($t) => app(MoveStep::class)->handle(
            Plan::LIVE,
            new Put(firstStep($t->first)['step'], 3, 1, 29_800_000),
            false,
            null,
            $t->shop->sign(Role::Planner, token: 'a'),
        ),
        'Welding cannot do this step; Laser cutting can.',
    ],
    'a machine that is not there' => [
        fn ($t) => app(MoveStep::class)->handle(
            Plan::LIVE,
            new Put(firstStep($t->first)['step'], 1, 4, 29_800_000),
            false,
            null,
            $t->shop->sign(Role::Planner, token: 'a'),
        ),
        'no such machine',
    ],
    'a pin on closed time' => [
        fn ($t) => move(
            $t,
            $t->first,
            ShopState::minute(CarbonImmutable::parse('2026-11-28 12:00', 'Europe/Dublin')),
            true,
        ),
        'is closed then',
    ],
    'a pin in the past' => [
        fn ($t) => move(
            $t,
            $t->first,
            ShopState::minute(CarbonImmutable::parse('2026-11-23 12:00', 'Europe/Dublin')),
            true,
        ),
        'in the past',
    ],
    'a step that is not planned' => [
        fn ($t) => app(MoveStep::class)->handle(
            Plan::LIVE,
            new Put(99999, 1, 1, 29_800_000),
            false,
            null,
            $t->shop->sign(Role::Planner, token: 'a'),
        ),
        'has no place in the plan',
    ],
    'a plan that is gone' => [
        fn ($t) => app(MoveStep::class)->handle(
            77,
            new Put(firstStep($t->first)['step'], 1, 1, 29_800_000),
            false,
            null,
            $t->shop->sign(Role::Planner, token: 'a'),
        ),
        'not there any more',
    ],
]);

it('tells who moved what when two arrange the same plan', function () {
    $seen = (int) Plan::query()->findOrFail(Plan::LIVE)->change_id;
    move($this, $this->third, firstStep($this->first)['start'], seen: $seen, by: Role::Supervisor);
    expect(fn () => move($this, $this->second, firstStep($this->first)['start'], seen: $seen))->toThrow(
        Refused::class,
        'changed the plan meanwhile: '.$this->third->number,
    );
    // one's own second move from the same page is no conflict
    move($this, $this->third, firstStep($this->second)['start'] + 1, seen: $seen, by: Role::Supervisor);
    expect(DB::table('plan_changes')->count())->toBe(2);
});

it('answers the board\'s script in words, and sends the person back without it', function () {
    $at = firstStep($this->third);
    $body = [
        'token' => 'm',
        'centre' => $at['centre'],
        'machine' => $at['machine'],
        'minute' => firstStep($this->first)['start'],
    ];
    $this->actingAs($this->shop->as(Role::Planner))
        ->postJson("/board/steps/{$at['step']}", $body)
        ->assertOk()
        ->assertJsonPath('says', fn (string $says): bool => str_contains($says, 'moved to Laser cutting'));
    $this->postJson("/board/steps/{$at['step']}", [...$body, 'token' => 'n', 'centre' => 3])
        ->assertStatus(422)
        ->assertJsonPath('refused.0', fn (string $says): bool => str_contains($says, 'cannot do this step'));
    $this->postJson("/board/steps/{$at['step']}", [...$body, 'token' => 'o', 'minute' => 'soon'])
        ->assertStatus(422)
        ->assertJsonValidationErrors('minute');
    $this->actingAs($this->shop->as(Role::Operator))
        ->postJson("/board/steps/{$at['step']}", [...$body, 'token' => 'p'])
        ->assertForbidden();
});

it('previews just what moving then does', function () {
    $at = firstStep($this->third);
    $target = firstStep($this->first)['start'];
    $preview = MovePreview::of(Plan::LIVE, new Put($at['step'], $at['centre'], $at['machine'], $target));
    $before = arranged();
    expect($preview['can'])->toBeTrue()->and(arranged())->toBe($before);
    move($this, $this->third, $target);
    $moved = array_keys(array_diff_assoc(arranged(), $before));
    expect(array_column($preview['moved'], 0))->toEqualCanonicalizing($moved)
        ->and(firstStep($this->third)['start'])->toBe($preview['lands'][0]);
});

it('previews who becomes late and who is saved', function () {
    $this->shop->order('TRAY-40', '90', '2026-11-26');
    $rush = $this->shop->order('TRAY-40', '60', '2026-11-26');
    $at = firstStep($rush);
    $preview = MovePreview::of(
        Plan::LIVE,
        new Put($at['step'], $at['centre'], $at['machine'], ShopState::minute(now()) + 1),
    );
    $late = fn (): array => DB::table('plan_orders AS p')
        ->join('orders AS o', 'o.id', 'p.order_id')
        ->where('p.plan_id', Plan::LIVE)
        ->where('late_minutes', '>', 0)
        ->orderBy('o.number')
        ->pluck('o.number')
        ->all();
    $before = $late();
    move($this, $rush, ShopState::minute(now()) + 1);
    expect(array_column($preview['effect']['late'], 'number'))
        ->toEqualCanonicalizing(array_values(array_diff($late(), $before)))
        ->and(array_column($preview['effect']['saved'], 'number'))
        ->toEqualCanonicalizing(array_values(array_diff($before, $late())));
});

it('gives the board a whole plan with load, threads and customers', function () {
    $customer = $this->shop->customerOrder(['EX-9H' => '3']);
    $this->shop->cover($customer, \App\Actions\Cover\CoverBy::NewOrder, true);
    $data = BoardData::of();
    $made = Order::query()->where('item_id', $this->shop->item('EX-9H')->id)->firstOrFail();
    $part = collect($data['orders'])->first(fn (array $order): bool => $order['for'] === $made->id);
    expect($data['orders'][$made->id]['customer'])->not->toBe('')
        ->and($part['customer'])->toBe($data['orders'][$made->id]['customer'])
        ->and($data['orders'][$made->id]['needs'])->not->toBe([])
        ->and(array_column($data['bars'], 0))->toEqualCanonicalizing(array_keys(arranged()))
        ->and(count($data['days']))->toBeGreaterThan(7);
    foreach ($data['centres'] as $centre) {
        expect(count($centre['load']))->toBe(count($data['days']) - 1)
            ->and(count($centre['wanted']))->toBe(count($centre['load']))
            ->and(array_sum($centre['load']))->toBeGreaterThanOrEqual(0);
    }
});

it('shows what was worked on in the last days where it was, once, and not what was taken back', function () {
    $order = $this->shop->order('TRAY-40', '20');
    $this->shop->release($order);
    [$cut, $form] = [$order->steps[0], $order->steps[1]];
    $this->shop->report($cut, '12', '12');
    $done = fn (): array => BoardData::of()['done'];
    $now = ShopState::minute(CarbonImmutable::now());
    [$centre, $from, $to, $id, $number, $step, , $says] = $done()[0];
    expect($done())->toHaveCount(1)
        ->and([$centre, $id, $number, $step, $says])
        ->toBe([$cut->work_centre_id, $order->id, $order->number, $cut->number, '12 good'])
        ->and($from)->toBe($now - 30) // the minutes it was reported with
        ->and($to)->toBe($now);
    // counted again later: one piece of work, from its first minute to its last count
    Carbon::setTestNow(CarbonImmutable::now()->addHours(2));
    $this->shop->report($cut->refresh(), '6', '0', '2');
    expect($done())->toHaveCount(1)
        ->and($done()[0][7])->toBe('18 good, 2 scrap')
        ->and($done()[0][1])->toBe($now - 30)
        ->and($done()[0][2])->toBe($now + 120);
    $wrong = $this->shop->report($form, '5');
    expect(array_column($done(), 5))->toBe([$cut->number, $form->number]);
    // what is reversed was not done
    $this->shop->reverse($wrong);
    expect(array_column($done(), 5))->toBe([$cut->number]);
    // a week later nobody asks any more
    Carbon::setTestNow(CarbonImmutable::now()->addDays(8));
    expect($done())->toBe([]);
});

it('says of a step all its order hangs on, with days: customer, parts that come, what nobody ordered', function () {
    $sold = $this->shop->customerOrder(['EX-9H' => '3'], '2026-12-18');
    $this->shop->cover($sold, \App\Actions\Cover\CoverBy::NewOrder, true);
    $made = Order::query()->where('item_id', $this->shop->item('EX-9H')->id)->firstOrFail();
    $threads = Threads::of(Plan::LIVE, $made->id)->groups;
    $whom = $threads['For whom'][0];
    $parts = collect($threads['Its parts, what is not there first']);
    // what the plan allots: each quantity once
    $allotted = DB::table('plan_components AS p')
        ->join('order_components AS c', 'c.id', 'p.component_id')
        ->where('p.plan_id', Plan::LIVE)
        ->where('c.order_id', $made->id)
        ->selectRaw('SUM(p.from_stock > 0) + SUM(p.missing > 0) + SUM(JSON_LENGTH(p.coming)) AS n')
        ->value('n');
    $own = $parts->reject(fn ($thread): bool => str_contains($thread->what, ': '));
    expect($whom->what)->toBe("{$sold->number}/10 ".$sold->customer->name)
        ->and($whom->says)->toStartWith('3, promised 18 Dec, finished ')
        ->and($own)->toHaveCount((int) $allotted)
        ->and($parts->pluck('order')->all())->toBe($parts->pluck('order')->sort()->values()->all())
        ->and($parts->pluck('says')->implode(' | '))->toContain('nobody has ordered')->toContain('with order ');
    // of a part it says what it goes into, and for whom that is
    $part = Order::query()->where('id', '<>', $made->id)->latest('id')->firstOrFail();
    $of = Threads::of(Plan::LIVE, $part->id)->groups;
    expect($of['Part of'][0]->what)->toContain($made->number)
        ->and($of['For whom'][0]->what)->toBe($whom->what);
    $this->actingAs($this->shop->as(Role::Planner));
    $this->get("/board/threads/{$made->id}")->assertOk()->assertSee('For whom');
    $this->get('/board/threads/999999')->assertNotFound();
});

it('prints a day or a week on A3, each step that is under way in it and no other', function () {
    $this->shop->order('TRAY-40', '20', '2026-11-27');
    $this->shop->order('LID-9', '400', '2026-12-04');
    $this->actingAs($this->shop->as(Role::Operator));
    $paper = fn (string $asked): string => $this->get("/board/plan.pdf?{$asked}")
        ->assertOk()
        ->assertHeader('Content-Type', 'application/pdf')
        ->getContent();
    $plan = fn (string $on, int $days): PrintedPlan => PrintedPlan::of(
        Plan::LIVE,
        CarbonImmutable::parse($on, 'Europe/Dublin'),
        $days,
    );
    $week = $plan('2026-11-23', 7);
    $printed = collect($week->rows)->flatMap(fn ($row): array => $row->bars);
    $under = DB::table('plan_steps')
        ->where('plan_id', Plan::LIVE)
        ->where('end_at', '>', '2026-11-23 00:00:00')
        ->where('start_at', '<', '2026-11-30 00:00:00')
        ->count();
    expect($printed)->toHaveCount($under)->and($under)->toBeGreaterThan(3);
    foreach ($week->rows as $row) {
        // what is worked and what is closed are the week, each minute once
        $spans = [...$row->worked($week->from, $week->to), ...$row->closed($week->from, $week->to)];
        expect(array_sum(array_map(fn (array $span): int => $span[1] - $span[0], $spans)))->toBe(7 * 1440);
    }
    $text = PdfText::of($paper('on=2026-11-25&span=week'));
    expect($text)->toContain('Plan, Mon 23 Nov 2026 to Sun 29 Nov 2026')
        ->toContain('Laser cutting')
        ->toContain('Tue 24 Nov')
        ->and($paper('on=2026-11-25&span=week'))->toContain('1190.55'); // A3 across, in points (ISO 216)
    expect(PdfText::of($paper('on=2026-11-24')))->toContain('Plan, Tue 24 Nov 2026')->toContain('10:00');
    // the day summer time ends has 25 hours
    $long = $plan('2026-10-25', 1);
    expect($long->to - $long->from)->toBe(25 * 60);
    $this->get('/board/plan.pdf?plan=999')->assertNotFound();
});

it('says when the plan was brought up to date, by what, and keeps up with the clock', function () {
    $news = $this->actingAs($this->shop->as(Role::Operator))->getJson('/board/news')->json();
    expect($news['when'])->toContain('last by')->toContain('Order ');
    $start = firstStep($this->first)['start'];
    Carbon::setTestNow(CarbonImmutable::parse('2026-11-24 11:00', 'Europe/Dublin'));
    $this->artisan('pace:planner', ['--once' => true])->assertSuccessful();
    expect($stamp = $this->getJson('/board/news')->json('stamp'))->not->toBe($news['stamp'])
        ->and(firstStep($this->first)['start'])->toBe(max($start, ShopState::minute(now())));
    $this->artisan('pace:planner', ['--once' => true])->assertSuccessful(); // nothing to plan, and no time went by
    expect($this->getJson('/board/news')->json('stamp'))->toBe($stamp);
});

<?php

use App\Access\Role;
use App\Actions\Outside\ChangeBack;
use App\Actions\Purchasing\ChangePurchase;
use App\Actions\Purchasing\LineToBuy;
use App\Actions\Purchasing\RaisePurchases;
use App\Books\Signed;
use App\Models\ConsignmentLine;
use App\Models\Order;
use App\Models\Plan;
use App\Models\PurchaseLine;
use App\Models\Supplier;
use App\Planner\KeepUp;
use App\Queries\Questions\ArrivalList;
use App\Queries\Questions\ArrivalQuestion;
use App\Shop\Deliveries;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/*
 * What should be here and is not has no date until somebody gives one: our own rule, foundations 'overdue'. Today is
 * Tue 24 Nov 2026.
 */

function bought(object $test, string $item, string $quantity, string $on): PurchaseLine
{
    app(RaisePurchases::class)->handle(
        [new LineToBuy($test->shop->item($item)->id, $quantity, expectedOn: $on)],
        false,
        $test->shop->sign(Role::Buyer),
    );

    return PurchaseLine::query()->latest('id')->firstOrFail();
}

function nothingThere(object $test, string ...$items): void
{
    foreach ($items as $item) {
        DB::table('balances')->where('item_id', $test->shop->item($item)->id)->update(['quantity' => 0]);
    }
}

function day(object $test, string $date): void
{
    $test->travelTo(new CarbonImmutable("{$date} 09:00", 'Europe/Dublin'));
    app(KeepUp::class)->handle();
}

/** When the first step of an order is planned to start, on the plant's clock. */
function begins(Order $order): string
{
    $at = DB::table('plan_steps AS p')->join('order_steps AS s', 's.id', 'p.order_step_id')
        ->where('s.order_id', $order->id)->where('p.plan_id', Plan::LIVE)->orderBy('s.number')->value('p.start_at');

    return CarbonImmutable::parse($at, 'UTC')->setTimezone('Europe/Dublin')->format('Y-m-d H:i');
}

/** @return list<string> */
function asked(): array
{
    return array_map(fn (ArrivalQuestion $one): string => $one->says, ArrivalList::asked(Deliveries::now()));
}

beforeEach(function () {
    $this->buyer = $this->shop->as(Role::Buyer);
});

/** Gears to be made of castings that are to come on Thu 26 Nov. */
function castings(object $test): void
{
    nothingThere($test, 'CAST-48');
    $test->line = bought($test, 'CAST-48', '50', '2026-11-26');
    $test->gear = $test->shop->order('GEAR-48', '10');
}

it('plans what is overdue for two working days from today, each day anew, and asks for it', function () {
    castings($this);
    expect(begins($this->gear))->toBe('2026-11-27 07:00')->and(asked())->toBe([]);
    day($this, '2026-11-27'); // it was due yesterday
    expect(begins($this->gear))->toBe('2026-12-02 07:00') // taken for Tue 1 Dec, used from the next opening
        ->and(asked())->toBe(["{$this->line->number} was due yesterday: when does it come?"]);
    day($this, '2026-12-10');
    expect(begins($this->gear))->toBe('2026-12-15 07:00');
    $this->actingAs($this->buyer)->get("/orders/{$this->gear->id}")->assertSee('waits until about Tue, was due 26 Nov');
    $this->get('/purchases')
        ->assertSee('was due 26 Nov, taken for Mon')
        ->assertSee('first said for 26 Nov, passed once');
    $this->get('/questions')
        ->assertSee("{$this->line->number} was due on 26 Nov: when does it come?")
        ->assertSee('Comes on that day');
    $this->get('/')->assertSee('1 question is open');
});

it('takes the day of the answer, and keeps the day first given and how often one has passed', function () {
    castings($this);
    day($this, '2026-11-30');
    $answer = fn (array $typed): object => $this->actingAs($this->buyer)->from('/questions')
        ->put("/purchase-lines/{$this->line->id}/arrival", ['token' => uniqid(), ...$typed]);
    $answer(['answer' => 'day', 'expected_on' => '4.12.'])->assertSessionHasNoErrors();
    expect($this->line->refresh()->only(['expected_on', 'first_expected_on', 'days_passed']))
        ->toBe(['expected_on' => '2026-12-04', 'first_expected_on' => '2026-11-26', 'days_passed' => 1])
        ->and(begins($this->gear))->toBe('2026-12-07 07:00')->and(asked())->toBe([]);
    day($this, '2026-12-07');
    $answer(['answer' => 'day', 'expected_on' => 'Wed'])->assertSessionHasNoErrors();
    expect($this->line->refresh()->only(['expected_on', 'first_expected_on', 'days_passed']))
        ->toBe(['expected_on' => '2026-12-09', 'first_expected_on' => '2026-11-26', 'days_passed' => 2]);
    // hurried in time, no day has passed
    app(ChangePurchase::class)->date($this->line->id, '2026-12-08', null, new Signed('hurry', $this->buyer));
    expect($this->line->refresh()->days_passed)->toBe(2);
});

it('asks again on the day that was said, and plans for no day before it', function () {
    castings($this);
    day($this, '2026-11-27');
    $this->actingAs($this->buyer)->from('/questions')
        ->put(
            "/purchase-lines/{$this->line->id}/arrival",
            ['token' => 'a', 'answer' => 'again', 'expected_on' => 'Thu'],
        )
        ->assertSessionHasNoErrors();
    expect(asked())->toBe([])->and(begins($this->gear))->toBe('2026-12-04 07:00');
    day($this, '2026-12-02');
    expect(asked())->toBe([]);
    day($this, '2026-12-03');
    expect(asked())->toHaveCount(1);
    app(ChangePurchase::class)->date($this->line->id, '2026-12-04', null, new Signed('given', $this->buyer));
    expect($this->line->refresh()->ask_again_on)->toBeNull()->and(asked())->toBe([]);
});

it('counts what comes no more as not ordered', function () {
    castings($this);
    day($this, '2026-11-27');
    $put = fn (array $typed): object => $this->actingAs($this->buyer)->from('/questions')
        ->put("/purchase-lines/{$this->line->id}/arrival", ['token' => uniqid(), 'answer' => 'never', ...$typed]);
    $put([])->assertSessionHasErrors(['reason' => 'Say why it comes no more.']);
    $put(['reason' => 'the foundry burnt down'])->assertSessionHasNoErrors();
    $row = DB::table('plan_orders')->where('order_id', $this->gear->id)->first();
    expect($row->readiness)->toBe('stuck')->and(asked())->toBe([])->and($this->line->refresh()->is_open)->toBeFalse();
});

it('refuses a day that has passed, a closed one with its cure, and who may not', function () {
    castings($this);
    day($this, '2026-11-27');
    $put = fn (array $typed): object => $this->from('/questions')
        ->put("/purchase-lines/{$this->line->id}/arrival", ['token' => uniqid(), ...$typed]);
    $this->actingAs($this->buyer);
    $put(['answer' => 'day', 'expected_on' => '25.11.'])->assertSessionHasErrors([
        'expected_on' => 'It cannot come before today.',
    ]);
    $put(['answer' => 'day', 'expected_on' => 'sat'])->assertSessionHasErrors([
        'expected_on' => "Sat 28 Nov 2026 is closed in the plant's calendar. Take Mon 30 Nov 2026, or type 'Sat 28 "
            ."Nov 2026!' to keep it.",
    ]);
    $put(['answer' => 'again', 'expected_on' => 'today'])->assertSessionHasErrors([
        'expected_on' => 'Ask again on a day after today.',
    ]);
    $put(['answer' => 'day'])->assertSessionHasErrors(['expected_on' => 'Type the day.']);
    $put(['answer' => 'maybe', 'expected_on' => 'mon'])->assertSessionHasErrors('answer');
    $this->actingAs($this->shop->as(Role::Operator));
    $put(['answer' => 'day', 'expected_on' => 'mon'])->assertForbidden();
    expect($this->line->refresh()->expected_on)->toBe('2026-11-26');
    $this->actingAs($this->buyer);
    $put(['answer' => 'day', 'expected_on' => 'Sat 28 Nov 2026!'])->assertSessionHasNoErrors();
    expect($this->line->refresh()->expected_on)->toBe('2026-11-28');
});

it('expects a purchase its lead time in working days from today, never on a closed day', function (
    int $lead,
    string $on,
) {
    DB::table('items')
        ->where('id', $this->shop->item('MOT-120')->id)
        ->update(['lead_time_days' => $lead]);
    app(RaisePurchases::class)->handle(
        [new LineToBuy($this->shop->item('MOT-120')->id, '5')],
        false,
        new Signed('w', $this->buyer),
    );
    expect(PurchaseLine::query()->latest('id')->value('expected_on'))->toBe($on);
})->with([
    'four days: over the week-end' => [4, '2026-11-30'],
    'over Christmas' => [25, '2026-12-30'],
    'none known: ten' => [0, '2026-12-08'],
]);

/** Passes pieces on to the step at the supplier: DRUM-20's step 40, four days away. */
function sent(object $test, Order $order, string $quantity): void
{
    foreach ($order->steps()->get()->takeWhile(fn ($step): bool => ! $step->isOutside()) as $step) {
        $test->shop->report($step->refresh(), $quantity, $quantity);
    }
    $test->shop->sendAll($order->steps()->whereNotNull('supplier_id')->firstOrFail());
}

it('gives each handful that goes to a supplier a day of its own, and asks for the one that is late', function () {
    $order = $this->shop->order('DRUM-20', '10', '2027-01-15');
    $this->shop->release($order);
    sent($this, $order, '4');
    day($this, '2026-11-26');
    sent($this, $order, '6');
    $handfuls = ConsignmentLine::query()->orderBy('id')->get();
    $back = fn (ConsignmentLine $one): string => $one->back_at->setTimezone('Europe/Dublin')->format('Y-m-d H:i');
    // Sat 28 Nov and Mon 30 Nov: the first on the next day that is worked
    expect($handfuls->map($back)->all())->toBe(['2026-11-30 09:00', '2026-11-30 09:00'])
        ->and($handfuls->pluck('sent')->all())->toBe(['4.000000', '6.000000']);
    app(ChangeBack::class)->date($handfuls[1]->id, '2026-12-03', new Signed('c', $this->buyer, 'bath is down'));
    day($this, '2026-12-01');
    $this->actingAs($this->buyer)->get('/at-suppliers')
        ->assertSee('was due yesterday, taken for Thu')
        ->assertSee('Thu');
    expect(asked())->toContain(
        "Order {$order->number} was to be back from step 40 Passivate yesterday: when does it come?",
    );
    // the plan waits for the last of them, and not until this minute
    $outside = $order->steps()->whereNotNull('supplier_id')->firstOrFail();
    $end = fn (): string => CarbonImmutable::parse(
        DB::table('plan_steps')->where('order_step_id', $outside->id)->where('plan_id', Plan::LIVE)->value('end_at'),
        'UTC',
    )
        ->setTimezone('Europe/Dublin')->format('Y-m-d H:i');
    expect($end())->toBe('2026-12-03 09:00');
    // the first handful comes: what is left is the second
    $this->shop->report($outside->refresh(), '4');
    expect(array_filter(asked(), fn (string $says): bool => str_contains($says, $order->number)))->toBe([]);
    $this->actingAs($this->buyer)->from('/questions')
        ->put(
            "/consignment-lines/{$handfuls[1]->id}/arrival",
            ['token' => 'n', 'answer' => 'again', 'expected_on' => '9.12.'],
        )
        ->assertSessionHasNoErrors();
    expect($end())->toBe('2026-12-09 09:00');
    $this->shop->report($outside->refresh(), '6');
    expect(
        fn () => app(ChangeBack::class)->date($handfuls[1]->id, '2026-12-10', new Signed('z', $this->buyer)),
    )->toThrow(Refused::class, 'All of it is back');
    expect($this->shop->differences())->toBe([]);
});

it('takes a handful back with the booking that sent it', function () {
    $order = $this->shop->order('DRUM-20', '10', '2027-01-15');
    $this->shop->release($order);
    sent($this, $order, '4');
    $this->shop->reverse(App\Models\Booking::query()->latest('id')->firstOrFail());
    expect(App\Shop\Away::handfuls()->count())->toBe(0)->and($this->shop->differences())->toBe([]);
    $this->actingAs($this->buyer)->get('/at-suppliers')->assertSee('Nothing is outside.');
});

it('counts the days of a supplier who has a calendar by it, planned and sent alike', function () {
    $order = $this->shop->order('DRUM-20', '10', '2027-01-15');
    $this->shop->release($order);
    $outside = $order->steps()->whereNotNull('supplier_id')->firstOrFail();
    $planned = DB::table('plan_steps')->where('order_step_id', $outside->id)->where('plan_id', Plan::LIVE);
    $elapsed = $planned->first();
    expect(CarbonImmutable::parse($elapsed?->start_at)->addDays(4)->format('Y-m-d H:i:s'))->toBe($elapsed?->end_at);

    $supplier = Supplier::query()->where('number', 'S-05')->firstOrFail();
    $this->actingAs($this->buyer)->put("/suppliers/{$supplier->id}", [
        'token' => 'worked',
        'version' => $supplier->version,
        'name' => $supplier->name,
        'calendar_id' => DB::table('calendars')->where('code', 'PLANT')->value('id'),
    ])->assertSessionHasNoErrors();
    $plan = $planned->first();
    // minute by minute: four days that are no week-end, of which there is one between
    $end = CarbonImmutable::parse($plan?->start_at, 'Europe/Dublin');
    for ($left = 4 * 1440; $left > 0; $end = $end->addMinute()) {
        $left -= $end->isWeekend() ? 0 : 1;
    }
    expect($plan?->end_at)->toBe($end->format('Y-m-d H:i:s'))
        ->and((int) CarbonImmutable::parse($plan?->start_at)->diffInDays($end))->toBe(6);

    sent($this, $order, '4');
    day($this, '2026-11-26');
    sent($this, $order, '6');
    $back = ConsignmentLine::query()->orderBy('id')->get()
        ->map(fn (ConsignmentLine $one): string => $one->back_at->setTimezone('Europe/Dublin')->format('Y-m-d H:i'));
    // of Tuesday: Wed, Thu, Fri, Mon; of Thursday: Fri, Mon, Tue, Wed
    expect($back->all())->toBe(['2026-11-30 09:00', '2026-12-02 09:00'])
        ->and($this->shop->differences())->toBe([]);
});

it('takes a day in one touch, from Today, the lists and the board', function () {
    nothingThere($this, 'GATE-40');
    $line = bought($this, 'GATE-40', '40', '2026-11-25');
    DB::table('purchase_lines')->where('id', $line->id)->update(['expected_on' => '2026-11-20']);
    $buyer = $this->actingAs($this->shop->as(Role::Buyer));
    $buyer->get('/')->assertOk()->assertSee('Should be here')->assertSee('value="2026-11-26"', false);
    $send = fn (string $touch) => $buyer->from('/')->put("/purchase-lines/{$line->id}/arrival", [
        'token' => $this->shop->token(),
        'touch' => $touch,
    ]);
    $send('2026-11-26')->assertSessionHas('done');
    expect($line->refresh()->expected_on)->toBe('2026-11-26')->and($line->ask_again_on)->toBeNull();
    $send('unknown')->assertSessionHas('done');
    expect($line->refresh()->ask_again_on)->toBe('2026-11-25'); // the next day that is worked
    $send('2026-11-29')->assertSessionHasErrors('expected_on'); // a Sunday
    $send('soon')->assertSessionHasErrors('expected_on');
    // who may not order of suppliers is not asked
    $this->actingAs($this->shop->as(Role::Operator))->get('/')->assertDontSee('name="touch"', false);
});

it('says to the board what is away, and takes the day from it', function () {
    $order = $this->shop->order('DRUM-20', '6', '2027-01-15');
    $this->shop->release($order);
    sent($this, $order, '6');
    $outside = $order->steps()->whereNotNull('supplier_id')->firstOrFail();
    $handful = ConsignmentLine::query()->where('order_step_id', $outside->id)->firstOrFail();
    $planner = $this->actingAs($this->shop->as(Role::Supervisor));
    $data = $planner->getJson('/board/data')->assertOk()->json();
    expect($data['away'][$outside->id][0]['id'])->toBe($handful->id)
        ->and($data['away'][$outside->id][0]['says'])->toStartWith('6 back: ')
        ->and(array_column($data['likely'], 'on'))->toBe(['2026-11-25', '2026-11-26', '2026-11-27', '2026-12-01']);
    $planner->putJson("/consignment-lines/{$handful->id}/arrival", ['token' => 'touch', 'touch' => '2026-12-01'])
        ->assertOk()
        ->assertJsonPath('booking', fn ($id): bool => is_int($id));
    expect(CarbonImmutable::parse($handful->refresh()->back_at, 'UTC')->toDateString())->toBe('2026-12-01');
});

it('tells the board where the day of what is away is sent', function () {
    $to = (string) parse_url(route('arrivals.consignment', 7), PHP_URL_PATH);
    $this->actingAs($this->shop->as(Role::Supervisor))->get('/board')
        ->assertSee('data-back="'.str_replace('/7/arrival', '', $to).'"', false);
});

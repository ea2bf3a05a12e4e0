<?php

use App\Access\Role;
use App\Actions\Orders\CureShort;
use App\Actions\Orders\PlaceInRank;
use App\Actions\Orders\SplitOrder;
use App\Models\Booking;
use App\Models\CustomerOrderLine;
use App\Models\Order;
use App\Models\Plan;
use App\Models\Question;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\Cure;
use KeepPace\Core\Refused;

function splitOff(object $test, Order $order, string $pieces): Order
{
    $order->refresh();
    app(SplitOrder::class)->handle(
        $order->id,
        $order->version,
        $pieces,
        $test->shop->sign(Role::Supervisor, 'one half first'),
    );

    return Order::query()->latest('id')->firstOrFail();
}

it('splits an order: components, cost, cover and pieces follow', function () {
    $co = $this->shop->customerOrder(['TRAY-40' => '10']);
    $this->shop->cover($co);
    $order = Order::query()->latest('id')->firstOrFail();
    $this->shop->release($order);
    $planned = $order->refresh()->planned_material;
    $sheet = $this->shop->component($order, 'SS-15');
    $this->shop->issue($sheet, (string) $sheet->openQuantity(), [
        'H-7714' => '8',
        'H-7731' => (string) $sheet->openQuantity()->minus('8'),
    ]);
    $used = $sheet->refresh()->used_value;
    $new = splitOff($this, $order, '4');
    $theirs = $this->shop->component($new, 'SS-15');
    $sheet->refresh();
    expect($order->refresh()->quantity)->toBe('6.000000')
        ->and($new->quantity)->toBe('4.000000')
        ->and($new->state->value)->toBe('running')
        ->and($new->split_from_id)->toBe($order->id)
        ->and((float) $sheet->planned_quantity + (float) $theirs->planned_quantity)->toEqualWithDelta(11.3402, 0.001)
        ->and($sheet->used_value + $theirs->used_value)->toBe($used)
        ->and((float) $theirs->used_quantity)->toEqualWithDelta(4.536, 0.001)
        ->and($order->planned_material + $new->planned_material)->toEqualWithDelta($planned, 3)
        ->and($this->shop->covers($new))->toBe('4.000000')
        ->and($this->shop->covers($order))->toBe('6.000000')
        ->and($this->shop->differences())->toBe([]);
    // both are built and closed to the cent
    foreach ([$order, $new] as $half) {
        $this->shop->issueAll($half);
        $this->shop->workThrough($half);
        $this->shop->receive($half, (string) (int) $half->quantity);
        $this->shop->close($half->refresh());
    }
    expect($this->shop->differences())->toBe([]);
    $this->actingAs($this->shop->as(Role::Sales))->get("/customer-orders/{$co->id}")->assertSee('10 from stock');
});

it('splits a firm order, and refuses pieces that have begun', function () {
    $order = $this->shop->order('LID-9', '8');
    $new = splitOff($this, $order, '3');
    expect($new->state->value)->toBe('firm')
        ->and($new->steps()->count())->toBe($order->steps()->count())
        ->and($this->shop->differences())->toBe([]);
    $this->shop->release($order->refresh());
    $this->shop->report($order->steps[0], '4', '4');
    expect(fn () => splitOff($this, $order, '2'))->toThrow(Refused::class, '1 of 5 pieces have not begun')
        ->and(fn () => splitOff($this, $order, '5'))->toThrow(Refused::class);
});

it('says at once that an order will finish short, and cures it', function (string $how, string $says) {
    $co = $this->shop->customerOrder(['LID-9' => '12']);
    $this->shop->cover($co, App\Actions\Cover\CoverBy::NewOrder);
    $order = Order::query()->latest('id')->firstOrFail();
    $this->shop->release($order);
    $this->shop->report($order->steps[0], '10', '10', '2');
    $question = Question::query()->firstOrFail();
    expect($question->says)->toContain("Order {$order->number} will finish 2 short")
        ->and($question->role)->toBe('supervisor');
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->get("/orders/{$order->id}")
        ->assertSee('It will finish 2 short')
        ->assertSee('Make them again');
    $send = fn (string $quantity) => $this->from('/x')->post("/orders/{$order->id}/short", [
        'token' => $this->shop->token(),
        'version' => $order->refresh()->version,
        'how' => $how,
        'quantity' => $quantity,
        'reason' => 'Mr Hale, by phone',
    ]);
    $send('3')->assertSessionHasErrors('quantity');
    $send('2')->assertSessionHasNoErrors()->assertSessionHas('done');
    expect(Question::query()->whereNull('answered_at')->count())->toBe(0)->and($this->shop->differences())->toBe([]);
    $this->actingAs($this->shop->as(Role::Sales))->get("/customer-orders/{$co->id}")->assertSee($says);
})->with([['stock', '2 from stock'], ['accept', '2 not covered'], ['remake', '10 from']]);

it('keeps the cost of a remake apart', function () {
    $order = $this->shop->order('LID-9', '5');
    $this->shop->release($order);
    $this->shop->report($order->steps[0], '4', '4', '1');
    app(CureShort::class)->handle(
        $order->id,
        $order->refresh()->version,
        Cure::Remake,
        '1',
        $this->shop->sign(Role::Supervisor, token: 'r'),
    );
    $remake = Order::query()->where('remake_of_id', $order->id)->firstOrFail();
    $this->shop->release($remake);
    $this->shop->issueAll($remake);
    $cost = (int) DB::table('cost_entries')->where('order_id', $remake->id)->sum('cents');
    expect($cost)->toBeGreaterThan(0);
    $this->actingAs($this->shop->as(Role::CostClerk))
        ->get("/orders/{$order->id}")
        ->assertSee('made again by', false)
        ->assertSee('cost so far '.number_format($cost / 100, 2));
});

it('asks no more when the report that scrapped is reversed', function () {
    $order = $this->shop->order('LID-9', '5');
    $this->shop->release($order);
    $this->shop->reverse($this->shop->report($order->steps[0], '4', '0', '1'));
    expect(Question::query()->whereNull('answered_at')->count())->toBe(0);
});

it('asks for each report that scrapped, and takes back just its own', function () {
    $order = $this->shop->order('LID-9', '8');
    $this->shop->release($order);
    $first = $this->shop->report($order->steps[0], '2', '2', '3');
    $second = $this->shop->report($order->steps[0], '1', '1', '1');
    $open = fn (): array => Question::query()->whereNull('answered_at')->orderBy('id')->pluck('open_quantity')->all();
    expect($open())->toBe(['3.000000', '1.000000']);
    $this->shop->reverse($second);
    expect($open())->toBe(['3.000000']);
    $cure = fn (string $quantity) => app(CureShort::class)->handle(
        $order->id,
        $order->refresh()->version,
        Cure::Remake,
        $quantity,
        $this->shop->sign(Role::Supervisor),
    );
    $two = $cure('2');
    expect($open())->toBe(['1.000000']);
    $this->actingAs($this->shop->as(Role::Supervisor))->get("/orders/{$order->id}")->assertSee('Make them again');
    $one = $cure('1');
    expect($open())->toBe([])
        ->and(Question::query()->where('answer', 'made again')->count())->toBe(1)
        ->and($this->shop->differences())->toBe([]);
    // what was cured and taken back is asked again, whichever is taken back first
    $this->shop->reverse($two);
    expect($open())->toBe(['2.000000'])->and($this->shop->differences())->toBe([]);
    $this->shop->reverse($one);
    expect($open())->toBe(['3.000000'])->and($this->shop->differences())->toBe([]);
    // but not where the scrap itself was taken back meanwhile
    $accepted = app(CureShort::class)->handle(
        $order->id,
        $order->refresh()->version,
        Cure::Accepted,
        '2',
        $this->shop->sign(Role::Supervisor),
    );
    $this->shop->reverse($first);
    expect($open())->toBe([]);
    $this->shop->reverse($accepted);
    expect($open())->toBe([])->and($this->shop->differences())->toBe([]);
});

it('asks no more how an order is cured once it is closed, and again when that is taken back', function () {
    $order = $this->shop->order('LID-9', '3');
    $this->shop->release($order);
    $this->shop->issueAll($order);
    foreach ($order->steps()->get() as $n => $step) {
        $isLast = $n === $order->steps()->count() - 1;
        $this->shop->report($step->refresh(), '2', $isLast ? '0' : '2', $n === 0 ? '1' : '0');
    }
    $this->shop->receive($order->refresh(), '2', place: 'STORES');
    $asked = fn (): array => Question::query()->where('kind', 'short')->get(['answer', 'open_quantity'])->toArray();
    expect($asked())->toBe([['answer' => '', 'open_quantity' => '1.000000']]);
    $closed = $this->shop->close($order->refresh());
    expect($asked())->toBe([['answer' => 'closed with what came', 'open_quantity' => '0.000000']])
        ->and($this->shop->differences())->toBe([]);
    $this->actingAs($this->shop->as(Role::Supervisor))->get('/')->assertDontSee('will finish 1 short');
    $this->shop->reverse($closed);
    expect($asked())->toBe([['answer' => '', 'open_quantity' => '1.000000']])
        ->and($this->shop->differences())->toBe([]);
});

it('brings along questions of the version before: what settled them, and those of closed orders', function () {
    $order = $this->shop->order('LID-9', '8');
    $this->shop->release($order);
    $this->shop->report($order->steps[0], '2', '2', '3');
    $cured = app(CureShort::class)->handle(
        $order->id,
        $order->refresh()->version,
        Cure::Accepted,
        '3',
        $this->shop->sign(Role::Supervisor),
    );
    $other = $this->shop->order('LID-9', '3');
    $this->shop->release($other);
    $this->shop->issueAll($other);
    $this->shop->workThrough($other);
    $this->shop->receive($other->refresh(), '3', place: 'STORES');
    $closed = $this->shop->close($other->refresh());
    Question::query()->create([
        'booking_id' => Booking::query()->min('id'), 'kind' => 'short', 'order_id' => $other->id,
        'says' => 'One was lost.',
        'quantity' => '1', 'open_quantity' => '1', 'role' => 'supervisor', 'opened_at' => now(),
    ]);
    DB::unprepared('DELETE FROM question_entries');
    expect($this->shop->differences())->not->toBe([]);
    $change = require database_path('migrations/2026_12_13_000002_questions_keep_their_answers.php');
    $change->up();
    $change->up(); // gone on with where it broke off
    expect($this->shop->differences())->toBe([])
        ->and(DB::table('question_entries')->orderBy('id')->pluck('quantity', 'booking_id')->all())
        ->toBe([$cured->id => '3.000000', $closed->id => '1.000000']);
    $this->shop->reverse($cured);
    expect(Question::query()->where('order_id', $order->id)->value('open_quantity'))->toBe('3.000000');
});

it('lets a customer line go: to the shelf, on hold, stopped, or to another line', function (
    string $then,
    string $state,
    bool $held,
    string $says,
) {
    $co = $this->shop->customerOrder(['TRAY-40' => '3']);
    $this->shop->cover($co);
    $other = $this->shop->customerOrder(['TRAY-40' => '2'])->lines[0];
    $order = Order::query()->latest('id')->firstOrFail();
    $this->actingAs($this->shop->as(Role::Sales))
        ->get("/customer-orders/{$co->id}")
        ->assertSee('The customer no longer wants a line');
    $this->from('/x')
        ->delete('/customer-order-lines/'.$co->lines[0]->id, [
            'token' => 'k',
            'version' => $co->refresh()->version,
            'then' => $then,
            'other' => $then === 'line' ? $other->id : null,
            'reason' => 'budget cut',
        ])
        ->assertSessionHasNoErrors();
    $order->refresh();
    expect($order->state->value)->toBe($state)
        ->and($order->is_held)->toBe($held)
        ->and(CustomerOrderLine::query()->findOrFail($co->lines[0]->id)->is_open)->toBeFalse()
        ->and(Booking::query()->latest('id')->firstOrFail()->says)->toContain($says)
        ->and($this->shop->differences())->toBe([]);
    expect((float) DB::table('ties')->where('line_id', $other->id)->sum('quantity'))->toBe(
        $then === 'line' ? 2.0 : 0.0,
    );
})->with([
    ['shelf', 'firm', false, 'goes on for the shelf'],
    ['hold', 'firm', true, 'is held'],
    ['stop', 'cancelled', false, 'is cancelled'],
    ['line', 'firm', false, 'no longer wanted'],
]);

it('says what becomes of components when the quantity falls below what they were issued for', function () {
    $order = $this->shop->order('TRAY-40', '10');
    $this->shop->release($order);
    $this->shop->issueAll($order);
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->from('/x')
        ->put("/orders/{$order->id}", [
            'token' => 'q',
            'version' => $order->refresh()->version,
            'quantity' => '6',
            'rank' => $order->rank,
            'due_on' => $order->due_on,
        ])
        ->assertSessionHasNoErrors();
    expect(Booking::query()->latest('id')->value('says'))->toContain('More is issued than it takes now')
        ->toContain('16 pc FOOT-1')
        ->and($this->shop->differences())->toBe([]);
});

it('places orders in the rank, shows the effect first, and gives scarce parts to the higher', function () {
    $orders = array_map(fn (int $n): Order => $this->shop->order('EX-9E', '10', "2026-12-1{$n}"), [1, 2, 3]);
    $given = fn (): array => array_map(
        fn (Order $order): string => (string) (int) DB::table('plan_components')
            ->where('component_id', $this->shop->component($order, 'MOT-120')->id)
            ->value('from_stock'),
        $orders,
    );
    expect($given())->toBe(['10', '4', '0']);
    $this->actingAs($this->shop->as(Role::Supervisor));
    $before = DB::table('orders')->pluck('rank', 'id')->all();
    $this->post('/rank/preview', ['token' => 'p', 'move' => "{$orders[2]->id}-{$orders[0]->id}"])
        ->assertOk()
        ->assertSee("before {$orders[0]->number} would mean")
        ->assertSee('Keep it so');
    expect(DB::table('orders')->pluck('rank', 'id')->all())->toBe($before)
        ->and($given())->toBe(['10', '4', '0']);
    $this->post('/rank', ['token' => 'r', 'move' => "{$orders[2]->id}-{$orders[0]->id}"])->assertSessionHas(
        'done',
        "Order {$orders[2]->number} from place 3 to place 1.",
    );
    expect($given())->toBe(['4', '0', '10']);
    $this->get('/rank')->assertSeeInOrder([$orders[2]->number, $orders[0]->number, $orders[1]->number]);
    app(PlaceInRank::class)->handle($orders[2]->id, null, $this->shop->sign(Role::Supervisor, token: 'last'));
    expect($given())->toBe(['10', '4', '0'])->and($this->shop->differences())->toBe([]);
});

it('always finds room between two, whatever the ranks were', function () {
    mt_srand(3);
    $orders = array_map(fn (): Order => $this->shop->order('LID-9', '1'), range(1, 6));
    DB::table('orders')->update(['rank' => 1]);
    $expected = array_map(fn (Order $order): int => $order->id, $orders);
    app(App\Planner\KeepUp::class)->atTheEnd(function () use (&$expected): void {
        for ($i = 0; $i < 40; $i++) {
            $id = $expected[mt_rand(0, 5)];
            $rest = array_values(array_diff($expected, [$id]));
            $at = mt_rand(0, 5);
            try {
                app(PlaceInRank::class)->handle(
                    $id,
                    $rest[$at] ?? null,
                    $this->shop->sign(Role::Supervisor, token: "rank-{$i}"),
                );
            } catch (Refused) {
                continue; // stands there already
            }
            array_splice($rest, $at, 0, [$id]);
            $expected = $rest;
        }
    });
    expect(DB::table('orders')->orderBy('rank')->orderBy('due_on')->orderBy('id')->pluck('id')->all())->toBe($expected)
        ->and(
            DB::table('plan_orders')->where('plan_id', Plan::LIVE)->orderBy('place_in_rank')->pluck('order_id')->all(),
        )
        ->toBe($expected);
});

<?php

use App\Access\Role;
use App\Actions\Orders\ChangeOrder;
use App\Actions\Orders\CureShort;
use App\Actions\Questions\AnswerQuestion;
use App\Models\Booking;
use App\Models\Order;
use App\Models\Question;
use App\Models\QuestionKind;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\Cure;
use KeepPace\Core\Refused;

/** An order of eight that lost five at its first step, made again by another as far as is said. */
function lostFive(object $test, string $again): Order
{
    $order = $test->shop->order('LID-9', '8');
    $test->shop->release($order);
    $test->shop->report($order->steps[0], '3', '3', '5');
    $again === '0' ?: cureOf($test, $order, Cure::Remake, $again);

    return $order->refresh();
}

function cureOf(object $test, Order $order, Cure $cure, string $pieces): Booking
{
    return app(CureShort::class)->handle(
        $order->id,
        $order->refresh()->version,
        $cure,
        $pieces,
        $test->shop->sign(Role::Supervisor, 'by phone'),
    );
}

function remakeOf(Order $order): Order
{
    return Order::query()->where('remake_of_id', $order->id)->latest('id')->firstOrFail();
}

/** The remake makes so many from now on; none: it is cancelled. */
function remakeMakes(object $test, Order $remake, string $pieces): Booking
{
    $signed = $test->shop->sign(Role::Planner, 'no room for them');

    return $pieces === '0'
        ? app(ChangeOrder::class)->cancel($remake->id, $remake->refresh()->version, $signed)
        : app(ChangeOrder::class)->head(
            $remake->id,
            $remake->refresh()->version,
            ['quantity' => $pieces, 'due_on' => $remake->due_on, 'rank' => $remake->rank, 'is_held' => false],
            $signed,
        );
}

/** @return string|null how many of what the order is short are asked about; null: nobody is asked */
function askedOf(Order $order): ?string
{
    $open = Question::query()->where('order_id', $order->id)->whereNull('answered_at')->value('open_quantity');

    return $open === null ? null : (string) (float) $open;
}

it('asks again when the order that was to make lost pieces again is cancelled', function () {
    $order = lostFive($this, '5');
    expect(askedOf($order))->toBeNull();
    $booking = remakeMakes($this, remakeOf($order), '0');
    expect(askedOf($order))->toBe('5')
        ->and($booking->says)->toContain("How order {$order->number} makes up for 5 lost is asked again.")
        ->and($this->shop->differences())->toBe([]);
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->get("/orders/{$order->id}")
        ->assertSee('It will finish 5 short');
    cureOf($this, $order, Cure::Remake, '5');
    expect(askedOf($order))->toBeNull();
});

it('asks about as many as the other makes fewer, and no more once it makes them after all', function () {
    $order = lostFive($this, '3');
    expect(askedOf($order))->toBe('2');
    remakeMakes($this, remakeOf($order), '1');
    expect(askedOf($order))->toBe('4');
    $this->actingAs($this->shop->as(Role::Supervisor))->get('/questions')
        ->assertSee("Order {$order->number} will finish 5 short")->assertSee('4 of them are left to answer.');
    remakeMakes($this, remakeOf($order), '9');
    expect(askedOf($order))->toBeNull();
    remakeMakes($this, remakeOf($order), '6'); // it still makes more than were lost
    expect(askedOf($order))->toBeNull()->and($this->shop->differences())->toBe([])
        ->and(fn () => cureOf($this, $order, Cure::Accepted, '1'))->toThrow(Refused::class, 'is short by 0.');
});

it('asks of a cancelled remake only what nothing else made up for', function () {
    $order = lostFive($this, '2');
    cureOf($this, $order, Cure::Accepted, '3');
    remakeMakes($this, remakeOf($order), '0');
    expect(askedOf($order))->toBe('2');
});

it('does not ask twice for what was asked again already when the cure itself is taken back', function () {
    $order = lostFive($this, '0');
    $again = cureOf($this, $order, Cure::Remake, '4');
    cureOf($this, $order, Cure::Accepted, '1');
    remakeMakes($this, remakeOf($order), '1');
    expect(askedOf($order))->toBe('3');
    $this->shop->reverse($again);
    expect(askedOf($order))->toBe('4')->and($this->shop->differences())->toBe([]);
});

it('asks nobody about an order that is closed when its remake is given up', function () {
    $order = $this->shop->order('LID-9', '3');
    $this->shop->release($order);
    $this->shop->issueAll($order);
    $this->shop->report($order->steps[0]->refresh(), '2', '2', '1');
    cureOf($this, $order, Cure::Remake, '1');
    foreach ($order->steps()->get()->slice(1) as $step) {
        $isLast = $step->number === $order->steps()->max('number');
        $this->shop->report($step->refresh(), '2', $isLast ? '0' : '2');
    }
    $this->shop->receive($order->refresh(), '2', place: 'STORES');
    $this->shop->close($order->refresh());
    expect(remakeMakes($this, remakeOf($order), '0')->says)->not->toContain('asked again')
        ->and(askedOf($order))->toBeNull();
});

it('asks, of what was answered in words, only what a cure taken back had settled', function () {
    $order = lostFive($this, '0');
    $again = cureOf($this, $order, Cure::Remake, '2');
    app(AnswerQuestion::class)->handle(
        Question::query()->where('order_id', $order->id)->sole()->id,
        'The other three are not wanted.',
        $this->shop->sign(Role::Supervisor),
    );
    expect(askedOf($order))->toBeNull();
    $this->shop->reverse($again);
    expect(askedOf($order))->toBe('2')->and($this->shop->differences())->toBe([]);
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
    $again = cureOf($this, $order, Cure::Remake, '1');
    $remake = Order::query()->where('remake_of_id', $order->id)->firstOrFail();
    expect($again->says)->toContain("1 of order {$order->number} is made again by order {$remake->number}.");
    $this->shop->release($remake);
    $this->shop->issueAll($remake);
    $cost = (int) DB::table('cost_entries')->where('order_id', $remake->id)->sum('cents');
    expect($cost)->toBeGreaterThan(0);
    $this->actingAs($this->shop->as(Role::CostClerk))
        ->get("/orders/{$order->id}")
        ->assertSee('1 is made again by', false)
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
    $cure = fn (string $quantity) => cureOf($this, $order, Cure::Remake, $quantity);
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
    $accepted = cureOf($this, $order, Cure::Accepted, '2');
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
    $asked = fn (): array => Question::query()
        ->where('kind', QuestionKind::Short)
        ->get(['answer', 'open_quantity'])
        ->toArray();
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
    $cured = cureOf($this, $order, Cure::Accepted, '3');
    $other = $this->shop->order('LID-9', '3');
    $this->shop->release($other);
    $this->shop->issueAll($other);
    $this->shop->workThrough($other);
    $this->shop->receive($other->refresh(), '3', place: 'STORES');
    $closed = $this->shop->close($other->refresh());
    Question::query()->create([
        'booking_id' => Booking::query()->min('id'), 'kind' => QuestionKind::Short, 'order_id' => $other->id,
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

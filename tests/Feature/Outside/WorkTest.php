<?php

use App\Access\Role;
use App\Actions\Billing\AcceptBill;
use App\Actions\Outside\ComesBack;
use App\Actions\Outside\SettleClaim;
use App\Actions\Outside\TypedBack;
use App\Actions\Purchasing\AnswerPurchase;
use App\Actions\Purchasing\BuyByWords;
use App\Actions\Purchasing\OrderWork;
use App\Actions\Purchasing\TypedLine;
use App\Actions\Purchasing\WordsToBuy;
use App\Models\Booking;
use App\Models\Claim;
use App\Models\ConsignmentLine;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Models\Question;
use App\Models\QuestionKind;
use App\Queries\Billing\NotBilled;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Outside\ClaimAnswer;
use KeepPace\Core\Outside\ClaimState;
use KeepPace\Core\Outside\Whose;
use KeepPace\Core\Purchasing\PurchaseKind;
use KeepPace\Core\Purchasing\PurchaseState;
use KeepPace\Core\Refused;

/**
 * Drums that were worked at no cost and stand before the supplier's step.
 *
 * @param  array{price?: string, setup_cents?: int, minimum_cents?: int}  $terms
 */
function drumsToWork(object $test, string $pieces, array $terms): OrderStep
{
    $order = $test->shop->order('DRUM-9', $pieces, '2027-01-15');
    $test->shop->release($order);
    DB::table('order_steps')->where('order_id', $order->id)->update([
        ...array_fill_keys(OrderStep::RATES, '0'),
        ...array_intersect_key($terms, ['price' => 0, 'setup_cents' => 0, 'minimum_cents' => 0]),
    ]);
    foreach ($order->steps()->get()->takeWhile(fn (OrderStep $step): bool => ! $step->isOutside()) as $step) {
        $test->shop->report($step->refresh(), $pieces, $pieces, over: ['minutes' => 0]);
    }

    return $order->steps()->whereNotNull('supplier_id')->firstOrFail();
}

/** Cents of outside work that are in an order. */
function outsideCents(OrderStep $step): int
{
    return (int) DB::table('cost_entries')->where('order_id', $step->order_id)->where('kind', 'outside')->sum('cents');
}

/** What is left to do behind a step is done at no cost, and its pieces are received. */
function finishedBehind(object $test, OrderStep $step, string $pieces): Order
{
    $order = Order::query()->findOrFail($step->order_id);
    foreach ($order->steps()->where('number', '>', $step->number)->get() as $next) {
        $isLast = ! $order->steps()->where('number', '>', $next->number)->exists();
        $test->shop->report($next->refresh(), $pieces, $isLast ? '0' : $pieces, over: ['minutes' => 0]);
    }
    $test->shop->receive($order->refresh(), $pieces, place: 'STORES');

    return $order->refresh();
}

function comesBack(object $test, OrderStep $step, TypedBack $typed): Booking
{
    return app(ComesBack::class)->handle($step->id, $typed, $test->shop->sign(Role::Storekeeper));
}

/* trade.md W1, its example: 40 blanks of two orders at 1.20, minimum 75.00, set-up 15.00: in all 90.00. */
it('shares set-up and minimum of a gathered order over its orders, booked as the pieces come', function () {
    $terms = ['price' => '1.2', 'setup_cents' => 1500, 'minimum_cents' => 7500];
    [$one, $two] = [drumsToWork($this, '30', $terms), drumsToWork($this, '10', $terms)];
    $work = $this->shop->orderWork($one, $two);
    expect($work->kind)->toBe(PurchaseKind::Service)
        ->and($work->lines()->count())->toBe(2);
    $this->actingAs($this->shop->as(Role::Buyer))->get("/purchases/{$work->id}")->assertSee('90.00 €');
    $this->shop->sendAll($one);
    $this->shop->sendAll($two);
    comesBack($this, $one, new TypedBack('12'));
    expect(outsideCents($one))->toBe(2700);
    comesBack($this, $one, new TypedBack('18'));
    comesBack($this, $two, new TypedBack('5'));
    expect(outsideCents($one))->toBe(2700 + 4050)->and(outsideCents($two))->toBe(1125);
    $last = comesBack($this, $two, new TypedBack('3', spoiled: '2', reason: 'cracked', whose: Whose::Theirs));
    expect(outsideCents($two))->toBe(2250)
        ->and($work->refresh()->state)->toBe(PurchaseState::Done)
        ->and($this->shop->differences())->toBe([]);
    // taken back and booked once more it is the same
    $this->shop->reverse($last);
    expect(outsideCents($two))->toBe(1125)->and($work->refresh()->state)->toBe(PurchaseState::PartIn);
    comesBack($this, $two, new TypedBack('3', spoiled: '2', reason: 'cracked', whose: Whose::Theirs));
    expect(outsideCents($one) + outsideCents($two))->toBe(9000)->and($this->shop->differences())->toBe([]);
});

/* W1 without a minimum: an unpaid reject is not paid. */
it('pays no reject where nothing is charged at least', function () {
    $step = drumsToWork($this, '10', ['price' => '1.2', 'setup_cents' => 500]);
    $this->shop->orderWork($step);
    $this->shop->sendAll($step);
    comesBack($this, $step, new TypedBack('8', spoiled: '2', reason: 'cracked', whose: Whose::Theirs));
    expect(outsideCents($step))->toBe(960 + 500)->and($this->shop->differences())->toBe([]);
});

/* trade.md W5, its example: 30 pieces, 24.00 each so far, work 2.00; 27 good, 2 theirs, 1 ours; 40.00 granted. */
it('claims what is theirs, pays what is ours, and lowers the loss by what is granted', function () {
    $step = drumsToWork($this, '30', ['price' => '2', 'setup_cents' => 0, 'minimum_cents' => 0]);
    $unit = $this->shop->item('DRUM-9')->unit_id;
    $bought = app(BuyByWords::class)->handle(
        $step->order_id,
        new WordsToBuy('Blanks', (int) $step->supplier_id, '30', $unit, '24', '2026-12-01'),
        $this->shop->sign(Role::Buyer),
    );
    $line = PurchaseLine::query()->where('purchase_order_id', $bought->purchase_order_id)->sole();
    $order = PurchaseOrder::query()->findOrFail($line->purchase_order_id);
    app(App\Actions\Purchasing\SendPurchase::class)->handle(
        $order->id,
        $order->version,
        new App\Actions\Purchasing\TypedSending(null),
        $this->shop->sign(Role::Buyer),
    );
    $this->shop->comes($line->refresh()->load('item'), '30', price: '24');
    expect((int) DB::table('cost_entries')->where('order_id', $step->order_id)->sum('cents'))->toBe(72000);
    $this->shop->orderWork($step);
    $this->shop->sendAll($step);
    expect(fn () => comesBack($this, $step, new TypedBack('27', spoiled: '2', reason: 'burnt')))
        ->toThrow(Refused::class, 'Say whose fault it was');
    comesBack($this, $step, new TypedBack('27', spoiled: '2', reason: 'burnt', whose: Whose::Theirs));
    comesBack($this, $step, new TypedBack('0', spoiled: '1', reason: 'pore in the weld', whose: Whose::Ours));
    $claim = Claim::query()->sole();
    expect(outsideCents($step))->toBe(5600)
        ->and($claim->cents)->toBe(4800)
        ->and($claim->state)->toBe(ClaimState::Open);
    $settle = fn (ClaimAnswer $answer, int $cents = 0, string $reason = ''): Booking => app(SettleClaim::class)->handle(
        $claim->id,
        $answer,
        $cents,
        $this->shop->sign(Role::Buyer, $reason),
    );
    expect(fn () => $settle(ClaimAnswer::Granted, 4801))->toThrow(Refused::class, 'no more than the 48.00 € claimed')
        ->and(fn () => $settle(ClaimAnswer::Closed))->toThrow(Refused::class, 'Say why nothing is credited')
        ->and(fn () => $settle(ClaimAnswer::Theirs))->toThrow(Refused::class, 'That claim is open');
    $granted = $settle(ClaimAnswer::Granted, 4000);
    expect(outsideCents($step))->toBe(5600 - 4000)
        ->and($claim->refresh()->state)->toBe(ClaimState::Granted)
        ->and($this->shop->differences())->toBe([]);
    $this->shop->reverse($granted);
    expect(outsideCents($step))->toBe(5600)->and($claim->refresh()->state)->toBe(ClaimState::Open);
});

it('asks the buyer whose fault it was, and pays the work if it was ours', function () {
    $step = drumsToWork($this, '10', ['price' => '3']);
    $this->shop->orderWork($step);
    $this->shop->sendAll($step);
    $back = comesBack($this, $step, new TypedBack('7', spoiled: '2', lost: '1', reason: 'bent', whose: Whose::Open));
    $question = Question::query()->where('kind', QuestionKind::Rejects)->sole();
    expect($question->says)->toContain('3 of')->toContain('is that theirs or ours?')
        ->and(outsideCents($step))->toBe(2100);
    $this->actingAs($this->shop->as(Role::Buyer))->get('/questions')->assertSee('is that theirs or ours?');
    $claim = Claim::query()->sole();
    $ours = app(SettleClaim::class)->handle($claim->id, ClaimAnswer::Ours, 0, $this->shop->sign(Role::Buyer));
    expect(outsideCents($step))->toBe(3000)
        ->and($question->refresh()->answered_at)->not->toBeNull()
        ->and($claim->refresh()->state)->toBe(ClaimState::Ours)
        ->and($this->shop->differences())->toBe([]);
    expect(fn () => $this->shop->reverse($back))->toThrow(Refused::class, 'was settled since');
    $this->shop->reverse($ours);
    expect(outsideCents($step))->toBe(2100)
        ->and($question->refresh()->answered_at)->toBeNull()
        ->and($claim->refresh()->state)->toBe(ClaimState::Asked);
    $this->shop->reverse($back);
    expect(outsideCents($step))->toBe(0)
        ->and($claim->refresh()->state)->toBe(ClaimState::TakenBack)
        ->and($this->shop->differences())->toBe([]);
});

it('orders the work once, gathers that of several orders, and takes the day the supplier confirms', function () {
    [$one, $two] = [drumsToWork($this, '6', ['price' => '3']), drumsToWork($this, '4', ['price' => '3'])];
    $order = fn (OrderStep ...$steps): Booking => app(OrderWork::class)->handle(
        array_map(fn (OrderStep $step): int => $step->id, $steps),
        $this->shop->sign(Role::Buyer),
    );
    $first = $order($one);
    $second = $order($two);
    expect($second->purchase_order_id)->toBe($first->purchase_order_id)
        ->and(fn () => $order($one))->toThrow(Refused::class, 'is ordered already, all of it')
        ->and(fn () => $order())->toThrow(Refused::class, 'Say the work of which step');
    $here = $one->before() ?? throw new LogicException;
    expect(fn () => $order($here))->toThrow(Refused::class);
    $work = PurchaseOrder::query()->with('lines')->findOrFail($first->purchase_order_id);
    app(App\Actions\Purchasing\SendPurchase::class)->handle(
        $work->id,
        $work->version,
        new App\Actions\Purchasing\TypedSending(null),
        $this->shop->sign(Role::Buyer),
    );
    $this->shop->sendOut($one, '6');
    $answered = $work->lines->mapWithKeys(fn (PurchaseLine $line): array => [
        $line->id => new TypedLine($line->quantity, $line->price, '2026-12-09'),
    ]);
    app(AnswerPurchase::class)->handle($work->id, $work->refresh()->version, $answered->all(), 'C-1',
        $this->shop->sign(Role::Buyer));
    $day = fn (ConsignmentLine $line): string => $line->back_at->setTimezone('Europe/Dublin')->toDateString();
    $this->shop->sendOut($two, '4');
    expect(ConsignmentLine::query()->orderBy('id')->get()->map($day)->all())->toBe(['2026-12-09', '2026-12-09']);
    // a day said of the pieces is the day of the work
    $line = ConsignmentLine::query()->orderBy('id')->firstOrFail();
    app(App\Actions\Outside\ChangeBack::class)->date($line->id, '2026-12-11', $this->shop->sign(Role::Buyer));
    expect(PurchaseLine::query()->where('order_step_id', $one->id)->value('expected_on'))->toBe('2026-12-11')
        ->and($this->shop->differences())->toBe([]);
});

it('is billed as it was charged, and what is dearer goes into its order', function () {
    $step = drumsToWork($this, '10', ['price' => '2', 'setup_cents' => 500]);
    $work = $this->shop->orderWork($step);
    $this->shop->sendAll($step);
    $back = comesBack($this, $step, new TypedBack('10'));
    $line = $work->lines()->firstOrFail();
    $today = CarbonImmutable::now('Europe/Dublin')->toDateString();
    $owed = NotBilled::on($today)->firstWhere('lineId', $line->id);
    expect($owed?->cents)->toBe(2500)
        ->and(NotBilled::on('2026-11-23')->firstWhere('lineId', $line->id))->toBeNull();
    // 10 at 2.60: one euro more than 20.00 and the set-up
    $bill = $this->shop->bill($line->load('order'), '10', '2.6');
    app(AcceptBill::class)->handle($bill->id, 1, $this->shop->theirs(), $this->shop->sign(Role::Buyer));
    expect(outsideCents($step))->toBe(2600)
        ->and($line->refresh()->owedCents())->toBe(0)
        ->and(NotBilled::on($today)->firstWhere('lineId', $line->id))->toBeNull()
        ->and($this->shop->differences())->toBe([])
        ->and(fn () => $this->shop->reverse($back))->toThrow(Refused::class, 'is billed');
});

it('does not take work in as goods', function () {
    $step = drumsToWork($this, '4', ['price' => '2']);
    $work = $this->shop->orderWork($step);
    $line = $work->lines()->with('item')->firstOrFail();
    expect(fn () => $this->shop->comes($line, '4'))->toThrow(Refused::class, "book them back at 'At suppliers'");
    $this->actingAs($this->shop->as(Role::Storekeeper))
        ->get("/goods-in?supplier={$step->supplier_id}")->assertDontSee($line->number);
});

it('says at closing what of its work is not billed', function () {
    $step = drumsToWork($this, '2', ['price' => '2']);
    $work = $this->shop->orderWork($step);
    $this->shop->sendAll($step);
    comesBack($this, $step, new TypedBack('2', '2'));
    $order = Order::query()->findOrFail($step->order_id);
    finishedBehind($this, $step, '2');
    $closed = $this->shop->close($order->refresh());
    expect($closed->says)->toEndWith("Its work on {$work->number}/1, 4.00 €, is not billed yet.")
        ->and($this->shop->differences())->toBe([]);
});

it('books what is settled after the order is closed as variance', function (ClaimAnswer $answer, int $cents) {
    $step = drumsToWork($this, '3', ['price' => '2']);
    $unit = $this->shop->item('DRUM-9')->unit_id;
    app(BuyByWords::class)->handle(
        $step->order_id,
        new WordsToBuy('Blanks', (int) $step->supplier_id, '3', $unit, '5', '2026-12-01'),
        $this->shop->sign(Role::Buyer),
    );
    $blanks = PurchaseLine::query()->where('words', 'Blanks')->sole();
    app(App\Actions\Purchasing\SendPurchase::class)->handle(
        $blanks->purchase_order_id,
        PurchaseOrder::query()->findOrFail($blanks->purchase_order_id)->version,
        new App\Actions\Purchasing\TypedSending(null),
        $this->shop->sign(Role::Buyer),
    );
    $this->shop->comes($blanks->refresh()->load('item'), '3', price: '5');
    $this->shop->orderWork($step);
    $this->shop->sendAll($step);
    $whose = $answer === ClaimAnswer::Ours ? Whose::Open : Whose::Theirs;
    comesBack($this, $step, new TypedBack('2', '2', '1', reason: 'bent', whose: $whose));
    $order = Order::query()->findOrFail($step->order_id);
    finishedBehind($this, $step, '2');
    $this->shop->close($order->refresh());
    $before = outsideCents($step);
    app(SettleClaim::class)->handle(Claim::query()->sole()->id, $answer, $cents, $this->shop->sign(Role::Buyer));
    expect(outsideCents($step))->toBe($before)->and($this->shop->differences())->toBe([]);
})->with([
    'ours after all' => [ClaimAnswer::Ours, 0],
    'credited' => [ClaimAnswer::Granted, 300],
]);

/* trade.md W5, rework at their cost: pieces go again, nothing is charged a second time, their day is their own. */
it('has pieces done again at the cost of the supplier', function () {
    $step = drumsToWork($this, '10', ['price' => '2', 'setup_cents' => 500]);
    $work = $this->shop->orderWork($step);
    $this->shop->sendAll($step);
    comesBack($this, $step, new TypedBack('7', unworked: '3'));
    expect(outsideCents($step))->toBe(1400 + 350)
        ->and($work->refresh()->state)->toBe(PurchaseState::PartIn)
        ->and(Claim::query()->count())->toBe(0);
    // they stand here, and go again: still of the order, still to do at the step
    $this->actingAs($this->shop->as(Role::Storekeeper))->get('/send-out')->assertSee('Passivate');
    $this->shop->sendOut($step->refresh(), '3');
    $again = ConsignmentLine::query()->latest('id')->firstOrFail();
    $change = app(App\Actions\Outside\ChangeBack::class);
    $change->date($again->id, '2026-12-18', $this->shop->sign(Role::Buyer));
    expect($again->refresh()->back_at->toDateString())->toBe('2026-12-18');
    comesBack($this, $step, new TypedBack('3'));
    expect(outsideCents($step))->toBe(2000 + 500)
        ->and($work->refresh()->state)->toBe(PurchaseState::Done)
        ->and($this->shop->differences())->toBe([]);
});

/* Common practice: what a supplier cannot do any more, for its pieces were scrapped before, is nobody's to wait for. */
it('waits for no more of its work when an order is closed', function () {
    $order = $this->shop->order('DRUM-9', '4', '2027-01-15');
    $this->shop->release($order);
    $step = $order->steps()->whereNotNull('supplier_id')->firstOrFail();
    $work = $this->shop->orderWork($step);
    $line = $work->lines()->sole();
    foreach ($order->steps()->where('number', '<', $step->number)->get() as $n => $before) {
        $this->shop->report($before->refresh(), '3', '3', $n === 0 ? '1' : '0');
    }
    comesBack($this, tap($step->refresh(), $this->shop->sendAll(...)), new TypedBack('3', '3'));
    expect($line->refresh()->openQuantity()->toInt())->toBe(1)
        ->and($work->refresh()->state)->toBe(PurchaseState::PartIn);
    $order = finishedBehind($this, $step, '3');
    $closed = $this->shop->close($order);
    expect($closed->refresh()->says)
        ->toStartWith("Order {$order->number} closed:")
        ->toContain(" to stock. Its work is no longer waited for: 1 pc on {$line->number}; tell who does it. Its work")
        ->and($line->refresh()->is_open)->toBeFalse()
        ->and($work->refresh()->state)->toBe(PurchaseState::Done)
        ->and($this->shop->differences())->toBe([]);
    $this->actingAs($this->shop->as(Role::Buyer))->get("/purchases/{$work->id}")
        ->assertSee('no longer waited for')
        // nothing of it is to come, so it cannot be sent again
        ->assertSee('Nothing more of it is wanted: tell them.')
        ->assertDontSee('Send it again');
    // reopened it may be remade, and goes again
    $this->shop->reverse($closed);
    expect($line->refresh()->openQuantity()->toInt())->toBe(1)
        ->and($work->refresh()->state)->toBe(PurchaseState::PartIn)
        ->and($this->shop->differences())->toBe([]);
    // a line somebody changed since is not put back behind their back
    $again = $this->shop->close($order->refresh());
    DB::table('purchase_lines')->where('id', $line->id)->update(['cancelled_quantity' => '0.5']);
    expect(fn () => $this->shop->reverse($again))
        ->toThrow(Refused::class, "What this changed of {$line->number} was changed again since.");
});

it('waits for none of its work when an order is cancelled, sent or drafted', function (bool $isSent) {
    $order = $this->shop->order('DRUM-9', '4', '2027-01-15');
    $this->shop->release($order);
    $step = $order->steps()->whereNotNull('supplier_id')->firstOrFail();
    if ($isSent) {
        $this->shop->orderWork($step);
    } else {
        app(OrderWork::class)->handle([$step->id], $this->shop->sign(Role::Buyer));
    }
    $line = PurchaseLine::query()->where('order_step_id', $step->id)->sole();
    $this->actingAs($this->shop->as(Role::Supervisor))->delete("/orders/{$order->id}", [
        'token' => 'c', 'version' => $order->refresh()->version, 'reason' => 'the customer withdrew',
    ])->assertSessionHas('done', "Order {$order->number} cancelled: the customer withdrew. Its work is no longer "
        ."waited for: 4 pc on {$line->number}".($isSent ? '; tell who does it.' : '.'));
    expect($line->refresh()->wanted()->isZero())->toBeTrue()
        ->and($line->is_open)->toBeFalse()
        ->and($this->shop->differences())->toBe([]);
})->with(['sent' => true, 'drafted' => false]);

it('has a supplier told who still works on other orders of the same purchase', function () {
    $orders = [$this->shop->order('DRUM-9', '4', '2027-01-15'), $this->shop->order('DRUM-9', '2', '2027-01-15')];
    array_map($this->shop->release(...), $orders);
    $steps = array_map(fn (Order $order) => $order->steps()->whereNotNull('supplier_id')->firstOrFail(), $orders);
    $work = $this->shop->orderWork(...$steps);
    $this->actingAs($this->shop->as(Role::Supervisor))->delete("/orders/{$orders[0]->id}", [
        'token' => 'c', 'version' => $orders[0]->refresh()->version, 'reason' => 'the customer withdrew',
    ])->assertSessionHas('done');
    expect($work->refresh()->state)->toBe(PurchaseState::Sent);
    $this->actingAs($this->shop->as(Role::Buyer))->get("/purchases/{$work->id}")
        ->assertSeeInOrder(['does not know yet.', 'Send it again.']);
});

it('gives up what the version before left open of orders that had ended, and no more', function () {
    $order = $this->shop->order('DRUM-9', '4', '2027-01-15');
    $this->shop->release($order);
    $step = $order->steps()->whereNotNull('supplier_id')->firstOrFail();
    $work = $this->shop->orderWork($step);
    $other = $this->shop->order('DRUM-9', '2', '2027-01-15');
    $this->shop->release($other);
    $going = $this->shop->orderWork($other->steps()->whereNotNull('supplier_id')->firstOrFail());
    DB::table('orders')->where('id', $order->id)->update(['state' => 'cancelled']);
    $change = require database_path('migrations/2026_12_13_000001_ended_orders_wait_for_no_work.php');
    $change->up();
    $change->up(); // gone on with where it broke off
    expect($work->lines()->sole()->openQuantity()->isZero())->toBeTrue()
        ->and($work->refresh()->state)->toBe(PurchaseState::Cancelled)
        ->and($going->lines()->sole()->openQuantity()->toInt())->toBe(2)
        ->and($going->refresh()->state)->toBe(PurchaseState::Sent);
});

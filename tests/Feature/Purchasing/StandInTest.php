<?php

use App\Access\Role;
use App\Actions\People\LetSuppliersGo;
use App\Actions\Purchasing\LineToBuy;
use App\Actions\Purchasing\RaisePurchases;
use App\Actions\Purchasing\SendPurchase;
use App\Actions\Purchasing\TypedSending;
use App\Books\Signed;
use App\Models\Bill;
use App\Models\Booking;
use App\Models\Mail;
use App\Models\OrderStep;
use App\Models\PurchaseOrder;
use App\Models\Question;
use App\Models\QuestionKind;
use App\Models\Supplier;
use App\StandIn\ByClock;
use App\StandIn\StandIn;
use App\StandIn\Turn;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\PurchaseState;
use KeepPace\Core\Refused;

/* Who stands in for the suppliers of the demo: answers, brings and bills through the deeds of everybody. */

beforeEach(function () {
    expect($this->shop->import([
        'supplier-items.csv' => "item,supplier,number,minimum,lead_time_days,prices\n"
            ."FOOT-1,S-07,RF 60,0,5,1.20\nBOLT-8,S-07,,0,5,0.10\n",
    ]))->toBe([]);
    $this->supplier = Supplier::query()->where('number', 'S-07')->firstOrFail();
    $this->supplier->update(['over_percent' => '5']);
    DB::table('items')->whereIn('number', ['FOOT-1', 'BOLT-8'])->update(['supplier_id' => $this->supplier->id]);
    $this->sent = function (array $items = ['FOOT-1' => '100']): PurchaseOrder {
        $lines = array_map(
            fn (string $item): LineToBuy => new LineToBuy($this->shop->item($item)->id, $items[$item]),
            array_keys($items),
        );
        app(RaisePurchases::class)->handle($lines, false, $this->shop->sign(Role::Buyer), true);
        $order = PurchaseOrder::query()->latest('id')->firstOrFail();
        $typed = new TypedSending('orders@seven.example');
        app(SendPurchase::class)->handle($order->id, $order->version, $typed, $this->shop->sign(Role::Buyer));

        return $order->refresh();
    };
    $this->turn = fn (PurchaseOrder $order, Turn $turn): Booking => app(StandIn::class)
        ->turn($order->refresh(), $turn, $this->shop->sign(Role::Buyer));
});

it('has no page and does nothing where the demo was not played', function () {
    $order = ($this->sent)();
    $this->actingAs($this->shop->as(Role::Buyer))->get('/the-suppliers')->assertNotFound();
    $this->get('/mails')->assertOk()->assertDontSee('The suppliers of the demo');
    $this->get('/mails/'.Mail::query()->firstOrFail()->id)->assertOk()->assertDontSee('A tenth fewer');
    expect(fn () => ($this->turn)($order, Turn::AsOrdered))->toThrow(Refused::class, 'belongs to the demo')
        ->and(app(ByClock::class)->round())->toBe(0);
});

it('answers, and signs with a name of its own', function (Turn $turn, string $says, int $asked) {
    StandIn::make();
    $order = ($this->sent)();
    $booking = ($this->turn)($order, $turn);
    expect($booking->says)->toContain($says)
        ->and($booking->person_id)->toBe(StandIn::person()?->id)
        ->and($order->refresh()->state)->toBe(PurchaseState::Confirmed)
        ->and($order->lines()->whereNotNull('answered_quantity')->count())->toBe($asked);
})->with([
    [Turn::AsOrdered, 'as it was ordered', 0],
    [Turn::TwoWeeks, 'ordered for', 0],
    [Turn::Dearer, '1.224 € each instead of 1.2', 1],
    [Turn::Fewer, '90 pc instead of 100', 1],
]);

it('brings all, half, less, more or something else', function (Turn $turn, string $came, string $open) {
    StandIn::make();
    $order = ($this->sent)();
    ($this->turn)($order, Turn::AsOrdered);
    ($this->turn)($order, $turn);
    $line = $order->lines()->firstOrFail();
    expect((float) $line->received_quantity)->toEqual((float) $came)
        ->and((string) $line->openQuantity()->stripTrailingZeros())->toBe($open)
        ->and(Question::query()->where('kind', QuestionKind::Over)->exists())->toBe($turn === Turn::Over);
    if ($turn === Turn::Half) {
        expect($line->expected_on)->toBeGreaterThan(now()->toDateString());
    }
})->with([
    [Turn::Whole, '100', '0'],
    [Turn::Half, '50', '50'],
    [Turn::Short, '80', '0'],
    [Turn::Over, '120', '0'],
    [Turn::Wrong, '0', '100'],
]);

it('bills what came once, as agreed, dearer or with freight', function (Turn $turn, int $cents) {
    StandIn::make();
    $order = ($this->sent)();
    ($this->turn)($order, Turn::AsOrdered);
    ($this->turn)($order, Turn::Whole);
    ($this->turn)($order, $turn);
    expect(Bill::query()->sole()->cents)->toBe($cents)
        ->and(fn () => ($this->turn)($order, $turn))->toThrow(Refused::class, 'Nothing stands on it');
})->with([
    [Turn::Bill, 12000],
    [Turn::BillDearer, 12360],
    [Turn::BillFreight, 16850],
]);

it('shows what each order lets a supplier do, on its page and at the mail', function () {
    StandIn::make();
    $order = ($this->sent)();
    $page = $this->actingAs($this->shop->as(Role::Buyer))->get('/the-suppliers')->assertOk();
    $page->assertSee('As ordered')->assertSee('A fifth more')->assertDontSee('As agreed');
    $this->get('/mails/'.Mail::query()->firstOrFail()->id)->assertSee('A tenth fewer')->assertSee('Two weeks later');
    $this->from('/the-suppliers')
        ->post("/the-suppliers/{$order->id}", ['token' => 'all', 'turn' => Turn::Whole->value])
        ->assertSessionHas('done');
    $this->get('/the-suppliers')->assertSee('As agreed')->assertDontSee('As ordered');
    // who may not order of suppliers looks on
    $this->actingAs($this->shop->as(Role::Operator))
        ->get('/the-suppliers')
        ->assertOk()
        ->assertSee($order->number)
        ->assertDontSee('A fifth more');
});

it('goes by the clock once it is let: answers, brings on the day, bills, each once', function () {
    $person = StandIn::make();
    $order = ($this->sent)();
    $clock = app(ByClock::class);
    expect($clock->round())->toBe(0);
    app(LetSuppliersGo::class)->handle(true, $this->shop->sign(Role::Buyer));
    expect($clock->round())->toBe(1)
        ->and($order->refresh()->state)->not->toBe(PurchaseState::Sent)
        ->and($clock->round())->toBe(0);
    $due = $order->lines()->firstOrFail()->expected_on;
    Date::setTestNow("{$due} 05:30:00"); // half past six in the plant: nobody is there yet
    expect($clock->round())->toBe(0);
    // the latest of them is two days late
    Date::setTestNow(now()->addDays(4)->setTime(11, 0));
    expect($clock->round())->toBe(1)
        ->and((string) $order->lines()->firstOrFail()->received_quantity)->not->toBe('0.000000');
    $rounds = 0;
    while ($clock->round() > 0 && $rounds < 5) {
        $rounds++;
    }
    expect(Bill::query()->count())->toBeGreaterThan(0)
        ->and($rounds)->toBeLessThan(5)
        ->and(Booking::query()->where('person_id', $person->id)->count())->toBeGreaterThan(2);
});

it('does nothing twice when a round is begun twice', function () {
    StandIn::make();
    $order = ($this->sent)();
    $signed = new Signed('clock-1-1', $this->shop->as(Role::Buyer));
    $standIn = app(StandIn::class);
    $one = $standIn->turn($order, Turn::AsOrdered, $signed);
    expect($standIn->turn($order, Turn::AsOrdered, $signed)->id)->toBe($one->id);
});

it('gives back pieces it worked on, whole, half or with a reject, and bills what it charged', function () {
    StandIn::make();
    $order = $this->shop->order('DRUM-9', '4', '2027-01-15');
    $this->shop->release($order);
    foreach ($order->steps()->get()->takeWhile(fn (OrderStep $step): bool => ! $step->isOutside()) as $step) {
        $this->shop->report($step, '4', '4');
    }
    $step = $order->steps()->whereNotNull('supplier_id')->firstOrFail();
    DB::table('order_steps')->where('id', $step->id)->update(['price' => '3', 'setup_cents' => 500]);
    $work = $this->shop->orderWork($step->refresh());
    ($this->turn)($work, Turn::AsOrdered);
    expect(fn () => ($this->turn)($work, Turn::Whole))->toThrow(Refused::class, 'send them out first');
    $this->shop->sendAll($step);
    $this->actingAs($this->shop->as(Role::Buyer))->get('/the-suppliers')
        ->assertSee('All, one of them spoiled')
        ->assertDontSee('A fifth more');
    ($this->turn)($work, Turn::Half);
    $booking = ($this->turn)($work, Turn::Rejects);
    expect($booking->person_id)->toBe(StandIn::person()?->id)
        ->and($step->refresh()->good)->toBe('3.000000')
        ->and(Question::query()->where('kind', QuestionKind::Rejects)->count())->toBe(1);
    ($this->turn)($work, Turn::Bill);
    // three at 3.00, and three of four parts of the set-up and a fourth: the reject bears its own
    expect(Bill::query()->sole()->cents)->toBe(1400)->and($this->shop->differences())->toBe([]);
});

it('brings what it makes of parts of ours as far as these are there, and uses them up', function () {
    StandIn::make();
    $line = $this->shop->purchase('P-61', 'GATE-40', '10', '2026-12-09');
    $this->shop->goodsIn('BOLT-8', '30', '2');
    $part = $this->shop->goesAlong($line, 'BOLT-8');
    $order = $line->order()->sole();
    expect(fn () => ($this->turn)($order, Turn::Whole))->toThrow(Refused::class, 'are there by the books');
    $this->shop->partOut($part, '20');
    ($this->turn)($order, Turn::Half);
    ($this->turn)($order, Turn::Whole);
    expect($line->refresh()->received_quantity)->toBe('10.000000')
        ->and((string) $part->there())->toBe('0.000000')
        ->and($this->shop->differences())->toBe([]);
});

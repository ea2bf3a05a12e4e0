<?php

use App\Access\Role;
use App\Actions\Purchasing\AnswerPurchase;
use App\Actions\Purchasing\CancelPurchase;
use App\Actions\Purchasing\LineToBuy;
use App\Actions\Purchasing\OtherSupplier;
use App\Actions\Purchasing\RaisePurchases;
use App\Actions\Purchasing\RewritePurchase;
use App\Actions\Purchasing\SendPurchase;
use App\Actions\Purchasing\TypedLine;
use App\Actions\Purchasing\TypedSending;
use App\Models\Mail;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Models\Supplier;
use App\Shop\Positions;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\PurchaseState;
use KeepPace\Core\Refused;

/* A purchase from draft to confirmed: put down, sent, answered, changed, bought of another, cancelled. */

beforeEach(function () {
    expect($this->shop->import([
        'supplier-items.csv' => "item,supplier,number,minimum,lead_time_days,prices\n"
            ."FOOT-1,S-07,RF 60,50,5,1.20 100:0.98\nFOOT-1,S-01,,0,3,1.50\n",
    ]))->toBe([]);
    $this->supplier = Supplier::query()->where('number', 'S-07')->firstOrFail();
    DB::table('items')->whereIn('number', ['FOOT-1', 'BOLT-8'])->update(['supplier_id' => $this->supplier->id]);
    $this->sign = fn (string $reason = '') => $this->shop->sign(Role::Buyer, $reason);
    $this->put = function (bool $isDraft, array $items, bool $add = false): PurchaseOrder {
        $lines = [];
        foreach ($items as $number => $quantity) {
            $lines[] = new LineToBuy($this->shop->item($number)->id, $quantity);
        }
        app(RaisePurchases::class)->handle($lines, $add, ($this->sign)(), $isDraft);

        return PurchaseOrder::query()->with('lines')->latest('id')->firstOrFail();
    };
    $this->send = function (PurchaseOrder $order, ?string $to = null): PurchaseOrder {
        app(SendPurchase::class)->handle($order->id, $order->version, new TypedSending($to), ($this->sign)());

        return $order->refresh();
    };
    $this->say = fn (PurchaseLine $line, array $other = []): TypedLine => new TypedLine(
        $other['quantity'] ?? (string) $line->wanted(),
        $other['price'] ?? $line->price,
        $other['on'] ?? $line->expected_on,
    );
});

function positionOf(object $test, string $item): string
{
    return (string) Positions::of($test->shop->item($item)->id)->position()->toBigDecimal()->stripTrailingZeros();
}

it('brings nothing as long as it is a draft, and what it says once it is sent', function () {
    $before = positionOf($this, 'FOOT-1');
    $order = ($this->put)(true, ['FOOT-1' => '120', 'BOLT-8' => '30']);
    expect($order->state)->toBe(PurchaseState::Draft)
        ->and($order->sent_on)->toBeNull()
        ->and($order->lines->every(fn (PurchaseLine $line): bool => $line->is_draft && ! $line->is_open))->toBeTrue()
        ->and(positionOf($this, 'FOOT-1'))->toBe($before)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    // more goes on the same draft, and never on what was sent
    ($this->put)(true, ['BOLT-8' => '5'], true);
    expect($order->lines()->count())->toBe(3);
    $order = ($this->send)($order->refresh());
    expect($order->state)->toBe(PurchaseState::Sent)
        ->and($order->sent_on)->toBe('2026-11-24')
        ->and((int) positionOf($this, 'FOOT-1'))->toBe((int) $before + 120)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    $other = ($this->put)(true, ['BOLT-8' => '5'], true);
    expect($other->id)->not->toBe($order->id);
});

it('goes on a day that can be kept when it is sent late', function () {
    $order = ($this->put)(true, ['FOOT-1' => '120']);
    $this->travel(30)->days();
    $order = ($this->send)($order);
    expect($order->lines[0]->refresh()->expected_on)->toBeGreaterThan(now()->toDateString())
        ->and($order->ordered_on)->toBe(now(config('pace.zone'))->toDateString());
});

it('mails what was ordered, in the units typed, and keeps it as it went', function () {
    $order = ($this->send)(($this->put)(true, ['FOOT-1' => '120']), 'orders@feet.example');
    $mail = Mail::query()->sole();
    expect($mail->to)->toBe('orders@feet.example')
        ->and($mail->subject)->toBe("Purchase order {$order->number}")
        ->and($mail->body)->toContain('120 pc RF 60 (ours FOOT-1)')->toContain('0.98 € each')
        ->and($mail->paper['lines'][0])
        ->toMatchArray(['quantity' => '120', 'your_number' => 'RF 60', 'cents' => 11760]);
    $line = $order->lines[0];
    app(RewritePurchase::class)->handle(
        $order->id,
        $order->version,
        [$line->id => ($this->say)($line, ['quantity' => '150'])],
        '',
        ($this->sign)(),
    );
    expect($order->refresh()->changed_on)->not->toBeNull();
    ($this->send)($order, 'orders@feet.example');
    expect($order->refresh()->changed_on)->toBeNull()
        ->and(Mail::query()->pluck('subject')->all())->toBe([
            "Purchase order {$order->number}", "Changed: Purchase order {$order->number}",
        ])
        ->and(Mail::query()->first()->paper['lines'][0]['quantity'])->toBe('120');
    expect(fn () => ($this->send)($order->refresh()))->toThrow(Refused::class, 'nothing was changed');
    $this->actingAs($this->shop->as(Role::Buyer))->get("/mails/{$mail->id}")->assertSee('RF 60');
    expect($this->get("/mails/{$mail->id}/paper.pdf")->getContent())->toStartWith('%PDF-');
    expect($this->get("/purchases/{$order->id}/paper.pdf")->getContent())->toStartWith('%PDF-');
    $file = $this->get("/purchases/{$order->id}/paper.json")->json();
    expect($file)->toMatchArray(['purchase_order' => $order->number, 'currency' => 'EUR', 'total_cents' => 14700]);
    // who may not see money gets both without it
    $this->actingAs($this->shop->as(Role::Operator));
    $file = $this->get("/purchases/{$order->id}/paper.json")->json();
    expect($file)->not->toHaveKey('total_cents')->and($file['lines'][0])->not->toHaveKeys(['price', 'cents']);
    $this->get("/mails/{$mail->id}")->assertDontSee('0.98');
});

it('takes the day of an answer at once, and asks about another quantity or price', function () {
    $order = ($this->send)(($this->put)(true, ['FOOT-1' => '120', 'BOLT-8' => '30']));
    [$feet, $bolts] = $order->lines->all();
    app(AnswerPurchase::class)->handle($order->id, $order->version, [
        $feet->id => ($this->say)($feet, ['quantity' => '100', 'price' => '1.05', 'on' => '2026-12-09']),
        $bolts->id => ($this->say)($bolts),
    ], 'C-100', ($this->sign)());
    $order->refresh();
    expect($order->state)->toBe(PurchaseState::Confirmed)
        ->and($order->supplier_reference)->toBe('C-100')
        ->and($feet->refresh()->expected_on)->toBe('2026-12-09')
        ->and((float) $feet->quantity)->toBe(120.0)
        ->and($feet->asked()?->differs())->toBeTrue()
        ->and($bolts->refresh()->asked())->toBeNull();
    $this->actingAs($this->shop->as(Role::Buyer))->get("/purchases/{$order->id}")
        // by hand: 100 at 1.05 are 105.00, 120 at 0.98 are 117.60
        ->assertSee('the supplier says 100 pc at 1.05 €')->assertSee('12.60 € less than it was ordered for');
    $this->get('/purchases?show=asked')->assertSee($order->number);
    // who may not see money sees that it differs, and no price: not in what is asked nor in what was booked
    $this->actingAs($this->shop->as(Role::Operator))->get("/purchases/{$order->id}")
        ->assertSee('the supplier says 100 pc')->assertDontSee('1.05')->assertDontSee('12.60')->assertDontSee('0.98');
    $this->actingAs($this->shop->as(Role::Buyer));
    app(AnswerPurchase::class)->settle($feet->id, true, ($this->sign)());
    expect((float) $feet->refresh()->quantity)->toBe(100.0)
        ->and((float) $feet->price)->toBe(1.05)
        ->and($feet->asked())->toBeNull()
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    expect(fn () => app(AnswerPurchase::class)->settle($feet->id, true, ($this->sign)()))
        ->toThrow(Refused::class, 'no difference that is asked about');
    $this->get('/purchases?show=asked')->assertDontSee($order->number.'<', false);
});

it('stays as it was ordered where that is said, and the supplier is told so', function () {
    $order = ($this->send)(($this->put)(true, ['FOOT-1' => '120']));
    $feet = $order->lines[0];
    app(AnswerPurchase::class)->handle($order->id, $order->version, [
        $feet->id => ($this->say)($feet, ['price' => '1.05']),
    ], '', ($this->sign)());
    app(AnswerPurchase::class)->settle($feet->id, false, ($this->sign)());
    expect((float) $feet->refresh()->price)->toBe(0.98)
        ->and($order->refresh()->changed_on)->not->toBeNull();
    $this->actingAs($this->shop->as(Role::Buyer))->get("/purchases/{$order->id}")
        ->assertSee('does not know yet')->assertSee('Send it by mail');
});

it('takes no answer with less than came, and none to a draft', function () {
    $order = ($this->put)(true, ['FOOT-1' => '120']);
    $feet = $order->lines[0];
    $answer = fn (array $other) => app(AnswerPurchase::class)->handle(
        $order->id,
        $order->refresh()->version,
        [$feet->id => ($this->say)($feet->refresh(), $other)],
        '',
        ($this->sign)(),
    );
    expect(fn () => $answer([]))->toThrow(Refused::class, 'Send it first');
    ($this->send)($order);
    DB::table('purchase_lines')->where('id', $feet->id)->update(['received_quantity' => 60]);
    $answer(['quantity' => '50']);
    expect(fn () => app(AnswerPurchase::class)->settle($feet->id, true, ($this->sign)()))
        ->toThrow(Refused::class, '60 pc of it came already');
});

it('is changed in flight, never below what came', function () {
    $order = ($this->send)(($this->put)(true, ['FOOT-1' => '120', 'BOLT-8' => '30']));
    [$feet, $bolts] = $order->lines->all();
    $change = fn (array $lines) => app(RewritePurchase::class)
        ->handle($order->id, $order->refresh()->version, $lines, $order->note, ($this->sign)());
    expect(fn () => $change([$feet->id => ($this->say)($feet)]))->toThrow(Refused::class, 'Nothing was changed')
        ->and(fn () => $change([$feet->id => ($this->say)($feet, ['quantity' => '20'])]))
        ->toThrow(Refused::class, '50 pc of FOOT-1 at least');
    $change([
        $feet->id => ($this->say)($feet, ['quantity' => '80']),
        $bolts->id => ($this->say)($bolts, ['quantity' => '0']),
    ]);
    // what was ordered first stays to be seen; less is given up
    expect((float) $feet->refresh()->quantity)->toBe(120.0)
        ->and((float) $feet->cancelled_quantity)->toBe(40.0)
        ->and($feet->wanted()->isEqualTo(80))->toBeTrue()
        ->and($bolts->refresh()->is_open)->toBeFalse();
    $change([$feet->id => ($this->say)($feet, ['quantity' => '200'])]);
    expect($feet->refresh()->wanted()->isEqualTo(200))->toBeTrue()
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    DB::table('purchase_lines')->where('id', $feet->id)->update(['received_quantity' => 90]);
    expect(fn () => $change([$feet->id => ($this->say)($feet->refresh(), ['quantity' => '60'])]))
        ->toThrow(Refused::class, '90 pc of it came already');
});

it('puts what is open on a draft of another supplier, at that one\'s terms', function () {
    $order = ($this->send)(($this->put)(true, ['FOOT-1' => '120']));
    $other = Supplier::query()->where('number', 'S-01')->firstOrFail();
    $booking = app(OtherSupplier::class)->handle($order->id, $order->version, $other->id, ($this->sign)('too late'));
    $new = PurchaseOrder::query()->with('lines')->latest('id')->firstOrFail();
    expect($order->refresh()->state)->toBe(PurchaseState::Cancelled)
        ->and($new->state)->toBe(PurchaseState::Draft)
        ->and($new->supplier_id)->toBe($other->id)
        ->and((float) $new->lines[0]->quantity)->toBe(120.0)
        ->and((float) $new->lines[0]->price)->toBe(1.5)
        ->and($booking->says)->toContain("what is open goes to {$other->name}, 1 item on draft {$new->number}")
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('is cancelled whole, as a draft and in flight', function (bool $isDraft) {
    $order = ($this->put)(true, ['FOOT-1' => '120']);
    $order = $isDraft ? $order : ($this->send)($order);
    app(CancelPurchase::class)->handle($order->id, $order->version, ($this->sign)('not wanted'));
    expect($order->refresh()->state)->toBe(PurchaseState::Cancelled)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    expect(fn () => app(CancelPurchase::class)->handle($order->id, $order->version, ($this->sign)('again')))
        ->toThrow(Refused::class, 'nothing of it is to come');
})->with(['a draft' => [true], 'sent' => [false]]);

it('takes no goods on a draft', function () {
    $line = ($this->put)(true, ['FOOT-1' => '120'])->lines[0];
    $this->actingAs($this->shop->as(Role::Storekeeper))->from('/stock')->post('/stock', [
        'token' => $this->shop->token(),
        'purchase_id' => $line->id,
        'item' => 'FOOT-1',
        'quantity' => '120',
        'price' => '0.98',
        'place_id' => $this->shop->place('STORES')->id,
    ])->assertSessionHasErrors('purchase_id');
    expect((float) $line->refresh()->received_quantity)->toBe(0.0);
});

it('refuses what another changed meanwhile, and keeps what was typed', function () {
    $order = ($this->put)(true, ['FOOT-1' => '120']);
    $line = $order->lines[0];
    $send = fn (int $version, string $quantity) => $this->actingAs($this->shop->as(Role::Buyer))
        ->from("/purchases/{$order->id}")
        ->put("/purchases/{$order->id}", [
            'token' => $this->shop->token(),
            'form' => 'lines',
            'version' => $version,
            'lines' => [$line->id => ['quantity' => $quantity, 'price' => '0.98', 'on' => '2026-12-10']],
        ]);
    $seen = $order->version;
    $send($seen, '130')->assertSessionHasNoErrors();
    $send($seen, '140')->assertSessionHasErrors('refused');
    $this->get("/purchases/{$order->id}")->assertSee('value="140"', false);
    expect((float) $line->refresh()->quantity)->toBe(130.0);
    $send($order->refresh()->version, 'many')->assertSessionHasErrors("lines.{$line->id}.quantity");
});

it('is bought from a component of an order, without leaving it', function () {
    $feet = $this->shop->item('FOOT-1');
    DB::table('balances')->where('item_id', $feet->id)->update(['quantity' => 0]);
    $order = $this->shop->order('TRAY-40', '30');
    $this->shop->differencesWhenPlanned();
    $page = "/orders/{$order->id}";
    $buyer = $this->actingAs($this->shop->as(Role::Buyer));
    $buyer->get($page)->assertSee('Buy it there');
    $buyer->from($page)->post('/purchases', [
        'token' => $this->shop->token(), 'add' => '1', 'draft' => '1', 'items' => [$feet->id => ['quantity' => '130']],
    ])->assertRedirect($page)->assertSessionHasNoErrors();
    expect(PurchaseOrder::query()->latest('id')->firstOrFail()->state)->toBe(PurchaseState::Draft);
    $buyer->from($page)->post('/purchases', [
        'token' => $this->shop->token(), 'add' => '1', 'items' => [$feet->id => ['quantity' => '130']],
    ])->assertRedirect($page);
    $this->shop->differencesWhenPlanned();
    // what is ordered is no longer missing; who may not buy is not offered it
    $buyer->get($page)->assertDontSee('Buy it there');
    $this->actingAs($this->shop->as(Role::Operator))->get($page)->assertDontSee('Buy it there');
});

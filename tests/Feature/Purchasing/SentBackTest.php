<?php

use App\Access\Role;
use App\Actions\Billing\AcceptBill;
use App\Actions\Purchasing\SendBack;
use App\Actions\Purchasing\TypedReturn;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\GoodsIn;
use App\Actions\Stock\ScrapStock;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\PurchaseLine;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\Holds;
use KeepPace\Core\Purchasing\PurchaseState;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\ScrapClass;

/* Goods go back to the supplier they came from: out of stock at their value, common practice. */

beforeEach(function () {
    $this->line = $this->shop->purchase('P-1', 'FOOT-1', '40', '2026-11-24');
    $this->come = fn (string $quantity): Booking => app(GoodsIn::class)->handle(
        new Arrival(
            $this->line->item_id,
            new TypedQuantity($quantity),
            '1.20',
            $this->shop->place('STORES')->id,
            purchaseId: $this->line->id,
        ),
        $this->shop->sign(Role::Storekeeper),
    );
    $this->back = fn (string $quantity, bool $isReplaced = false): Booking => app(SendBack::class)->handle(
        new TypedReturn(
            $this->line->id,
            Balance::query()->where('item_id', $this->line->item_id)->where('quantity', '>', 0)->firstOrFail()->id,
            $quantity,
            $isReplaced,
        ),
        $this->shop->sign(Role::Storekeeper, 'cracked'),
    );
    $this->stands = function (): array {
        $line = PurchaseLine::query()->findOrFail($this->line->id);

        return [
            (float) $line->received_quantity, (float) $line->returned_quantity, (float) $line->cancelled_quantity,
            $line->is_open, $line->order->state,
        ];
    };
});

it('is wanted again where others come, and no more where none do', function () {
    ($this->come)('40');
    $value = fn (): int => (int) DB::table('stock_values')->where('item_id', $this->line->item_id)->value('value');
    $before = $value();
    $booking = ($this->back)('4', true);
    expect(($this->stands)())->toBe([36.0, 4.0, 0.0, true, PurchaseState::PartIn])
        ->and($booking->says)->toContain('4 pc FOOT-1')->toContain('on P-1: cracked. Others come.')
        ->and($value())->toBeLessThan($before)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    ($this->back)('6');
    expect(($this->stands)())->toBe([30.0, 10.0, 6.0, true, PurchaseState::PartIn]);
    ($this->come)('4');
    expect(($this->stands)())->toBe([34.0, 10.0, 6.0, false, PurchaseState::Done])
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('leaves the order as it is when what came beyond it goes back', function () {
    ($this->come)('44');
    ($this->back)('4');
    expect(($this->stands)())->toBe([40.0, 4.0, 0.0, false, PurchaseState::Done])
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('is taken back as a whole, and so is the receipt after it', function () {
    $in = ($this->come)('40');
    $back = ($this->back)('6');
    expect(fn () => $this->shop->reverse($in))->toThrow(Refused::class, 'went back to the supplier');
    $this->shop->reverse($back);
    expect(($this->stands)())->toBe([40.0, 0.0, 0.0, false, PurchaseState::Done])
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    $this->shop->reverse($in);
    expect(($this->stands)())->toBe([0.0, 0.0, 0.0, true, PurchaseState::Sent])
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('refuses more than came, more than is there, and another item', function () {
    ($this->come)('10');
    expect(fn () => ($this->back)('12'))->toThrow(Refused::class, '10 pc came on P-1, 12 cannot go back on it.');
    DB::table('purchase_lines')->where('id', $this->line->id)->update(['received_quantity' => 900]);
    expect(fn () => ($this->back)('800'))->toThrow(Refused::class);
    $other = $this->shop->purchase('P-2', 'BOLT-8', '40', '2026-11-24');
    $balance = Balance::query()->where('item_id', $this->line->item_id)->firstOrFail();
    expect(fn () => app(SendBack::class)
        ->handle(new TypedReturn($other->id, $balance->id, '1', false), $this->shop->sign(Role::Storekeeper, 'x')))
        ->toThrow(Refused::class, 'is for another item');
});

it('is done on the purchase\'s page', function () {
    ($this->come)('40');
    $balance = Balance::query()->where('item_id', $this->line->item_id)->where('quantity', '>', 0)->sole();
    $page = "/purchases/{$this->line->purchase_order_id}";
    $this->actingAs($this->shop->as(Role::Storekeeper))->get($page)->assertSee('Send back')->assertSee('Main stores: ');
    $send = fn (array $typed) => $this->from($page)->post("/purchase-lines/{$this->line->id}/returns", [
        'token' => $this->shop->token(), 'form' => "back-{$this->line->id}", 'balance' => $balance->id,
        'quantity' => '3', 'reason' => 'cracked', ...$typed,
    ]);
    $send(['reason' => ''])->assertSessionHasErrors(['reason' => 'Say why they go back.']);
    $send(['quantity' => '99'])->assertSessionHasErrors('quantity');
    $this->get($page)->assertSee('value="99"', false);
    $send(['is_replaced' => '1'])->assertSessionHasNoErrors();
    $this->get($page)->assertSee('sent back')->assertSee('Others come.');
});

it('pays for what is rejected as ours, and for none that is theirs (W5, goods)', function () {
    // 30 pieces come, 2 are bad of theirs, 1 was spoiled by us: 28 are owed
    ($this->come)('30');
    ($this->back)('2');
    $owed = fn (): float => (float) (string) PurchaseLine::query()->findOrFail($this->line->id)->owed();
    expect($owed())->toBe(28.0);
    $there = Balance::query()->where('item_id', $this->line->item_id)->where('quantity', '>', 0)->firstOrFail();
    app(ScrapStock::class)->handle(
        $there->id,
        '1',
        ScrapClass::Handling,
        $this->shop->sign(Role::Storekeeper, 'dropped'),
    );
    expect($owed())->toBe(28.0); // ours is paid
    $bill = $this->shop->bill($this->line->refresh(), '30', '1.20');
    $accept = fn (Holds $holds) => app(AcceptBill::class)->handle(
        $bill->id,
        $bill->refresh()->version,
        array_fill_keys($bill->lines->pluck('id')->all(), $holds),
        $this->shop->sign(Role::CostClerk),
    );
    // the two that went back are not paid for
    expect(fn () => $accept(Holds::Theirs))->toThrow(Refused::class, '28 of P-1 are here and not billed');
    $accept(Holds::Ours);
    expect($owed())->toBe(0.0)->and($this->shop->differences())->toBe([]);
});

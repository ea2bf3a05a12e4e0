<?php

use App\Access\Role;
use App\Actions\Billing\AcceptBill;
use App\Actions\Bookings\ReverseLines;
use App\Actions\Orders\CloseOrder;
use App\Actions\Purchasing\BuyByWords;
use App\Actions\Purchasing\Delivered;
use App\Actions\Purchasing\OtherSupplier;
use App\Actions\Purchasing\ReceiveDelivery;
use App\Actions\Purchasing\SendPurchase;
use App\Actions\Purchasing\TypedSending;
use App\Actions\Purchasing\WordsToBuy;
use App\Actions\Stock\AddLateCost;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\GoodsIn;
use App\Models\Booking;
use App\Models\Item;
use App\Models\Move;
use App\Models\Order;
use App\Models\PurchaseLine;
use App\Models\Supplier;
use App\Models\Unit;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Refused;

/*
 * Consumables are expense, and what is bought by words for one order goes straight into its cost: neither comes into
 * stock (common practice). What is known later of it goes the same way, or is variance once the order is closed (W6).
 */

beforeEach(function () {
    $this->order = $this->shop->order('TRAY-40', '6');
    $this->shop->release($this->order);
    $this->supplier = Supplier::query()->where('number', 'S-01')->firstOrFail();
    $this->buyer = fn () => $this->shop->sign(Role::Buyer);
    $this->words = fn (string $words = 'crane for a day', string $quantity = '2', ?Order $for = null): Booking => app(
        BuyByWords::class,
    )->handle(($for ?? $this->order)->id, new WordsToBuy(
        $words,
        $this->supplier->id,
        $quantity,
        Unit::query()->where('code', 'pc')->firstOrFail()->id,
        '60.25',
        '2026-12-04',
    ), ($this->buyer)());
    $this->sent = function (string $words = 'crane for a day'): PurchaseLine {
        ($this->words)($words);
        $line = PurchaseLine::query()->where('words', $words)->firstOrFail();
        app(SendPurchase::class)
            ->handle($line->purchase_order_id, $line->order->version, new TypedSending(null), ($this->buyer)());

        return $line->refresh();
    };
    $this->bought = fn (): int => (int) DB::table('cost_entries')
        ->where('order_id', $this->order->id)
        ->where('kind', 'bought')
        ->sum('cents');
    $this->used = fn (): int => (int) DB::table('moves AS m')
        ->join('places AS f', 'f.id', 'm.from_place_id')
        ->join('places AS t', 't.id', 'm.to_place_id')
        ->selectRaw("SUM(IF(t.kind = 'used', m.value, 0) - IF(f.kind = 'used', m.value, 0)) AS cents")
        ->value('cents');
});

it('is bought by words for an order, and goes into its cost and no stock', function () {
    expect(($this->words)()->says)->toContain('crane for a day for order')->toContain('draft');
    $line = PurchaseLine::query()->where('words', 'crane for a day')->firstOrFail();
    expect($line->item->number)->toBe('BY-WORDS-PC')
        ->and($line->cost_order_id)->toBe($this->order->id);
    app(SendPurchase::class)
        ->handle($line->purchase_order_id, $line->order->version, new TypedSending(null), ($this->buyer)());
    $page = $this->actingAs($this->shop->as(Role::Buyer));
    $page->get("/orders/{$this->order->id}")->assertOk()->assertSee('crane for a day')->assertDontSee('bought for it');
    $of = "{$this->supplier->id}";
    foreach (["/purchases/{$line->purchase_order_id}", '/purchases', '/chase', "/goods-in?supplier={$of}",
        "/suppliers/{$of}/call"] as $address) {
        $page->get($address)->assertOk()->assertSee('crane for a day');
    }
    $in = $this->shop->comes($line->refresh(), '2', price: $line->price);
    expect($in->says)->toContain("into the cost of order {$this->order->number}")
        ->and(($this->bought)())->toBe(12050)
        ->and(DB::table('balances')->where('item_id', $line->item_id)->exists())->toBeFalse()
        ->and($this->shop->differences())->toBe([]);
    $page->get("/orders/{$this->order->id}")->assertSee('bought for it');
    // the second time the item is there
    ($this->words)('paint by hand');
    expect(Item::query()->where('number', 'like', 'BY-WORDS-%')->count())->toBe(1);
    $this->shop->reverse($in);
    expect(($this->bought)())->toBe(0)
        ->and((string) $line->refresh()->received_quantity)->toBe('0.000000')
        ->and($this->shop->differences())->toBe([]);
});

it('is billed as it was taken, and what is dearer goes the same way', function () {
    $line = ($this->sent)();
    $in = $this->shop->comes($line, '2', price: $line->price);
    $bill = $this->shop->bill($line->refresh(), '2', '62.25');
    app(AcceptBill::class)
        ->handle($bill->id, $bill->version, $this->shop->theirs(), $this->shop->sign(Role::CostClerk));
    expect(($this->bought)())->toBe(12450);
    app(AddLateCost::class)->handle($in->id, -50, $this->shop->sign(Role::CostClerk));
    expect(($this->bought)())->toBe(12400)
        ->and($this->shop->differences())->toBe([]);
});

it('is variance once the order is closed, and used in the shop when it comes after that', function () {
    $early = ($this->sent)();
    $late = ($this->sent)('a late drawing');
    $in = $this->shop->comes($early, '2', price: $early->price);
    $this->shop->issueAll($this->order->refresh());
    $this->shop->workThrough($this->order->refresh());
    $this->shop->receive($this->order->refresh(), '6');
    $close = fn (bool $meant) => app(CloseOrder::class)
        ->handle($this->order->id, $this->shop->sign(Role::Supervisor), $meant);
    // a drawing is still to come: it would be its cost
    expect(fn () => $close(false))->toThrow(Refused::class, "2 pc a late drawing on {$late->number}");
    $this->actingAs($this->shop->as(Role::CostClerk))->get("/orders/{$this->order->id}")
        ->assertSee('what is still to come is not waited for');
    $close(true);
    $says = app(AddLateCost::class)->handle($in->id, 500, $this->shop->sign(Role::CostClerk))->says;
    expect($says)->toContain('5.00 variance');
    $this->shop->comes($late->refresh(), '1', price: $late->price);
    expect(($this->used)())->toBe(6025)
        ->and($this->shop->differences())->toBe([])
        ->and(fn () => ($this->words)())->toThrow(Refused::class, 'nothing is bought for it any more')
        ->and(fn () => $this->shop->reverse($in))->toThrow(Refused::class);
});

it('asks for an order that is in the shop', function () {
    $firm = $this->shop->order('LID-9', '4');
    expect(fn () => ($this->words)(for: $firm))->toThrow(Refused::class, 'Release it first');
});

it('goes along to another supplier', function () {
    $line = ($this->sent)();
    $other = Supplier::query()->where('number', 'S-07')->firstOrFail();
    app(OtherSupplier::class)
        ->handle($line->purchase_order_id, $line->order->refresh()->version, $other->id, ($this->buyer)());
    $new = PurchaseLine::query()->where('words', 'crane for a day')->latest('id')->firstOrFail();
    expect($new->order->supplier_id)->toBe($other->id)
        ->and($new->cost_order_id)->toBe($this->order->id);
});

it('takes a consumable as expense, also without an order, beside what is counted', function () {
    $wire = $this->shop->item('WIRE-1');
    $feet = $this->shop->purchase('P-1', 'FOOT-1', '40', '2026-12-01');
    $place = $this->shop->place('STORES')->id;
    $stores = fn () => $this->shop->sign(Role::Storekeeper);
    $in = app(ReceiveDelivery::class)->handle($feet->order->supplier_id, [
        new Delivered('lines.1', new Arrival($feet->item_id, new TypedQuantity('40'), '0.92', $place, '', $feet->id),
            $feet->id),
        new Delivered('other.0', new Arrival($wire->id, new TypedQuantity('5'), '9.80', $place)),
    ], '', $stores());
    expect($in->says)->toContain('5 kg WIRE-1 Welding wire in, to be used')
        ->and(($this->used)())->toBe(4900)
        ->and($this->shop->stock('WIRE-1')['quantity'])->toBe('0')
        ->and($this->shop->differences())->toBe([]);
    // taken back by its line, the feet stay
    $move = Move::query()->where('booking_id', $in->id)->where('item_id', $wire->id)->firstOrFail();
    app(ReverseLines::class)->handle($in->id, [$move->id], $this->shop->sign(Role::Supervisor, 'not ours'));
    expect(($this->used)())->toBe(0)->and($this->shop->differences())->toBe([]);
    $arrival = new Arrival($wire->id, new TypedQuantity('5'), '0', $place, owner: 1);
    expect(fn () => app(GoodsIn::class)->handle($arrival, $stores()))
        ->toThrow(Refused::class, 'used without being counted');
});

it('takes a line of words back alone, with its cost', function () {
    $line = ($this->sent)();
    $feet = $this->shop->purchase('P-1', 'FOOT-1', '40', '2026-12-01');
    DB::table('purchase_orders')->where('id', $feet->purchase_order_id)->update(['supplier_id' => $this->supplier->id]);
    $place = $this->shop->place('STORES')->id;
    $row = fn (PurchaseLine $of, string $quantity): Delivered => new Delivered("lines.{$of->id}", new Arrival(
        $of->item_id,
        new TypedQuantity($quantity),
        $of->price,
        $place,
        '',
        $of->id,
    ), $of->id);
    $in = app(ReceiveDelivery::class)
        ->handle($this->supplier->id, [$row($feet, '40'), $row($line, '2')], '', $this->shop->sign(Role::Storekeeper));
    $move = Move::query()->where('booking_id', $in->id)->where('item_id', $line->item_id)->firstOrFail();
    app(ReverseLines::class)->handle($in->id, [$move->id], $this->shop->sign(Role::Supervisor, 'not here'));
    expect(($this->bought)())->toBe(0)->and($this->shop->differences())->toBe([]);
    // and the rest of the booking after it takes back no more than is left
    $this->shop->reverse($in);
    expect(($this->bought)())->toBe(0)->and($this->shop->differences())->toBe([]);
});

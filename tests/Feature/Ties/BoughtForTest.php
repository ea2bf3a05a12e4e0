<?php

use App\Access\Role;
use App\Actions\Bookings\ReverseLines;
use App\Actions\Cover\CoverBy;
use App\Actions\Cover\TieLine;
use App\Actions\Orders\ChangeOrder;
use App\Actions\Purchasing\CancelPurchase;
use App\Actions\Purchasing\LineToBuy;
use App\Actions\Purchasing\OtherSupplier;
use App\Actions\Purchasing\RaisePurchases;
use App\Actions\Purchasing\SendPurchase;
use App\Actions\Purchasing\TypedSending;
use App\Actions\Stock\ReserveComing;
use App\Actions\Stock\ReserveStock;
use App\Models\Booking;
use App\Models\CustomerOrder;
use App\Models\PurchaseLine;
use App\Models\Supplier;
use App\Models\Tie;
use App\Queries\Demand\CustomerOrderPage;
use App\Shop\ShopState;
use KeepPace\Core\Planning\Allocated;
use KeepPace\Core\Planning\TieDemand;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/* What is bought for a customer line or an order is kept for it when it comes (W7: what is tied is served first). */

beforeEach(function () {
    $this->says = fn (CustomerOrder $order): string => CustomerOrderPage::of($order->id)?->lines[0]->coverSays() ?? '';
    /** still tied to what is to come */
    $this->tied = fn (PurchaseLine $line): float => (float) $line->ties()->sum('quantity');
});

it('covers a line by a purchase that is to come, and keeps what comes for it', function () {
    $purchase = $this->shop->purchase('P-71', 'FOOT-1', '40', '2026-12-03');
    $order = $this->shop->customerOrder(['FOOT-1' => '6'], '2026-12-18');
    $line = $order->lines[0];
    app(TieLine::class)->toPurchase($line->id, $purchase->id, '6', $this->shop->sign(Role::Sales));
    expect(($this->says)($order))->toBe('6 from P-71 on 3 Dec')
        ->and($purchase->unpromised()->toInt())->toBe(34)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    $part = $this->shop->comes($purchase, '4');
    expect($part->says)->toContain("4 for {$line->label()}")
        ->and(($this->says)($order))->toBe('2 from P-71 on 3 Dec, 4 from stock');
    $rest = $this->shop->comes($purchase, '36');
    expect(($this->says)($order))->toBe('6 from stock')
        ->and(($this->tied)($purchase))->toBe(0.0)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    $this->shop->reverse($rest);
    $this->shop->reverse($part);
    expect(($this->says)($order))->toBe('6 from P-71 on 3 Dec')
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('says that a line is late where what it waits for can be used only after its day', function () {
    $purchase = $this->shop->purchase('P-71', 'FOOT-1', '40', '2026-12-18');
    $early = $this->shop->customerOrder(['FOOT-1' => '6'], '2026-12-18');
    app(TieLine::class)->toPurchase($early->lines[0]->id, $purchase->id, '6', $this->shop->sign(Role::Sales));
    // what comes in on a day is used from the next opening on
    expect(CustomerOrderPage::of($early->id)?->lines[0]->isLate())->toBeTrue();
    $this->actingAs($this->shop->as(Role::Sales))->get('/customer-orders?show=late')->assertSee($early->number);
    $purchase->update(['expected_on' => '2026-12-17']);
    expect(CustomerOrderPage::of($early->id)?->lines[0]->isLate())->toBeFalse();
    $this->actingAs($this->shop->as(Role::Sales))->get('/customer-orders?show=late')->assertDontSee($early->number);
});

it('deals out a short delivery to who wants it first', function () {
    $purchase = $this->shop->purchase('P-71', 'FOOT-1', '12', '2026-12-03');
    $late = $this->shop->customerOrder(['FOOT-1' => '6'], '2026-12-21');
    $early = $this->shop->customerOrder(['FOOT-1' => '6'], '2026-12-14');
    foreach ([$late, $early] as $order) {
        app(TieLine::class)->toPurchase($order->lines[0]->id, $purchase->id, '6', $this->shop->sign(Role::Sales));
    }
    $this->shop->comes($purchase, '8');
    expect(($this->says)($early))->toBe('6 from stock')
        ->and(($this->says)($late))->toBe('4 from P-71 on 3 Dec, 2 from stock');
});

it('refuses to promise more than is to come, or than the line wants', function () {
    $purchase = $this->shop->purchase('P-71', 'FOOT-1', '8', '2026-12-03');
    $tie = fn (CustomerOrder $order, string $quantity): Booking => app(TieLine::class)
        ->toPurchase($order->lines[0]->id, $purchase->id, $quantity, $this->shop->sign(Role::Sales));
    $first = $this->shop->customerOrder(['FOOT-1' => '6']);
    $second = $this->shop->customerOrder(['FOOT-1' => '6']);
    $other = $this->shop->customerOrder(['BOLT-8' => '6']);
    $tie($first, '6');
    expect(fn () => $tie($second, '3'))->toThrow(Refused::class, '3 asked for, 2 of P-71 are not promised yet')
        ->and(fn () => $tie($first, '1'))->toThrow(Refused::class, '1 asked for, 0 of line 10')
        ->and(fn () => $tie($other, '1'))->toThrow(Refused::class, 'for another item')
        ->and(Tie::query()->where('purchase_line_id', $purchase->id)->count())->toBe(1);
});

it('buys for a line: a draft brings nothing, sent it has a day', function () {
    $order = $this->shop->customerOrder(['GATE-40' => '600']);
    $booking = $this->shop->cover($order);
    $purchase = Tie::query()->whereNotNull('purchase_line_id')->sole()->purchase;
    $bought = Amount::plain((string) $purchase?->ties()->sum('quantity'));
    expect($booking->says)->toContain("{$bought} bought: 1 item on draft")
        ->and(($this->says)($order))->toContain("{$bought} from {$purchase?->number}, not sent yet");
    app(SendPurchase::class)->handle(
        $purchase->purchase_order_id,
        $purchase->order->version,
        new TypedSending(null),
        $this->shop->sign(Role::Buyer),
    );
    expect(($this->says)($order))->toContain("{$bought} from {$purchase->number} on ")
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('puts two lines of one supplier on one draft', function () {
    $order = $this->shop->customerOrder(['FOOT-1' => '900', 'GATE-40' => '600']);
    foreach (['FOOT-1', 'GATE-40'] as $item) {
        $this->shop->item($item)->update(['supplier_id' => Supplier::query()->firstOrFail()->id]);
    }
    $this->shop->cover($order, CoverBy::NewOrder);
    $lines = PurchaseLine::query()->where('is_draft', true)->get();
    expect($lines)->toHaveCount(2)->and($lines->pluck('purchase_order_id')->unique())->toHaveCount(1);
});

it('keeps of a purchase for an order: others wait for another, and it is stock kept for it when it comes', function () {
    $purchase = $this->shop->purchase('P-71', 'SS-15', '50', '2026-12-03');
    $first = $this->shop->order('TRAY-40', '2000');
    $second = $this->shop->order('TRAY-40', '100');
    $part = $this->shop->component($second, 'SS-15');
    $gets = fn (): array => collect(ShopState::now()->parts->allocated)
        ->mapWithKeys(fn (Allocated $row): array => [$row->need->order.'-'.$row->need->item => array_sum(array_map(
            fn (array $one): float => $one['supply']->by->number === 'P-71' ? $one['quantity']->toFloat() : 0.0,
            $row->coming,
        ))])
        ->only(["{$first->id}-{$part->item_id}", "{$second->id}-{$part->item_id}"])
        ->all();
    $had = $gets();
    expect($had["{$second->id}-{$part->item_id}"])->toBeLessThan(10.0);
    app(ReserveComing::class)->handle($part->id, $purchase->id, '10', $this->shop->sign(Role::Planner));
    expect($gets()["{$second->id}-{$part->item_id}"])->toBe(10.0)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    $booking = $this->shop->comes($purchase, '50', 'H-77');
    $kept = Tie::query()->where('component_id', $part->id)->where('supply_kind', 'stock')->sole();
    expect($kept->left()->toInt())->toBe(10)->and($booking->says)->toContain("10 for order {$second->number}")
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    $this->shop->reverse($booking);
    expect($kept->refresh()->left()->toInt())->toBe(0)
        ->and(($this->tied)($purchase))->toBe(10.0)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    app(ReserveStock::class)->giveUp(
        Tie::query()->where('purchase_line_id', $purchase->id)->sole()->id,
        $this->shop->sign(Role::Planner),
    );
    expect(($this->tied)($purchase))->toBe(0.0);
});

it('keeps no more of what comes than the order still takes', function () {
    $purchase = $this->shop->purchase('P-71', 'FOOT-1', '40', '2026-12-03');
    $order = $this->shop->order('TRAY-40', '10');
    $part = $this->shop->component($order, 'FOOT-1');
    app(ReserveComing::class)->handle($part->id, $purchase->id, '40', $this->shop->sign(Role::Planner));
    $part->refresh()->update(['planned_quantity' => '24']);
    $this->shop->comes($purchase, '40');
    expect((float) Tie::query()->where('component_id', $part->id)->where('supply_kind', 'stock')->sum('quantity'))
        ->toBe(24.0)
        ->and(($this->tied)($purchase))->toBe(0.0);
});

it('buys a short part for its order, and lets it go when the order is cancelled', function () {
    $order = $this->shop->order('TRAY-40', '200');
    $part = $this->shop->component($order, 'FOOT-1');
    app(RaisePurchases::class)->handle(
        [new LineToBuy($part->item_id, '1000', for: TieDemand::component($part->id))],
        false,
        $this->shop->sign(Role::Buyer),
    );
    $purchase = PurchaseLine::query()->latest('id')->firstOrFail();
    expect(($this->tied)($purchase))->toBe($part->openQuantity()->toFloat());
    app(ChangeOrder::class)->cancel($order->id, $order->refresh()->version, $this->shop->sign(Role::Planner, 'gone'));
    expect(($this->tied)($purchase))->toBe(0.0)->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('says who loses what when a purchase gives less', function () {
    $purchase = $this->shop->purchase('P-71', 'FOOT-1', '12', '2026-12-03');
    $late = $this->shop->customerOrder(['FOOT-1' => '6'], '2026-12-21');
    $early = $this->shop->customerOrder(['FOOT-1' => '6'], '2026-12-14');
    foreach ([$late, $early] as $order) {
        app(TieLine::class)->toPurchase($order->lines[0]->id, $purchase->id, '6', $this->shop->sign(Role::Sales));
    }
    $purchase->order->refresh();
    $booking = app(CancelPurchase::class)->handle(
        $purchase->purchase_order_id,
        $purchase->order->version,
        $this->shop->sign(Role::Buyer, 'they cannot'),
    );
    expect($booking->says)->toContain("6 less for {$early->lines[0]->label()}. 6 less for {$late->lines[0]->label()}.")
        ->and(($this->says)($early))->toBe('6 not covered')
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('takes who it is for along to another supplier', function () {
    $purchase = $this->shop->purchase('P-71', 'FOOT-1', '12', '2026-12-03');
    $order = $this->shop->customerOrder(['FOOT-1' => '6']);
    app(TieLine::class)->toPurchase($order->lines[0]->id, $purchase->id, '6', $this->shop->sign(Role::Sales));
    $other = Supplier::query()->whereKeyNot($purchase->order->supplier_id)->firstOrFail();
    app(OtherSupplier::class)->handle(
        $purchase->purchase_order_id,
        $purchase->order->refresh()->version,
        $other->id,
        $this->shop->sign(Role::Buyer, 'they cannot'),
    );
    $new = PurchaseLine::query()->latest('id')->firstOrFail();
    expect(($this->tied)($new))->toBe(6.0)->and(($this->tied)($purchase))->toBe(0.0)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('takes one line of a delivery back with whom it was for, and leaves the other', function () {
    $feet = $this->shop->purchase('P-71', 'FOOT-1', '6', '2026-12-03');
    $order = $this->shop->customerOrder(['FOOT-1' => '6']);
    app(TieLine::class)->toPurchase($order->lines[0]->id, $feet->id, '6', $this->shop->sign(Role::Sales));
    $gates = $this->shop->purchase('P-72', 'GATE-40', '10', '2026-12-03');
    $this->actingAs($this->shop->as(Role::Storekeeper))->post('/goods-in', [
        'token' => $this->shop->token(),
        'form' => 'delivery',
        'supplier' => $feet->order->supplier_id,
        'place_id' => $this->shop->place('STORES')->id,
        'condition' => 'free',
        'lines' => [$feet->id => ['quantity' => '6'], $gates->id => ['quantity' => '10']],
    ])->assertSessionHasNoErrors();
    $booking = Booking::query()->latest('id')->firstOrFail();
    $back = fn (PurchaseLine $line): Booking => app(ReverseLines::class)->handle(
        $booking->id,
        array_values($booking->moves()->where('item_id', $line->item_id)->pluck('id')->all()),
        $this->shop->sign(Role::Storekeeper, 'wrong line'),
    );
    $back($gates);
    expect(($this->says)($order))->toBe('6 from stock');
    $back($feet);
    expect(($this->says)($order))->toBe('6 from P-71 on 3 Dec')
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('leaves a delivery in the books while something of it is kept for an order', function () {
    $booking = $this->shop->goodsIn('FOOT-1', '40');
    $order = $this->shop->order('TRAY-40', '200');
    $lying = $this->shop->stock('FOOT-1')['quantity'];
    app(ReserveStock::class)
        ->handle($order->id, $this->shop->item('FOOT-1')->id, '', $lying, $this->shop->sign(Role::Planner));
    expect(fn () => $this->shop->reverse($booking))->toThrow(Refused::class, "order {$order->number}");
});

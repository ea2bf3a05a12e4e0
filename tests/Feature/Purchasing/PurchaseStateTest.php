<?php

use App\Access\Role;
use App\Actions\Purchasing\ChangePurchase;
use App\Actions\Purchasing\LineToBuy;
use App\Actions\Purchasing\RaisePurchases;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\GoodsIn;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\PurchaseState;
use KeepPace\Core\Quantity\TypedQuantity;

/* A purchase order stands as its lines do: common practice. */

function ordered(object $test): PurchaseOrder
{
    app(RaisePurchases::class)->handle(
        array_map(
            fn (string $item): LineToBuy => new LineToBuy($test->shop->item($item)->id, '5'),
            ['MOT-120', 'BRG-25'],
        ),
        false,
        $test->shop->sign(Role::Buyer),
    );

    return PurchaseOrder::query()->whereKey(PurchaseLine::query()->max('purchase_order_id'))->firstOrFail();
}

function came(object $test, PurchaseLine $line, string $quantity): App\Models\Booking
{
    return app(GoodsIn::class)->handle(
        new Arrival(
            $line->item_id,
            new TypedQuantity($quantity),
            '12',
            $test->shop->place('STORES')->id,
            purchaseId: $line->id,
        ),
        $test->shop->sign(Role::Storekeeper),
    );
}

it('goes with what comes in, back with a reversal, and ends when the rest is given up', function () {
    DB::table('items')->whereIn('number', ['MOT-120', 'BRG-25'])->update(['supplier_id' => 1]);
    $order = ordered($this);
    $is = fn (): PurchaseState => $order->refresh()->state;
    [$first, $second] = $order->lines()->get()->all();
    expect($is())->toBe(PurchaseState::Sent)
        ->and([$first->position, $second->position])->toBe([1, 2])
        ->and($order->sent_on)->not->toBeNull();
    $in = came($this, $first, '2');
    expect($is())->toBe(PurchaseState::PartIn)->and((bool) $first->refresh()->is_open)->toBeTrue();
    $this->shop->reverse($in);
    expect($is())->toBe(PurchaseState::Sent);
    came($this, $first, '5');
    expect($is())->toBe(PurchaseState::PartIn)->and((bool) $first->refresh()->is_open)->toBeFalse();
    app(ChangePurchase::class)->giveUp($second->id, $this->shop->sign(Role::Buyer, 'bought elsewhere'));
    expect($is())->toBe(PurchaseState::Done)->and($this->shop->differences())->toBe([]);
});

it('is cancelled when all of it is given up before anything came', function () {
    DB::table('items')->whereIn('number', ['MOT-120', 'BRG-25'])->update(['supplier_id' => 1]);
    $order = ordered($this);
    foreach ($order->lines()->get() as $line) {
        app(ChangePurchase::class)->giveUp($line->id, $this->shop->sign(Role::Buyer, 'not wanted'));
    }
    expect($order->refresh()->state)->toBe(PurchaseState::Cancelled)->and($this->shop->differences())->toBe([]);
});

it('is derived from what is known of it', function (bool $sent, bool $confirmed, bool $open, bool $come, string $is) {
    expect(PurchaseState::derived($sent, $confirmed, $open, $come)->value)->toBe($is);
})->with([
    'only written down' => [false, false, true, false, 'draft'],
    'sent' => [true, false, true, false, 'sent'],
    'the supplier has answered' => [true, true, true, false, 'confirmed'],
    'part of it is in' => [true, true, true, true, 'part_in'],
    'part of it came unasked' => [false, false, true, true, 'part_in'],
    'all is in, or the rest given up' => [true, false, false, true, 'done'],
    'all given up' => [true, true, false, false, 'cancelled'],
]);

it('refuses in the database a second gathering order of a supplier, and a line without a head', function () {
    $gathers = ['supplier_id' => 1, 'ordered_on' => '2026-11-24', 'gathers' => true, 'kind' => 'service'];
    DB::table('purchase_orders')->insert([...$gathers, 'number' => 'G-1']);
    expect(fn () => DB::table('purchase_orders')->insert([...$gathers, 'number' => 'G-2']))
        ->toThrow(QueryException::class, 'purchase_orders_gathers');
    $line = ['number' => 'G-9', 'position' => 1, 'item_id' => $this->shop->item('MOT-120')->id, 'quantity' => 1];
    expect(fn () => DB::table('purchase_lines')->insert([...$line, 'price' => 1, 'expected_on' => '2026-12-01']))
        ->toThrow(QueryException::class, 'purchase_order_id');
});

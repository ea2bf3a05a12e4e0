<?php

use App\Access\Role;
use App\Actions\Cover\CoverBy;
use App\Actions\Purchasing\CancelPurchase;
use App\Actions\Purchasing\RaiseParts;
use App\Actions\Purchasing\SendPurchase;
use App\Actions\Purchasing\TypedSending;
use App\Models\Booking;
use App\Models\Item;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use KeepPace\Core\Purchasing\PurchaseState;

/*
 * A chain without a routing: the cap is coated of a blank of ours, the blank is stamped of strip of ours. Each is
 * bought as soon as what is made of it is ordered.
 */

beforeEach(function (): void {
    expect($this->shop->import([
        'suppliers.csv' => "number,name\nV-COAT,Coat and Sons\nV-STAMP,Stamp Hollow\nV-STRIP,Strip Yard\n",
        'items.csv' => "number,name,kind,unit,cost,supplier\nCAP-R,Cap,bought,pc,3,V-COAT\n"
            ."BLANK-R,Blank,bought,pc,2,V-STAMP\nSTRIP-R,Strip,bought,m,4,V-STRIP\n",
        'supplier-items.csv' => "item,supplier,lead_time_days,prices,along\nCAP-R,V-COAT,5,1:1.5,BLANK-R:1\n"
            ."BLANK-R,V-STAMP,4,1:0.8,STRIP-R:0.25\n",
    ]))->toBe([]);
});

function draftLineOf(object $test, string $item): ?PurchaseLine
{
    return PurchaseLine::query()
        ->where('item_id', $test->shop->item($item)->id)
        ->where('is_draft', true)
        ->latest('id')
        ->first();
}

function sendIt(object $test, PurchaseLine $line): Booking
{
    $order = PurchaseOrder::query()->findOrFail($line->purchase_order_id);

    return app(SendPurchase::class)->handle(
        $order->id,
        $order->version,
        new TypedSending(null),
        $test->shop->sign(Role::Buyer),
    );
}

it('puts what goes along and is missing on a draft, one after the other down the chain', function (): void {
    $this->shop->goodsIn('BLANK-R', '30', '2');
    $this->shop->cover($this->shop->customerOrder(['CAP-R' => '100']), CoverBy::NewOrder);
    $cap = draftLineOf($this, 'CAP-R') ?? throw new LogicException('It covers the line.');
    // a draft asks for nothing yet
    expect($cap->quantity)->toBe('100.000000')
        ->and(draftLineOf($this, 'BLANK-R'))->toBeNull();
    sendIt($this, $cap);
    $blank = draftLineOf($this, 'BLANK-R');
    expect($blank?->quantity)->toBe('70.000000') // thirty lie here
        ->and($blank?->order->supplier->name)->toBe('Stamp Hollow')
        ->and(draftLineOf($this, 'STRIP-R'))->toBeNull();
    sendIt($this, $blank);
    expect(draftLineOf($this, 'STRIP-R')?->quantity)->toBe('17.500000')
        ->and(app(RaiseParts::class)->due())->toBe(0)
        ->and($this->shop->differences())->toBe([]);
});

it('is not raised again for the same need once the buyer has thrown it away', function (): void {
    $this->shop->cover($this->shop->customerOrder(['CAP-R' => '20']), CoverBy::NewOrder);
    sendIt($this, draftLineOf($this, 'CAP-R') ?? throw new LogicException);
    $draft = PurchaseOrder::query()->findOrFail(draftLineOf($this, 'BLANK-R')?->purchase_order_id);
    app(CancelPurchase::class)->handle(
        $draft->id,
        $draft->version,
        $this->shop->sign(Role::Buyer, 'the customer brings them'),
    );
    expect($draft->refresh()->state)->toBe(PurchaseState::Cancelled)
        ->and(app(RaiseParts::class)->due())->toBe(0)
        ->and(PurchaseLine::query()->where('item_id', $this->shop->item('BLANK-R')->id)->count())->toBe(1);
});

it('leaves alone what is ordered by level, has no supplier, or is made here', function (array $as): void {
    Item::query()->where('number', 'BLANK-R')->update($as);
    $this->shop->cover($this->shop->customerOrder(['CAP-R' => '20']), CoverBy::NewOrder);
    sendIt($this, draftLineOf($this, 'CAP-R') ?? throw new LogicException);
    expect(draftLineOf($this, 'BLANK-R'))->toBeNull();
})->with([
    'by level' => [['ordered_by' => 'level', 'reorder_point' => '5']],
    'no supplier' => [['supplier_id' => null]],
    'made here' => [['kind' => 'made']],
    'running out' => [['is_running_out' => true]],
]);

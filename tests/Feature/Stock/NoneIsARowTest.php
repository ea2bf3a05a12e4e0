<?php

use App\Access\Role;
use App\Actions\Purchasing\LineToBuy;
use App\Actions\Purchasing\RaisePurchases;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\GoodsIn;
use App\Models\Lot;
use App\Models\Move;
use App\Models\PurchaseLine;
use App\Queries\Stock\StockList;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Quantity\TypedQuantity;

/* What is stored as 0 for none has its key as all else has: our own way, foundations. */

it('refuses in the database stock of a lot or an owner that is not there', function (array $with, string $key) {
    $balance = [
        'item_id' => $this->shop->item('LID-9')->id,
        'place_id' => $this->shop->place('RACK')->id,
        'lot_id' => 0,
        'owner_id' => 0,
        'condition' => 'free',
        'quantity' => 1,
    ];
    expect(fn () => DB::table('balances')->insert([...$balance, ...$with]))->toThrow(QueryException::class, $key);
})->with([
    'a lot' => [['lot_id' => 999_999], 'FOREIGN KEY (`lot_id`)'],
    'an owner' => [['owner_id' => 999_999], 'FOREIGN KEY (`owner_id`)'],
]);

it('lets every customer own what lies here', function () {
    $customer = DB::table('customers')->insertGetId(['number' => 'K-77', 'name' => 'Lantern Works']);
    expect(DB::table('owners')->where('customer_id', $customer)->value('id'))->toBe($customer);
});

it('shows no lot where there is none', function () {
    $this->actingAs($this->shop->as(Role::Storekeeper));
    $lid = $this->shop->item('LID-9');
    $this->shop->goodsIn('LID-9', '3', '41');
    expect(StockList::movements($lid->id)->first()->lot)->toBeNull()
        ->and(DB::table('lots')->where('id', 0)->value('code'))->toBe('')
        ->and(Lot::query()->find(0))->toBeNull()
        ->and(DB::table('moves')->where('item_id', $lid->id)->max('lot_id'))->toBe(0);
    $this->get('/find?q=')->assertOk();
    $this->get('/stock?q=LID-9')->assertOk()->assertSee('LID-9');
});

it('has no deed with the lot that is none', function () {
    $this->actingAs($this->shop->as(Role::Storekeeper))
        ->from('/')
        ->post('/lots/0/expiry', ['token' => 'x', 'expires_on' => '2027-01-01', 'reason' => 'as the label says'])
        ->assertSessionHasErrors();
    expect(session('errors')->first())->toContain('That lot is not there');
});

it('books each move on the day of its booking', function () {
    $this->shop->goodsIn('LID-9', '3', '41');
    $move = Move::query()->latest('id')->firstOrFail();
    expect($move->booked_on)->toBe('2026-11-24');
});

it('names the order that made a lot, and the supplier it came from', function () {
    DB::table('items')->where('number', 'TRAY-40')->update(['tracking' => 'lot']);
    $order = $this->shop->order('TRAY-40', '2');
    $this->shop->release($order);
    $this->shop->issueAll($order);
    $this->shop->workThrough($order);
    $this->shop->receive($order, '2');
    $lot = Lot::query()->where('code', $order->number)->firstOrFail();
    expect($lot->made_by_order_id)->toBe($order->id)->and($lot->supplier_id)->toBeNull();

    app(RaisePurchases::class)->handle(
        [new LineToBuy($this->shop->item('SS-15')->id, '5', supplier: 1)],
        false,
        $this->shop->sign(Role::Buyer),
    );
    $line = PurchaseLine::query()->latest('id')->firstOrFail();
    app(GoodsIn::class)->handle(
        new Arrival(
            $line->item_id,
            new TypedQuantity('5'),
            '46',
            $this->shop->place('RACK')->id,
            'HEAT-5',
            purchaseId: $line->id,
        ),
        $this->shop->sign(Role::Storekeeper),
    );
    $bought = Lot::query()->where('code', 'HEAT-5')->firstOrFail();
    expect($bought->supplier_id)->toBe(1)
        ->and($bought->made_by_order_id)->toBeNull()
        ->and($this->shop->differences())->toBe([]);
});

it('keeps what a customer was promised first, whatever is promised later', function () {
    $line = $this->shop->customerOrder(['LID-9' => '4'], '2026-12-18')->lines[0];
    DB::table('customer_order_lines')->where('id', $line->id)->update(['promised_on' => '2027-01-08']);
    expect(DB::table('customer_order_lines')->where('id', $line->id)->value('promised_first_on'))->toBe('2026-12-18');
});

it('holds what the next subjects bring: a preferred supplier, one price a break, where a step is done', function () {
    $item = ['item_id' => $this->shop->item('MOT-120')->id, 'unit_id' => 1, 'is_preferred' => true];
    $first = DB::table('supplier_items')->insertGetId([...$item, 'supplier_id' => 1]);
    expect(fn () => DB::table('supplier_items')->insert([...$item, 'supplier_id' => 2]))
        ->toThrow(QueryException::class, 'supplier_items_preferred');
    DB::table('supplier_items')->insert([...$item, 'supplier_id' => 2, 'is_preferred' => false]);
    $price = ['supplier_item_id' => $first, 'from_quantity' => '10', 'price' => '7.5'];
    DB::table('supplier_prices')->insert($price);
    expect(fn () => DB::table('supplier_prices')->insert($price))
        ->toThrow(QueryException::class, 'supplier_prices_break');
    $order = $this->shop->order('EX-9E', '1');
    $kinds = DB::table('order_steps')->distinct()->orderBy('done_at')->pluck('done_at')->all();
    expect($kinds)->toContain('centre');
    DB::table('order_steps')->where('order_id', $order->id)->update(['work_centre_id' => null, 'supplier_id' => 1]);
    expect(DB::table('order_steps')->where('order_id', $order->id)->distinct()->pluck('done_at')->all())
        ->toBe(['supplier']);
});

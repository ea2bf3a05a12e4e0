<?php

use App\Access\Role;
use App\Actions\Import\Files;
use App\Models\Customer;
use App\Models\CustomerOrderLine;
use App\Papers\ProductFile;
use App\Shop\PriceList;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Quantity\Amount;
use Tests\Support\ItemPage;

/* What customers pay: by their level and by quantity. The break that is reached holds for all pieces: trade.md, W31. */

beforeEach(function () {
    $this->shop->import(['item-prices.csv' => "item,level,prices\n"
        ."TRAY-40,,50 10:45\n"
        ."TRAY-40,Dealers,40 10:36 100:30.5\n"]);
    [$this->plain, $this->dealer] = Customer::query()->orderBy('id')->limit(2)->get()->all();
    $this->dealer->update(['price_level' => 'DEALERS']);
});

/** @return string the price a line gets where nobody types one */
function priceOf(object $test, Customer $customer, string $item, string $quantity, ?string $unit = null): string
{
    $test->actingAs($test->shop->as(Role::Sales))->post('/customer-orders', [
        'token' => $test->shop->token(),
        'customer_id' => (string) $customer->id,
        'lines' => [['item' => $item, 'quantity' => $quantity, 'unit' => $unit, 'promised_on' => '2026-12-18']],
    ])->assertSessionHasNoErrors();

    return Amount::plain(CustomerOrderLine::query()->latest('id')->firstOrFail()->price);
}

it('offers the price of the level, at the break that is reached', function (string $who, string $pieces, string $is) {
    expect(priceOf($this, $who === 'dealer' ? $this->dealer : $this->plain, 'TRAY-40', $pieces))->toBe($is);
})->with([
    ['plain', '1', '50'], ['plain', '9', '50'], ['plain', '10', '45'],
    ['dealer', '9', '40'], ['dealer', '10', '36'], ['dealer', '99', '36'], ['dealer', '100', '30.5'],
]);

it('takes what is typed, and the price of the item where there is no list', function () {
    DB::table('items')->where('number', 'LID-9')->update(['price' => '12.5']);
    expect(priceOf($this, $this->dealer, 'LID-9', '100'))->toBe('12.5');
    $this->actingAs($this->shop->as(Role::Sales))->post('/customer-orders', [
        'token' => $this->shop->token(),
        'customer_id' => (string) $this->dealer->id,
        'lines' => [['item' => 'TRAY-40', 'quantity' => '1', 'price' => '99', 'promised_on' => '2026-12-18']],
    ]);
    expect(Amount::plain(CustomerOrderLine::query()->latest('id')->firstOrFail()->price))->toBe('99');
});

it('falls back to the prices for all where a level has none', function () {
    $this->plain->update(['price_level' => 'schools']);
    $tray = $this->shop->item('TRAY-40');
    expect(PriceList::of([$tray->id])->price($tray, $this->plain, BigDecimal::of(10)))->toBe('45.000000');
});

it('changes them on the page of the item, with a trail that hides money', function () {
    $tray = $this->shop->item('TRAY-40');
    ItemPage::change($this, 'TRAY-40', ['sold' => [
        ['level' => '', 'prices' => '50 10:45'],
        ['level' => 'dealers', 'prices' => '41'],
        ['level' => '', 'prices' => ''],
    ]])->assertSessionHasNoErrors();
    $trail = DB::table('product_changes')->where('field', 'like', 'sales prices%')->latest('id')->first();
    expect([$trail->field, $trail->before, $trail->after])
        ->toBe(['sales prices of dealers', '40 10:36 100:30.5', '41']);
    $this->get("/items/{$tray->id}")->assertSee('dealers: 41');
    $this->actingAs($this->shop->as(Role::Operator))->get("/items/{$tray->id}")
        ->assertDontSee('dealers: 41')
        ->assertDontSee('40 10:36');
    ItemPage::change($this, 'TRAY-40', ['sold' => []])->assertSessionHasNoErrors();
    expect(DB::table('item_prices')->count())->toBe(0);
});

it('keeps the level of a customer on his page, and offers those there are', function () {
    $this->actingAs($this->shop->as(Role::Sales))->get("/customers/{$this->plain->id}/change")
        ->assertSee('<option value="Dealers">', false);
    $this->from("/customers/{$this->plain->id}/change")->put("/customers/{$this->plain->id}", [
        'token' => $this->shop->token(),
        'version' => $this->plain->refresh()->version,
        'name' => $this->plain->name,
        'address' => $this->plain->address,
        'price_level' => 'dealers',
    ])->assertSessionHasNoErrors();
    $this->get("/customers/{$this->plain->id}")->assertSee('Price level');
    expect(priceOf($this, $this->plain->refresh(), 'TRAY-40', '10'))->toBe('36')
        ->and(DB::table('product_changes')->where('field', 'price level')->value('after'))->toBe('dealers');
});

it('finds an item by its maker\'s number', function () {
    ItemPage::change($this, 'BRG-25', ['makers_number' => 'ZX 6205-2R'])->assertSessionHasNoErrors();
    $bearing = $this->shop->item('BRG-25');
    $this->get('/find?q='.urlencode('zx 6205'))->assertRedirect("/stock/{$bearing->id}");
    $this->get("/items/{$bearing->id}")->assertSee('ZX 6205-2R');
});

it('names what is wrong of them at its field', function () {
    ItemPage::change($this, 'TRAY-40', ['sold' => [['level' => 'a', 'prices' => '5 10']]])
        ->assertSessionHasErrors('sold.0.prices');
    ItemPage::change($this, 'TRAY-40', ['sold' => [['level' => 'a', 'prices' => '']]])
        ->assertSessionHasErrors('sold.0.prices');
    $twice = [['level' => 'a', 'prices' => '5'], ['level' => 'A', 'prices' => '6']];
    ItemPage::change($this, 'TRAY-40', ['sold' => $twice])
        ->assertSessionHasErrors('sold.1.level');
    expect(DB::table('item_prices')->count())->toBe(5);
});

it('goes out as a file and in again without a change', function () {
    $path = tempnam(sys_get_temp_dir(), 'kp');
    (new ProductFile(Files::all()['item-prices'], true))->write($path, 'csv');
    expect(file_get_contents($path))
        ->toBe("item,level,prices\nTRAY-40,,\"50 10:45\"\nTRAY-40,Dealers,\"40 10:36 100:30.5\"\n");
    $changes = DB::table('product_changes')->count();
    expect($this->shop->import(['item-prices.csv' => (string) file_get_contents($path)]))->toBe([])
        ->and(DB::table('product_changes')->count())->toBe($changes);
});

it('values a line of a file that has no price by the level of its customer', function () {
    $this->shop->import(['customer-orders.csv' => "number,customer,line,item,quantity,promised_on\n"
        ."C-900,{$this->dealer->number},1,TRAY-40,120,2026-12-18\n"]);
    expect(Amount::plain(CustomerOrderLine::query()->latest('id')->firstOrFail()->price))->toBe('30.5');
});

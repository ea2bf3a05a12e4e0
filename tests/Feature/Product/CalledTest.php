<?php

use App\Access\Role;
use App\Models\Customer;
use App\Models\CustomerOrderLine;
use Illuminate\Support\Facades\DB;
use Tests\Support\ItemPage;

/* What customers call our items: found and ordered by it; and how an item is ordered, in lots by a rule. */

it('finds and orders an item by what the customer calls it', function () {
    [$first, $second] = Customer::query()->orderBy('id')->limit(2)->get()->all();
    ItemPage::change($this, 'TRAY-40', ['called' => [
        ['customer' => (string) $first->id, 'number' => 'T/40 x'],
        ['customer' => '', 'number' => ''],
    ]])->assertSessionHasNoErrors();
    $tray = $this->shop->item('TRAY-40');
    $this->get("/items/{$tray->id}")->assertSee("T/40 x by {$first->name}");
    $this->get('/find?q='.urlencode('t/40 X'))->assertRedirect("/items/{$tray->id}");
    $order = fn (Customer $customer, string $item) => $this->actingAs($this->shop->as(Role::Sales))
        ->from('/customer-orders/new')
        ->post('/customer-orders', [
            'token' => $this->shop->token(),
            'customer_id' => (string) $customer->id,
            'lines' => [['item' => $item, 'quantity' => '2', 'promised_on' => '2026-12-18']],
        ]);
    $order($second, 'T/40 X')->assertSessionHasErrors('lines.0.item'); // another's word for it
    $order($first, 't/40 X')->assertSessionHasNoErrors();
    expect(CustomerOrderLine::query()->latest('id')->firstOrFail()->item_id)->toBe($tray->id);
});

it('lets a customer call one item by one number, and says which has it', function () {
    $customer = Customer::query()->firstOrFail();
    $called = fn (string $number): array => ['called' => [['customer' => (string) $customer->id, 'number' => $number]]];
    ItemPage::change($this, 'TRAY-40', $called('X-1'))->assertSessionHasNoErrors();
    ItemPage::change($this, 'LID-9', $called('x-1'))
        ->assertSessionHasErrors(['called.0.number' => 'This customer calls TRAY-40 so already.']);
    ItemPage::change($this, 'LID-9', ['called' => [['customer' => '999', 'number' => 'X-2']]])
        ->assertSessionHasErrors('called.0.customer');
    ItemPage::change($this, 'LID-9', ['called' => [['customer' => (string) $customer->id, 'number' => '']]])
        ->assertSessionHasErrors('called.0.number');
    // taken off, it is free again; the trail has both
    ItemPage::change($this, 'TRAY-40', ['called' => []])->assertSessionHasNoErrors();
    ItemPage::change($this, 'LID-9', $called('x-1'))->assertSessionHasNoErrors();
    expect(DB::table('product_changes')->where('field', "number at {$customer->number}")->count())->toBe(3);
});

it('takes them in as a file and out again', function () {
    $customer = Customer::query()->firstOrFail();
    $file = "customer,number,item\n{$customer->number},T-1,TRAY-40\n{$customer->number},L-1,LID-9\n";
    expect($this->shop->import(['customer-items.csv' => $file]))->toBe([]);
    $changes = DB::table('product_changes')->count();
    expect($this->shop->import(['customer-items.csv' => $file]))->toBe([])
        ->and(DB::table('product_changes')->count())->toBe($changes)
        ->and(DB::table('customer_items')->count())->toBe(2);
    $path = tempnam(sys_get_temp_dir(), 'kp');
    (new App\Papers\ProductFile(App\Actions\Import\Files::all()['customer-items'], true))->write($path, 'csv');
    expect(file_get_contents($path))->toBe($file);
    unlink($path);
});

// trade.md, W8, by level: 30 there, 15 promised, reorder point 20, lot 40: propose 40, and after it nothing more
it('proposes up to the level by the lot rule, and buys it by one touch', function () {
    DB::table('items')->where('reorder_point', '>', 0)->update(['reorder_point' => 0]);
    $this->shop->import(['items.csv' => "number,name,kind,unit,supplier,reorder_point,lot_sizing,lot_quantity\n"
        ."RIVET-4,Rivet 4 mm,bought,pc,S-07,20,fixed,40\n"]);
    $rivet = $this->shop->item('RIVET-4');
    $this->shop->goodsIn('RIVET-4', '30', '0.10');
    $this->actingAs($this->shop->as(Role::Buyer));
    $proposed = 'How much of Rivet 4 mm to buy';
    $this->get('/stock?below=1')->assertOk()->assertDontSee($proposed);
    $order = $this->shop->customerOrder(['RIVET-4' => '15']);
    $this->shop->cover($order);
    $page = $this->actingAs($this->shop->as(Role::Buyer))->get('/stock?below=1')->assertOk();
    $page->assertSee($proposed)
        ->assertSee("name=\"items[{$rivet->id}][quantity]\"", false)
        ->assertSee('value="40"', false);
    $this->post('/purchases', ['token' => 'buy', 'items' => [$rivet->id => ['quantity' => '40']]])
        ->assertSessionHasNoErrors();
    $this->get('/stock?below=1')->assertDontSee($proposed); // 55 now
    // by need the level is shown and not used
    DB::table('purchase_lines')->where('item_id', $rivet->id)->update(['cancelled_quantity' => '40']);
    $this->get('/stock?below=1')->assertSee($proposed);
    ItemPage::change($this, 'RIVET-4', ['ordered_by' => 'need'])->assertSessionHasNoErrors();
    $this->actingAs($this->shop->as(Role::Buyer))->get('/stock?below=1')->assertDontSee($proposed);
    $this->get("/items/{$rivet->id}")->assertSee('by need')->assertSee('lots of 40');
});

it('makes what is made here by one touch, and says so to who may not', function () {
    DB::table('items')->where('number', 'TRAY-40')->update([
        'reorder_point' => 500, 'lot_sizing' => 'multiple', 'lot_quantity' => 25, 'lot_least' => 100,
    ]);
    $this->actingAs($this->shop->as(Role::Planner))->get('/stock?below=1')->assertOk()
        ->assertSee('How many Uncapping tray to make');
    $this->actingAs($this->shop->as(Role::Operator))->get('/stock?below=1')->assertDontSee('How many Uncapping');
});

it('refuses a lot rule that cannot be, beside its field', function (array $typed, string $field) {
    ItemPage::change($this, 'BRG-25', $typed)->assertSessionHasErrors($field);
})->with([
    'whole lots of nothing' => [['lot_sizing' => 'fixed', 'lot_quantity' => '0'], 'lot_quantity'],
    'below zero' => [['lot_sizing' => 'multiple', 'lot_least' => '-1'], 'lot_least'],
    'no rule' => [['lot_sizing' => 'sometimes'], 'lot_sizing'],
    'neither need nor level' => [['ordered_by' => 'whim'], 'ordered_by'],
]);

it('proposes what is short in lots', function () {
    DB::table('items')->where('number', 'BRG-25')->update(['lot_sizing' => 'fixed', 'lot_quantity' => 500]);
    DB::table('balances')->where('item_id', $this->shop->item('BRG-25')->id)->delete();
    $this->shop->order('DRUM-9', '4');
    $this->shop->order('EX-9H', '4');
    $this->actingAs($this->shop->as(Role::Buyer))->get('/shortages')->assertOk()->assertSee('value="500"', false);
});

<?php

use App\Access\Role;
use App\Actions\Builds\ShipAsBuilt;
use App\Actions\Cover\CoverBy;
use App\Actions\Purchasing\LineToBuy;
use App\Actions\Purchasing\RaisePurchases;
use App\Models\Booking;
use App\Models\Contact;
use App\Models\ContactWay;
use App\Models\Customer;
use App\Models\PurchaseLine;
use App\Models\Supplier;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/* Customers and suppliers: kept on pages, and what is known of them is heeded where it matters. */

/** @param  array<string, mixed>  $typed */
function changeSupplier(object $test, Supplier $supplier, array $typed): Illuminate\Testing\TestResponse
{
    $supplier->refresh();

    return $test->actingAs($test->shop->as(Role::Buyer))
        ->from("/suppliers/{$supplier->id}/change")
        ->put("/suppliers/{$supplier->id}", [
            'token' => $test->shop->token(),
            'version' => $supplier->version,
            'name' => $supplier->name,
            'address' => $supplier->address,
            ...$typed,
        ]);
}

function supplierOf(string $item): Supplier
{
    return Supplier::query()->findOrFail(DB::table('items')->where('number', $item)->value('supplier_id'));
}

it('keeps whom to ask for, with any number of telephones and mails', function () {
    $supplier = supplierOf('BRG-25');
    changeSupplier($this, $supplier, ['contacts' => [
        ['name' => 'Bo Marsh', 'asked_about' => 'orders', 'phones' => '+353 1 555 0101; 01 555 0102', 'mails' => ''],
        ['name' => '', 'asked_about' => '', 'phones' => '', 'mails' => ''],
        ['name' => 'Kaia Ember', 'asked_about' => 'bills', 'phones' => '', 'mails' => 'k@hexley.example'],
    ]])->assertSessionHasNoErrors();
    $page = $this->get("/suppliers/{$supplier->id}")->assertOk();
    $page->assertSeeInOrder(['Bo Marsh', 'orders', '+353 1 555 0101', '01 555 0102', 'Kaia Ember', 'k@hexley.example']);
    $page->assertSee('href="tel:+35315550101"', false)->assertSee('href="mailto:k@hexley.example"', false);
    // the trail says it, and an empty list takes them out
    $page->assertSee('Bo Marsh, orders, +353 1 555 0101, 01 555 0102');
    changeSupplier($this, $supplier, ['contacts' => []])->assertSessionHasNoErrors();
    expect(Contact::query()->where('supplier_id', $supplier->id)->count())->toBe(0)
        ->and(ContactWay::query()->where('at', '01 555 0102')->exists())->toBeFalse();
});

it('names what is wrong with a contact beside its field, and keeps it', function (array $typed, string $at) {
    $supplier = supplierOf('BRG-25');
    $before = Contact::query()->pluck('name')->all();
    changeSupplier($this, $supplier, ['contacts' => [['name' => 'Bo Marsh'], $typed]])->assertSessionHasErrors($at);
    $this->get("/suppliers/{$supplier->id}/change")->assertSee('value="Bo Marsh"', false);
    expect(Contact::query()->pluck('name')->all())->toBe($before);
})->with([
    'no mail' => [['name' => 'A', 'mails' => 'a@b@c'], 'contacts.1.mails'],
    'no telephone' => [['name' => 'A', 'phones' => 'ring twice'], 'contacts.1.phones'],
    'no name' => [['phones' => '01 555 0101'], 'contacts.1.name'],
    'the same twice' => [['name' => 'bo marsh'], 'contacts.1.name'],
    'longer than a name' => [['name' => str_repeat('n', 81)], 'contacts.1.name'],
]);

it('refuses what cannot be meant', function (array $typed, string $field) {
    changeSupplier($this, supplierOf('BRG-25'), $typed)->assertSessionHasErrors($field);
})->with([
    [['name' => ''], 'name'],
    [['minimum_order' => '-1'], 'minimum_order'],
    [['minimum_order' => '1.005'], 'minimum_order'],
    [['calendar_id' => '999'], 'calendar_id'],
    [['transport_days' => '2.5'], 'transport_days'],
    [['orders_on' => ['8']], 'orders_on.0'],
    [['note' => str_repeat('x', 1001)], 'note'],
]);

it('tells who had the page open that another changed it', function () {
    $supplier = supplierOf('BRG-25');
    $seen = $supplier->version;
    changeSupplier($this, $supplier, ['terms' => '30 days'])->assertSessionHasNoErrors();
    changeSupplier($this, $supplier, ['version' => $seen, 'terms' => '60 days'])
        ->assertSessionHasErrors(['refused' => "{$supplier->number} was changed meanwhile. Nothing of yours is lost: "
            .'look at what is there now, then send again.']);
    expect($supplier->refresh()->terms)->toBe('30 days');
});

it('shows no money to who may not see it, and keeps what stands there', function () {
    $supplier = supplierOf('BRG-25');
    changeSupplier($this, $supplier, ['minimum_order' => '150'])->assertSessionHasNoErrors();
    $this->actingAs($this->shop->as(Role::Operator))
        ->get("/suppliers/{$supplier->id}")
        ->assertOk()
        ->assertDontSee('150')
        ->assertDontSee('An order is at least');
    $this->get("/suppliers/{$supplier->id}/change")->assertForbidden();
    expect($supplier->refresh()->minimum_order)->toBe('150.00');
});

// common practice; Tue 24 Nov 2026 in the shop of the tests, the plant works Monday to Friday
it('reckons with the days on which a supplier takes orders and delivers', function () {
    $supplier = supplierOf('BRG-25');
    $buy = function (): string {
        app(RaisePurchases::class)
            ->handle([new LineToBuy($this->shop->item('BRG-25')->id, '10')], false, $this->shop->sign(Role::Buyer));

        return (string) PurchaseLine::query()->latest('id')->firstOrFail()->expected_on;
    };
    expect($this->shop->item('BRG-25')->lead_time_days)->toBe(4)->and($buy())->toBe('2026-11-30');
    changeSupplier($this, $supplier, ['transport_days' => '2']);
    expect($buy())->toBe('2026-12-02');
    changeSupplier($this, $supplier, ['transport_days' => '0', 'delivers_on' => ['5']]);
    expect($buy())->toBe('2026-12-04');
    // taken on Thursday, four working days on it is Wednesday
    changeSupplier($this, $supplier, ['orders_on' => ['4']]);
    expect($buy())->toBe('2026-12-02');
});

it('reckons lead times in the calendar of the supplier', function () {
    $this->shop->import([
        'shifts.csv' => "calendar,weekday,from,to\nTHEIRS,1,08:00,16:00\nTHEIRS,2,08:00,16:00\n",
    ]);
    $supplier = supplierOf('BRG-25');
    $theirs = DB::table('calendars')->where('code', 'THEIRS')->value('id');
    changeSupplier($this, $supplier, ['calendar_id' => (string) $theirs])->assertSessionHasNoErrors();
    app(RaisePurchases::class)
        ->handle([new LineToBuy($this->shop->item('BRG-25')->id, '10')], false, $this->shop->sign(Role::Buyer));
    // four of their days from Tue 24 Nov: Mon 30, Tue 1, Mon 7, Tue 8 Dec
    expect((string) PurchaseLine::query()->latest('id')->firstOrFail()->expected_on)->toBe('2026-12-08');
});

it('says what an order comes to where they ask for more', function () {
    changeSupplier($this, supplierOf('BRG-25'), ['minimum_order' => '500']);
    $buy = fn (string $quantity): string => (string) app(RaisePurchases::class)->handle(
        [new LineToBuy($this->shop->item('BRG-25')->id, $quantity, price: '4')],
        false,
        $this->shop->sign(Role::Buyer),
    )->says;
    expect($buy('100'))->toContain('comes to 400.00 €, Hexley Bearings and Drives asks for 500.00 € at least')
        ->and($buy('125'))->not->toContain('at least');
});

it('finishes an order so many days before it ships as its customer says', function (?int $days, string $due) {
    Customer::query()->firstOrFail()->update(['finish_days' => $days]);
    $order = $this->shop->customerOrder(['TRAY-40' => '6'], '2026-12-18');
    $this->shop->cover($order, CoverBy::NewOrder);
    expect((string) DB::table('orders')->latest('id')->value('due_on'))->toBe($due);
})->with([
    'as the shop: one' => [null, '2026-12-17'],
    'none' => [0, '2026-12-18'],
    'four, a weekend between' => [4, '2026-12-14'],
]);

it('ships whole orders only to who takes no others, unless somebody says so', function () {
    $order = $this->shop->customerOrder(['BRG-25' => '4', 'FOOT-1' => '2']);
    $order->customer->update(['is_whole_only' => true]);
    $this->shop->cover($order, CoverBy::Stock);
    [$first, $second] = $order->lines->all();
    $ship = fn (array $lines, bool $inParts): Booking => app(ShipAsBuilt::class)
        ->handle($order->id, $lines, $this->shop->sign(Role::Storekeeper), $inParts);
    $one = [$first->id => ['quantity' => '4', 'lot' => 0]];
    expect(fn () => $ship($one, false))->toThrow(
        Refused::class,
        'takes whole orders only, and 2 pc of line '.$second->position.' would be left.',
    );
    expect((string) $first->refresh()->shipped_quantity)->toBe('0.000000');
    $ship($one, true);
    $ship([$second->id => ['quantity' => '2', 'lot' => 0]], false);
    expect($order->lines()->where('is_open', true)->count())->toBe(0)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('sends goods where the order says, else where the customer says, else to their address', function () {
    $order = $this->shop->customerOrder(['BRG-25' => '4']);
    $look = fn () => $this->actingAs($this->shop->as(Role::Sales))->get("/customer-orders/{$order->id}")->assertOk();
    $look()->assertSee($order->customer->address);
    $order->customer->update(['ship_to' => 'Pier 9, Saltmarsh', 'terms' => '30 days net', 'note' => 'Ring first.']);
    $look()->assertSee('Pier 9, Saltmarsh')->assertSee('30 days net')->assertSee('Ring first.');
    $order->update(['ship_to' => 'The show ground']);
    $look()->assertSee('The show ground')->assertDontSee('Pier 9');
});

it('retires nobody something is open with, and deals with nobody who is retired', function () {
    $order = $this->shop->customerOrder(['BRG-25' => '4']);
    $customer = $order->customer;
    $retire = fn (string $of, int $id) => $this->actingAs($this->shop->as(Role::Supervisor))
        ->post("/{$of}/{$id}/retired", [
            'token' => $this->shop->token(),
            'version' => DB::table($of)->where('id', $id)->value('version'),
        ]);
    $retire('customers', $customer->id)->assertSessionHasErrors('refused');
    expect(implode(' ', session('errors')->all()))->toContain($order->number);
    $supplier = supplierOf('BRG-25');
    $retire('suppliers', $supplier->id)->assertSessionHasErrors('refused');
    expect(implode(' ', session('errors')->all()))->toContain('usual supplier of BOLT-8, BRG-25');

    $order->lines()->update(['is_open' => false]);
    $retire('customers', $customer->id)->assertSessionHasNoErrors();
    expect(fn () => $this->shop->customerOrder(['BRG-25' => '1']))->toThrow(Refused::class, 'is retired');
    $this->get('/customer-orders/new')->assertOk()->assertDontSee(">{$customer->name}</option>", false);
    $this->get('/customers')->assertOk()->assertDontSee($customer->name);
    $this->get('/customers?only=retired')->assertSee($customer->name);
    DB::table('items')->where('supplier_id', $supplier->id)->update(['supplier_id' => null]);
    DB::table('order_steps')->where('supplier_id', $supplier->id)->update(['supplier_id' => null]);
    PurchaseLine::query()->update(['is_open' => false]);
    $retire('suppliers', $supplier->id)->assertSessionHasNoErrors();
    expect(fn () => app(RaisePurchases::class)->handle(
        [new LineToBuy($this->shop->item('BRG-25')->id, '4', supplier: $supplier->id)],
        false,
        $this->shop->sign(Role::Buyer),
    ))->toThrow(Refused::class, "{$supplier->name} is retired");
});

it('finds them by any words of theirs, by their people and by the find box', function () {
    $supplier = supplierOf('BRG-25');
    changeSupplier($this, $supplier, [
        'note' => 'closed in August',
        'contacts' => [['name' => 'Bo Marsh', 'phones' => '01 555 0101']],
    ]);
    foreach (['hexley', 'AUGUST closed', 'marsh', '555 0101', $supplier->number] as $words) {
        $this->get('/suppliers?text='.urlencode($words))->assertOk()->assertSee($supplier->name);
    }
    $this->get('/suppliers?text=nosuch')->assertSee('No supplier is like this');
    $this->get('/find?q='.urlencode($supplier->number))->assertRedirect("/suppliers/{$supplier->id}");
    $this->get('/suppliers?only=open')->assertOk();
    $this->get('/suppliers?only=%5B')->assertOk();
});

it('shows them in a number of queries that does not grow with them', function (string $of) {
    $count = function () use ($of): int {
        $queries = 0;
        DB::listen(function () use (&$queries): void {
            $queries++;
        });
        $this->actingAs($this->shop->as(Role::Supervisor))->get("/{$of}")->assertOk();
        $this->get("/{$of}/1")->assertOk();

        return $queries;
    };
    $before = $count();
    $key = rtrim($of, 's').'_id';
    for ($i = 0; $i < 20; $i++) {
        $id = DB::table($of)->insertGetId(['number' => "Z-{$i}", 'name' => "One {$i}", 'address' => '']);
        foreach ([$id, 1] as $who) {
            $contact = DB::table('contacts')->insertGetId([$key => $who, 'position' => 10 + $i, 'name' => "Of {$i}"]);
            DB::table('contact_ways')->insert(['contact_id' => $contact, 'kind' => 'phone', 'at' => "0{$i}"]);
        }
    }
    DB::flushQueryLog();
    expect($count())->toBeLessThanOrEqual(2 * $before); // a listener more, each query counted once by each
})->with(['customers', 'suppliers']);

it('goes out as files and comes in again with nothing changed', function () {
    $supplier = supplierOf('BRG-25');
    changeSupplier($this, $supplier, ['orders_on' => ['1', '4'], 'minimum_order' => '20.50', 'contacts' => [
        ['name' => 'Bo Marsh', 'asked_about' => 'orders', 'phones' => '01 555 0101, 01 555 0102'],
        ['name' => 'Kaia, of the yard', 'mails' => 'k@hexley.example'],
    ]]);
    Customer::query()->firstOrFail()->update(['finish_days' => 0, 'is_whole_only' => true, 'ship_to' => 'Pier 9']);
    $files = [];
    foreach (['customers', 'customer-contacts', 'suppliers', 'supplier-contacts'] as $kind) {
        $path = tempnam(sys_get_temp_dir(), 'kp');
        (new App\Papers\ProductFile(App\Actions\Import\Files::all()[$kind], true))->write($path, 'csv');
        $files["{$kind}.csv"] = (string) file_get_contents($path);
        unlink($path);
    }
    expect($files['suppliers.csv'])->toContain('"1,4"')->toContain('20.5')
        ->and($files['supplier-contacts.csv'])->toContain('01 555 0101|01 555 0102');
    $before = DB::table('product_changes')->count();
    expect($this->shop->import($files))->toBe([])
        ->and(DB::table('product_changes')->count())->toBe($before);
});

it('takes the one contact of older files as the first, and loses no other', function () {
    Contact::query()->delete();
    $row = fn (string $contact): string => "number,name,contact,address\nS-07,Hexley Bearings and Drives,{$contact},\n";
    $names = fn (): array => Contact::query()
        ->where('supplier_id', supplierOf('BRG-25')->id)
        ->orderBy('position')
        ->pluck('name')
        ->all();
    expect($this->shop->import(['suppliers.csv' => $row('Bo Marsh')]))->toBe([])->and($names())->toBe(['Bo Marsh']);
    // only a name: it is another now
    $this->shop->import(['suppliers.csv' => $row('Kaia Ember')]);
    expect($names())->toBe(['Kaia Ember']);
    // one that can be reached stays, behind
    $this->shop->import([
        'supplier-contacts.csv' => "supplier,name,asked_about,phones,mails\nS-07,Kaia Ember,bills,01 555 0101,\n",
    ]);
    $this->shop->import(['suppliers.csv' => $row('Jem Pike')]);
    expect($names())->toBe(['Jem Pike', 'Kaia Ember']);
    $this->shop->import(['suppliers.csv' => $row('')]);
    expect($names())->toBe(['Jem Pike', 'Kaia Ember']);
});

it('tells in a file what is no weekday, no mail and nobody it knows', function () {
    $problems = $this->shop->import([
        'suppliers.csv' => "number,name,orders_on\nS-07,Hexley,Monday\nS-03,Emberfield,1\n",
        'supplier-contacts.csv' => "supplier,name,mails\nS-07,Bo,bo\nS-99,Bo,\n",
    ]);
    expect(implode("\n", $problems))->toContain("'Monday' must be weekdays")
        ->toContain("'bo' is no mail address")
        ->toContain("'S-99' is not among the suppliers");
});

it('takes a supplier\'s calendar in by file and gives it out', function () {
    $supplier = supplierOf('BRG-25');
    $shifts = "calendar,weekday,from,to,kind\nHEXLEY,1,08:00,16:00,work\nHEXLEY,2,08:00,16:00,work\n";
    $suppliers = "number,name,calendar\n{$supplier->number},{$supplier->name},HEXLEY\n";
    expect($this->shop->import(['shifts.csv' => $shifts, 'suppliers.csv' => $suppliers]))->toBe([]);
    $calendar = DB::table('calendars')->where('code', 'HEXLEY')->value('id');
    expect($supplier->refresh()->calendar_id)->toBe($calendar);
    // a file without the column leaves it, one that names none there is says so
    $plain = "number,name\n{$supplier->number},{$supplier->name}\n";
    expect($this->shop->import(['suppliers.csv' => $plain]))->toBe([])
        ->and($supplier->refresh()->calendar_id)->toBe($calendar);
    $wrong = "number,name,calendar\n{$supplier->number},{$supplier->name},NOWHERE\n";
    expect($this->shop->import(['suppliers.csv' => $wrong]))->toHaveCount(1);
});

<?php

use App\Access\Role;
use App\Models\Calendar;
use App\Models\CustomerOrderLine;
use App\Models\Item;
use App\Models\Order;
use App\Models\Person;
use App\Models\Unit;
use App\Shop\PlantCalendar;
use Illuminate\Support\Facades\DB;
use Tests\FeatureTestCase;

/*
 * A shop that begins with nothing: one person, no files. Each form is sent as the page has it. Costs are reckoned by
 * hand beside the figures.
 */

/** Takes everything of the demo out; one supervisor may log in. */
function emptyShop(): Person
{
    $kept = ['migrations', 'places', 'plans', 'people', 'person_roles'];
    $sql = DB::getPdo();
    $sql->exec('SET FOREIGN_KEY_CHECKS = 0');
    foreach (DB::getSchemaBuilder()->getTableListing(DB::getDatabaseName(), false) as $table) {
        in_array($table, $kept, true) ?: $sql->exec("DELETE FROM `{$table}`");
    }
    $sql->exec("DELETE FROM places WHERE kind = 'stores' AND code <> 'STORES'");
    $person = Person::inRole(Role::Supervisor);
    $sql->exec("DELETE FROM person_roles WHERE person_id <> {$person->id}");
    $sql->exec("DELETE FROM people WHERE id <> {$person->id}");
    $sql->exec('SET FOREIGN_KEY_CHECKS = 1');

    return $person;
}

/** @param  array<string, mixed>  $fields */
function sends(FeatureTestCase $test, string $method, string $to, array $fields): void
{
    $test->actingAs(Person::query()->firstOrFail())
        ->call($method, $to, ['token' => $test->shop->token(), ...$fields])
        ->assertSessionHasNoErrors()
        ->assertRedirect();
    expect(session('refused'))->toBeNull();
}

/** @param  array<string, string>  $more */
function entersItem(FeatureTestCase $test, string $number, string $kind, string $unit, array $more = []): int
{
    sends($test, 'POST', '/items', [
        'number' => $number,
        'name' => "{$number} of ours",
        'kind' => $kind,
        'unit_id' => Unit::query()->where('code', $unit)->sole()->id,
        'tracking' => 'none',
        'lot_rule' => 'oldest',
        'cover_for' => 'line',
        'ordered_by' => 'need',
        'lot_sizing' => 'as_needed',
        'costing' => 'average',
        ...$more,
    ]);

    return Item::query()->where('number', $number)->sole()->id;
}

/** @param  array<array<string, string>>  $lines */
function drawsUp(FeatureTestCase $test, string $what, int $item, array $lines): void
{
    sends($test, 'POST', "/items/{$item}/{$what}", []);
    $draft = DB::table($what)->where('item_id', $item)->orderByDesc('id')->sole();
    sends($test, 'PUT', "/{$what}/{$draft->id}", ['version' => $draft->version, 'lines' => $lines]);
    sends($test, 'POST', "/{$what}/{$draft->id}/approval", [
        'version' => DB::table($what)->where('id', $draft->id)->value('version'),
    ]);
}

it('begins with what every shop needs, and says what to enter', function () {
    $person = emptyShop();
    $this->artisan('pace:import', ['folder' => base_path('beginning'), '--as' => $person->login])->assertSuccessful();
    expect(Unit::query()->pluck('code')->all())->toContain('pc', 'kg', 'm')
        ->and(PlantCalendar::known()?->isWorkingDay('2026-11-27'))->toBeTrue() // a Friday
        ->and(PlantCalendar::known()?->isWorkingDay('2026-11-28'))->toBeFalse();
    $today = fn () => $this->actingAs($person)->get('/')->assertOk();
    $today()->assertSee('Before the first order')
        ->assertSeeInOrder(['Work centres', 'Items', 'The first customer order'])
        ->assertDontSee('>there<', false);
    $this->actingAs($person)->get('/items/new')->assertSee('pc, piece</option>', false)
        ->assertSeeInOrder(['selected', 'pc, piece']);
    entersItem($this, 'BOLT', 'bought', 'pc');
    $today()->assertSee('>there<', false);
});

it('takes the first calendar of all for the plant, whatever it is called', function () {
    $person = emptyShop();
    expect(PlantCalendar::known())->toBeNull();
    $this->actingAs($person)->get('/calendars')->assertOk()->assertDontSee('with the week of');
    sends($this, 'POST', '/calendars', ['code' => 'EARLY']);
    $plant = PlantCalendar::row();
    expect($plant?->code)->toBe('EARLY')
        ->and($plant?->shifts)->toHaveCount(5)
        ->and($plant?->toCore()->workingDaysFrom('2026-11-27', 1))->toBe('2026-11-30');
    sends($this, 'POST', '/calendars', ['code' => 'LATE', 'like' => $plant?->id]);
    expect(PlantCalendar::row()?->code)->toBe('EARLY');
    $this->actingAs($person)->get('/settings')->assertSee('Working days are counted by')->assertSee('LATE');
    $this->put('/settings', [
        'token' => $this->shop->token(),
        'version' => App\Settings\Settings::version(),
        'plant_calendar' => 'LATE',
    ])->assertSessionHasNoErrors();
    App\Settings\Settings::readAnew();
    expect(PlantCalendar::row()?->code)->toBe('LATE');
    $this->actingAs($person)->get('/calendars')->assertSeeInOrder(['LATE', 'the plant']);
});

it('needs the week of another where there is one', function () {
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->post('/calendars', ['token' => $this->shop->token(), 'code' => 'NEW'])
        ->assertSessionHasErrors('like');
    expect(Calendar::query()->where('code', 'NEW')->exists())->toBeFalse();
});

it('goes from nothing to an order that knows what its parts will cost', function () {
    $person = emptyShop();
    $this->artisan('pace:import', ['folder' => base_path('beginning'), '--as' => $person->login])->assertSuccessful();
    $calendar = Calendar::query()->sole()->id;
    $centre = fn (string $code, array $rates) => sends($this, 'POST', '/work-centres', [
        'code' => $code,
        'name' => $code,
        'calendar_id' => $calendar,
        'machines' => '1',
        'load_size' => '0',
        ...$rates,
    ]);
    $centre('SAW', ['labour_rate' => '40', 'machine_rate' => '12']);
    $centre('ASM', ['labour_rate' => '38']);
    entersItem($this, 'TUBE', 'bought', 'm', ['cost' => '4.20']);
    entersItem($this, 'BOLT', 'bought', 'pc', ['cost' => '0.12']);
    $leg = entersItem($this, 'LEG', 'made', 'pc');
    $stand = entersItem($this, 'STAND', 'assembled', 'pc', ['price' => '240']);
    // nobody else could approve what this one person drew up
    drawsUp($this, 'structures', $leg, [['component' => 'TUBE', 'quantity' => '0.85', 'basis' => 'unit',
        'issue_by' => 'hand', 'supplied_by' => 'us']]);
    $at = fn (string $code): string => 'c'.DB::table('work_centres')->where('code', $code)->value('id');
    drawsUp($this, 'routings', $leg, [['number' => '10', 'name' => 'Saw', 'at' => $at('SAW'), 'setup' => '10',
        'rate' => '1.5', 'basis' => 'min_per_unit', 'crew' => '1', 'setup_crew' => '1']]);
    drawsUp($this, 'structures', $stand, [
        ['component' => 'LEG', 'quantity' => '4', 'basis' => 'unit', 'issue_by' => 'hand', 'supplied_by' => 'us'],
        ['component' => 'BOLT', 'quantity' => '8', 'basis' => 'unit', 'issue_by' => 'hand', 'supplied_by' => 'us'],
    ]);
    drawsUp($this, 'routings', $stand, [['number' => '10', 'name' => 'Assemble', 'at' => $at('ASM'), 'rate' => '20',
        'basis' => 'min_per_unit', 'crew' => '1', 'setup_crew' => '1']]);
    sends($this, 'POST', '/customers', ['number' => 'HILL', 'name' => 'Hill Gardens']);
    sends($this, 'POST', '/customer-orders', [
        'customer_id' => DB::table('customers')->value('id'),
        'lines' => [['item' => 'STAND', 'quantity' => '3', 'promised_on' => '2026-12-11', 'price' => '']],
    ]);
    $line = CustomerOrderLine::query()->sole();
    sends($this, 'POST', '/covers', ['lines' => [$line->id], 'by' => 'stock-then-order', 'with_parts' => '1']);
    $order = Order::query()->where('item_id', $stand)->sole();
    expect($order->number)->toBe('1001')
        ->and((string) $order->due_on)->toStartWith('2026-12-10') // the day before, by the plant's calendar
        ->and($line->customerOrder->number)->toBe('C-1001');
    sends($this, 'POST', '/release', ['orders' => [$order->id], 'short_reason' => 'legs come']);
    // 12 legs: 12 × 0.85 m × 4.20 = 42.84; 10 + 12 × 1.5 = 28 min at 40 + 12 an hour = 24.27; together 67.11
    $planned = $order->components()->with('item')->get()->pluck('planned_value', 'item.number')->all();
    expect($planned)->toBe(['LEG' => 6711, 'BOLT' => 288])
        ->and($order->refresh()->planned_material)->toBe(6999)
        ->and($order->planned_labour)->toBe(3800); // 60 min at 38
    $this->actingAs($person)->get('/')->assertOk()->assertDontSee('Before the first order');
    $this->actingAs($person)->get("/customer-orders/{$line->customer_order_id}")
        ->assertOk()->assertDontSee('· ordered', false);
});

/* A list that is empty as nothing was entered says so, and where to; one that is narrowed to nothing says that. */
it('says on each empty page what is to be entered first', function (string $page, array $says, array $not = []) {
    $this->actingAs(emptyShop());
    $answer = $this->get($page)->assertOk();
    array_map(fn (string $one): object => $answer->assertSee($one, false), $says);
    array_map(fn (string $one): object => $answer->assertDontSee($one, false), $not);
})->with([
    ['/items', ['No item is entered yet.']],
    ['/items?text=drum', ['No item is like this.']],
    ['/customers', ['No customer is entered yet.']],
    ['/customers?text=mill', ['No customer is like this.']],
    ['/suppliers', ['No supplier is entered yet.']],
    ['/suppliers?only=retired', ['No supplier is like this.']],
    ['/orders', ['No order is open.']],
    ['/orders?state=closed', ['No order is like this.']],
    ['/rank', ['No order is open.']],
    ['/work-centres', ['None yet. An order is planned at work centres']],
    ['/dispatch', ['No work centre is entered yet.', '/work-centres">Enter the first</a>']],
    ['/station', ['No work centre is entered yet.']],
    ['/customer-orders/new', ['No customer is entered yet.', '/customers/new">Enter the first</a>']],
    [
        '/absence',
        ['No work centre is entered yet.', 'Nobody who works at a work centre is entered yet.', '/crews">Crews</a>'],
        ['Say that it is down', 'Say that they are away'],
    ],
]);

it('offers what is down and away once there is something', function () {
    $this->actingAs($this->shop->as(Role::Supervisor))->get('/absence')
        ->assertSee('Say that it is down')
        ->assertSee('Say that they are away')
        ->assertDontSee('is entered yet');
});

<?php

use App\Access\Role;
use App\Actions\Cover\CoverBy;
use App\Books\Numbers;
use App\Models\Order;
use App\Models\Person;
use App\Models\Place;
use App\Models\Unit;
use App\Settings\Setting;
use App\Settings\Settings;
use App\Settings\SettingType;
use App\Shop\Capacity;
use App\Shop\Deliveries;
use App\Shop\LeadTime;
use App\Shop\ShopState;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/* What the shop goes by is set on pages, and heeded where it matters. */

/** @param  array<string, mixed>  $typed */
function setUp(object $test, array $typed, string $at = ''): Illuminate\Testing\TestResponse
{
    return $test->actingAs($test->shop->as(Role::Supervisor))
        ->from('/settings')
        ->put("/settings{$at}", ['token' => $test->shop->token(), 'version' => Settings::version(), ...$typed]);
}

it('says of each setting what it is for and refuses what it cannot be', function (Setting $setting) {
    $bad = match ($setting->type()) {
        SettingType::Whole => ['', 'two', '-1', '2.5', (string) ($setting->bounds()[1] + 1), '99999999999999'],
        SettingType::Time => ['', '24:00', '9:00', '16.00', '16:60'],
        SettingType::TimeOrNone => ['24:00', 'noon'],
        SettingType::Choice => ['', 'maybe'],
        SettingType::Text => [str_repeat('a', Setting::LONGEST + 1), "two\nlines"],
    };
    foreach ($bad as $typed) {
        expect($setting->wrong($typed))->toBeString("'{$typed}' was taken");
    }
    expect($setting->wrong(Settings::text($setting)))->toBeNull('what it begins with is right');
    $this->actingAs($this->shop->as(Role::Operator))->get('/settings')->assertSee(e($setting->help()), false);
})->with(Setting::cases());

it('sets one, says so and keeps who changed what from what', function () {
    setUp($this, ['due_hour' => '14:30'])->assertSessionHasNoErrors();
    expect(Settings::text(Setting::DueHour))->toBe('14:30')
        ->and(session('done'))->toContain('Hour at which a day is due: 14:30');
    $this->get('/settings')->assertSee('Hour at which a day is due from 16:00 to 14:30');
    setUp($this, ['due_hour' => '14:30'])->assertSessionHasErrors(['refused' => 'Nothing differs from what is there.']);
});

it('tells who had the page open that another changed it', function () {
    $seen = Settings::version();
    setUp($this, ['overdue_days' => '4'])->assertSessionHasNoErrors();
    setUp($this, ['version' => $seen, 'overdue_days' => '9'])->assertSessionHasErrors('refused');
    expect(Settings::whole(Setting::OverdueDays))->toBe(4);
});

it('takes no Saturday that ends before it begins', function () {
    setUp($this, ['saturday_from' => '12:00', 'saturday_to' => '08:00'])->assertSessionHasErrors('saturday_to');
});

// Tue 24 Nov 2026 in the shop of the tests
it('reckons with what is set', function () {
    setUp($this, ['lead_time_days' => '3', 'overdue_days' => '5', 'finish_days_before' => '3', 'promise_days' => '7']);
    expect(Deliveries::now()->comesOn(new LeadTime(0)))->toBe('2026-11-27')
        ->and(Deliveries::now()->assumedOn())->toBe('2026-12-01');
    $this->shop->cover($this->shop->customerOrder(['TRAY-40' => '6'], '2026-12-18'), CoverBy::NewOrder);
    expect(Order::query()->latest('id')->firstOrFail()->due_on)->toBe('2026-12-15');
    $this->actingAs($this->shop->as(Role::Sales))->get('/customer-orders/new')->assertSee('Tue 1 Dec');
});

it('says when goods can be used, as the shop sets it', function () {
    $usable = fn (): string => gmdate('Y-m-d H:i', Deliveries::now()->usableAt('2026-11-27') * 60);
    expect($usable())->toBe('2026-11-30 07:00');
    setUp($this, ['goods_usable_from' => '10:00']);
    expect($usable())->toBe('2026-11-27 10:00');
    setUp($this, ['goods_usable_from' => '']);
    expect($usable())->toBe('2026-11-30 07:00');
});

it('numbers as it is told from then on, and gives no number twice', function () {
    $typed = [
        'prefix_order' => '', 'next_order' => '9001', 'prefix_customer_order' => 'K-', 'next_customer_order' => '1',
        'prefix_purchase' => 'P-', 'next_purchase' => '99001', 'prefix_serial' => 'MX-', 'next_serial' => '99001',
        'prefix_consignment' => 'OUT-', 'next_consignment' => '300',
    ];
    setUp($this, $typed, '/numberings')->assertSessionHasNoErrors();
    $order = $this->shop->order('TRAY-40', '1');
    $customerOrder = $this->shop->customerOrder(['BRG-25' => '1']);
    expect([$order->number, $customerOrder->number])->toBe(['9001', 'K-1']);
    setUp($this, [...$typed, 'next_order' => '9001'], '/numberings')
        ->assertSessionHasErrors(['next_order' => '9001 is given already: 9002 is the first that is free.']);
    // typed numbers are passed by under the beginning that is set
    Numbers::passBy('customer_order', ['k-17', 'C-9999']);
    expect(Numbers::next('customer_order'))->toBe('K-18')
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('offers its reasons where one is asked for', function () {
    setUp($this, ['scrap' => "burr\n\n wrong radius \nburr", 'change' => 'customer <asked>'], '/reasons')
        ->assertSessionHasNoErrors();
    $this->get('/at-suppliers')
        ->assertSeeInOrder(['id="reasons-scrap"', 'value="burr"', 'value="wrong radius"'], false);
    $order = $this->shop->order('TRAY-40', '1');
    $this->get("/orders/{$order->id}")->assertSee('value="customer &lt;asked&gt;"', false)
        ->assertSee('list="reasons-change"', false);
    setUp($this, ['scrap' => implode("\n", range(1, 41)), 'change' => ''], '/reasons')->assertSessionHasErrors('scrap');
    expect(DB::table('reasons')->where('kind', 'scrap')->count())->toBe(2);
});

it('counts what is used finer, never coarser', function () {
    $metre = Unit::query()->where('code', 'm')->firstOrFail();
    $row = ['id' => (string) $metre->id, 'version' => (string) $metre->version, 'code' => 'm', 'rec20' => 'MTR'];
    $keep = fn (array $unit) => $this->actingAs($this->shop->as(Role::Supervisor))->from('/units')
        ->put('/units', ['token' => $this->shop->token(), 'units' => [[...$row, ...$unit]]]);
    $keep(['name' => 'metre', 'decimals' => '2'])->assertSessionHasErrors('units.0.decimals');
    $keep(['name' => 'metre', 'decimals' => '7'])->assertSessionHasErrors('units.0.decimals');
    $keep(['name' => '', 'decimals' => '3'])->assertSessionHasErrors('units.0.name');
    $keep(['name' => 'metre', 'decimals' => '3', 'rec20' => '??'])->assertSessionHasErrors('units.0.rec20');
    $keep(['name' => 'running metre', 'decimals' => '4'])->assertSessionHasNoErrors();
    $keep(['name' => 'metre', 'decimals' => '4'])->assertSessionHasErrors('units.0.name'); // seen before the change
    expect($metre->refresh()->only(['name', 'decimals']))->toBe(['name' => 'running metre', 'decimals' => 4]);
    $this->get('/units')->assertSee('value="metre"', false); // what was typed, once
    $this->get('/units')->assertOk()->assertSee('running metre');
});

it('puts nothing at a place that is retired, and retires none where something lies', function () {
    $keep = fn (Place $place, string $retired) => $this->actingAs($this->shop->as(Role::Supervisor))->from('/places')
        ->put('/places', ['token' => $this->shop->token(), 'places' => [[
            'id' => (string) $place->id, 'version' => (string) $place->refresh()->version, 'code' => $place->code,
            'name' => $place->name, 'is_retired' => $retired,
        ]]]);
    $full = Place::query()->findOrFail(DB::table('balances')->where('quantity', '>', 0)->value('place_id'));
    $keep($full, '1')->assertSessionHasErrors('places.0.is_retired');
    $empty = Place::query()->create(['code' => 'YARD', 'name' => 'Yard', 'kind' => 'store']);
    $keep($empty, '1')->assertSessionHasNoErrors();
    expect(Place::offered()->all())->not->toContain('Yard');
    expect(fn () => Place::thatHolds($empty->id))->toThrow(Refused::class, 'Nothing can be put there.');
    $keep($empty, '0')->assertSessionHasNoErrors();
    expect(Place::offered()->all())->toContain('Yard');
    // an end of moves is no place of the stores
    $scrap = Place::query()->where('code', 'SCRAP')->firstOrFail();
    $keep($scrap, '1')->assertSessionHasErrors('places.0.code');
});

it('lets nobody but the supervisor set anything, and all look', function (Role $role) {
    $this->actingAs($this->shop->as($role));
    foreach (['/settings', '/units', '/places'] as $page) {
        $this->get($page)->assertOk()->assertDontSee('>Set these<', false)->assertDontSee('Keep these');
    }
    $this->put('/settings', ['token' => 't', 'version' => Settings::version(), 'due_hour' => '10:00'])
        ->assertForbidden();
})->with([Role::Planner, Role::Storekeeper, Role::Operator, Role::CostClerk]);

it('keeps who works where, and plans without who left', function () {
    $laser = DB::table('work_centres')->where('code', 'LASER')->value('id');
    $plant = DB::table('calendars')->where('code', 'PLANT')->value('id');
    $row = fn (array $typed): array => [
        'work_centre_id' => (string) $laser, 'calendar_id' => (string) $plant, ...$typed,
    ];
    $keep = fn (array $crews) => $this->actingAs($this->shop->as(Role::Supervisor))->from('/crews')
        ->put('/crews', ['token' => $this->shop->token(), 'crews' => $crews]);
    $heads = fn (): int => (new Capacity(ShopState::minute(now()), 10))->heads[$laser] ?? 0;
    $before = $heads();
    $keep([$row(['code' => 'E-77', 'name' => 'Ada Quarry'])])->assertSessionHasNoErrors();
    expect($heads())->toBe($before + 1);
    $ada = Person::query()->where('number', 'E-77')->firstOrFail();
    $seen = ['id' => (string) $ada->id, 'version' => (string) $ada->version, 'code' => 'E-77', 'name' => 'Ada Quarry'];
    $keep([$row(['code' => 'e-77', 'name' => 'Another'])])->assertSessionHasErrors('crews.0.code');
    $keep([$row(['code' => 'E-78', 'name' => ''])])->assertSessionHasErrors('crews.0.name');
    $keep([$row([...$seen, 'calendar_id' => ''])])->assertSessionHasErrors('crews.0.calendar_id');
    $keep([$row([...$seen, 'is_retired' => '1'])])->assertSessionHasNoErrors();
    expect($heads())->toBe($before);
    $keep([$row([...$seen, 'name' => 'Ada Q.'])])->assertSessionHasErrors('crews.0.name'); // seen before the change
});

it('keeps what people are qualified for, each once, with a trail, and out and in by file', function () {
    $nell = Person::query()->where('name', 'Nell Farrow')->firstOrFail();
    $this->actingAs($this->shop->as(Role::Supervisor))->from('/crews')->put('/crews', [
        'token' => $this->shop->token(),
        'crews' => [[
            'id' => (string) $nell->id,
            'version' => (string) $nell->version,
            'code' => (string) $nell->number,
            'name' => $nell->name,
            'work_centre_id' => (string) $nell->work_centre_id,
            'calendar_id' => (string) $nell->calendar_id,
            'qualifications' => 'crane, TIG; crane|tig',
        ]],
    ])->assertSessionHasNoErrors();
    expect($nell->refresh()->getAttribute('qualifications'))->toBe('crane|TIG');
    expect(DB::table('product_changes')->where('field', 'qualifications')->value('after'))
        ->toBe('crane|TIG');
    $file = "number,name,work_centre,calendar,qualifications\n{$nell->number},Nell Farrow,WELD,PLANT,crane\n";
    expect($this->shop->import(['people.csv' => $file]))->toBe([])
        ->and($nell->refresh()->getAttribute('qualifications'))->toBe('crane');
});

it('enters a calendar with the week of another', function () {
    $plant = DB::table('calendars')->where('code', 'PLANT')->value('id');
    $this->actingAs($this->shop->as(Role::Planner))
        ->post('/calendars', ['token' => 'c', 'code' => 'FOUNDRY', 'like' => (string) $plant])
        ->assertSessionHasNoErrors();
    $new = DB::table('calendars')->where('code', 'FOUNDRY')->value('id');
    $week = fn (int $id): array => DB::table('shifts')->where('calendar_id', $id)->orderBy('weekday')
        ->orderBy('from_time')->get(['weekday', 'from_time', 'to_time', 'is_break'])->all();
    expect($week($new))->toEqual($week($plant));
    DB::table('suppliers')->where('number', 'S-02')->update(['calendar_id' => $new]);
    $this->get('/calendars')->assertSee('Tannery Lane Foundry');
});

<?php

use App\Access\Role;
use App\Actions\Stock\PlanStandards;
use App\Actions\Stock\StandardTaken;
use App\Actions\Stock\TakeStandards;
use App\Models\Booking;
use App\Models\StandardsToCome;
use App\Shop\NewStandards;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/* Costs of the year: standards worked out anew, taken for a list in one booking, and taken back. */

beforeEach(function () {
    $this->shop->import([
        'supplier-items.csv' => "item,supplier,number,minimum,lead_time_days,prices\n"
            ."FOOT-1,S-07,,0,0,1.05 100:0.98\nBOLT-8,S-07,,0,0,2.60\n",
    ]);
    expect($this->shop->import([
        'items.csv' => "number,name,kind,unit,cost,costing,usual_lot\n"
            ."STD-A,Footed plate,made,pc,10,standard,4\nSTD-B,Bare plate,made,pc,1,standard,1\n",
        'structures.csv' => "item,position,component,quantity\nSTD-A,10,FOOT-1,4\nSTD-A,20,BOLT-8,1\n",
        'routings.csv' => "item,step,name,work_centre,setup_minutes,run_rate\nSTD-A,10,Fit,BENCH,20,5\n",
    ]))->toBe([]);
    $this->shop->goodsIn('STD-A', '7');
});

function takenNow(object $test, string ...$numbers): array
{
    $taken = [];
    foreach ($numbers as $number) {
        $item = $test->shop->item($number);
        $standard = (new NewStandards)->all()[$item->id];
        $taken[$item->id] = new StandardTaken((string) $standard->before, (string) $standard->after);
    }

    return $taken;
}

// by hand, for its usual lot of 4: feet 16 at 1.05 = 16.80, bolts 4 at 2.60 = 10.40; 20 min setup and 4 times 5 min are
// 40 min: labour at 31.00 an hour 20.67, overhead 35 % of it 7.23, machine at 4.00 an hour 2.67; 57.77 / 4 = 14.4425
it('rolls up with the prices agreed, and says so of what has none', function () {
    $standards = new NewStandards;
    $of = fn (string $number) => $standards->all()[$this->shop->item($number)->id] ?? null;
    expect((string) $of('STD-A')->after)->toBe('14.4425')
        ->and((string) $of('BOLT-8')->after)->toBe('2.600000')
        ->and($of('STD-B'))->toBeNull()
        ->and($standards->why()[$this->shop->item('STD-B')->id])->toContain('no structure and no routing');
});

it('takes them in one booking, brings the stock to them, and takes them back', function () {
    $before = DB::table('stock_values')->where('item_id', $this->shop->item('STD-A')->id)->value('value');
    $booking = app(TakeStandards::class)
        ->handle(takenNow($this, 'STD-A', 'FOOT-1', 'BOLT-8'), $this->shop->sign(Role::CostClerk, 'new year'));
    $cost = (string) $this->shop->item('STD-A')->cost;
    $worth = (int) DB::table('stock_values')->where('item_id', $this->shop->item('STD-A')->id)->value('value');
    expect($worth)->toBe((int) round(7 * 100 * (float) $cost))
        ->and($booking->says)->toContain('Standard costs of 3 items taken: stock is worth')
        ->and(DB::table('moves')->where('booking_id', $booking->id)->count())->toBeGreaterThan(0)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    $back = app(TakeStandards::class)->back($booking->id, $this->shop->sign(Role::CostClerk, 'too early'));
    expect((string) $this->shop->item('STD-A')->cost)->toBe('10.000000')
        ->and((string) $this->shop->item('BOLT-8')->cost)->toBe('2.350000')
        ->and((int) DB::table('stock_values')->where('item_id', $this->shop->item('STD-A')->id)->value('value'))
        ->toBe((int) $before)
        ->and($back->says)->toContain('taken back')
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    // what was taken back is not there to be taken back again
    expect(fn () => app(TakeStandards::class)->back($booking->id, $this->shop->sign(Role::CostClerk, 'again')))
        ->toThrow(Refused::class, 'was changed meanwhile');
});

it('refuses what was changed meanwhile, what has no standard cost and what costs that already', function () {
    $taken = takenNow($this, 'FOOT-1', 'BOLT-8');
    app(TakeStandards::class)->handle($taken, $this->shop->sign(Role::CostClerk, 'new year'));
    $booked = Booking::query()->count();
    expect(fn () => app(TakeStandards::class)->handle($taken, $this->shop->sign(Role::CostClerk, 'again')))
        ->toThrow(Refused::class, 'FOOT-1 costs 1.05 € by now');
    $sheet = $this->shop->item('SS-15');
    expect(fn () => app(TakeStandards::class)->handle(
        [$sheet->id => new StandardTaken($sheet->cost, '9')],
        $this->shop->sign(Role::CostClerk, 'no'),
    ))->toThrow(Refused::class, 'SS-15 is not valued by standard cost');
    $foot = $this->shop->item('FOOT-1');
    expect(fn () => app(TakeStandards::class)->handle(
        [$foot->id => new StandardTaken($foot->cost, '1.050')],
        $this->shop->sign(Role::CostClerk, 'no'),
    ))->toThrow(Refused::class, 'costs that already')->and(Booking::query()->count())->toBe($booked);
});

it('shows them, takes what is ticked as it was typed, and keeps what was wrong', function () {
    $foot = $this->shop->item('FOOT-1');
    $page = $this->actingAs($this->shop->as(Role::CostClerk))->get('/standard-costs')->assertOk();
    $page->assertSee('FOOT-1')->assertSee('STD-B')->assertSee('+14.1 %');
    $send = fn (array $data) => $this->from('/standard-costs')->post('/standard-costs', [
        'token' => $this->shop->token(), 'only' => [(string) $foot->id], 'seen' => [$foot->id => '0.92'],
        'costs' => [$foot->id => '1.10'], 'reason' => 'new year', ...$data,
    ]);
    $send(['only' => []])->assertSessionHasErrors('only');
    $send(['reason' => ''])->assertSessionHasErrors('reason');
    $send(['costs' => [$foot->id => 'dear']])->assertSessionHasErrors("costs.{$foot->id}");
    $send(['costs' => [$foot->id => '99999999']])->assertSessionHasErrors("costs.{$foot->id}");
    $send(['seen' => [$foot->id => '0.90']])->assertSessionHasErrors("costs.{$foot->id}");
    $send([])->assertSessionHasNoErrors();
    expect((string) $foot->refresh()->cost)->toBe('1.100000');
    $booking = Booking::query()->latest('id')->firstOrFail();
    $this->get('/standard-costs')->assertSee('take back');
    $this->delete("/standard-costs/{$booking->id}", ['token' => 'b', 'reason' => 'too early'])
        ->assertSessionHas('done');
    expect((string) $foot->refresh()->cost)->toBe('0.920000');
});

it('shows them to nobody who may not see money, and lets only who values stock take them', function () {
    $this->actingAs($this->shop->as(Role::Operator))->get('/standard-costs')->assertForbidden();
    $this->actingAs($this->shop->as(Role::Planner))->get('/standard-costs')->assertOk()->assertDontSee('Take those');
    $this->post('/standard-costs', ['token' => 'x'])->assertForbidden();
});

/** @param  array<string, mixed>  $other */
function sendStandards(object $test, array $taken, array $other = []): Illuminate\Testing\TestResponse
{
    return $test->actingAs($test->shop->as(Role::CostClerk))->from('/standard-costs')->post('/standard-costs', [
        'token' => $test->shop->token(),
        'only' => array_keys($taken),
        'costs' => array_map(fn (StandardTaken $one): string => $one->after, $taken),
        'seen' => array_map(fn (StandardTaken $one): string => $one->before, $taken),
        'reason' => 'costs of 2027',
        ...$other,
    ]);
}

it('takes them on a day ahead by itself, once, and not before', function () {
    $taken = takenNow($this, 'STD-A', 'FOOT-1');
    $moves = DB::table('moves')->count();
    sendStandards($this, $taken, ['booked_on' => '2027-01-01'])->assertSessionHasNoErrors();
    $this->get('/standard-costs')->assertSee('To be taken')->assertSee('costs of 2027');
    $this->artisan('pace:standards')->assertSuccessful();
    expect($this->shop->item('FOOT-1')->cost)->toBe('0.920000')
        ->and(DB::table('moves')->count())->toBe($moves);
    $this->travelTo(CarbonImmutable::parse('2027-01-01 00:10', config('pace.zone')));
    $this->artisan('pace:standards')->assertSuccessful();
    $this->artisan('pace:standards')->assertSuccessful();
    $come = StandardsToCome::query()->sole();
    $booking = Booking::query()->findOrFail($come->taken_by_id);
    expect($this->shop->item('FOOT-1')->cost)->toBe('1.050000')
        ->and($booking->booked_on)->toBe('2027-01-01')
        ->and($booking->person_id)->toBe($come->booking->person_id)
        ->and($booking->reason)->toBe('costs of 2027')
        ->and(Booking::query()->where('kind', 'revalued')->count())->toBe(2)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    $this->get('/standard-costs')->assertDontSee('To be taken')->assertSee('take back');
});

it('says why they could not be taken on their day, and takes them once it can', function () {
    sendStandards($this, takenNow($this, 'FOOT-1'), ['booked_on' => '2027-01-01'])->assertSessionHasNoErrors();
    $foot = $this->shop->item('FOOT-1');
    DB::table('items')->where('id', $foot->id)->update(['cost' => '3']);
    $this->travelTo(CarbonImmutable::parse('2027-01-02 08:00', config('pace.zone')));
    $this->artisan('pace:standards')->assertSuccessful();
    $this->actingAs($this->shop->as(Role::CostClerk))->get('/standard-costs')
        ->assertSee('not taken: FOOT-1 costs 3 € by now');
    DB::table('items')->where('id', $foot->id)->update(['cost' => $foot->cost]);
    $this->artisan('pace:standards')->assertSuccessful();
    expect($this->shop->item('FOOT-1')->cost)->toBe('1.050000');
});

it('drops them where nobody wants them any more', function () {
    sendStandards($this, takenNow($this, 'FOOT-1'), ['booked_on' => '2027-01-01'])->assertSessionHasNoErrors();
    $come = StandardsToCome::query()->sole();
    $drop = fn () => $this->from('/standard-costs')
        ->delete("/standard-costs/coming/{$come->id}", ['token' => $this->shop->token()]);
    $drop()->assertSessionHasNoErrors();
    $drop()->assertSessionHasErrors();
    $this->travelTo(CarbonImmutable::parse('2027-01-02 08:00', config('pace.zone')));
    $this->artisan('pace:standards')->assertSuccessful();
    expect($this->shop->item('FOOT-1')->cost)->toBe('0.920000');
});

it('refuses a day ahead for what costs that already, and takes no day that has come', function () {
    $foot = $this->shop->item('FOOT-1');
    $same = [$foot->id => new StandardTaken($foot->cost, $foot->cost)];
    sendStandards($this, $same, ['booked_on' => '2027-01-01'])->assertSessionHasErrors("costs.{$foot->id}");
    $signed = $this->shop->sign(Role::CostClerk, 'now');
    expect(fn () => app(PlanStandards::class)->handle(takenNow($this, 'FOOT-1'), now()->toDateString(), $signed))
        ->toThrow(Refused::class, 'after today')
        ->and(StandardsToCome::query()->count())->toBe(0);
});

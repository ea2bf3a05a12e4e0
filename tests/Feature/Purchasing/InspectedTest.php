<?php

use App\Access\Role;
use App\Actions\Stock\CountBalance;
use App\Models\Attachable;
use App\Models\Attachment;
use App\Models\Balance;
use App\Models\Lot;
use App\Models\PurchaseLine;
use App\Shop\Deliveries;
use App\Shop\LeadTime;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;

/*
 * What is looked at when it comes: it goes into inspection by itself, counts from the day it is free (W7), and has to
 * be ordered earlier by so many days (W11). A lot has the certificate that came with it.
 */

beforeEach(function () {
    DB::table('items')->where('number', 'GATE-40')->update(['inspection_days' => 2]);
    $this->line = $this->shop->purchase('P-71', 'GATE-40', '40', '2026-12-03');
    $this->book = fn (array $row, string $as = 'usual') => $this->actingAs($this->shop->as(Role::Storekeeper))
        ->from('/goods-in')
        ->post('/goods-in', [
            'token' => $this->shop->token(),
            'supplier' => $this->line->order->supplier_id,
            'place_id' => $this->shop->place('STORES')->id,
            'condition' => $as,
            'lines' => [$this->line->id => $row],
        ]);
    $this->lying = fn (PurchaseLine $line): array => DB::table('balances')
        ->where('item_id', $line->item_id)
        ->where('quantity', '>', 0)
        ->pluck('quantity', 'condition')
        ->all();
    $there = Balance::query()->where('item_id', $this->line->item_id)->firstOrFail();
    app(CountBalance::class)->handle($there->id, '0', $this->shop->sign(Role::Storekeeper, 'begin without'));
});

it('goes into inspection by itself, unless somebody says otherwise', function () {
    ($this->book)(['quantity' => '10', 'unit' => 'pc'])->assertSessionHas('done');
    ($this->book)(['quantity' => '5', 'unit' => 'pc'], 'free')->assertSessionHas('done');
    expect(($this->lying)($this->line))->toBe(['free' => '5.000000', 'inspection' => '10.000000']);
});

it('counts from the day it is free, on the page of what comes and goes and for the orders that wait (W7)', function () {
    ($this->book)(['quantity' => '10', 'unit' => 'pc']);
    $deliveries = Deliveries::now();
    $free = $deliveries->plant->workingDaysFrom($deliveries->today, 2);
    $arrival = $deliveries->inspected($deliveries->today, 2);
    expect($arrival->at)->toBe($deliveries->usableAt($free))
        ->and($arrival->at)->toBe($deliveries->usableAt($deliveries->today, 2))
        ->and($arrival->isLate())->toBeFalse();
    // looked at for longer than it takes: the shop's assumption, and it is told so
    expect($deliveries->inspected('2026-11-02', 2)->isLate())->toBeTrue();
    $this->actingAs($this->shop->as(Role::Buyer))
        ->get("/coming-and-going/{$this->line->item_id}")
        ->assertOk()
        ->assertSee('inspection of GATE-40');
    $order = $this->shop->order('EX-9E', '2');
    expect($this->shop->differencesWhenPlanned())->toBe([]);
    $gate = $this->shop->component($order, 'GATE-40');
    $plan = DB::table('plan_components')->where('component_id', $gate->id)->first();
    expect($plan->coming)->toContain('inspection')
        ->and((float) $plan->missing)->toBe(0.0);
    $this->get("/orders/{$order->id}")->assertOk();
    $this->get('/shortages')->assertOk();
});

it('is ordered so many days earlier (W11)', function () {
    $deliveries = Deliveries::now();
    $needed = $deliveries->plant->minute('2026-12-21', '07:30');
    $plain = $deliveries->orderBy(new LeadTime(5), $needed);
    // W11: inspection takes a working day of ours before the day it is needed on
    expect($deliveries->plant->workingDaysFrom($plain, -1))
        ->toBe($deliveries->orderBy(new LeadTime(5, null, 1), $needed));
});

it('hangs the certificate on the lots it came with', function () {
    $steel = $this->shop->purchase('P-72', 'SS-15', '20', '2026-12-03');
    $this->line = $steel;
    $file = UploadedFile::fake()->createWithContent('EN 10204 3.1.txt', 'Heat H-9001, heat H-9002: as ordered.');
    ($this->book)([
        'quantity' => '20',
        'unit' => $steel->item->unit->code,
        'codes' => "H-9001 = 12\nH-9002 = 8",
        'certificate' => $file,
    ])->assertSessionHasNoErrors()->assertSessionHas('done');
    $lots = Lot::query()->whereIn('code', ['H-9001', 'H-9002'])->pluck('id');
    expect(Attachment::query()->whereIn('lot_id', $lots)->count())->toBe(2)
        ->and(Attachment::query()->latest('id')->firstOrFail()->hangsOn())->toBe(Attachable::Lot);
    $this->get("/stock/{$steel->item_id}")->assertOk()->assertSee('certificate')->assertSee('EN 10204 3.1.txt');
    // one that was forgotten is hung there later
    $late = UploadedFile::fake()->createWithContent('late.txt', 'Heat H-9002, once more.');
    $this->post("/lots/{$lots[1]}/files", [
        'token' => $this->shop->token(),
        'kind' => 'certificate',
        'file' => $late,
    ])->assertSessionHas('done');
    $bad = UploadedFile::fake()->createWithContent('x.exe', "MZ\x90\x00");
    ($this->book)(['quantity' => '1', 'unit' => $steel->item->unit->code, 'codes' => 'H-9003', 'certificate' => $bad])
        ->assertSessionHasErrors();
    expect(Lot::query()->where('code', 'H-9003')->exists())->toBeFalse()
        ->and($this->shop->differences())->toBe([]);
});

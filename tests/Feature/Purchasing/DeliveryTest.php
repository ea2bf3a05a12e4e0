<?php

use App\Access\Role;
use App\Actions\Cover\CoverBy;
use App\Models\Booking;
use App\Models\Lot;
use App\Models\Order;
use App\Models\PurchaseLine;
use App\Models\Supplier;
use App\Planner\KeepUp;
use App\Planner\PlanRound;
use App\Queries\Board\EffectOf;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use KeepPace\Core\Purchasing\PurchaseState;

/* Goods in by the delivery: one paper, one booking; W7: the rest comes on a day, no more, or nobody knows. */

beforeEach(function () {
    $this->supplier = Supplier::query()->orderBy('id')->firstOrFail();
    $this->come = function (array $rows, array $more = []): TestResponse {
        return $this->actingAs($this->shop->as(Role::Storekeeper))
            ->from("/goods-in?supplier={$this->supplier->id}")
            ->post('/goods-in', [
                'token' => $this->shop->token(),
                'form' => 'delivery',
                'supplier' => $this->supplier->id,
                'place_id' => $this->shop->place('STORES')->id,
                'condition' => 'free',
                'lines' => $rows,
                ...$more,
            ]);
    };
    $this->there = fn (string $item): float => (float) DB::table('balances')
        ->where('item_id', $this->shop->item($item)->id)
        ->sum('quantity');
});

it('books several lines, several lots a line, more and less than was ordered, and what nobody ordered', function () {
    $feet = $this->shop->purchase('P-1', 'FOOT-1', '40', '2026-11-24');
    $sheet = $this->shop->purchase('P-2', 'SS-15', '50', '2026-11-24');
    $bolts = $this->shop->purchase('P-3', 'BOLT-8', '100', '2026-11-24');
    $before = array_map($this->there, ['FOOT-1', 'SS-15', 'BOLT-8', 'GATE-40']);
    $this->actingAs($this->shop->as(Role::Storekeeper))->get("/goods-in?supplier={$this->supplier->id}")
        ->assertSee('P-1')->assertSee('P-2')->assertSee('P-3');
    $bookings = Booking::query()->count();
    ($this->come)([
        $feet->id => ['quantity' => '44'],
        $sheet->id => ['quantity' => '50', 'codes' => "H-901 = 20\nH-902 = 30", 'supplier_lot' => 'melt 5'],
        $bolts->id => ['quantity' => '60', 'rest' => 'day', 'rest_on' => '2026-12-03'],
    ], [
        'paper' => 'LS-4711',
        'other' => [['item' => 'GATE-40', 'quantity' => '3', 'price' => '11.20']],
    ])->assertSessionHasNoErrors();
    $booking = Booking::query()->latest('id')->firstOrFail();
    expect(Booking::query()->count())->toBe($bookings + 1)
        ->and($booking->says)->toContain('their note LS-4711')
        ->and($booking->says)->toContain('4 things in. The rest, 40 set of P-3, comes on')
        ->and(array_map($this->there, ['FOOT-1', 'SS-15', 'BOLT-8', 'GATE-40']))
        ->toBe([$before[0] + 44, $before[1] + 50, $before[2] + 60, $before[3] + 3])
        ->and($feet->order->refresh()->state)->toBe(PurchaseState::Done)
        ->and($bolts->order->refresh()->state)->toBe(PurchaseState::PartIn)
        ->and($bolts->refresh()->expected_on)->toBe('2026-12-03')
        ->and(Lot::query()->where('code', 'H-902')->sole()->supplier_id)->toBe($this->supplier->id)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    $this->shop->reverse($booking);
    expect(array_map($this->there, ['FOOT-1', 'SS-15', 'BOLT-8', 'GATE-40']))->toBe($before)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('says what becomes of the rest, also where nothing came', function () {
    $never = $this->shop->purchase('P-1', 'FOOT-1', '40', '2026-11-24');
    $unknown = $this->shop->purchase('P-2', 'BOLT-8', '100', '2026-11-24');
    $none = $this->shop->purchase('P-3', 'GATE-40', '10', '2026-11-24');
    ($this->come)([
        $never->id => ['quantity' => '12', 'rest' => 'never'],
        $unknown->id => ['quantity' => '20', 'rest' => 'unknown'],
        $none->id => ['rest' => 'day', 'rest_on' => '2026-12-04'],
    ])->assertSessionHasNoErrors();
    expect((float) $never->refresh()->cancelled_quantity)->toBe(28.0)
        ->and($never->order->refresh()->state)->toBe(PurchaseState::Done)
        ->and($unknown->refresh()->ask_again_on)->not->toBeNull()
        ->and($none->refresh()->expected_on)->toBe('2026-12-04')
        ->and((float) $none->received_quantity)->toBe(0.0)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('names what is wrong beside its row, keeps what was typed and books nothing', function (array $row, string $says) {
    $sheet = $this->shop->purchase('P-1', 'SS-15', '50', '2026-11-24');
    $feet = $this->shop->purchase('P-2', 'FOOT-1', '40', '2026-11-24');
    $bookings = Booking::query()->count();
    ($this->come)([$sheet->id => $row, $feet->id => ['quantity' => '40']])
        ->assertSessionHasErrors("lines.{$sheet->id}");
    expect(session('errors')->first("lines.{$sheet->id}"))->toContain($says)
        ->and(Booking::query()->count())->toBe($bookings)
        ->and((float) $feet->refresh()->received_quantity)->toBe(0.0);
    $this->get("/goods-in?supplier={$this->supplier->id}")->assertSee('value="40"', false);
})->with([
    'no lot' => [['quantity' => '50'], 'tracked by lot'],
    'lots that do not come to it' => [['quantity' => '50', 'codes' => "H-1 = 20\nH-2 = 20"], 'come to 40, 50 came'],
    'a lot without how much' => [['quantity' => '50', 'codes' => "H-1 = 20\nH-2"], 'how much came of lot H-2'],
    'one lot twice' => [['quantity' => '40', 'codes' => "H-1 = 20\nH-1 = 20"], 'come to 40'],
    'a unit it has not' => [['quantity' => '50', 'unit' => 'kg', 'codes' => 'H-1'], 'kg'],
    'a rest without a day' => [['quantity' => '20', 'codes' => 'H-1', 'rest' => 'day'], 'day on which the rest comes'],
    'a rest in the past' => [
        ['quantity' => '20', 'codes' => 'H-1', 'rest' => 'day', 'rest_on' => '2026-11-02'], 'before today',
    ],
    'what somebody booked meanwhile' => [
        ['quantity' => '20', 'codes' => 'H-1', 'seen' => '40'], '40 m2 were to come when the sheet was opened, 50 are',
    ],
]);

it('takes a delivery sent twice once, and none with nothing in it', function () {
    $feet = $this->shop->purchase('P-1', 'FOOT-1', '40', '2026-11-24');
    $token = $this->shop->token();
    ($this->come)([$feet->id => ['quantity' => '40']], ['token' => $token])->assertSessionHasNoErrors();
    ($this->come)([$feet->id => ['quantity' => '40']], ['token' => $token])->assertSessionHasNoErrors();
    expect((float) $feet->refresh()->received_quantity)->toBe(40.0);
    ($this->come)([])->assertSessionHasErrors(['refused' => 'Type how much came beside what came.']);
});

it('books nothing on a line of another supplier', function () {
    $theirs = $this->shop->purchase('P-1', 'FOOT-1', '40', '2026-11-24');
    $other = Supplier::query()->where('id', '<>', $this->supplier->id)->firstOrFail();
    DB::table('purchase_orders')->where('id', $theirs->purchase_order_id)->update(['supplier_id' => $other->id]);
    ($this->come)([$theirs->id => ['quantity' => '40']])
        ->assertSessionHasErrors(["lines.{$theirs->id}" => 'P-1 is of another supplier.']);
    expect(PurchaseLine::query()->where('received_quantity', '>', 0)->count())->toBe(0);
});

it('takes a line in the unit it was ordered in', function () {
    $line = $this->shop->purchase('P-1', 'SS-15', '50', '2026-11-24');
    $sheets = DB::table('item_units AS u')->join('units AS x', 'x.id', 'u.unit_id')
        ->where('u.item_id', $line->item_id)->select(['u.unit_id', 'u.p', 'u.q', 'x.code'])->first();
    $line->update([
        'typed_unit_id' => $sheets->unit_id, 'ratio_p' => $sheets->p, 'ratio_q' => $sheets->q,
    ]);
    ($this->come)([$line->id => ['quantity' => '2', 'unit' => $sheets->code, 'codes' => 'H-1']])
        ->assertSessionHasNoErrors();
    expect((float) $line->refresh()->received_quantity)->toBe(2 * $sheets->p / $sheets->q)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('says whose promise a short delivery breaks, and names nobody whose date has slack (W7)', function () {
    DB::table('balances')->where('item_id', $this->shop->item('FOOT-1')->id)->delete();
    $feet = $this->shop->purchase('P-1', 'FOOT-1', '80', '2026-11-26');
    $made = function (string $promised): array {
        $line = $this->shop->customerOrder(['TRAY-40' => '10'], $promised);
        $this->shop->cover($line, CoverBy::NewOrder);

        return [$line, Order::query()->latest('id')->firstOrFail()];
    };
    [$near, $first] = $made('2026-12-09');
    [$far] = $made('2027-02-26');
    app(PlanRound::class)->handle();
    ($this->come)([$feet->id => ['quantity' => '12', 'rest' => 'day', 'rest_on' => '2026-12-21']])
        ->assertSessionHasNoErrors();
    $booking = Booking::query()->latest('id')->firstOrFail();
    app(PlanRound::class)->handle();
    $says = EffectOf::booking($booking->id)->says();
    expect($says)->toContain("{$first->number} (")->and($says)->toContain('becomes late by it.')
        ->and($says)->toContain("{$near->number}/10, promised 9 Dec, is finished ")
        ->and($says)->not->toContain($far->number);
    // taken back, the promise holds again
    $this->shop->reverse($booking);
    $feet->refresh()->update(['expected_on' => '2026-11-26']);
    app(KeepUp::class)->handle(true);
    expect((int) DB::table('plan_orders')->where('plan_id', 1)->where('order_id', $first->id)->value('late_minutes'))
        ->toBeLessThanOrEqual(0);
});

it('offers lending in the answer where another order needs its part later (W7)', function () {
    DB::table('balances')->where('item_id', $this->shop->item('FOOT-1')->id)->delete();
    $feet = $this->shop->purchase('P-1', 'FOOT-1', '80', '2026-11-26');
    // who has the higher rank is dealt the parts first, though it is due much later
    $lender = $this->shop->order('TRAY-40', '10', '2027-02-26');
    $lender->update(['rank' => 100]);
    $needs = $this->shop->order('TRAY-40', '3', '2026-12-09');
    app(PlanRound::class)->handle();
    ($this->come)([$feet->id => ['quantity' => '12', 'rest' => 'day', 'rest_on' => '2026-12-21']])
        ->assertSessionHasNoErrors();
    $booking = Booking::query()->latest('id')->firstOrFail();
    app(PlanRound::class)->handle();
    $effect = EffectOf::booking($booking->id);
    expect($effect->says())->toContain("{$needs->number} (")
        ->and($effect->worst)->toBe($needs->id);
    $this->actingAs($this->shop->as(Role::Buyer))
        ->get("/bookings/{$booking->id}/effect")
        ->assertOk()
        ->assertSee('What helps:')
        ->assertSee("from order {$lender->number}")
        ->assertSee("/late/{$needs->id}", false);
});

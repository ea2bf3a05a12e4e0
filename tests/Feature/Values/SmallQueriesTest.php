<?php

use App\Access\Role;
use App\Actions\Bookings\ClosePeriod;
use App\Actions\Usage\ProposeSlip;
use App\Models\Item;
use App\Queries\Billing\ClosedPeriod;
use App\Queries\Bookings\BookedChange;
use App\Queries\Product\OfferedItem;
use App\Queries\Usage\LineMore;
use Illuminate\Support\Facades\DB;

/* Small lists that pages show: what is in them, in which order, and how many. */

it('offers items by number or name while somebody types, what is made here first, and nothing retired', function () {
    $numbers = fn (string $text): array => OfferedItem::like($text)->map(fn (OfferedItem $one) => $one->number)->all();
    $all = $numbers('');
    $made = Item::query()->whereIn('kind', ['assembled', 'made'])->orderBy('number')->pluck('number')->all();
    expect($all)->toHaveCount(30)
        ->and(array_slice($all, 0, min(30, count($made))))->toBe(array_slice($made, 0, 30))
        ->and($numbers('tray 40'))->toBe([])
        ->and($numbers('tray-40'))->toBe(['TRAY-40'])
        ->and($numbers('100%'))->toBe([]) // a sign of the database's own is a sign like others
        ->and($numbers('_'))->toBe([]);
    $foot = $this->shop->item('FOOT-1');
    expect($numbers(mb_strtoupper($foot->name)))->toContain('FOOT-1')
        ->and(OfferedItem::like('foot-1')->firstOrFail()->unit)->toBe($foot->unit->code);
    $foot->update(['retired_at' => now()]);
    expect($numbers('foot-1'))->not->toContain('FOOT-1');
});

it('has what is seldom needed of a line, of its own slip alone', function () {
    $order = tap($this->shop->order('TRAY-40', '4'), $this->shop->release(...));
    $storekeeper = $this->shop->sign(Role::Storekeeper);
    $slip = app(ProposeSlip::class)->handle([$order->id], 'whole', null, $storekeeper);
    $line = DB::table('slip_lines')->where('slip_id', $slip->id)->orderBy('id')->first();
    $more = LineMore::find($slip->id, $line->id);
    expect([$more?->id, $more?->order, $more?->reason])->toBe([$line->id, $order->number, ''])
        ->and($more?->item)->toBe(Item::query()->findOrFail($line->item_id)->name)
        ->and(LineMore::find($slip->id + 1, $line->id))->toBeNull();
    $this->actingAs($this->shop->as(Role::Storekeeper))
        ->get("/slips/{$slip->id}/lines/{$line->id}")
        ->assertOk()
        ->assertSee("Reason for {$more?->item}, {$order->number}");
    $next = $slip->id + 1;
    $this->get("/slips/{$next}/lines/{$line->id}")->assertNotFound();
});

it('lists closed periods, the last first, with who closed them', function () {
    foreach (['2026-09-30', '2026-10-31'] as $day) {
        app(ClosePeriod::class)->handle($day, $this->shop->sign(Role::CostClerk));
    }
    $closed = ClosedPeriod::all();
    expect($closed->map(fn (ClosedPeriod $one): string => $one->endsOn)->all())->toBe(['2026-10-31', '2026-09-30'])
        ->and($closed->firstOrFail()->person)->toBe($this->shop->as(Role::CostClerk)->name)
        ->and($closed->firstOrFail()->closedAt->toDateString())->toBe('2026-11-24');
    $this->actingAs($this->shop->as(Role::CostClerk))
        ->get('/periods')
        ->assertSee('Closed up to Sat 31 Oct 2026.')
        ->assertSee('Wed 30 Sep 2026');
});

it('says what of product data a booking changed, and of how many the first are', function () {
    // a booking that changed no product data yet
    $booking = (int) DB::table('booking_says')
        ->where('order_id', $this->shop->order('TRAY-40', '4')->id)
        ->value('booking_id');
    $rows = array_map(fn (int $i): array => [
        'booking_id' => $booking,
        'kind' => 'items',
        'record_id' => 1,
        'record' => "X-{$i}",
        'field' => 'name',
        'before' => '',
        'after' => "<b>{$i}</b>",
    ], range(1, 301));
    DB::table('product_changes')->insert(array_slice($rows, 0, 2));
    $two = BookedChange::of($booking);
    expect([$two->count, $two->says()])->toBe([2, ''])
        ->and($two->rows->firstOrFail()->record)->toBe('X-1');
    DB::table('product_changes')->insert(array_slice($rows, 2));
    expect(BookedChange::of($booking)->says())->toBe('first 300 of 301');
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->get("/bookings/{$booking}")
        ->assertSee('first 300 of 301')
        ->assertSee('<b>300</b>')
        ->assertDontSee('X-301');
});

<?php

use App\Access\Role;
use App\Actions\Purchasing\CutOffWork;
use App\Actions\Purchasing\RaiseWork;
use App\Models\Mail;
use App\Models\OrderStep;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Models\Supplier;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\PurchaseState;
use KeepPace\Core\Routing\WorkOrdered;

/* Work that orders itself, as its step says: at the release, or when the first pieces reach the step. */

beforeEach(function () {
    $this->as = fn (WorkOrdered $when) => DB::table('routing_steps')
        ->whereNotNull('supplier_id')
        ->update(['work_ordered' => $when->value]);
    $this->outside = fn ($order): OrderStep => $order->steps()->whereNotNull('supplier_id')->firstOrFail();
});

it('is ordered with the release of its order, by who released it', function () {
    ($this->as)(WorkOrdered::AtRelease);
    [$one, $two] = [$this->shop->order('DRUM-9', '3'), $this->shop->order('DRUM-9', '2')];
    expect(PurchaseLine::query()->whereNotNull('order_step_id')->count())->toBe(0);
    $this->shop->release($one);
    $this->shop->release($two);
    $lines = PurchaseLine::query()->whereNotNull('order_step_id')->orderBy('id')->get();
    expect($lines->pluck('order_step_id')->all())->toBe([($this->outside)($one)->id, ($this->outside)($two)->id])
        ->and($lines->pluck('purchase_order_id')->unique()->count())->toBe(1)
        ->and(PurchaseOrder::query()->findOrFail($lines[0]->purchase_order_id)->state)->toBe(PurchaseState::Draft)
        ->and(DB::table('bookings')->where('kind', 'purchased')->orderByDesc('id')->value('person_id'))
        ->toBe($this->shop->as(Role::Supervisor)->id)
        ->and($this->shop->differences())->toBe([]);
    // what is there is not ordered again
    expect(app(RaiseWork::class)->due())->toBe(0);
});

it('is ordered when the first pieces reach its step', function () {
    ($this->as)(WorkOrdered::WithPieces);
    $order = $this->shop->order('DRUM-9', '3');
    $this->shop->release($order);
    foreach ($order->steps()->get()->takeWhile(fn (OrderStep $step): bool => ! $step->isOutside()) as $step) {
        expect(PurchaseLine::query()->whereNotNull('order_step_id')->count())->toBe(0);
        $this->shop->report($step->refresh(), '1', '1');
    }
    $line = PurchaseLine::query()->whereNotNull('order_step_id')->sole();
    expect($line->quantity)->toBe('3.000000')->and($line->is_draft)->toBeTrue();
});

it('is raised within the minute where it was not with the booking', function () {
    $order = $this->shop->order('DRUM-9', '3');
    $this->shop->release($order);
    DB::table('order_steps')->where('order_id', $order->id)->whereNotNull('supplier_id')
        ->update(['work_ordered' => 'release']);
    $this->artisan('pace:work')
        ->expectsOutput('Work of 1 steps ordered, 0 parts that go along, 0 orders sent.')
        ->assertSuccessful();
    $this->artisan('pace:work')->expectsOutput('Work of 0 steps ordered, 0 parts that go along, 0 orders sent.');
});

it('gathers until the day on which its supplier takes orders, and goes out then', function () {
    ($this->as)(WorkOrdered::AtRelease);
    $order = $this->shop->order('DRUM-9', '3');
    $supplier = Supplier::query()->findOrFail(($this->outside)($order)->supplier_id);
    $supplier->update(['orders_on' => '4']); // Thursdays
    $this->shop->release($order);
    $work = PurchaseOrder::query()->where('kind', 'service')->sole();
    expect($work->cut_off_on)->toBe('2026-11-26');
    $this->actingAs($this->shop->as(Role::Buyer))->get("/purchases/{$work->id}")->assertSee('gathers on it until');
    $this->travelTo(CarbonImmutable::parse('2026-11-26 14:59', 'Europe/Dublin'));
    expect(app(CutOffWork::class)->due())->toBe(0);
    $this->travelTo(CarbonImmutable::parse('2026-11-26 15:00', 'Europe/Dublin'));
    $hasMail = Supplier::query()->with('contacts.ways')->findOrFail($supplier->id)->contacts
        ->flatMap(fn ($contact) => $contact->ways)->firstWhere('kind', 'mail') !== null;
    expect($hasMail)->toBeTrue()
        ->and(app(CutOffWork::class)->due())->toBe(1)
        ->and($work->refresh()->state)->toBe(PurchaseState::Sent)
        ->and(Mail::query()->where('purchase_order_id', $work->id)->count())->toBe(1)
        ->and(app(CutOffWork::class)->due())->toBe(0)
        ->and($this->shop->differences())->toBe([]);
    // what comes after it gathers anew
    $later = $this->shop->order('DRUM-9', '2');
    $this->shop->release($later);
    expect(PurchaseOrder::query()->where('kind', 'service')->where('state', 'draft')->count())->toBe(1);
});

<?php

use App\Access\Role;
use App\Models\ConsignmentLine;
use App\Models\Order;
use App\Models\PurchaseLine;
use App\Models\Supplier;
use App\Queries\Purchasing\DueList;
use App\Queries\Purchasing\DueRow;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/* What the buyer asks suppliers about, worst first, and one sheet for one call. */

beforeEach(function () {
    $this->supplier = Supplier::query()->orderBy('id')->firstOrFail();
    $this->call = fn (array $typed): TestResponse => $this->actingAs($this->shop->as(Role::Buyer))
        ->from("/suppliers/{$this->supplier->id}/call")
        ->put("/suppliers/{$this->supplier->id}/call", ['token' => $this->shop->token(), 'form' => 'call', ...$typed]);
});

/** An order whose pieces are at the supplier of its step. */
function atSupplier(object $test): Order
{
    $order = $test->shop->order('DRUM-9', '4', '2026-12-18');
    $test->shop->release($order);
    foreach ($order->steps()->get()->takeWhile(fn ($step): bool => ! $step->isOutside()) as $step) {
        $test->shop->report($step, '4', '4');
    }
    $test->shop->sendAll($order->steps()->whereNotNull('supplier_id')->firstOrFail());

    return $order->refresh();
}

it('puts what holds up the latest order first, then what is overdue, then what nobody confirmed', function () {
    $motors = $this->shop->item('MOT-120')->id;
    DB::table('balances')->where('item_id', $motors)->update(['quantity' => 0]);
    $order = $this->shop->order('EX-9E', '2', '2026-11-26');
    $late = $this->shop->purchase('P-1', 'MOT-120', '40', '2026-12-10');
    $this->shop->purchase('P-2', 'GATE-40', '400', '2026-11-20');
    $asked = $this->shop->purchase('P-3', 'CABLE-3', '500', '2026-12-01');
    $fine = $this->shop->purchase('P-4', 'BOARD-3', '500', '2026-12-01');
    $fine->update(['confirmed_on' => '2026-11-23']);
    $late->update(['confirmed_on' => '2026-11-23']);
    $this->shop->differencesWhenPlanned();
    $rows = array_values(array_filter(
        DueList::toChase(),
        fn (DueRow $row): bool => in_array($row->document, ['P-1', 'P-2', 'P-3', 'P-4'], true),
    ));
    expect(array_map(fn (DueRow $row): array => [$row->document, $row->why()], $rows))->toBe([
        ['P-1', 'holds up'], ['P-2', 'overdue'], ['P-3', 'not confirmed'],
    ])->and($rows[0]->holdsUp[0]->number)->toBe($order->number);
    $this->actingAs($this->shop->as(Role::Buyer))->get('/chase')
        ->assertSeeInOrder(['P-1', $order->number, 'P-2', 'P-3'])
        ->assertDontSee('P-4');
    expect($asked->refresh()->is_open)->toBeTrue();
});

it('saves days of lines and of pieces at one supplier in one booking', function () {
    $order = atSupplier($this);
    $handful = ConsignmentLine::query()->latest('id')->firstOrFail();
    $this->supplier = Supplier::query()->findOrFail($handful->step->supplier_id);
    $line = $this->shop->purchase('P-1', 'FOOT-1', '40', '2026-11-27');
    $other = $this->shop->purchase('P-2', 'BOLT-8', '40', '2026-11-27');
    DB::table('purchase_orders')
        ->whereIn('id', [$line->purchase_order_id, $other->purchase_order_id])
        ->update(['supplier_id' => $this->supplier->id]);
    $this->actingAs($this->shop->as(Role::Buyer))->get("/suppliers/{$this->supplier->id}/call")
        ->assertSee('P-1')->assertSee("order {$order->number}");
    $before = DB::table('bookings')->count();
    ($this->call)([
        'lines' => [
            $line->id => ['on' => '2026-12-03'],
            $other->id => ['on' => '2026-12-01', 'unknown' => '1'],
        ],
        'back' => [$handful->id => ['on' => '2026-12-04']],
    ])->assertSessionHasNoErrors();
    expect(DB::table('bookings')->count())->toBe($before + 1)
        ->and($line->refresh()->expected_on)->toBe('2026-12-03')
        ->and($line->first_expected_on)->toBe('2026-11-27')
        ->and($other->refresh()->ask_again_on)->toBe('2026-12-01')
        ->and($handful->refresh()->back_at->setTimezone(config('pace.zone'))->toDateString())->toBe('2026-12-04')
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('writes nothing where one day is wrong, says which, and keeps what was typed', function () {
    $good = $this->shop->purchase('P-1', 'FOOT-1', '40', '2026-11-27');
    $bad = $this->shop->purchase('P-2', 'BOLT-8', '40', '2026-11-27');
    ($this->call)(['lines' => [$good->id => ['on' => '2026-12-03'], $bad->id => ['on' => '2026-11-02']]])
        ->assertSessionHasErrors(["lines.{$bad->id}" => 'It cannot come before today.']);
    expect($good->refresh()->expected_on)->toBe('2026-11-27');
    $this->get("/suppliers/{$this->supplier->id}/call")->assertSee('value="2026-12-03"', false);
    ($this->call)(['lines' => [$bad->id => ['on' => 'soon']]])->assertSessionHasErrors("lines.{$bad->id}.on");
    ($this->call)([])->assertSessionHasErrors(['refused' => 'Nothing was changed.']);
});

it('takes no day of another supplier or of what is complete', function () {
    $theirs = $this->shop->purchase('P-1', 'FOOT-1', '40', '2026-11-27');
    $other = Supplier::query()->where('id', '<>', $this->supplier->id)->firstOrFail();
    DB::table('purchase_orders')->where('id', $theirs->purchase_order_id)->update(['supplier_id' => $other->id]);
    $done = $this->shop->purchase('P-2', 'FOOT-1', '40', '2026-11-27');
    DB::table('purchase_lines')->where('id', $done->id)->update(['received_quantity' => 40]);
    foreach ([$theirs, $done] as $line) {
        ($this->call)(['lines' => [$line->id => ['on' => '2026-12-03']]])->assertSessionHasErrors("lines.{$line->id}");
    }
    expect(PurchaseLine::query()->where('expected_on', '2026-12-03')->count())->toBe(0);
});

it('asks once about work and the pieces it is done on, and lets in at the gate what comes', function () {
    $order = $this->shop->order('DRUM-9', '4', '2026-12-18');
    $this->shop->release($order);
    $step = $order->steps()->whereNotNull('supplier_id')->firstOrFail();
    $work = $this->shop->orderWork($step)->lines()->sole();
    $pieces = "order {$order->number}, {$step->number} {$step->name}";
    $due = fn (array $rows): array => array_values(array_intersect(
        array_map(fn (DueRow $row): string => $row->document, $rows),
        [$work->number, $pieces],
    ));
    // nothing has gone yet: the work can be asked about, and nothing of it comes
    expect($due(DueList::of($step->supplier_id)))->toBe([$work->number])
        ->and($due(DueList::toChase()))->toBe([$work->number])
        ->and($due(DueList::dated()))->toBe([]);
    foreach ($order->steps()->where('number', '<', $step->number)->get() as $before) {
        $this->shop->report($before->refresh(), '4', '4');
    }
    $this->shop->sendAll($step);
    expect($due(DueList::of($step->supplier_id)))->toBe([$pieces])
        ->and($due(DueList::toChase()))->not->toContain($work->number)
        ->and($due(DueList::dated()))->toBe([$pieces]);
    $this->shop->back($step, '4', '4');
    expect($due(DueList::of($step->supplier_id)))->toBe([])->and($due(DueList::dated()))->toBe([]);
});

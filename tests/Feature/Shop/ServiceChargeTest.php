<?php

use App\Models\Order;
use Illuminate\Support\Facades\DB;

/* W1 through the actions: what a supplier charges once, and at least, goes into the order as the pieces come back. */

beforeEach(function () {
    DB::table('routing_steps')
        ->whereNotNull('supplier_id')
        ->update(['price' => '1.20', 'setup_cents' => 1500, 'minimum_cents' => 7500]);
    $this->order = $this->shop->order('DRUM-20', '40', '2027-01-29');
    $this->shop->release($this->order);
    $this->outside = $this->order->steps()->whereNotNull('supplier_id')->firstOrFail();
    $this->charged = fn (): int => (int) DB::table('cost_entries')
        ->where('order_step_id', $this->outside->id)
        ->where('kind', 'outside')
        ->sum('cents');
    /** all that comes before it, a number of pieces passed on at each step */
    $this->sent = function (string $good, string $scrap = '0'): void {
        $before = $this->order->steps()->where('number', '<', $this->outside->number)->orderBy('number')->get();
        foreach ($before as $i => $step) {
            $this->shop->report($step->refresh(), $good, $good, $i === 0 ? $scrap : '0');
        }
    };
    $this->back = fn (string $good) => $this->shop->report($this->outside->refresh(), $good, $good);
});

it('plans them with the order', function () {
    // 48.00 for the pieces, 27.00 missing to the minimum, 15.00 once
    expect($this->order->refresh()->planned_outside)->toBe(9000);
});

it('books the lumps as the pieces come, the last take the rest', function () {
    ($this->sent)('40');
    ($this->back)('12');
    // 14.40 + 42.00 x 12 / 40
    expect(($this->charged)())->toBe(2700);
    $second = ($this->back)('18');
    expect(($this->charged)())->toBe(6750);
    $this->shop->reverse($second);
    expect(($this->charged)())->toBe(2700);
    ($this->back)('28');
    expect(($this->charged)())->toBe(9000)->and($this->shop->differences())->toBe([]);
});

it('leaves none of them behind where fewer pieces reach the supplier', function () {
    ($this->sent)('38', '2');
    ($this->back)('19');
    ($this->back)('19');
    // 45.60 for the pieces, 29.40 missing, 15.00 once
    expect(($this->charged)())->toBe(9000)->and($this->shop->differences())->toBe([]);
});

<?php

use App\Access\Role;
use App\Models\Order;
use App\Models\Plan;
use App\Planner\KeepUp;
use App\Queries\Orders\Coming;
use App\Queries\Purchasing\DueList;
use App\Queries\Purchasing\DueRow;
use App\Queries\Purchasing\HeldUp;
use App\Queries\Shortages\ShortageList;
use App\Queries\Shortages\ShortPart;
use App\Shop\Deliveries;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/*
 * What comes too late is what keeps an order from its date by itself, not all that is on its way for an order that is
 * late (our own rule). Sheet is taken by the tray's first step, feet by its last. Today is Tue 24 Nov 2026.
 */

beforeEach(function () {
    $plant = Deliveries::now()->plant;
    $this->nextDay = fn (string $day): string => $plant->workingDaysFrom($day, 1);
    $this->coming = [];
    foreach (['SS-15' => 'P-81', 'FOOT-1' => 'P-82'] as $item => $number) {
        DB::table('balances')->where('item_id', $this->shop->item($item)->id)->delete();
        DB::table('purchase_lines')->where('item_id', $this->shop->item($item)->id)->delete();
        $this->coming[$item] = $this->shop->purchase($number, $item, '60', '2026-11-27');
    }
    $this->expect = function (string $item, string $day): void {
        DB::table('purchase_lines')->where('id', $this->coming[$item]->id)->update(['expected_on' => $day]);
        app(KeepUp::class)->handle(true);
    };
    /** what comes too late, as "item: purchase" */
    $this->tooLate = fn (): array => ShortageList::now()->waiting
        ->flatMap(fn (ShortPart $part): array => array_map(
            fn (Coming $one): string => "{$part->itemNumber}: {$one->by->number}",
            $part->tooLate(),
        ))
        ->all();
    $this->late = fn (Order $order): int => (int) DB::table('plan_orders')
        ->where('plan_id', Plan::LIVE)
        ->where('order_id', $order->id)
        ->value('late_minutes');
    $this->needed = fn (string $item): ?string => DB::table('plan_components AS p')
        ->join('order_components AS c', 'c.id', 'p.component_id')
        ->where('p.plan_id', Plan::LIVE)
        ->where('c.item_id', $this->shop->item($item)->id)
        ->value('needed_at');
    $this->tray = $this->shop->order('TRAY-40', '10', '2026-12-10');
});

it('lists what keeps an order from its date, not what else is on its way for it', function () {
    ($this->expect)('FOOT-1', '2027-01-15');
    expect(($this->late)($this->tray))->toBeGreaterThan(0)
        ->and(($this->tooLate)())->toBe(['FOOT-1: P-82']);
    $this->actingAs($this->shop->as(Role::Buyer))->get('/shortages')
        ->assertSee('1 part comes')
        ->assertSee('Coming, but too late')
        ->assertSee('of P-82')
        ->assertDontSee('of P-81');
});

it('has the buyer chase what holds the order up, and names it beside the rest without its lateness', function () {
    ($this->expect)('FOOT-1', '2027-01-15');
    $late = fn (string $line): array => array_map(
        fn (HeldUp $one): array => [$one->number, $one->late],
        HeldUp::byLine()[$line],
    );
    $minutes = ($this->late)($this->tray);
    expect($late('P-82'))->toBe([[$this->tray->number, $minutes]])->and($minutes)->toBeGreaterThan(0)
        ->and($late('P-81'))->toBe([[$this->tray->number, 0]]);
    $chased = array_map(fn (DueRow $row): array => [$row->document, $row->why()], DueList::toChase());
    expect($chased)->toContain(['P-82', 'holds up'])->toContain(['P-81', 'not confirmed']);
});

it('lists both where either alone would keep it', function () {
    ($this->expect)('SS-15', '2027-01-11');
    ($this->expect)('FOOT-1', '2027-01-15');
    expect(($this->tooLate)())->toBe(['SS-15: P-81', 'FOOT-1: P-82']);
    ($this->expect)('FOOT-1', '2026-11-27');
    expect(($this->tooLate)())->toBe(['SS-15: P-81']);
});

it('says the latest it could be used: then the order is in time, a day later it is not', function (string $item) {
    ($this->expect)($item, '2027-01-15');
    $needed = CarbonImmutable::parse(($this->needed)($item), 'UTC')->setTimezone('Europe/Dublin');
    expect(($this->needed)($item === 'SS-15' ? 'FOOT-1' : 'SS-15'))->not->toBeNull();
    // what comes on a day can be used from the next morning on
    $usable = fn (string $day): string => ($this->nextDay)($day).' 07:00';
    $last = '2026-11-24';
    while ($usable(($this->nextDay)($last)) <= $needed->format('Y-m-d H:i')) {
        $last = ($this->nextDay)($last);
    }
    ($this->expect)($item, $last);
    expect(($this->late)($this->tray))->toBeLessThanOrEqual(0)->and(($this->tooLate)())->toBe([]);
    ($this->expect)($item, ($this->nextDay)($last));
    expect(($this->late)($this->tray))->toBeGreaterThan(0)->and(($this->tooLate)())->toHaveCount(1);
})->with(['taken first' => 'SS-15', 'taken last' => 'FOOT-1']);

it('forgets by when it was needed once the order is in time', function () {
    ($this->expect)('FOOT-1', '2027-01-15');
    expect(($this->needed)('FOOT-1'))->not->toBeNull();
    ($this->expect)('FOOT-1', '2026-11-27');
    expect(($this->needed)('FOOT-1'))->toBeNull()->and(($this->tooLate)())->toBe([]);
});

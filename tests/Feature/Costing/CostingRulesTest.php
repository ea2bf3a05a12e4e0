<?php

use App\Access\Role;
use App\Actions\Bookings\ClosePeriod;
use App\Actions\Stock\AddLateCost;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\GoodsIn;
use App\Actions\Stock\ScrapStock;
use App\Actions\Stock\SetStandardCost;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\Item;
use App\Models\OrderComponent;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\ScrapClass;

/*
 * The worked example of tests/Core/Costing/LayersTest.php (OpenStax, Principles of Accounting vol. 1, chapter 10, from
 * memory), booked: 150 at 21; 120 out; 225 at 27; 180 out; 210 at 33; 160 out; 125 left.
 */
function thing(string $costing, string $tracking = 'none', string $cost = '25'): Item
{
    return Item::query()
        ->create([
            'number' => 'SPY-1',
            'name' => 'Thing',
            'kind' => 'bought',
            'unit_id' => DB::table('units')->where('code', 'pc')->value('id'),
            'tracking' => $tracking,
            'costing' => $costing,
            'cost' => $cost,
        ])
        ->refresh();
}

/** A component of that item on a released order. */
function takes(object $test, Item $item): OrderComponent
{
    $order = $test->shop->order('LID-9', '1');
    $test->shop->release($order);

    return $order
        ->components()
        ->create([
            'position' => 900,
            'item_id' => $item->id,
            'step_number' => 10,
            'baseline_quantity' => '0',
            'planned_quantity' => '1000',
        ])
        ->refresh();
}

it('values by the rule of the item: the worked example', function (
    string $costing,
    array $out,
    int $left,
    int $variance,
) {
    $component = takes($this, thing($costing));
    $went = [];
    foreach ([['150', '21', '120'], ['225', '27', '180'], ['210', '33', '160']] as [$in, $price, $use]) {
        $this->shop->goodsIn('SPY-1', $in, $price);
        $went[] = (int) $this->shop->issue($component, $use)->moves()->sum('value');
    }
    expect($went)->toBe($out)
        ->and($this->shop->stock('SPY-1'))->toBe(['quantity' => '125', 'value' => $left])
        ->and($component->refresh()->used_value)->toBe(array_sum($out));
    $toVariance = (int) DB::table('moves AS m')
        ->join('places AS t', 't.id', 'm.to_place_id')
        ->join('places AS f', 'f.id', 'm.from_place_id')
        ->where('m.item_id', $component->item_id)
        ->selectRaw("SUM(IF(t.kind = 'variance', m.value, 0)) - SUM(IF(f.kind = 'variance', m.value, 0)) AS v")
        ->value('v');
    expect($toVariance)->toBe($variance)
        ->and(array_sum($out) + $left + $variance)->toBe(315000 + 607500 + 693000)
        ->and($this->shop->differences())->toBe([]);
    // everything back, newest first: nothing is left of it
    foreach (Booking::query()->whereIn('kind', ['goods_in', 'issue'])->orderByDesc('id')->get() as $booking) {
        $this->shop->reverse($booking);
    }
    expect($this->shop->stock('SPY-1'))->toBe(['quantity' => '0', 'value' => 0])
        ->and($this->shop->differences())->toBe([]);
})->with([
    'IAS 2.27, first in, first out: cost of sales 12,030, left 4,125' => ['fifo', [252000, 468000, 483000], 412500, 0],
    'IAS 2.27, moving average: 4,732.94 and 4,997.65' => ['average', [252000, 473294, 499765], 390441, 0],
    // standard 25.00: 150 x -4, 225 x +2, 210 x +8
    'IAS 2.21, standard cost 25.00: what is paid more is variance' => [
        'standard',
        [300000, 450000, 400000],
        312500,
        -60000 + 45000 + 168000,
    ],
]);

it('keeps own cost by lot: IAS 2.23', function () {
    $component = takes($this, thing('own', 'lot'));
    $this->shop->goodsIn('SPY-1', '10', '21', 'A');
    $this->shop->goodsIn('SPY-1', '10', '33', 'B');
    expect(
        (int) $this->shop
            ->issue($component, '4', ['B' => '4'])
            ->moves()
            ->sum('value'),
    )
        ->toBe(13200)
        ->and(
            (int) $this->shop
                ->issue($component, '10', ['A' => '10'])
                ->moves()
                ->sum('value'),
        )
        ->toBe(21000)
        ->and($this->shop->stock('SPY-1', 'A')['value'])->toBe(0)
        ->and($this->shop->stock('SPY-1', 'B')['value'])->toBe(19800)
        ->and($this->shop->differences())->toBe([]);
});

it('values lots of one item by their average where the rule says so, and across places', function () {
    $component = takes($this, thing('average', 'lot'));
    $this->shop->goodsIn('SPY-1', '10', '20', 'A');
    $this->shop->goodsIn('SPY-1', '10', '30', 'B', null, 'RACK');
    expect(
        (int) $this->shop
            ->issue($component, '4', ['B' => '4'])
            ->moves()
            ->sum('value'),
    )
        ->toBe(10000)
        ->and($this->shop->stock('SPY-1')['value'])->toBe(40000)
        ->and($this->shop->differences())->toBe([]);
});

it('restores the very layers a reversed issue used, and refuses a receipt that was used', function () {
    $component = takes($this, thing('fifo'));
    $first = $this->shop->goodsIn('SPY-1', '10', '20');
    $this->shop->goodsIn('SPY-1', '10', '30');
    $one = $this->shop->issue($component, '4');
    $two = $this->shop->issue($component, '10');
    expect(fn () => $this->shop->reverse($first))->toThrow(Refused::class, 'Undo first: booking '.$two->id);
    $this->shop->reverse($one);
    expect(
        DB::table('cost_layers')->where('item_id', $component->item_id)->orderBy('id')->pluck('left_value')->all(),
    )->toBe([8000, 18000]);
    $this->shop->reverse($two);
    $this->shop->reverse($first);
    expect($this->shop->stock('SPY-1'))->toBe(['quantity' => '10', 'value' => 30000])
        ->and($this->shop->differences())->toBe([]);
});

it('spreads a late cost over what is still there: IAS 2.10-11', function (string $costing, int $stock) {
    $component = takes($this, thing($costing));
    $in = $this->shop->goodsIn('SPY-1', '10', '20');
    $this->shop->issue($component, '6');
    app(AddLateCost::class)->handle($in->id, 5000, $this->shop->sign(Role::CostClerk, 'freight', 'late'));
    expect($this->shop->stock('SPY-1')['value'])->toBe($stock)->and($this->shop->differences())->toBe([]);
    $this->shop->reverse(Booking::query()->latest('id')->firstOrFail());
    expect($this->shop->stock('SPY-1')['value'])->toBe($costing === 'standard' ? 10000 : 8000)
        ->and($this->shop->differences())->toBe([]);
})->with([
    'common practice: four of ten are there' => ['average', 10000],
    'by layer' => ['fifo', 10000],
    'standard cost takes none' => ['standard', 10000],
]);

it('puts a late cost of what has all left to variance, and refuses one of nothing', function () {
    $component = takes($this, thing('fifo'));
    $in = $this->shop->goodsIn('SPY-1', '10', '20');
    $issue = $this->shop->issue($component, '10');
    $late = fn (int $booking, int $cents) => app(AddLateCost::class)->handle(
        $booking,
        $cents,
        $this->shop->sign(Role::CostClerk, 'duty'),
    );
    expect($late($in->id, 5000)->says)->toContain('0.00 to stock, 50.00 variance')
        ->and($late($in->id, -1000)->says)->toContain('-10.00 variance')
        ->and($this->shop->differences())->toBe([]);
    expect(fn () => $late($issue->id, 100))->toThrow(Refused::class, 'belongs to goods that came in')
        ->and(fn () => $late($in->id, 0))->toThrow(Refused::class, 'Type the amount');
});

it('revalues stock when the standard cost is set anew', function () {
    thing('standard');
    $this->shop->goodsIn('SPY-1', '10', '25');
    $set = fn (string $item, string $cost) => app(SetStandardCost::class)->handle(
        $this->shop->item($item)->id,
        $cost,
        $this->shop->sign(Role::CostClerk, 'year begins'),
    );
    $set('SPY-1', '27.5');
    expect($this->shop->stock('SPY-1')['value'])->toBe(27500);
    $set('SPY-1', '20');
    expect($this->shop->stock('SPY-1')['value'])->toBe(20000)->and($this->shop->differences())->toBe([]);
    expect(fn () => $set('MOT-120', '1'))->toThrow(Refused::class, 'valued by moving average');
});

it('scraps stock at its value, by class, and not what is promised', function () {
    thing('average');
    $this->shop->goodsIn('SPY-1', '10', '25');
    $balance = Balance::query()
        ->where('item_id', $this->shop->item('SPY-1')->id)
        ->firstOrFail();
    $booking = app(ScrapStock::class)->handle(
        $balance->id,
        '4',
        ScrapClass::Handling,
        $this->shop->sign(Role::Storekeeper, 'fell off the fork', 's'),
    );
    expect(
        $booking
            ->moves()
            ->first()
            ->only(['value', 'scrap_class']),
    )
        ->toBe(['value' => 10000, 'scrap_class' => 'handling'])
        ->and($this->shop->differences())->toBe([]);
    expect(
        fn () => app(ScrapStock::class)->handle(
            $balance->id,
            '7',
            ScrapClass::Other,
            $this->shop->sign(Role::Storekeeper, 'x', 's2'),
        ),
    )->toThrow(Refused::class, '7 of SPY-1 Thing asked for, 6 there');
});

it('books on the day it happened, but not ahead, nor in a closed period', function () {
    $in = fn (?string $day, string $token) => app(GoodsIn::class)->handle(
        new Arrival(
            $this->shop->item('MOT-120')->id,
            new TypedQuantity('1'),
            '84',
            $this->shop->place('STORES')->id,
        ),
        $this->shop->sign(Role::Storekeeper, token: $token)->on($day),
    );
    $booking = $in('2026-11-20', 'a');
    expect($booking->booked_on)->toBe('2026-11-20')->and($booking->entered_at->toDateString())->toBe('2026-11-24');
    expect(fn () => $in('2026-11-25', 'b'))->toThrow(Refused::class, 'still ahead');
    $close = fn (string $day, string $token) => app(ClosePeriod::class)->handle(
        $day,
        $this->shop->sign(Role::CostClerk, token: $token),
    );
    expect(fn () => $close('2026-11-24', 'c'))->toThrow(Refused::class, 'when its last day is over');
    $close('2026-11-22', 'd');
    expect(fn () => $close('2026-11-20', 'e'))->toThrow(Refused::class, 'closed up to Sun 22 Nov 2026 already')
        ->and(fn () => $in('2026-11-22', 'f'))->toThrow(Refused::class, 'books are closed up to Sun 22 Nov 2026');
    // a reversal of what lies in the closed period goes into the open one
    $this->shop->reverse($booking);
    expect(Booking::query()->where('reverses_id', $booking->id)->value('booked_on'))->toBe('2026-11-24')
        ->and($this->shop->differences())->toBe([]);
});

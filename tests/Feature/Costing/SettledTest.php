<?php

use App\Access\Role;
use App\Actions\Stock\ScrapStock;
use App\Models\Balance;
use App\Models\Lot;
use App\Models\Order;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\ScrapClass;

/*
 * What an order really cost against what went into stock, at its closing: what is there still takes its share, the rest
 * is variance (trade.md W2; common practice of job costing). Ten planned at 10.00 of one part each; the part is bought
 * again at 16.00 before it is issued, so that it is 13.00 by average: 130.00 in, 100.00 received, 30.00 to settle.
 */

/** @param  string  $costing  of what is made */
function madeOf(object $test, string $costing, string $tracking = 'none'): Order
{
    expect($test->shop->import([
        'items.csv' => "number,name,kind,unit,tracking,cost,costing\n"
            ."CLAMP-S,Clamp,made,pc,{$tracking},10,{$costing}\nSLUG-S,Slug,bought,pc,none,10,average\n",
        'structures.csv' => "item,position,component,quantity,unit,basis\nCLAMP-S,10,SLUG-S,1,,unit\n",
        'routings.csv' => "item,step,name,work_centre,setup_minutes,run_rate\nCLAMP-S,10,Bend,BENCH,0,1\n",
    ]))->toBe([]);
    $test->shop->worksForNothing('BENCH');
    $test->shop->goodsIn('SLUG-S', '20', '10');
    $order = tap($test->shop->order('CLAMP-S', '10'), $test->shop->release(...));
    $test->shop->goodsIn('SLUG-S', '20', '16');
    $test->shop->issueAll($order);
    $test->shop->workThrough($order->refresh());

    return $order->refresh();
}

/** Some of what was made is scrapped: it has left stock before the order is closed. */
function clampsGone(object $test, string $quantity, ?string $lot = null): void
{
    $balance = Balance::query()
        ->where('item_id', $test->shop->item('CLAMP-S')->id)
        ->where('quantity', '>', 0)
        ->when($lot !== null, fn ($all) => $all->where('lot_id', Lot::query()->where('code', $lot)->value('id')))
        ->orderBy('id')
        ->firstOrFail();
    app(ScrapStock::class)->handle(
        $balance->id,
        $quantity,
        ScrapClass::cases()[0],
        $test->shop->sign(Role::Storekeeper, 'dropped'),
    );
}

/** @return array{int, int, int} cents: the value of stock, what went to variance, what is left on the order */
function settledTo(object $test, Order $order): array
{
    $of = fn (array $kinds): int => (int) DB::table('cost_entries')
        ->where('order_id', $order->id)
        ->when($kinds !== [], fn ($all) => $all->whereIn('kind', $kinds))
        ->sum('cents');

    return [$test->shop->stock('CLAMP-S')['value'], -$of(['variance']), $of([])];
}

it('shares the difference between what is there and variance, by the rule of the item', function (
    string $costing,
    string $gone,
    int $stock,
) {
    $order = madeOf($this, $costing);
    $this->shop->receive($order, '10');
    expect($this->shop->stock('CLAMP-S'))->toBe(['quantity' => '10', 'value' => 10_000]);
    $gone === '0' ?: clampsGone($this, $gone);
    $this->shop->close($order->refresh());
    expect($this->shop->stock('CLAMP-S')['value'])->toBe($stock)
        ->and($order->refresh()->state->value)->toBe('closed')
        ->and($this->shop->differences())->toBe([]);
})->with([
    // all is there: all 30.00 with it
    ['average', '0', 13_000],
    ['fifo', '0', 13_000],
    // six of ten are there: 60.00 and 18.00
    ['average', '4', 7_800],
    ['fifo', '4', 7_800],
    // one of ten: 10.00 and 3.00
    ['average', '9', 1_300],
    ['fifo', '9', 1_300],
    // none is there: all is variance
    ['average', '10', 0],
    ['fifo', '10', 0],
    // by standard cost stock stays at what is set, whatever it cost
    ['standard', '0', 10_000],
    ['standard', '4', 6_000],
]);

it('keeps to the lots of the order where lots keep their own cost', function () {
    $order = madeOf($this, 'own', 'lot');
    $this->shop->receive($order, '6', 'CL-1');
    $this->shop->receive($order->refresh(), '4', 'CL-2');
    clampsGone($this, '6', 'CL-1');
    $this->shop->close($order->refresh());
    // CL-2 has 40.00 and four tenths of 30.00; what CL-1 would have got is variance
    expect($this->shop->stock('CLAMP-S', 'CL-2')['value'])->toBe(5_200)
        ->and($this->shop->stock('CLAMP-S', 'CL-1'))->toBe(['quantity' => '0', 'value' => 0])
        ->and($this->shop->differences())->toBe([]);
});

it('takes out what is older first, so that what the order gave is there still', function () {
    $order = madeOf($this, 'fifo');
    $this->shop->goodsIn('CLAMP-S', '5', '8'); // from somewhere else
    $this->shop->receive($order, '10');
    expect($this->shop->stock('CLAMP-S')['value'])->toBe(14_000);
    clampsGone($this, '5'); // the five at 8.00
    expect($this->shop->stock('CLAMP-S')['value'])->toBe(10_000);
    clampsGone($this, '2'); // two of the order's own
    $this->shop->close($order->refresh());
    // eight of ten: 80.00 and 24.00
    expect($this->shop->stock('CLAMP-S')['value'])->toBe(10_400)->and($this->shop->differences())->toBe([]);
});

it('takes its closing back, and closes again to the same', function () {
    $order = madeOf($this, 'average');
    expect((int) $this->shop->component($order, 'SLUG-S')->used_value)->toBe(13_000);
    $this->shop->receive($order, '10');
    clampsGone($this, '5');
    $closing = $this->shop->close($order->refresh());
    expect($this->shop->stock('CLAMP-S')['value'])->toBe(6_500); // 50.00 and 15.00
    $this->shop->reverse($closing);
    expect($this->shop->stock('CLAMP-S')['value'])->toBe(5_000)
        ->and($order->refresh()->state->value)->not->toBe('closed')
        ->and($this->shop->differences())->toBe([]);
    $this->shop->close($order->refresh());
    expect($this->shop->stock('CLAMP-S')['value'])->toBe(6_500)->and($this->shop->differences())->toBe([]);
});

it('leaves nothing on an order that is closed, to the cent', function (string $costing, int $seed) {
    mt_srand($seed);
    $order = madeOf($this, $costing);
    $first = mt_rand(1, 9);
    $this->shop->receive($order, (string) $first);
    clampsGone($this, (string) mt_rand(1, $first));
    $this->shop->receive($order->refresh(), (string) (10 - $first));
    $this->shop->close($order->refresh());
    [$stock, $variance, $left] = settledTo($this, $order);
    $scrapped = (int) DB::table('moves AS m')->join('places AS t', 't.id', 'm.to_place_id')
        ->where('m.item_id', $order->item_id)->where('t.kind', 'scrap')->sum('m.value');
    // 130.00 went in; what is neither in stock nor scrapped is variance
    expect($left)->toBe(0)
        ->and($stock + $scrapped + $variance)->toBe(13_000)
        ->and($this->shop->differences())->toBe([]);
})->with(['average', 'fifo', 'standard'])->with([1, 2]);

it('is not closed while some of it is still to come', function () {
    $order = madeOf($this, 'average');
    $this->shop->receive($order, '7');
    expect(fn () => $this->shop->close($order->refresh()))->toThrow(Refused::class);
});

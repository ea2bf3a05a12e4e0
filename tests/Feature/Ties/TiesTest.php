<?php

use App\Access\Role;
use App\Actions\Orders\CureShort;
use App\Actions\Orders\MakeOrder;
use App\Actions\Orders\SplitOrder;
use App\Actions\Stock\ScrapStock;
use App\Books\Ring;
use App\Books\Signed;
use App\Models\Balance;
use App\Models\Order;
use App\Models\OrderOutput;
use App\Shop\ShopState;
use App\Shop\Ties;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\Allocated;
use KeepPace\Core\Planning\CoverRefused;
use KeepPace\Core\Planning\Cure;
use KeepPace\Core\Planning\TieDemand;
use KeepPace\Core\Planning\TieSupply;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Stock\ScrapClass;

/* What supplies what: our own rules, and what the database itself refuses. A box takes two gears (the demo's data). */

/** An order of four boxes with the order of eight gears made for it. */
function boxWithGears(object $test): array
{
    $gears = $test->shop->item('GEAR-48')->id;
    foreach (Balance::query()->where('item_id', $gears)->where('quantity', '>', 0)->get() as $there) {
        $why = $test->shop->sign(Role::Storekeeper, 'none of them is left');
        app(ScrapStock::class)->handle($there->id, $there->quantity, ScrapClass::Handling, $why);
    }
    $booking = app(MakeOrder::class)->handle(
        $test->shop->item('GBOX-1')->id,
        new TypedQuantity('4'),
        '2026-12-18',
        true,
        $test->shop->sign(Role::Planner),
    );
    $box = Order::query()->findOrFail($booking->order_id);
    $gears = Order::query()
        ->whereKey(Ties::partsOf([$box->id]))
        ->where('item_id', $gears)
        ->firstOrFail();

    return [$box, $gears];
}

/** What an order gets from others of one item: "8 from 204, 2 missing". */
function getsOf(object $test, Order $order, string $item): string
{
    $row = collect(ShopState::now()->parts->allocated)->first(
        fn (Allocated $row): bool => $row->need->order === $order->id
            && $row->need->item === $test->shop->item($item)->id,
    );
    $from = array_map(
        fn (array $one): string => Amount::plain($one['quantity'])." from {$one['supply']->by->number}",
        $row->coming,
    );

    return implode(', ', [...$from, Amount::plain($row->missing).' missing']);
}

/** Still to come by a soft tie, in pieces. */
function madeForIt(Order $order): string
{
    return (string) DB::table('ties')
        ->where('output_id', $order->output()->id)
        ->where('is_hard', false)
        ->sum('quantity');
}

it('gives what is made for an order to it before anybody else, and the rest to whoever wants it', function () {
    [$box, $gears] = boxWithGears($this);
    // it stands first, and gets none of what was made for the other
    $other = $this->shop->order('GBOX-1', '1', '2026-12-01');
    DB::table('orders')->where('id', $other->id)->update(['rank' => 1]);
    expect(getsOf($this, $box, 'GEAR-48'))->toBe("8 from {$gears->number}, 0 missing")
        ->and(getsOf($this, $other, 'GEAR-48'))->toBe('2 missing');
    // the box needs half of them: the others are for anybody
    DB::table('order_components')
        ->where('order_id', $box->id)
        ->where('item_id', $gears->item_id)
        ->update(['planned_quantity' => 4]);
    expect(getsOf($this, $box, 'GEAR-48'))->toBe("4 from {$gears->number}, 0 missing")
        ->and(getsOf($this, $other, 'GEAR-48'))->toBe("2 from {$gears->number}, 0 missing");
});

it('takes off what scrap took, gives it back with the reversal, and lets a remake stand in', function () {
    [$box, $gears] = boxWithGears($this);
    $this->shop->release($gears);
    expect(madeForIt($gears))->toBe('8.000000');
    $report = $this->shop->report($gears->steps()->firstOrFail(), '6', '6', '2');
    expect(madeForIt($gears))->toBe('6.000000')->and($this->shop->differences())->toBe([]);
    $this->shop->reverse($report);
    expect(madeForIt($gears))->toBe('8.000000');
    $this->shop->report($gears->steps()->firstOrFail(), '6', '6', '2');
    app(CureShort::class)->handle(
        $gears->id,
        $gears->refresh()->version,
        Cure::Remake,
        '2',
        new Signed('cure', $this->shop->as(Role::Supervisor), 'again'),
    );
    $remake = Order::query()->where('remake_of_id', $gears->id)->firstOrFail();
    expect(madeForIt($remake))->toBe('2.000000')
        ->and(getsOf($this, $box, 'GEAR-48'))->toBe("6 from {$gears->number}, 2 from {$remake->number}, 0 missing")
        ->and($this->shop->differences())->toBe([]);
});

it('moves with the pieces when an order is split, and is nobody\'s when the order it is for is', function () {
    [$box, $gears] = boxWithGears($this);
    $split = fn (Order $order, string $pieces) => app(SplitOrder::class)->handle(
        $order->id,
        $order->refresh()->version,
        $pieces,
        $this->shop->sign(Role::Planner),
    );
    $split($gears, '3');
    $new = Order::query()->where('split_from_id', $gears->id)->firstOrFail();
    expect([madeForIt($gears), madeForIt($new)])->toBe(['5.000000', '3.000000']);
    $split($box, '1');
    expect([madeForIt($gears), madeForIt($new)])->toBe(['0.000000', '0.000000'])
        ->and($this->shop->differences())->toBe([]);
});

it('refuses orders that would supply one another in a ring, in words and in the database', function () {
    [$box, $gears] = boxWithGears($this);
    // gears that would take a box: nobody has such a structure, but an order may be given such a component
    $component = DB::table('order_components')->insertGetId([
        'order_id' => $gears->id,
        'position' => 990,
        'item_id' => $box->item_id,
        'step_number' => 10,
        'baseline_quantity' => 0,
        'planned_quantity' => 1,
    ]);
    $supply = TieSupply::output($box->output()->id);
    expect(fn () => Ring::assertNone(TieDemand::component($component), $supply))->toThrow(
        CoverRefused::class,
        "Order {$box->number} gets something from order {$gears->number} already",
    );
    $own = $gears->components()->firstOrFail();
    expect(fn () => Ring::assertNone(TieDemand::component($own->id), TieSupply::output($gears->output()->id)))
        ->toThrow(CoverRefused::class, "Order {$gears->number} cannot supply itself");
    $tie = [
        'item_id' => $box->item_id,
        'demand_kind' => 'component',
        'demand_id' => $component,
        'supply_kind' => 'output',
        'supply_id' => $supply->id,
        'is_hard' => false,
    ];
    expect(fn () => DB::table('ties')->insert([...$tie, 'quantity' => 1]))->toThrow(QueryException::class, 'in a ring');
    // a tie of nothing is none; it cannot be raised either
    DB::table('ties')->insert([...$tie, 'quantity' => 0]);
    expect(fn () => DB::table('ties')->where($tie)->update(['quantity' => 1]))
        ->toThrow(QueryException::class, 'in a ring');
});

it('refuses in the database an end that is not there, a second tie of a pair, and less than nothing', function (
    array $with,
    string $why,
) {
    $line = $this->shop->customerOrder(['LID-9' => '4'])->lines[0];
    $order = $this->shop->order('LID-9', '4');
    $tie = [
        'item_id' => $line->item_id,
        'demand_kind' => 'line',
        'demand_id' => $line->id,
        'supply_kind' => 'output',
        'supply_id' => $order->output()->id,
        'is_hard' => true,
        'quantity' => 1,
    ];
    DB::table('ties')->insert($tie);
    expect(fn () => DB::table('ties')->insert([...$tie, 'is_hard' => false, ...$with]))
        ->toThrow(QueryException::class, $why);
})->with([
    'no such line' => [['demand_id' => 999_999], 'FOREIGN KEY (`line_id`)'],
    'no such component' => [['demand_kind' => 'component', 'demand_id' => 999_999], 'FOREIGN KEY (`component_id`)'],
    'no such shelf' => [['demand_kind' => 'shelf', 'demand_id' => 999_999], 'FOREIGN KEY (`shelf_id`)'],
    'no such output' => [['supply_id' => 999_999], 'FOREIGN KEY (`output_id`)'],
    'no such purchase' => [['supply_kind' => 'purchase', 'supply_id' => 999_999], 'FOREIGN KEY (`purchase_line_id`)'],
    'no such lot' => [['supply_kind' => 'stock', 'supply_id' => 999_999], 'FOREIGN KEY (`lot_id`)'],
    'no such kind' => [['supply_kind' => 'hope'], "'supply_kind'"],
    'the same pair again' => [['is_hard' => true], 'ties_ends'],
    'less than nothing' => [['quantity' => -1], 'ties_not_negative'],
]);

it('tells in its output what an order will still give, at every stage', function () {
    $order = $this->shop->order('LID-9', '6');
    $is = function () use ($order): string {
        $output = OrderOutput::query()->where('order_id', $order->id)->firstOrFail();

        return implode(' ', array_map(
            Amount::plain(...),
            [$output->planned_quantity, $output->received_quantity, $output->given_up_quantity],
        )).($output->is_open ? ' open' : '');
    };
    expect($is())->toBe('6 0 0 open');
    $this->shop->release($order);
    $this->shop->issueAll($order);
    $steps = $order->steps()->get();
    $this->shop->report($steps[0], '5', '5', '1');
    expect($is())->toBe('6 0 1 open');
    foreach ($steps->slice(1) as $i => $step) {
        $this->shop->report($step, '5', $i === $steps->count() - 1 ? '0' : '5');
    }
    $receipt = $this->shop->receive($order, '3');
    expect($is())->toBe('6 3 1 open');
    $this->shop->reverse($receipt);
    expect($is())->toBe('6 0 1 open');
    $this->shop->receive($order, '5');
    expect($is())->toBe('6 5 1');
    $this->shop->close($order->refresh());
    expect($is())->toBe('6 5 1')->and($this->shop->differences())->toBe([]);
});

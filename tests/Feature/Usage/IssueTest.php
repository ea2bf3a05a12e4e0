<?php

use App\Access\Role;
use App\Actions\Bookings\ReverseLines;
use App\Actions\Orders\SplitOrder;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\ChangeCondition;
use App\Actions\Stock\GoodsIn;
use App\Actions\Stock\ReserveStock;
use App\Actions\Usage\CorrectLot;
use App\Actions\Usage\IssueComponents;
use App\Actions\Usage\ReturnComponents;
use App\Actions\Usage\UseLine;
use App\Models\Balance;
use App\Models\Lot;
use App\Models\Order;
use App\Models\OrderComponent;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Condition;
use Tests\Support\Words;

/** A released order for drums, which takes sheet by lot: 24 sheets lie in H-7714, 16 in H-7731, 3.125 m2 each. */
function drums(object $test, string $pieces = '10'): OrderComponent
{
    $order = $test->shop->order('DRUM-9', $pieces);
    $test->shop->release($order);

    return $order->components()->orderBy('id')->firstOrFail();
}

it('books several lots in a line, each at its own cost', function () {
    $sheet = drums($this);
    $booking = $this->shop->issue($sheet, '6', ['H-7714' => '2.5', 'H-7731' => '3.5']);
    // 2.5 at 3487.50/75 and 3.5 at 2372.00/50
    expect($booking->moves()->orderBy('id')->pluck('value')->all())->toBe([11625, 16604])
        ->and($sheet->refresh()->used_value)->toBe(28229)
        ->and($this->shop->differences())->toBe([]);
});

it('refuses a lot that cannot be, told at its line, and books nothing', function (
    string $lot,
    string $quantity,
    string $says,
) {
    $sheet = drums($this);
    $this->shop->goodsIn('BAR-25', '5', '14', 'B-77', null, 'RACK');
    $this->shop->goodsIn('SS-15', '5', '46', 'H-BLOCKED', null, 'RACK');
    $this->shop->goodsIn('SS-15', '5', '46', 'H-OLD', null, 'RACK');
    $this->shop->goodsIn('SS-15', '5', '46', 'H-GONE', null, 'RACK');
    DB::table('lots')
        ->where('code', 'H-OLD')
        ->update(['expires_on' => '2026-11-23']);
    $balance = fn (string $code): Balance => Balance::query()
        ->where('lot_id', Lot::query()->where('code', $code)->value('id'))
        ->firstOrFail();
    app(ChangeCondition::class)->handle(
        $balance('H-BLOCKED')->id,
        '5',
        Condition::InInspection,
        $this->shop->sign(Role::Storekeeper, 'certificate missing', 'c'),
    );
    $this->shop->issue(drums($this), '5', ['H-GONE' => '5']);
    try {
        $this->shop->issue($sheet, $quantity, [$lot => $quantity]);
        $this->fail('It was booked.');
    } catch (Refused $refused) {
        expect($refused->reasons)->toHaveKey("lines.{$sheet->id}.splits")
            ->and($refused->getMessage())->toContain($says);
    }
    expect($sheet->refresh()->used_quantity)->toBe('0.000000')->and($this->shop->differences())->toBe([]);
})->with([
    'of another item' => ['B-77', '1', 'B-77 is a lot of BAR-25 Stainless bar 25 mm, not of SS-15'],
    'nobody knows it' => ['H-0', '1', 'There is no lot H-0 of SS-15'],
    'in inspection' => ['H-BLOCKED', '1', 'Lot H-BLOCKED is in inspection. Only free stock can be used'],
    'past its date' => ['H-OLD', '1', 'expires on 2026-11-23'],
    'used up' => ['H-GONE', '1', 'H-GONE is no longer in stock: 1 component issued to'],
]);

it('refuses more than the lot holds, a split that is not complete, and a serial that was used', function () {
    $sheet = drums($this, '60');
    expect(fn () => $this->shop->issue($sheet, '60', ['H-7731' => '60']))
        ->toThrow(Refused::class, '60 of lot H-7731 asked for, 50 there')
        ->and(fn () => $this->shop->issue($sheet, '6', ['H-7714' => '2.5']))
        ->toThrow(Refused::class, '3.5 of 6 are still to be named');
    $this->shop->goodsIn('GBOX-1', '2', '100', "S-1\nS-2");
    $order = $this->shop->order('EX-9E', '2');
    $this->shop->release($order);
    $gearbox = $this->shop->component($order, 'GBOX-1');
    $this->shop->issue($gearbox, '1', ['S-1' => '1']);
    expect(fn () => $this->shop->issue($gearbox, '1', ['S-1' => '1']))->toThrow(
        Refused::class,
        'S-1 is no longer in stock',
    );
    expect($this->shop->differences())->toBe([]);
});

it('refuses a held or closed order, and a unit without conversion', function () {
    $sheet = drums($this);
    $line = fn (?string $unit) => app(IssueComponents::class)->handle(
        [new UseLine('x', $sheet->order_id, $sheet->id, $sheet->item_id, 10, '1', $unit)],
        false,
        $this->shop->sign(Role::Storekeeper),
    );
    expect(fn () => $line('box'))->toThrow(Refused::class, 'not counted in box');
    Order::query()->whereKey($sheet->order_id)->update(['is_held' => true]);
    expect(fn () => $line(null))->toThrow(Refused::class, 'is held. Components go to released orders only');
});

it('uses another unit, by its exact ratio, and keeps what was typed', function () {
    $sheet = drums($this);
    $booking = app(IssueComponents::class)->handle(
        [new UseLine('x', $sheet->order_id, $sheet->id, $sheet->item_id, 10, '2', 'sheet')],
        false,
        $this->shop->sign(Role::Storekeeper),
    );
    expect($sheet->refresh()->used_quantity)->toBe('6.250000')
        ->and(
            $booking
                ->moves()
                ->first()
                ->only(['typed_quantity', 'quantity']),
        )
        ->toBe(['typed_quantity' => '2.000000', 'quantity' => '6.250000']);
});

it('uses a substitute: what was planned stays planned, and is no longer asked for', function () {
    $order = $this->shop->order('EX-9E', '3');
    $this->shop->release($order);
    $motor = $this->shop->component($order, 'MOT-120');
    $crank = $this->shop->item('CRANK-1');
    app(IssueComponents::class)->handle(
        [new UseLine('x', $order->id, $motor->id, $crank->id, 30, '2', reason: 'motors late')],
        true,
        $this->shop->sign(Role::Storekeeper),
    );
    $stand = $order->components()->where('item_id', $crank->id)->firstOrFail();
    expect($motor->refresh()->only(['planned_quantity', 'used_quantity', 'replaced_quantity']))
        ->toBe(['planned_quantity' => '3.000000', 'used_quantity' => '0.000000', 'replaced_quantity' => '2.000000'])
        ->and((string) $motor->openQuantity())->toBe('1.000000')
        ->and($stand->only(['stands_for_id', 'planned_quantity', 'used_quantity']))
        ->toBe(['stands_for_id' => $motor->id, 'planned_quantity' => '0.000000', 'used_quantity' => '2.000000'])
        ->and($this->shop->differences())->toBe([]);
    $this->shop->reverse(App\Models\Booking::query()->latest('id')->firstOrFail());
    expect($motor->refresh()->replaced_quantity)->toBe('0.000000')->and($this->shop->differences())->toBe([]);
});

it('uses what was not planned, with a reason', function () {
    $order = $this->shop->order('EX-9E', '3');
    $this->shop->release($order);
    $use = fn (bool $over, string $reason) => app(IssueComponents::class)->handle(
        [new UseLine('x', $order->id, null, $this->shop->item('CABLE-3')->id, 40, '1.5', reason: $reason)],
        $over,
        $this->shop->sign(Role::Storekeeper),
    );
    expect(fn () => $use(false, 'x'))->toThrow(Refused::class, 'not planned for the order')
        ->and(fn () => $use(true, ''))->toThrow(Refused::class, 'Say why');
    $use(true, 'longer lead');
    $cable = $this->shop->component($order, 'CABLE-3');
    expect($cable->planned_quantity)->toBe('0.000000')
        ->and($cable->used_quantity)->toBe('1.500000')
        ->and($this->shop->differences())->toBe([]);
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->get("/orders/{$order->id}")
        ->assertSee('not planned')
        ->assertSee('longer lead');
});

it('takes no floor consumable', function () {
    $order = $this->shop->order('EX-9E', '3');
    $this->shop->release($order);
    expect(
        fn () => app(IssueComponents::class)->handle(
            [new UseLine('x', $order->id, null, $this->shop->item('WIRE-1')->id, 10, '1', reason: 'x')],
            true,
            $this->shop->sign(Role::Storekeeper, token: 'w'),
        ),
    )->toThrow(Refused::class, 'is consumable: it is never issued to an order');
});

it('brings components back lot by lot, at the value they left with', function () {
    $sheet = drums($this);
    $before = $this->shop->stock('SS-15');
    $this->shop->issue($sheet, '6', ['H-7714' => '2.5', 'H-7731' => '3.5']);
    $lot = Lot::query()->where('code', 'H-7731')->value('id');
    $back = fn (string $quantity, Condition $as = Condition::Free) => app(ReturnComponents::class)->handle(
        $sheet->order_id,
        ["{$sheet->id}-{$lot}" => $quantity],
        $this->shop->place('RACK')->id,
        $as,
        $this->shop->sign(Role::Storekeeper, 'cut one too many'),
    );
    expect(fn () => $back('4'))->toThrow(Refused::class, '4 to return, 3.5 of it lie in order');
    $back('1', Condition::Blocked);
    $back('2.5');
    expect($sheet->refresh()->only(['used_quantity', 'used_value']))
        ->toBe(['used_quantity' => '2.500000', 'used_value' => 11625])
        ->and($this->shop->stock('SS-15')['value'])->toBe($before['value'] - 11625)
        ->and($this->shop->differences())->toBe([]);
    $this->shop->reverse(App\Models\Booking::query()->where('kind', 'return')->latest('id')->firstOrFail());
    expect($sheet->refresh()->used_quantity)->toBe('5.000000')->and($this->shop->differences())->toBe([]);
});

it('lists the orders components lie in, those with more than is planned first', function () {
    $list = fn (Role $as): string => Words::of($this->actingAs($this->shop->as($as))->get('/returns')->assertOk());
    expect($list(Role::Storekeeper))->toContain('Nothing was issued to an open order.');
    $first = drums($this, '1');
    $over = drums($this, '2');
    drums($this, '3'); // nothing was issued to it
    $this->shop->issue($first, '0.5', ['H-7714' => '0.5']);
    $this->shop->issue($over, '5', ['H-7714' => '5'], 'two were bent', overPlan: true);
    $number = fn (OrderComponent $of): string => (string) Order::query()->whereKey($of->order_id)->value('number');
    // 75 m2 of the lot are worth 3 487.50
    expect($list(Role::CostClerk))->toContain(
        "More than planned € issued {$number($over)} Drum for 9 frames DRUM-9 running 1 1 232.50 "
        ."{$number($first)} Drum for 9 frames DRUM-9 running 1 23.25 Keys",
    );
});

it('takes one line of a booking back, once', function () {
    $order = $this->shop->order('EX-9E', '3');
    $this->shop->release($order);
    $lines = $order
        ->components()
        ->with('item')
        ->get()
        ->filter(fn ($component): bool => in_array($component->item->number, ['MOT-120', 'BRG-25', 'GATE-40'], true));
    $booking = app(IssueComponents::class)->handle(
        array_values(
            $lines->map(fn ($component) => UseLine::planned($component, (string) $component->openQuantity()))->all(),
        ),
        false,
        $this->shop->sign(Role::Storekeeper, token: 'i'),
    );
    $move = $booking
        ->moves()
        ->where('item_id', $this->shop->item('GATE-40')->id)
        ->firstOrFail();
    $back = fn (string $token) => app(ReverseLines::class)->handle(
        $booking->id,
        [$move->id],
        $this->shop->sign(Role::Storekeeper, 'wrong gate', $token),
    );
    $back('l1');
    expect($this->shop->component($order, 'GATE-40')->used_quantity)->toBe('0.000000')
        ->and($this->shop->component($order, 'MOT-120')->used_quantity)->toBe('3.000000')
        ->and($this->shop->stock('GATE-40'))->toBe(['quantity' => '40', 'value' => 44800])
        ->and($this->shop->differences())->toBe([]);
    expect(fn () => $back('l2'))->toThrow(Refused::class, 'taken back already');
    // the whole booking then takes back only what is left of it
    $this->shop->reverse($booking);
    expect($this->shop->stock('MOT-120')['quantity'])->toBe('14')
        ->and((int) DB::table('cost_entries')->where('order_id', $order->id)->sum('cents'))->toBe(0)
        ->and($this->shop->differences())->toBe([]);
});

it('names what must be undone first', function () {
    $in = $this->shop->goodsIn('SS-15', '5', '46', 'H-9', null, 'RACK');
    $used = $this->shop->issue(drums($this), '5', ['H-9' => '5']);
    expect(fn () => $this->shop->reverse($in))->toThrow(
        Refused::class,
        "Undo first: booking {$used->id} (1 component issued to",
    );
    $this->shop->reverse($used);
    $this->shop->reverse($in);
    expect($this->shop->differences())->toBe([]);
});

it('corrects the lot in one booking, even when the product is closed: stock, order and cost', function (bool $closed) {
    $sheet = drums($this, '3');
    $order = Order::query()->findOrFail($sheet->order_id);
    $booking = $this->shop->issue($sheet, (string) $sheet->openQuantity(), [
        'H-7714' => (string) $sheet->openQuantity(),
    ]);
    if ($closed) {
        $this->shop->issueAll($order);
        $this->shop->workThrough($order);
        $this->shop->receive($order, '3', place: 'STORES');
        $this->shop->close($order->refresh());
    }
    $used = $sheet->refresh()->used_quantity;
    $move = $booking->moves()->firstOrFail();
    app(CorrectLot::class)->handle(
        $move->id,
        'h-7731',
        '2',
        $this->shop->sign(Role::Storekeeper, 'read off the sheet', 'k'),
    );
    expect($sheet->refresh()->used_quantity)->toBe($used)
        ->and($this->shop->stock('SS-15', 'H-7731')['quantity'])->toBe('48')
        ->and($this->shop->stock('SS-15', 'H-7731')['value'])->toBe(237200 - 9488)
        ->and($this->shop->differences())->toBe([]);
    expect(
        fn () => app(CorrectLot::class)->handle(
            $move->id,
            'H-7731',
            '1',
            $this->shop->sign(Role::Storekeeper, 'again', 'k2'),
        ),
    )->toThrow(Refused::class, 'corrected already');
})->with([false, true]);

it('corrects no more of a lot than lies in the order still: the rest went over with a split', function () {
    $sheet = drums($this, '4');
    $order = Order::query()->findOrFail($sheet->order_id);
    $move = $this->shop
        ->issue($sheet, (string) $sheet->openQuantity(), ['H-7714' => (string) $sheet->openQuantity()])
        ->moves()
        ->firstOrFail();
    $split = app(SplitOrder::class)
        ->handle($order->id, $order->refresh()->version, '2', $this->shop->sign(Role::Planner, 'half goes first'));
    expect($split->says)->toContain('split off');
    $correct = fn (?string $quantity) => app(CorrectLot::class)
        ->handle($move->id, 'H-7731', $quantity, $this->shop->sign(Role::Storekeeper, 'read off the sheet'));
    expect(fn () => $correct(null))->toThrow(Refused::class, 'of H-7714 lie in the order still');
    $correct('1');
    expect($this->shop->differencesWhenPlanned())->toBe([]);
});

it('refuses a correction that changes nothing, or names what is not there', function () {
    $sheet = drums($this, '3');
    $move = $this->shop
        ->issue($sheet, '2', ['H-7714' => '2'])
        ->moves()
        ->firstOrFail();
    $correct = fn (string $code, ?string $quantity = null) => app(CorrectLot::class)->handle(
        $move->id,
        $code,
        $quantity,
        $this->shop->sign(Role::Storekeeper, 'x'),
    );
    expect(fn () => $correct('H-7714'))->toThrow(Refused::class, 'is what is booked')
        ->and(fn () => $correct('H-0'))->toThrow(Refused::class, 'There is no lot H-0')
        ->and(fn () => $correct('H-7731', '3'))->toThrow(Refused::class, '2 were booked from this lot');
    expect($this->shop->differences())->toBe([]);
});

it('keeps stock hard for one order: others are told, the rank does not give it away', function () {
    $first = $this->shop->order('EX-9E', '10');
    $second = $this->shop->order('EX-9E', '10', '2026-12-20');
    $this->shop->release($first);
    $this->shop->release($second);
    $reserve = fn (Order $order, string $quantity) => app(ReserveStock::class)->handle(
        $order->id,
        $this->shop->item('MOT-120')->id,
        '',
        $quantity,
        $this->shop->sign(Role::Supervisor, 'promised by phone'),
    );
    $reserve($second, '10');
    expect(fn () => $reserve($second, '1'))->toThrow(Refused::class, 'Keep no more than it takes')
        ->and(fn () => $reserve($first, '5'))->toThrow(Refused::class, 'kept for order');
    $given = fn (Order $order): string => DB::table('plan_components')
        ->where('component_id', $this->shop->component($order, 'MOT-120')->id)
        ->value('from_stock');
    expect([$given($first), $given($second)])->toBe(['4.000000', '10.000000']);
    expect(fn () => $this->shop->issue($this->shop->component($first, 'MOT-120'), '5'))->toThrow(
        Refused::class,
        '5 of MOT-120 Drive motor 120 W asked for, 4 are free: the rest is kept for order',
    );
    $this->shop->issue($this->shop->component($second, 'MOT-120'), '6');
    expect(DB::table('ties')->where('is_hard', true)->value('quantity'))->toBe('4.000000')
        ->and($this->shop->differences())->toBe([]);
    $row = DB::table('ties')->where('is_hard', true)->first();
    app(ReserveStock::class)->giveUp($row->id, $this->shop->sign(Role::Supervisor, 'no longer', 'g'));
    $this->shop->issue($this->shop->component($first, 'MOT-120'), '5');
    expect($this->shop->differences())->toBe([]);
});

it("uses a customer's own material only for that customer, without value", function () {
    DB::table('structure_lines')
        ->where('item_id', $this->shop->item('MOT-120')->id)
        ->update(['supplied_by' => 'customer']);
    $co = $this->shop->customerOrder(['EX-9E' => '2']);
    $this->shop->cover($co, App\Actions\Cover\CoverBy::StockThenOrder);
    $order = Order::query()->latest('id')->firstOrFail();
    $this->shop->release($order);
    $motor = $this->shop->component($order, 'MOT-120');
    expect($order->refresh()->owner_id)->toBe($co->customer_id)
        ->and(DB::table('plan_components')->where('component_id', $motor->id)->value('missing'))->toBe('2.000000');
    expect(fn () => $this->shop->issue($motor, '2'))->toThrow(
        Refused::class,
        '2 of MOT-120 Drive motor 120 W asked for, 0 there',
    );
    app(GoodsIn::class)->handle(
        new Arrival(
            $motor->item_id,
            new TypedQuantity('2'),
            '80',
            $this->shop->place('STORES')->id,
            owner: $co->customer_id,
        ),
        $this->shop->sign(Role::Storekeeper, token: 'own'),
    );
    expect($this->shop->stock('MOT-120')['value'])->toBe(117600);
    $this->shop->issue($motor, '2');
    expect($motor->refresh()->used_value)->toBe(0)
        ->and($this->shop->stock('MOT-120'))->toBe(['quantity' => '14', 'value' => 117600])
        ->and($this->shop->differences())->toBe([]);
});

<?php

use App\Access\Role;
use App\Actions\Apart\TakeApart;
use App\Actions\Apart\TypedApart;
use App\Actions\Apart\TypedApartPart;
use App\Actions\Orders\CloseOrder;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\GoodsIn;
use App\Actions\Stock\ScrapStock;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\Customer;
use App\Models\Order;
use App\Models\WorkCentre;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Grade;
use KeepPace\Core\Stock\ScrapClass;
use Tests\Support\Words;

/* Units that are taken apart for their parts, as in trade.md W17. */

beforeEach(function (): void {
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,tracking,cost,costing\n"
            ."MILL-X,Machine,assembled,pc,serial,420,own\n"
            ."GEAR-X,Gearbox,bought,pc,serial,200,own\n"
            ."MOTOR-X,Motor,bought,pc,none,150,average\n"
            ."DRUM-X,Drum,bought,pc,none,80,average\n",
        'structures.csv' => "item,position,component,quantity\n"
            ."MILL-X,10,GEAR-X,1\nMILL-X,20,MOTOR-X,1\nMILL-X,30,DRUM-X,1\n",
    ]);
    $this->shop->goodsIn('MILL-X', '1', '420', 'M-1', place: 'FINISHED');
    WorkCentre::query()->where('code', 'BENCH')->update([
        'labour_rate' => '40',
        'machine_rate' => '0',
        'overhead_percent' => '0',
        'overhead_hour' => '0',
        'overhead_piece' => '0',
    ]);
});

/** @param  array<int, TypedApartPart>|null  $parts */
function takenApart(object $test, ?array $parts = null, int $minutes = 90): Booking
{
    $unit = Balance::query()->where('item_id', $test->shop->item('MILL-X')->id)->where('quantity', '>', 0)->sole();

    return app(TakeApart::class)->handle(new TypedApart(
        $unit->id,
        $minutes,
        WorkCentre::query()->where('code', 'BENCH')->value('id'),
        $test->shop->place('STORES')->id,
        $parts ?? [
            new TypedApartPart('GEAR-X', '1', '45', Grade::Good, 'G-77'),
            new TypedApartPart('MOTOR-X', '1', '35', Grade::Rework),
            new TypedApartPart('DRUM-X', '1', '20', Grade::Scrap),
        ],
    ), $test->shop->sign(Role::Operator));
}

it('gives each part its share, blocks what is to be reworked and scraps what is scrap', function (): void {
    // trade.md, W17
    $booking = takenApart($this);
    $order = Order::query()->findOrFail($booking->order_id);
    $blocked = Balance::query()->where('item_id', $this->shop->item('MOTOR-X')->id)->sole();
    $variance = DB::table('cost_entries')->where('order_id', $order->id)->where('kind', 'variance');

    expect($this->shop->stock('GEAR-X'))->toBe(['quantity' => '1', 'value' => 21_600])
        ->and($this->shop->stock('MOTOR-X'))->toBe(['quantity' => '1', 'value' => 16_800])
        ->and($blocked->condition)->toBe('blocked')
        ->and($this->shop->stock('DRUM-X'))->toBe(['quantity' => '0', 'value' => 0])
        ->and((int) DB::table('moves')->where('booking_id', $booking->id)->where('scrap_class', 'other')->sum('value'))
        ->toBe(9_600)
        ->and($this->shop->stock('MILL-X')['quantity'])->toBe('0')
        ->and($order->state)->toBe(OrderState::Closed)
        ->and((int) $variance->sum('cents'))->toBe(0)
        ->and($booking->says)->toContain('MILL-X Machine M-1 taken apart')->toContain('1 pc DRUM-X Drum scrap')
        ->and($this->shop->differences())->toBe([]);
    // scrap is in no stock, and the order's page does not say that it is
    $page = Words::of($this->actingAs($this->shop->as(Role::CostClerk))->get("/orders/{$order->id}"));
    expect($page)->toContain('received into stock 384.00')->toContain('came out as scrap 96.00')
        ->toContain('still in the order 0.00')->toContain('recovered part, 1 pc of it scrap 1 1 pc')
        ->toContain('recovered part 1 1 pc')->toContain('None: it was taken apart.')->not->toContain('for the shelf');
});

it('is put together again by one reversal', function (): void {
    $booking = takenApart($this);
    $this->shop->reverse($booking);

    expect($this->shop->stock('MILL-X'))->toBe(['quantity' => '1', 'value' => 42_000])
        ->and($this->shop->stock('GEAR-X')['quantity'])->toBe('0')
        ->and(Order::query()->findOrFail($booking->order_id)->state)->toBe(OrderState::Cancelled)
        ->and($this->shop->differences())->toBe([]);
});

it('is not taken back when one of its parts was used since', function (): void {
    $booking = takenApart($this);
    $gear = Balance::query()->where('item_id', $this->shop->item('GEAR-X')->id)->where('quantity', '>', 0)->sole();
    app(ScrapStock::class)->handle(
        $gear->id,
        '1',
        ScrapClass::Handling,
        $this->shop->sign(Role::Storekeeper, 'dropped'),
    );

    expect(fn () => $this->shop->reverse($booking))->toThrow(Refused::class, 'has been used since');
});

it('keeps the parts of a customer\'s own unit theirs, at nil', function (): void {
    $customer = Customer::query()->firstOrFail()->id;
    $this->shop->reverse(Booking::query()->where('kind', 'goods_in')->latest('id')->firstOrFail());
    app(GoodsIn::class)->handle(new Arrival(
        $this->shop->item('MILL-X')->id,
        new TypedQuantity('1'),
        '0',
        $this->shop->place('FINISHED')->id,
        'THEIRS-1',
        owner: $customer,
    ), $this->shop->sign(Role::Storekeeper));
    $booking = takenApart($this);
    $parts = Balance::query()->where('quantity', '>', 0)->where('owner_id', $customer)->pluck('item_id');

    $order = Order::query()->findOrFail($booking->order_id);
    $costs = fn (string $kind): int => (int) DB::table('cost_entries')
        ->where('order_id', $order->id)
        ->where('kind', $kind)
        ->sum('cents');

    expect($parts)->toContain($this->shop->item('GEAR-X')->id)->toContain($this->shop->item('MOTOR-X')->id)
        ->and($this->shop->stock('GEAR-X')['value'])->toBe(0)
        // trade.md, W17: the work stays in the order
        ->and($booking->says)->toContain('The 60.00 € of work stay in the order until it is closed.')
        ->and($order->state)->toBe(OrderState::Built)
        ->and([$costs('labour'), $costs('variance')])->toBe([6_000, 0])
        ->and($this->shop->stock('MILL-X')['quantity'])->toBe('0')
        ->and($this->shop->differences())->toBe([]);
    $closed = app(CloseOrder::class)->handle($order->id, $this->shop->sign(Role::CostClerk));
    expect($order->refresh()->state)->toBe(OrderState::Closed)
        ->and($costs('variance'))->toBe(-6_000)
        ->and($this->shop->stock('GEAR-X')['value'])->toBe(0)
        ->and($this->shop->differences())->toBe([]);
    $this->shop->reverse($closed);
    $this->shop->reverse($booking);
    expect($order->refresh()->state)->toBe(OrderState::Cancelled)
        ->and([$costs('labour'), $costs('variance')])->toBe([0, 0])
        ->and($this->shop->differences())->toBe([]);
});

it('books nothing when a share, a part or a serial is wrong', function (array $parts, string $says): void {
    $count = Booking::query()->count();

    expect(fn () => takenApart($this, $parts))->toThrow(Refused::class, $says)
        ->and(Booking::query()->count())->toBe($count)
        ->and($this->shop->stock('MILL-X')['quantity'])->toBe('1');
})->with([
    'not 100' => [[new TypedApartPart('MOTOR-X', '1', '60')], 'come to 60 per cent'],
    'no serial' => [[new TypedApartPart('GEAR-X', '1', '100')], '1 of 1 serials are still to be named'],
    'itself' => [[new TypedApartPart('MILL-X', '1', '100')], 'is what is taken apart'],
    'no such part' => [[new TypedApartPart('NONE-X', '1', '100')], 'No item has the number NONE-X'],
    'half a motor' => [[new TypedApartPart('MOTOR-X', '0.5', '100')], 'pc'],
]);

it('shows what is there and what comes out, and books what is typed', function (): void {
    $this->actingAs($this->shop->as(Role::Operator))
        ->get('/taking-apart?item=mill-x')
        ->assertOk()
        ->assertSee('M-1, at Finished goods')
        ->assertSee('value="46.51"', false); // 200 of 430
    $this->get('/taking-apart?item=none')->assertSee('No item has the number none');
    $this->get('/taking-apart')->assertOk();
});

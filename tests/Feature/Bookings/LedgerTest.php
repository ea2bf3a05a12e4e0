<?php

use App\Access\Role;
use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Numbers;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\ScrapClass;
use KeepPace\Core\Stock\StockKey;
use KeepPace\Core\Stock\StockRefused;

/** Books what the closure writes, as a storekeeper's count. */
function book(object $test, Closure $work, string $token = 'ledger', string $fingerprint = ''): Booking
{
    $signed = new Signed($token, $test->shop->as(Role::Storekeeper), fingerprint: $fingerprint);

    return app(Bookings::class)->once(BookingKind::Count, $signed, Part::writing($work));
}

it('moves only what was locked, and locks once', function () {
    $item = $this->shop->item('BRG-25');
    $key = new StockKey($item->id, $this->shop->place('STORES')->id);
    expect(
        fn () => book($this, fn (Ledger $ledger) => $ledger->moves->move(
            $item,
            BigDecimal::one(),
            700,
            End::stock($key),
            End::scrap(ScrapClass::Handling),
        ), 'a'),
    )->toThrow(LogicException::class, 'was not locked first');
    expect(
        fn () => book(
            $this,
            function (Ledger $ledger) use ($key): void {
                $ledger->stock->lock([$key->item]);
                $ledger->stock->lock([$key->item]);
            },
            'b',
        ),
    )->toThrow(LogicException::class, 'locked at once');
    expect(
        Booking::query()
            ->whereIn('token', ['a', 'b'])
            ->exists(),
    )
        ->toBeFalse()
        ->and($this->shop->differences())->toBe([]);
});

it('writes nothing of a deed that is refused at its end', function () {
    $item = $this->shop->item('BRG-25');
    $key = new StockKey($item->id, $this->shop->place('STORES')->id);
    $before = [DB::table('moves')->count(), $this->shop->stock('BRG-25')];
    expect(fn () => book($this, function (Ledger $ledger) use ($item, $key): void {
        $ledger->stock->lock([$key->item]);
        $ledger->stock->read([$key]);
        $ledger->moves->move($item, BigDecimal::of(5), 3425, End::stock($key), End::scrap(ScrapClass::Handling));
        throw Refused::because('no after all');
    }))->toThrow(Refused::class);
    expect([DB::table('moves')->count(), $this->shop->stock('BRG-25')])->toBe($before);
});

it('takes no balance below zero, in quantity or in value, nor leaves value behind', function (
    string $quantity,
    int $value,
    string $says,
) {
    $item = $this->shop->item('BRG-25'); // 80 pieces for 548.00
    $key = new StockKey($item->id, $this->shop->place('STORES')->id);
    expect(fn () => book($this, function (Ledger $ledger) use ($item, $key, $quantity, $value): void {
        $ledger->stock->lock([$key->item]);
        $ledger->stock->read([$key]);
        $scrap = End::scrap(ScrapClass::Handling);
        $ledger->moves->move($item, BigDecimal::of($quantity), $value, End::stock($key), $scrap);
    }))->toThrow(StockRefused::class, $says);
    expect($this->shop->differences())->toBe([]);
})->with([
    ['81', 10, '81 of BRG-25'],
    ['10', 10_000_000, 'mixed with other receipts'],
    ['80', 1, 'mixed with other receipts'],
]);

it('keeps condition and owner apart', function () {
    $item = $this->shop->item('BRG-25');
    $free = new StockKey($item->id, $this->shop->place('STORES')->id);
    $blocked = new StockKey($item->id, $this->shop->place('STORES')->id, condition: Condition::Blocked);
    $theirs = new StockKey($item->id, $this->shop->place('STORES')->id, owner: 3);
    book($this, function (Ledger $ledger) use ($item, $free, $blocked, $theirs): void {
        $ledger->stock->lock([$free->item]);
        $ledger->stock->read([$free, $blocked, $theirs]);
        $ledger->moves->move($item, BigDecimal::of(5), null, End::stock($free), End::stock($blocked));
        $ledger->moves->move($item, BigDecimal::of(7), 0, End::outside(), End::stock($theirs));
    });
    expect(DB::table('balances')->where('item_id', $item->id)->where('quantity', '>', 0)->count())->toBe(3)
        ->and($this->shop->differences())->toBe([]);
    // neither is issued, nor promised
    $order = $this->shop->order('EX-9H', '40');
    $this->shop->release($order);
    $line = $order->components->first(fn ($component): bool => $component->item->number === 'BRG-25');
    expect(fn () => $this->shop->issue($line, '76'))->toThrow(Refused::class, '75 there');
});

it('numbers without gaps, passes typed numbers by, and gives blocks', function () {
    expect(Numbers::next('serial'))->toBe('MX-10001')
        ->and(Numbers::block('serial', 3))->toBe(['MX-10002', 'MX-10003', 'MX-10004'])
        ->and(Numbers::next('serial'))->toBe('MX-10005');
    Numbers::passBy('order', ['300', '1e9', 'X-999', '0299']);
    expect($this->shop->order('LID-9', '1')->number)->toBe('301');
    Numbers::passBy('order', ['7']);
    expect($this->shop->order('LID-9', '1')->number)->toBe('302');
    DB::beginTransaction();
    Numbers::next('order');
    DB::rollBack();
    expect($this->shop->order('LID-9', '1')->number)->toBe('303');
});

it('says what was done, in a sentence that fits', function () {
    $booking = book($this, fn (Ledger $ledger) => $ledger->says(str_repeat('long ', 100)));
    expect(mb_strlen($booking->refresh()->says))->toBeLessThanOrEqual(300)->and($booking->says)->toEndWith('…');
});

it('answers the same for a token sent again, whoever sends it', function () {
    $first = book($this, fn (Ledger $ledger) => $ledger->says('done'), 'same');
    $ran = false;
    $again = book(
        $this,
        function () use (&$ran): void {
            $ran = true;
        },
        'same',
    );
    expect($again->id)->toBe($first->id)
        ->and($ran)->toBeFalse()
        ->and(Booking::query()->where('token', 'same')->count())->toBe(1);
    expect(fn () => book($this, fn (Ledger $ledger) => null, 'same', '0123456789abcdef'))->toThrow(
        Refused::class,
        'This form was sent before and booked: done',
    );
});

it('ends the promises of an order that is built short', function () {
    $customerOrder = $this->shop->customerOrder(['TRAY-40' => '5']);
    $this->shop->cover($customerOrder);
    $order = App\Models\Order::query()->latest('id')->firstOrFail();
    $this->shop->release($order);
    $steps = $order->steps()->get();
    $this->shop->report($steps[0], '4', '4', '1');
    $this->shop->report($steps[1], '4', '4');
    $this->shop->report($steps[2], '4');
    $this->shop->receive($order, '4');
    expect($order->refresh()->state->value)->toBe('built')
        ->and($this->shop->covers($order))->toBe('0.000000');
    $this->actingAs($this->shop->as(Role::Sales))
        ->get("/customer-orders/{$customerOrder->id}")
        ->assertSee('4 from stock, 1 not covered');
    expect($this->shop->differences())->toBe([]);
});

it('gives serials by the numbering, or as they were scanned', function () {
    $order = $this->shop->order('CTRL-3', '3');
    $this->shop->release($order);
    $this->shop->issueAll($order);
    $this->shop->workThrough($order);
    $this->shop->receive($order, '2', place: 'STORES');
    expect(
        DB::table('lots')->where('item_id', $order->item_id)->where('code', 'like', 'MX-%')->pluck('code')->all(),
    )->toBe(['MX-10001', 'MX-10002']);
    expect(fn () => $this->shop->receive($order, '1', "A-1\nA-2", 'STORES'))->toThrow(
        Refused::class,
        '2 serials for 1 pieces',
    );
    $this->shop->receive($order, '1', 'A-1', 'STORES');
    expect(DB::table('lots')->where('code', 'A-1')->exists())->toBeTrue()->and($this->shop->differences())->toBe([]);
});

<?php

use App\Access\Role;
use App\Actions\Cover\CoverBy;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\ChangeCondition;
use App\Actions\Stock\CountBalance;
use App\Actions\Stock\GoodsIn;
use App\Actions\Stock\ScrapStock;
use App\Books\Signed;
use App\Models\Balance;
use App\Models\Booking;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\ScrapClass;

it('books goods in, by another unit, to the cent', function () {
    $before = $this->shop->stock('SS-15');
    $booking = $this->shop->goodsIn('SS-15', '3', '46.51', 'H-9001', 'sheet', 'RACK');
    expect($this->shop->stock('SS-15', 'H-9001'))->toBe(['quantity' => '9.375', 'value' => 43603])
        ->and($booking->moves()->first()->typed_quantity)->toBe('3.000000');
    expect($this->shop->stock('SS-15')['value'])->toBe($before['value'] + 43603)
        ->and($this->shop->differences())->toBe([]);
});

it('refuses goods in that cannot be', function (
    string $item,
    string $quantity,
    string $codes,
    ?string $unit,
    string $says,
) {
    $count = Booking::query()->count();
    expect(fn () => $this->shop->goodsIn($item, $quantity, '1', $codes, $unit))->toThrow(Refused::class, $says);
    expect(Booking::query()->count())->toBe($count);
})->with([
    'no lot' => ['SS-15', '3', '', null, 'tracked by lot'],
    'two lots' => ['SS-15', '3', "A\nB", null, 'how much came of lot A'],
    'a lot on what has none' => ['MOT-120', '1', 'A', null, 'not tracked'],
    'half a piece' => ['MOT-120', '1.5', '', null, 'whole'],
    'a unit without conversion' => ['MOT-120', '1', '', 'm', 'not counted in m'],
    'serials short' => ['GBOX-1', '3', "S1\nS2", null, '1 of 3 serials'],
    'serials over' => ['GBOX-1', '1', "S1\nS2", null, 'Take 1 out'],
    'a serial twice' => ['GBOX-1', '2', "S1\nS1", null, 'twice'],
]);

it('does not take a serial in twice', function () {
    $this->shop->goodsIn('GBOX-1', '1', '100', 'S-77');
    expect(fn () => $this->shop->goodsIn('GBOX-1', '1', '100', 'S-77'))->toThrow(
        Refused::class,
        'In stock already: S-77',
    );
});

it('issues oldest lots first, and a named lot when asked', function () {
    $order = $this->shop->order('DRUM-9', '40');
    $this->shop->release($order);
    $sheet = $order->components()->orderBy('id')->firstOrFail();
    $this->shop->issue($sheet, '5', ['H-7731' => '5']);
    $this->shop->issue($sheet, '60');
    // 24 sheets of 3.125 m2 lie in H-7714, so 60 come from it alone
    expect($this->shop->stock('SS-15', 'H-7714')['quantity'])->toBe('15')
        ->and($this->shop->stock('SS-15', 'H-7731')['quantity'])->toBe('45')
        ->and($this->shop->differences())->toBe([]);
});

it('issues more than planned only when it is meant', function () {
    $order = $this->shop->order('EX-9E', '1');
    $this->shop->release($order);
    $motor = $order->components()->whereRelation('item', 'number', 'MOT-120')->firstOrFail();
    expect(fn () => $this->shop->issue($motor, '2', [], 'one burnt out'))->toThrow(
        Refused::class,
        'more than the 1 still planned',
    );
    expect(fn () => $this->shop->issue($motor, '2', [], '', true))->toThrow(Refused::class, 'Say why');
    expect($this->shop->issue($motor, '2', [], 'one burnt out', true)->reason)->toBe('one burnt out')
        ->and($motor->refresh()->used_quantity)->toBe('2.000000')
        ->and($this->shop->differences())->toBe([]);
});

it('does not issue what is promised to a customer line', function () {
    $this->shop->goodsIn('GBOX-1', '1', '100', 'S-1');
    DB::table('items')->where('number', 'GBOX-1')->update(['price' => 300]);
    $this->shop->cover($this->shop->customerOrder(['GBOX-1' => '1']), CoverBy::Stock);
    $order = $this->shop->order('EX-9E', '1');
    $this->shop->release($order);
    $gearbox = $order->components()->whereRelation('item', 'number', 'GBOX-1')->firstOrFail();
    expect(fn () => $this->shop->issue($gearbox, '1'))->toThrow(Refused::class, 'promised');
});

it('books counts at the average, and not below what is promised', function () {
    $balance = DB::table('balances')->where('item_id', $this->shop->item('MOT-120')->id)->first();
    $count = fn (string $counted, string $token) => app(CountBalance::class)
        ->handle($balance->id, $counted, $this->shop->sign(Role::Storekeeper, 'one fell behind the rack', $token));
    expect(fn () => $count('14', 'n1'))->toThrow(Refused::class, 'agrees');
    $count('12', 'n2');
    expect($this->shop->stock('MOT-120'))->toBe(['quantity' => '12', 'value' => 100800]);
    $count('15', 'n3');
    expect($this->shop->stock('MOT-120'))->toBe(['quantity' => '15', 'value' => 126000])
        ->and($this->shop->differences())->toBe([]);
});

it('gives the same answer for 10 as for 3 + 7, and in another unit', function () {
    $all = $this->shop->goodsIn('SS-20', '31.25', '64', 'X-1', null, 'RACK');
    $parts = [
        $this->shop->goodsIn('SS-20', '3', '64', 'X-2', 'sheet', 'RACK'),
        $this->shop->goodsIn('SS-20', '7', '64', 'X-2', 'sheet', 'RACK'),
    ];
    expect($this->shop->stock('SS-20', 'X-1')['quantity'])->toBe($this->shop->stock('SS-20', 'X-2')['quantity'])
        ->and($this->shop->stock('SS-20', 'X-1')['value'])->toBe($this->shop->stock('SS-20', 'X-2')['value']);
});

it(
    'counts nothing that lies at a supplier as on hand: what is promised is not scrapped, blocked or counted away',
    function (string $deed) {
        $lid = $this->shop->item('LID-9');
        $this->shop->cover($this->shop->customerOrder(['LID-9' => '7']), CoverBy::Stock); // of the 8 in stores
        $supplier = DB::table('places')->insertGetId([
            'code' => 'GRINDER',
            'name' => 'At the grinder',
            'kind' => 'supplier',
        ]);
        app(GoodsIn::class)->handle(
            new Arrival($lid->id, new TypedQuantity('10'), '41', $supplier),
            $this->shop->sign(Role::Storekeeper, token: 'there'),
        );
        $balance = Balance::query()->where('item_id', $lid->id)->where('quantity', '8')->firstOrFail()->id;
        $as = $this->shop->as(Role::Storekeeper);
        expect(
            fn () => match ($deed) {
                'scrap' => app(ScrapStock::class)->handle(
                    $balance,
                    '2',
                    ScrapClass::Handling,
                    new Signed('t', $as, 'x'),
                ),
                'block' => app(ChangeCondition::class)->handle(
                    $balance,
                    '2',
                    Condition::Blocked,
                    new Signed('t', $as, 'x'),
                ),
                default => app(CountBalance::class)->handle($balance, '6', new Signed('t', $as, 'x')),
            },
        )->toThrow(Refused::class, 'promised');
        expect($this->shop->differences())->toBe([]);
    },
)->with(['scrap', 'block', 'count']);

<?php

use App\Access\Role;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\ChangeCondition;
use App\Actions\Stock\GoodsIn;
use App\Actions\Usage\ProposeSlip;
use App\Models\Balance;
use App\Models\Lot;
use App\Models\OrderComponent;
use App\Models\Slip;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Condition;

/* Lots that expire, are blocked or in inspection. Grease: first to expire goes first, with 14 days left at issue. */

/** Grease of a lot, 10 cartridges. */
function grease(object $test, string $lot, ?string $expires, Condition $as = Condition::Free): void
{
    app(GoodsIn::class)->handle(
        new Arrival(
            $test->shop->item('GREASE-4')->id,
            new TypedQuantity('10'),
            '7.40',
            $test->shop->place('STORES')->id,
            $lot,
            as: $as,
            expiresOn: $expires,
        ),
        $test->shop->sign(Role::Storekeeper),
    );
}

/** A released order for gearboxes takes one cartridge each. */
function gearboxes(object $test, string $pieces): OrderComponent
{
    $order = $test->shop->order('GBOX-1', $pieces);
    $test->shop->release($order);

    return $test->shop->component($order, 'GREASE-4');
}

beforeEach(function () {
    DB::table('balances')
        ->where('item_id', $this->shop->item('GREASE-4')->id)
        ->update(['quantity' => 0]);
    DB::table('stock_values')
        ->where('item_id', $this->shop->item('GREASE-4')->id)
        ->update(['quantity' => 0, 'value' => 0]);
    // behind the back of the books, where nothing is ever deleted
    DB::statement('DELETE m FROM moves m JOIN items i ON i.id = m.item_id WHERE i.number = "GREASE-4"');
});

it('takes the first to expire, leaves alone what has not its days left, and what is not free', function () {
    grease($this, 'LATE', '2027-06-30');
    grease($this, 'SOON', '2026-12-31');
    grease($this, 'TOO-OLD', '2026-12-05'); // eleven days left
    grease($this, 'LOOKED-AT', '2026-12-20', Condition::InInspection);
    $component = gearboxes($this, '12');
    $slip = app(ProposeSlip::class)->handle(
        [$component->order_id],
        'whole',
        null,
        $this->shop->sign(Role::Storekeeper, token: 's'),
    );
    $line = $slip->lines()->with('splits')->where('item_id', $component->item_id)->firstOrFail();
    expect($line->splits->map(fn ($split): array => [$split->code, $split->typed])->all())->toBe([
        ['SOON', '10'],
        ['LATE', '2'],
    ]);
    $this->shop->issue($component, '11');
    expect($this->shop->stock('GREASE-4', 'SOON')['quantity'])->toBe('0')
        ->and($this->shop->stock('GREASE-4', 'LATE')['quantity'])->toBe('9')
        ->and($this->shop->stock('GREASE-4', 'TOO-OLD')['quantity'])->toBe('10');
    expect(fn () => $this->shop->issue($component, '1', ['TOO-OLD' => '1']))
        ->toThrow(Refused::class, 'expires on 2026-12-05, and must have 14 days left')
        ->and(fn () => $this->shop->issue($component, '1', ['LOOKED-AT' => '1']))
        ->toThrow(Refused::class, 'in inspection');
    expect($this->shop->differences())->toBe([]);
});

it('may be used again after a re-test gave it a new date', function () {
    grease($this, 'OLD', '2026-11-30');
    $component = gearboxes($this, '2');
    expect(fn () => $this->shop->issue($component, '2', ['OLD' => '2']))->toThrow(Refused::class, 're-test');
    app(ChangeCondition::class)->expiry(
        (int) Lot::query()->where('code', 'OLD')->value('id'),
        '2027-03-01',
        $this->shop->sign(Role::Storekeeper, 'viscosity checked', 't'),
    );
    $this->shop->issue($component, '2', ['OLD' => '2']);
    expect($this->shop->differences())->toBe([]);
});

it('sets free what was inspected, value unchanged, and back by a reversal', function () {
    grease($this, 'NEW', '2027-06-30', Condition::InInspection);
    $balance = Balance::query()->where('condition', 'inspection')->firstOrFail();
    $before = $this->shop->stock('GREASE-4');
    $booking = app(ChangeCondition::class)->handle(
        $balance->id,
        '4',
        Condition::Free,
        $this->shop->sign(Role::Storekeeper, 'passed', 'c'),
    );
    expect(
        DB::table('balances')
            ->where('item_id', $balance->item_id)
            ->where('quantity', '>', 0)
            ->orderBy('condition')
            ->pluck('quantity', 'condition')
            ->all(),
    )
        ->toBe(['free' => '4.000000', 'inspection' => '6.000000'])
        ->and($this->shop->stock('GREASE-4'))->toBe($before);
    expect(
        fn () => app(ChangeCondition::class)->handle(
            $balance->id,
            '7',
            Condition::Free,
            $this->shop->sign(Role::Storekeeper, 'x', 'c2'),
        ),
    )
        ->toThrow(Refused::class, '7 of GREASE-4')
        ->and(
            fn () => app(ChangeCondition::class)->handle(
                $balance->id,
                '1',
                Condition::InInspection,
                $this->shop->sign(Role::Storekeeper, 'x', 'c3'),
            ),
        )
        ->toThrow(Refused::class, 'in inspection already');
    $this->shop->reverse($booking);
    expect(
        DB::table('balances')
            ->where('item_id', $balance->item_id)
            ->where('quantity', '>', 0)
            ->pluck('condition')
            ->all(),
    )
        ->toBe(['inspection'])
        ->and($this->shop->differences())->toBe([]);
});

it('counts neither blocked stock nor a customer\'s own as there for an order', function () {
    grease($this, 'A', '2027-06-30', Condition::Blocked);
    app(GoodsIn::class)->handle(
        new Arrival(
            $this->shop->item('GREASE-4')->id,
            new TypedQuantity('5'),
            '1',
            $this->shop->place('STORES')->id,
            'B',
            owner: 3,
        ),
        $this->shop->sign(Role::Storekeeper, token: 'own'),
    );
    $component = gearboxes($this, '2');
    expect(DB::table('plan_components')->where('component_id', $component->id)->value('missing'))->toBe('2.000000');
    expect(fn () => $this->shop->issue($component, '1'))->toThrow(Refused::class, '0 there')
        ->and(fn () => $this->shop->issue($component, '1', ['B' => '1']))
        ->toThrow(Refused::class, 'There is no lot B of GREASE-4');
    $this->actingAs($this->shop->as(Role::Storekeeper))
        ->get('/stock?text=GREASE-4')
        ->assertSee('blocked')
        ->assertSee("'s own", false);
});

it('shows the planned step, the used and the on hand of a slip\'s lines, and books on the day it says', function () {
    grease($this, 'C', '2027-06-30');
    $component = gearboxes($this, '3');
    $slip = app(ProposeSlip::class)->handle(
        [$component->order_id],
        'step',
        10,
        $this->shop->sign(Role::Storekeeper, token: 's'),
    );
    $line = $slip->lines()->where('item_id', $component->item_id)->firstOrFail();
    $send = fn (string $day) => $this->actingAs($this->shop->as(Role::Storekeeper))
        ->from("/slips/{$slip->id}")
        ->put("/slips/{$slip->id}", [
            'token' => (string) Str::uuid(),
            'version' => Slip::query()->findOrFail($slip->id)->version,
            'do' => 'book',
            'booked_on' => $day,
            'lines' => $slip
                ->lines()
                ->where('id', '<>', $line->id)
                ->pluck('id')
                ->mapWithKeys(fn ($id): array => [$id => ['out' => '1']])
                ->all(),
        ]);
    $send('2026-12-01')->assertSessionHasErrors('booked_on');
    $send('2026-11-23')->assertSessionHasNoErrors();
    expect(
        App\Models\Booking::query()
            ->latest('id')
            ->firstOrFail()
            ->only(['booked_on', 'kind']),
    )
        ->toBe(['booked_on' => '2026-11-23', 'kind' => App\Models\BookingKind::Issue])
        ->and($component->refresh()->used_quantity)->toBe('3.000000')
        ->and($this->shop->differences())->toBe([]);
});

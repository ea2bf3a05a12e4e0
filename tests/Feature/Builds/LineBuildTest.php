<?php

use App\Access\Role;
use App\Actions\Builds\ShipAsBuilt;
use App\Actions\Cover\CoverBy;
use App\Actions\Cover\TieLine;
use App\Actions\Demand\CancelLine;
use App\Actions\Demand\ChangeCustomerLine;
use App\Actions\Orders\ChangeOrder;
use App\Actions\Orders\SplitOrder;
use App\Models\Booking;
use App\Models\CustomerOrder;
use App\Models\CustomerOrderLine;
use App\Models\Item;
use App\Models\Order;
use App\Queries\Demand\ShipList;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\NoLongerFor;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Refused;
use Tests\Support\ItemPage;

/* Builds that come with a customer line, follow it, and are booked as it is shipped. */

beforeEach(function (): void {
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,tracking,cost,costing,built_for_line\n"
            ."KIT-L,Spares kit,assembled,pc,none,30,average,yes\n"
            ."KIT-S,Sealed kit,assembled,pc,serial,30,own,yes\n"
            ."GASKET-L,Gasket,bought,pc,none,4,average,no\n"
            ."GREASE-L,Grease,bought,kg,none,12,average,no\n",
        'structures.csv' => "item,position,component,quantity,unit,basis\n"
            ."KIT-L,10,GASKET-L,3,,unit\n"
            ."KIT-L,20,GREASE-L,0.25,,unit\n"
            ."KIT-S,10,GASKET-L,1,,unit\n",
    ]);
    $this->shop->goodsIn('GASKET-L', '24', '4');
    $this->shop->goodsIn('GREASE-L', '2', '12');
});

function kitLine(object $test, string $quantity, string $item = 'KIT-L'): CustomerOrderLine
{
    return $test->shop->customerOrder([$item => $quantity])->lines->firstOrFail();
}

function buildOf(CustomerOrderLine $line): Order
{
    return Order::query()->where('follows_line_id', $line->id)->orderByDesc('id')->firstOrFail();
}

function changeKits(object $test, CustomerOrderLine $line, string $quantity, string $on = '2026-12-18'): Booking
{
    return app(ChangeCustomerLine::class)->handle(
        $line->id,
        CustomerOrder::query()->findOrFail($line->customer_order_id)->version,
        $quantity,
        $on,
        $test->shop->sign(Role::Sales, 'asked on the phone'),
    );
}

/** @param  array<string, mixed>  $over */
function shipKits(object $test, CustomerOrderLine $line, string $quantity, array $over = []): Booking
{
    return app(ShipAsBuilt::class)->handle(
        $line->customer_order_id,
        [$line->id => ['quantity' => $quantity, 'lot' => 0, ...$over]],
        $test->shop->sign(Role::Storekeeper),
    );
}

it('comes with its line, promised to it, due some working days before', function (): void {
    $line = kitLine($this, '6');
    $build = buildOf($line);
    expect($build->quantity)->toBe('6.000000')
        ->and($build->state)->toBe(OrderState::Firm)
        ->and((string) $line->covered()->stripTrailingZeros())->toBe('6')
        ->and($build->due_on)->toBeLessThan('2026-12-18')
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('brings none for what is not built so', function (): void {
    $line = $this->shop->customerOrder(['LID-9' => '2'])->lines->firstOrFail();
    expect(Order::query()->where('follows_line_id', $line->id)->exists())->toBeFalse()
        ->and($line->covered()->isZero())->toBeTrue();
});

it('is built by the shipment for just the pieces that go, again for the rest, and loses no cent', function (): void {
    // common practice: what goes out to the customer carries the parts of the pieces that go
    $line = kitLine($this, '6');
    $first = shipKits($this, $line, '4');
    $build = buildOf($line);
    expect($this->shop->stock('GASKET-L'))->toBe(['quantity' => '12', 'value' => 4_800])
        ->and($this->shop->stock('GREASE-L'))->toBe(['quantity' => '1', 'value' => 1_200])
        ->and($this->shop->stock('KIT-L'))->toBe(['quantity' => '0', 'value' => 0])
        ->and((string) $build->received()->stripTrailingZeros())->toBe('4')
        ->and($line->refresh()->shipped_quantity)->toBe('4.000000')
        ->and((int) DB::table('moves')->where('booking_id', $first->id)->where('item_id', $build->item_id)
            ->max('value'))->toBe(4 * (3 * 400 + 300));
    shipKits($this, $line, '2');
    expect($line->refresh()->is_open)->toBeFalse()
        ->and($build->refresh()->state)->toBe(OrderState::Built)
        ->and($this->shop->stock('GASKET-L')['quantity'])->toBe('6')
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('takes what lies there first, and builds only the rest', function (): void {
    $line = kitLine($this, '6');
    $build = buildOf($line);
    $this->shop->release($build);
    $this->shop->issueAll($build);
    $this->shop->receive($build, '2');
    shipKits($this, $line, '5');
    expect((string) $build->refresh()->received()->stripTrailingZeros())->toBe('5')
        ->and($line->refresh()->shipped_quantity)->toBe('5.000000')
        ->and($this->shop->stock('KIT-L')['quantity'])->toBe('0')
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('is taken back with its shipment: parts are back, the line is promised as before', function (): void {
    $line = kitLine($this, '6');
    $before = $this->shop->stock('GASKET-L');
    $this->shop->reverse(shipKits($this, $line, '4'));
    expect($this->shop->stock('GASKET-L'))->toBe($before)
        ->and($line->refresh()->shipped_quantity)->toBe('0.000000')
        ->and((string) $line->covered()->stripTrailingZeros())->toBe('6')
        ->and(buildOf($line)->state)->toBe(OrderState::Firm)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    shipKits($this, $line, '6');
    expect($line->refresh()->is_open)->toBeFalse()->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('refuses to ship more than parts are there for, beside the line, and books nothing', function (): void {
    $line = kitLine($this, '9');
    try {
        shipKits($this, $line, '9');
        $this->fail('It shipped what cannot be built.');
    } catch (Refused $refused) {
        expect($refused->reasons)->toHaveKey("lines.{$line->id}.quantity")
            ->and($refused->getMessage())->toContain('Gasket')->toContain('8 can be built of what is there');
    }
    expect($this->shop->stock('GASKET-L')['quantity'])->toBe('24')
        ->and(buildOf($line)->state)->toBe(OrderState::Firm)
        ->and($line->refresh()->shipped_quantity)->toBe('0.000000');
});

it('ships the very serials that were built, typed or by the rule', function (): void {
    $line = kitLine($this, '3', 'KIT-S');
    shipKits($this, $line, '2', ['codes' => "K-1\nK-2"]);
    $codes = fn (): array => DB::table('moves')
        ->join('lots', 'lots.id', 'moves.lot_id')
        ->join('places', 'places.id', 'moves.to_place_id')
        ->where('places.kind', 'customer')
        ->where('moves.item_id', $line->item_id)
        ->orderBy('lots.id')
        ->pluck('lots.code')
        ->all();
    expect($codes())->toBe(['K-1', 'K-2']);
    shipKits($this, $line, '1');
    expect($codes())->toHaveCount(3)->and($this->shop->differencesWhenPlanned())->toBe([]);
    expect(fn () => shipKits($this, kitLine($this, '2', 'KIT-S'), '2', ['codes' => 'K-9']))->toThrow(Refused::class);
});

it('follows quantity and day of its line', function (): void {
    $line = kitLine($this, '6');
    $due = buildOf($line)->due_on;
    expect(changeKits($this, $line, '8', '2027-01-15')->says)->toContain('follows: 8');
    $build = buildOf($line);
    expect($build->quantity)->toBe('8.000000')
        ->and($build->due_on)->toBeGreaterThan($due)
        ->and((string) $line->covered()->stripTrailingZeros())->toBe('8')
        ->and($build->components()->orderBy('position')->value('planned_quantity'))->toBe('24.000000');
    shipKits($this, $line, '3');
    changeKits($this, $line->refresh(), '5', '2027-01-15');
    expect(buildOf($line)->quantity)->toBe('5.000000')
        ->and((string) $line->refresh()->covered()->stripTrailingZeros())->toBe('2')
        ->and(fn () => changeKits($this, $line, '2', '2027-01-15'))->toThrow(Refused::class);
    changeKits($this, $line->refresh(), '3', '2027-01-15');
    expect($line->refresh()->is_open)->toBeFalse()
        ->and(buildOf($line)->state)->toBe(OrderState::Built)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    expect(changeKits($this, $line, '4', '2027-01-15')->says)->toContain('comes with it');
    expect(Order::query()->where('follows_line_id', $line->id)->count())->toBe(2)
        ->and((string) $line->refresh()->covered()->stripTrailingZeros())->toBe('1')
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('ends with its line, and goes on for the shelf where that is wished', function (): void {
    $cancel = fn (CustomerOrderLine $line, NoLongerFor $what): Booking => app(CancelLine::class)->handle(
        $line->id,
        CustomerOrder::query()->findOrFail($line->customer_order_id)->version,
        $what,
        null,
        $this->shop->sign(Role::Supervisor, 'No money.'),
    );
    $all = kitLine($this, '6');
    $build = buildOf($all);
    $cancel($all, NoLongerFor::Stop);
    expect($build->refresh()->state)->toBe(OrderState::Cancelled);

    $some = kitLine($this, '4');
    $build = buildOf($some);
    shipKits($this, $some, '1');
    $cancel($some, NoLongerFor::Stop);
    expect($build->refresh()->state)->toBe(OrderState::Built)->and($build->quantity)->toBe('1.000000');

    $shelf = kitLine($this, '4');
    $build = buildOf($shelf);
    $cancel($shelf, NoLongerFor::Shelf);
    expect($build->refresh()->state)->toBe(OrderState::Firm)
        ->and($build->follows_line_id)->toBeNull()
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('goes on following its line when another that it also covers is cancelled', function (): void {
    $line = kitLine($this, '4');
    $other = kitLine($this, '2');
    $build = buildOf($line);
    $own = buildOf($other);
    app(TieLine::class)->untie($other->covers()->firstOrFail()->id, $this->shop->sign(Role::Planner, 'moved'));
    app(ChangeOrder::class)->head(
        $build->id,
        $build->version,
        ['quantity' => '6', 'due_on' => $build->due_on, 'rank' => $build->rank, 'is_held' => false],
        $this->shop->sign(Role::Planner),
    );
    app(TieLine::class)->toOrder($other->id, $build->id, '2', $this->shop->sign(Role::Planner));
    app(CancelLine::class)->handle(
        $other->id,
        CustomerOrder::query()->findOrFail($other->customer_order_id)->version,
        NoLongerFor::Shelf,
        null,
        $this->shop->sign(Role::Supervisor, 'No money.'),
    );
    expect($build->refresh()->follows_line_id)->toBe($line->id)
        ->and($own->refresh()->follows_line_id)->toBeNull();
});

it('keeps a day set by hand when only the quantity of its line changes', function (): void {
    $line = kitLine($this, '4');
    $build = buildOf($line);
    app(ChangeOrder::class)->head(
        $build->id,
        $build->version,
        ['quantity' => '4', 'due_on' => '2026-12-01', 'rank' => $build->rank, 'is_held' => false],
        $this->shop->sign(Role::Planner),
    );
    changeKits($this, $line, '5');
    expect($build->refresh()->due_on)->toBe('2026-12-01')->and($build->quantity)->toBe('5.000000');
});

it('is taken back with the customer order that brought it, as long as nothing was built', function (): void {
    $entered = Booking::query()->findOrFail(DB::table('record_changes')
        ->where('record', 'customer_order')
        ->where('record_id', kitLine($this, '6')->customer_order_id)
        ->value('booking_id'));
    $line = CustomerOrderLine::query()->latest('id')->firstOrFail();
    $build = buildOf($line);
    $this->shop->reverse($entered);
    expect($build->refresh()->state)->toBe(OrderState::Cancelled)
        ->and($line->refresh()->is_open)->toBeFalse()
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('is made by covering a line whose item was set so later', function (): void {
    Item::query()->where('number', 'KIT-L')->update(['is_built_for_line' => false]);
    $order = $this->shop->customerOrder(['KIT-L' => '6']);
    Item::query()->where('number', 'KIT-L')->update(['is_built_for_line' => true]);
    $this->shop->cover($order, CoverBy::NewOrder);
    expect(buildOf($order->lines->firstOrFail())->quantity)->toBe('6.000000');
});

it('is set on the page of the item, and said there', function (): void {
    ItemPage::change($this, 'LID-9', ['is_built_for_line' => '1'])->assertSessionHasNoErrors();
    $item = $this->shop->item('LID-9');
    expect($item->is_built_for_line)->toBeTrue();
    $this->get("/items/{$item->id}")->assertSee('as its customer line is shipped');
});

it('is not set of what is bought, by page or by file', function (): void {
    ItemPage::change($this, 'FOOT-1', ['is_built_for_line' => '1'])->assertSessionHasErrors('is_built_for_line');
    expect($this->shop->item('FOOT-1')->is_built_for_line)->toBeFalse()
        ->and(implode(' ', $this->shop->import([
            'items.csv' => "number,name,kind,unit,built_for_line\nWASH-L,Washer,bought,pc,yes\n",
        ])))->toContain('only what is made here is built as it is shipped');
});

it('brings none for what is running out: what is there is shipped', function (): void {
    Item::query()->where('number', 'KIT-L')->update(['is_running_out' => true]);
    $line = kitLine($this, '2');
    expect(Order::query()->where('follows_line_id', $line->id)->exists())->toBeFalse();
});

it('stands on the page that ships with what can be built, and ships there', function (): void {
    $line = kitLine($this, '9');
    $build = buildOf($line);
    $this->actingAs($this->shop->as(Role::Storekeeper))->get('/ship')
        ->assertOk()
        ->assertSeeInOrder([$line->customerOrder->number, '8', '8 by build', $build->number]);
    $this->post("/customer-orders/{$line->customer_order_id}/ship", [
        'token' => $this->shop->token(),
        'lines' => [$line->id => ['quantity' => '8', 'codes' => '']],
    ])->assertSessionHasNoErrors();
    expect($line->refresh()->shipped_quantity)->toBe('8.000000')
        ->and(BigDecimal::of($this->shop->stock('GASKET-L')['quantity'])->isZero())->toBeTrue();
    $this->get("/orders/{$build->id}")->assertSee('built as it is shipped');
});

it('asks for as many rows whatever number of lines wait to be built', function (): void {
    $count = function (): int {
        $queries = 0;
        DB::listen(function () use (&$queries): void {
            $queries++;
        });
        $this->actingAs($this->shop->as(Role::Storekeeper))->get('/ship')->assertOk();

        return $queries;
    };
    kitLine($this, '1');
    $few = $count();
    foreach (range(1, 5) as $n) {
        kitLine($this, (string) $n);
    }
    $both = $count(); // counted by two listeners
    expect($both)->toBeLessThanOrEqual(2 * $few);
});

it('comes with the parts of a sub-assembly that is not there, and takes more of them with its line', function (): void {
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,cost,built_for_line,parts_if_missing\n"
            ."BOX-L,Box of kits,assembled,pc,40,yes,no\nLID-L,Lid,assembled,pc,9,no,yes\nTIN-L,Tin,bought,pc,2,no,no\n",
        'structures.csv' => "item,position,component,quantity\nBOX-L,10,LID-L,2\nLID-L,10,TIN-L,3\n",
    ]);
    $this->shop->goodsIn('LID-L', '3', '9');
    $this->shop->goodsIn('TIN-L', '90', '2');
    $line = kitLine($this, '4', 'BOX-L');
    $build = buildOf($line);
    $takes = fn (string $item): string => rtrim(rtrim((string) $build->components()
        ->whereRelation('item', 'number', $item)
        ->sum('planned_quantity'), '0'), '.');
    // eight lids are wanted, three lie there
    expect($takes('LID-L'))->toBe('3')
        ->and($takes('TIN-L'))->toBe('15')
        ->and(Booking::query()->where('kind', 'customer_order')->orderByDesc('id')->value('says'))
        ->toContain("brings build {$build->number}. For 5 pc LID-L Lid order {$build->number} takes their parts");
    $says = changeKits($this, $line, '8')->says;
    // twice as many: six lids and parts for ten; three of the six are not there
    expect($takes('LID-L'))->toBe('3')
        ->and($takes('TIN-L'))->toBe('39')
        ->and($says)->toContain("Build {$build->number} follows: 8. For 3 pc LID-L Lid order {$build->number} takes");
    shipKits($this, $line, '8');
    expect($this->shop->stock('LID-L')['quantity'])->toBe('0')
        ->and($this->shop->stock('TIN-L')['quantity'])->toBe('51')
        ->and($this->shop->differences())->toBe([]);
});

it('is not taken back with its line once part of its build was split off: that is promised still', function (): void {
    $line = kitLine($this, '5');
    $build = buildOf($line);
    app(SplitOrder::class)->handle($build->id, $build->version, '2', $this->shop->sign(Role::Planner));
    $entered = Booking::query()->where('kind', 'customer_order')->latest('id')->firstOrFail();
    expect(fn () => $this->shop->reverse($entered))->toThrow(Refused::class, 'Untie its cover')
        ->and((string) $line->refresh()->covered())->toBe('5.000000')
        ->and($this->shop->differences())->toBe([]);
});

it('says what can go from stock, what as it is built, and what cannot be built yet', function (): void {
    $says = fn (): string => ShipList::says(ShipList::byOrder());
    expect($says())->toBe('No customer line has stock waiting for it.');
    kitLine($this, '2'); // of 24 gaskets and 2 kg: 8 can be built
    expect($says())->toBe('1 line of 1 customer order can go, 1 of them when it is built.');
    kitLine($this, '1');
    expect($says())->toBe('2 lines of 2 customer orders can go, 2 of them when they are built.');
    $this->shop->goodsIn('LID-9', '3', '20');
    $this->shop->cover($this->shop->customerOrder(['LID-9' => '3']), CoverBy::Stock);
    expect($says())->toBe('3 lines of 3 customer orders can go, 2 of them when they are built.');
    DB::table('balances')->where('item_id', $this->shop->item('GREASE-L')->id)->update(['quantity' => '0']);
    expect($says())->toBe('1 line of 1 customer order can go. Of 2 more nothing can be built yet.');
});

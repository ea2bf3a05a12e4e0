<?php

use App\Access\Role;
use App\Actions\Orders\MakeForPart;
use App\Models\Order;
use App\Models\PurchaseLine;
use App\Models\Supplier;
use App\Models\Tie;
use KeepPace\Core\Refused;

/* A part that an order misses is made for it, without leaving it. */

beforeEach(function () {
    $this->order = $this->shop->order('EX-9E', '4', '2027-01-29');
    $this->make = fn (string $item, string $quantity, bool $withParts = false) => app(MakeForPart::class)->handle(
        $this->shop->component($this->order, $item)->id,
        $quantity,
        $withParts,
        $this->shop->sign(Role::Planner),
    );
});

it('makes an order for a part, tied to it and due when its step begins', function () {
    $booking = ($this->make)('DRUM-9', '3');
    $made = Order::query()->latest('id')->firstOrFail();
    expect($booking->says)->toContain("made for order {$this->order->number}: 3")
        ->and($made->item->number)->toBe('DRUM-9')
        ->and($made->due_on)->toBeLessThan('2027-01-29')
        ->and(Tie::query()->whereHas('output', fn ($out) => $out->where('order_id', $made->id))->value('quantity'))
        ->toBe('3.000000')
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    // one is wanted still
    expect(fn () => ($this->make)('DRUM-9', '2'))->toThrow(Refused::class);
    ($this->make)('DRUM-9', '1', true);
    $this->shop->reverse($booking);
    expect($made->refresh()->state->value)->toBe('cancelled')->and($this->shop->differences())->toBe([]);
});

it('makes nothing that is bought', function () {
    expect(fn () => ($this->make)('MOT-120', '1'))->toThrow(Refused::class, 'not made here');
});

it('stands at the part that is missing, and not at what is bought', function () {
    expect($this->shop->differencesWhenPlanned())->toBe([]);
    $this->actingAs($this->shop->as(Role::Planner))
        ->get("/orders/{$this->order->id}")
        ->assertOk()
        ->assertSee('Make it for this order');
});

it('has a part that is made here made by a supplier, of ours that goes along, without leaving the order', function () {
    expect($this->shop->import(['supplier-items.csv' => <<<'CSV'
        item,supplier,number,lead_time_days,prices,along
        DRUM-9,S-03,D9,6,120.00 4:95.50,BOLT-8:2
        CSV]))->toBe([])
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    $drum = $this->shop->component($this->order, 'DRUM-9');
    $page = fn (Role $role) => $this->actingAs($this->shop->as($role))->get("/orders/{$this->order->id}")->assertOk();
    $page(Role::Buyer)->assertSee('Have it made there')
        ->assertSee('Emberfield Heat Treatment, 95.50 € each, 6 days, of our BOLT-8:2');
    $page(Role::Operator)->assertDontSee('95.50')->assertDontSee('Have it made there');
    $supplier = Supplier::query()->where('number', 'S-03')->sole();
    $this->actingAs($this->shop->as(Role::Buyer))->post('/purchases', [
        'token' => $this->shop->token(),
        'form' => "buy-{$drum->id}",
        'add' => '1',
        'items' => [$drum->item_id => ['component' => $drum->id, 'quantity' => '4', 'supplier' => $supplier->id]],
    ])->assertSessionHasNoErrors();
    $line = PurchaseLine::query()->where('item_id', $drum->item_id)->latest('id')->firstOrFail();
    expect($line->order->supplier_id)->toBe($supplier->id)
        ->and($line->price)->toBe('95.500000')
        ->and($line->parts()->sole()->item->number)->toBe('BOLT-8')
        ->and($line->ties()->where('demand_kind', 'component')->where('demand_id', $drum->id)->value('quantity'))
        ->toBe('4.000000')
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    // it is on its way: nothing is short of it any more
    $page(Role::Buyer)->assertDontSee('Have it made there');
});

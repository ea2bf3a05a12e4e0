<?php

use App\Access\Role;
use App\Actions\Orders\MakeForPart;
use App\Models\Order;
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

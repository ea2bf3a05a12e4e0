<?php

use App\Access\Role;
use App\Actions\Orders\PartsInstead;
use App\Models\Booking;
use App\Models\Order;
use App\Models\OrderComponent;
use KeepPace\Core\Refused;

/* A sub-assembly that is not there is put together where it is used: its parts are taken instead. */

beforeEach(function (): void {
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,cost\nTOP-P,Top,assembled,pc,90\nSUB-P,Sub-assembly,assembled,pc,30\n"
            ."NUT-P,Nut,bought,pc,2\nROD-P,Rod,bought,m,5\n",
        'structures.csv' => "item,position,component,quantity\n"
            ."TOP-P,10,SUB-P,1\nSUB-P,10,NUT-P,4\nSUB-P,20,ROD-P,0.6\n",
    ]);
    $this->shop->goodsIn('NUT-P', '40', '2');
    $this->shop->goodsIn('ROD-P', '10', '5');
    $this->shop->goodsIn('SUB-P', '3', '30');
    $this->order = $this->shop->order('TOP-P', '5');
});

function takeParts(object $test, OrderComponent $component, string $quantity): Booking
{
    return app(PartsInstead::class)->handle(
        $component->id,
        (int) Order::query()->findOrFail($component->order_id)->version,
        $quantity,
        $test->shop->sign(Role::Planner),
    );
}

it('takes three from stock and the parts of two, and the cost shows what was really used', function (): void {
    $sub = $this->shop->component($this->order, 'SUB-P');
    $says = takeParts($this, $sub, '2')->says;

    expect($says)->toContain('takes their parts: 8 pc NUT-P Nut, 1.2 m ROD-P Rod')
        ->and($sub->refresh()->planned_quantity)->toBe('3.000000');

    $this->shop->release($this->order->refresh());
    $this->shop->issueAll($this->order->refresh());

    expect($this->shop->stock('SUB-P')['quantity'])->toBe('0')
        ->and($this->shop->stock('NUT-P')['quantity'])->toBe('32')
        ->and($this->shop->stock('ROD-P')['quantity'])->toBe('8.8')
        ->and((int) OrderComponent::query()->where('order_id', $this->order->id)->sum('used_value'))
        ->toBe(9_000 + 1_600 + 600)
        ->and($this->shop->differences())->toBe([]);
});

it('takes no parts of more than is open, nor of what is made of nothing', function (): void {
    $sub = $this->shop->component($this->order, 'SUB-P');

    expect(fn () => takeParts($this, $sub, '6'))->toThrow(Refused::class)
        ->and($sub->refresh()->planned_quantity)->toBe('5.000000');

    takeParts($this, $sub, '1');

    expect(fn () => takeParts($this, $this->shop->component($this->order, 'NUT-P'), '1'))
        ->toThrow(Refused::class, 'is made of nothing');
});

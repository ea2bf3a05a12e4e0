<?php

use App\Access\Role;
use App\Actions\Cover\CoverBy;
use App\Actions\Orders\ChangeComponents;
use App\Models\CustomerOrderLine;
use App\Models\Order;

/* What a customer line costs beside its price, and as its order was changed (trade.md W22). */

beforeEach(function (): void {
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,cost,price\n"
            ."BOX-C,Box,assembled,pc,80,120\nPANEL-C,Panel,bought,pc,40,0\n",
        'structures.csv' => "item,position,component,quantity\nBOX-C,10,PANEL-C,2\n",
    ]);
    $this->demand = $this->shop->customerOrder(['BOX-C' => '4']);
    $this->line = CustomerOrderLine::query()->where('customer_order_id', $this->demand->id)->firstOrFail();
    $this->page = "/customer-lines/{$this->line->id}/cost";
});

it('says cost, margin and a price by a rule, and keeps nothing', function (): void {
    $this->actingAs($this->shop->as(Role::Sales))
        ->get($this->page)
        ->assertOk()
        ->assertSee('80')
        ->assertSee('33.3'); // 120 less 80
    $this->get("{$this->page}?rule=cost&percent=25")->assertSee('100');
    $this->get("{$this->page}?rule=price&percent=25")->assertSee('106.67');
    $this->get("{$this->page}?rule=price&percent=100")->assertSee('less than 100 per cent');

    expect($this->line->refresh()->price)->toBe('120.000000');
});

it('says what is left of the price when the parts of its order were changed', function (): void {
    $this->shop->cover($this->demand, CoverBy::NewOrder);
    $order = Order::query()->latest('id')->firstOrFail();
    app(ChangeComponents::class)->change(
        $this->shop->component($order, 'PANEL-C')->id,
        (int) $order->version,
        '10',
        $this->shop->sign(Role::Planner),
    );
    $this->actingAs($this->shop->as(Role::Sales))
        ->get($this->page)
        ->assertSee('As order')
        ->assertSee('16.7') // 120 less 10 panels for 4: 100
        ->assertSee('its own parts at what they cost today');
});

it('is not shown to who may not see money', function (): void {
    $this->actingAs($this->shop->as(Role::Operator))->get($this->page)->assertForbidden();
    $this->actingAs($this->shop->as(Role::Sales))->get('/customer-lines/999999/cost')->assertNotFound();
});

<?php

use App\Access\Role;
use App\Actions\Cover\CoverBy;
use App\Actions\Orders\MakeForPart;
use App\Actions\Orders\MakeOrder;
use App\Actions\Orders\PartsInstead;
use App\Models\Booking;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\Tie;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Refused;
use Tests\Support\ItemPage;

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

/** What an order takes, by item. */
function planTakes(Order $order): array
{
    return OrderComponent::query()
        ->join('items AS i', 'i.id', 'order_components.item_id')
        ->where('order_id', $order->id)
        ->where('planned_quantity', '>', 0)
        ->orderBy('order_components.position')
        ->pluck('planned_quantity', 'i.number')
        ->map(fn (string $of): string => Amount::plain($of))
        ->all();
}

it('makes no more of a sub-assembly than is still wanted', function (
    string $parts,
    string $state,
    string $left,
): void {
    $sub = $this->shop->component($this->order, 'SUB-P');
    $made = app(MakeForPart::class)->handle($sub->id, '2', false, $this->shop->sign(Role::Planner));
    $own = Order::query()->findOrFail($made->order_id);
    expect($own->quantity)->toBe('2.000000');
    $took = takeParts($this, $sub, $parts);
    expect($own->refresh()->state->value)->toBe($state)
        ->and($own->quantity)->toBe($left)
        ->and($took->says)->toContain("Order {$own->number} ");
    // what an order takes is changed back, not taken back
    expect(fn () => $this->shop->reverse($took))->toThrow(Refused::class, 'Change it back instead')
        ->and($this->shop->differences())->toBe([]);
})->with([
    // five are wanted, three lie there, two were to be made: those are the first that nobody makes any more
    'none of it' => ['2', 'cancelled', '2.000000'],
    'one of it' => ['1', 'firm', '1.000000'],
    'nor what lies there' => ['5', 'cancelled', '2.000000'],
]);

it('leaves an order that is begun to go on, for whoever ranks first', function (): void {
    $sub = $this->shop->component($this->order, 'SUB-P');
    $made = app(MakeForPart::class)->handle($sub->id, '2', false, $this->shop->sign(Role::Planner));
    $own = Order::query()->findOrFail($made->order_id);
    $this->shop->release($own);
    expect(takeParts($this, $sub, '5')->says)
        ->toContain("Order {$own->number} goes on: 2 of it are for whoever ranks first.")
        ->and($own->refresh()->quantity)->toBe('2.000000')
        ->and(Tie::query()->where('component_id', $sub->id)->sum('quantity'))->toEqual(0)
        ->and($this->shop->differences())->toBe([]);
});

it('takes the parts by itself where the item says so, of what is not there when the order is made', function (): void {
    Item::query()->where('number', 'SUB-P')->update(['is_parts_if_missing' => true]);
    // three lie there and five are wanted for the first: two are missing for it; the next finds none
    $made = app(MakeOrder::class)->handle(
        $this->shop->item('TOP-P')->id,
        new TypedQuantity('4'),
        '2026-12-10',
        true,
        $this->shop->sign(Role::Planner),
    );
    $next = Order::query()->findOrFail($made->order_id);
    expect($made->says)->toContain('takes their parts: 16 pc NUT-P Nut, 2.4 m ROD-P Rod')
        ->not->toContain('for its parts')
        ->and(planTakes($next))->toBe(['NUT-P' => '16', 'ROD-P' => '2.4'])
        // the one that was there before is as it was, until it is released
        ->and(planTakes($this->order))->toBe(['SUB-P' => '5']);
    $released = $this->shop->release($this->order, null);
    expect($released->says)->toContain("For 2 pc SUB-P Sub-assembly order {$this->order->number} takes their parts")
        ->and(planTakes($this->order))->toBe(['SUB-P' => '3', 'NUT-P' => '8', 'ROD-P' => '1.2'])
        ->and($this->order->refresh()->short_reason)->toBeNull();
    // taken back, it is not released; what it takes is as it was changed, and stays so when it is released again
    $this->shop->reverse($released);
    $this->shop->release($this->order->refresh(), null);
    expect(planTakes($this->order))->toBe(['SUB-P' => '3', 'NUT-P' => '8', 'ROD-P' => '1.2'])
        ->and($this->shop->differences())->toBe([]);
});

it('takes what parts are made of, where they are missing and their items say so too', function (): void {
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,cost,parts_if_missing\nTOP-Q,Top of top,assembled,pc,200,\n"
            ."MID-Q,Middle,assembled,pc,60,yes\nLOW-Q,Lower,assembled,pc,20,yes\n",
        'structures.csv' => "item,position,component,quantity\nTOP-Q,10,MID-Q,1\n"
            ."MID-Q,10,LOW-Q,2\nMID-Q,20,NUT-P,1\nLOW-Q,10,NUT-P,3\n",
    ]);
    $made = app(MakeOrder::class)->handle(
        $this->shop->item('TOP-Q')->id,
        new TypedQuantity('2'),
        null,
        false,
        $this->shop->sign(Role::Planner),
    );
    // two of the top are four of the lowest, three nuts each, and two nuts beside
    $rows = OrderComponent::query()->where('order_id', $made->order_id)
        ->where('item_id', $this->shop->item('NUT-P')->id)->pluck('planned_quantity')->all();
    expect($rows)->toBe(['2.000000', '12.000000'])
        ->and(planTakes(Order::query()->findOrFail($made->order_id)))->toHaveKeys(['NUT-P'])
        ->not->toHaveKeys(['MID-Q', 'LOW-Q']);
});

it('takes no parts of what the customer brings', function (): void {
    Item::query()->where('number', 'SUB-P')->update(['is_parts_if_missing' => true]);
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,cost\nTOP-R,Top of theirs,assembled,pc,90\n",
        'structures.csv' => "item,position,component,quantity,supplied_by\nTOP-R,10,SUB-P,1,customer\n",
    ]);
    expect(planTakes($this->shop->order('TOP-R', '9')))->toBe(['SUB-P' => '9']);
});

it('says so of a customer line that is covered', function (): void {
    Item::query()->where('number', 'SUB-P')->update(['is_parts_if_missing' => true]);
    $customer = $this->shop->customerOrder(['TOP-P' => '1']);
    expect($this->shop->cover($customer, CoverBy::NewOrder)->says)
        ->toContain('For 1 pc SUB-P Sub-assembly order')->toContain('4 pc NUT-P Nut');
});

it('has no parts to take of what is bought', function (): void {
    ItemPage::change($this, 'NUT-P', ['is_parts_if_missing' => '1'])->assertSessionHasErrors('is_parts_if_missing');
    ItemPage::change($this, 'SUB-P', ['is_parts_if_missing' => '1'])->assertSessionHasNoErrors();
    expect($this->shop->item('SUB-P')->is_parts_if_missing)->toBeTrue()
        ->and($this->shop->import([
            'items.csv' => "number,name,kind,unit,parts_if_missing\nNUT-P,Nut,bought,pc,yes\n",
        ]))->toHaveCount(1);
    $this->get("/items/{$this->shop->item('SUB-P')->id}")->assertSee('its parts are taken');
});

<?php

use App\Access\Role;
use App\Actions\Bookings\ReverseBooking;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\GoodsIn;
use App\Actions\Stock\ScrapStock;
use App\Actions\Usage\IssueComponents;
use App\Actions\Usage\UseLine;
use App\Models\Balance;
use App\Models\Order;
use App\Queries\Partners\OwnMaterial;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Stock\ScrapClass;

/* W19: ten drums of a customer's own come, one is spoiled by us and replaced: 10 + 1 = 10 used + 1 scrapped. */

it('states what became of a customer\'s own material, and puts the replacement into the order (W19)', function () {
    $motor = $this->shop->item('MOT-120');
    DB::table('structure_lines')->where('item_id', $motor->id)->update(['supplied_by' => 'customer']);
    $co = $this->shop->customerOrder(['EX-9E' => '10']);
    $this->shop->cover($co);
    $order = Order::query()->latest('id')->firstOrFail();
    $this->shop->release($order);
    $component = $this->shop->component($order, 'MOT-120');
    // it waits for the customer's: nobody can buy it
    expect(DB::table('plan_components')->where('component_id', $component->id)->value('missing'))->toBe('10.000000');
    $by = fn (string $why) => $this->shop->sign(Role::Storekeeper, $why);
    $stores = fn () => $this->shop->sign(Role::Storekeeper);
    $came = fn (string $quantity) => app(GoodsIn::class)->handle(new Arrival(
        $motor->id,
        new TypedQuantity($quantity),
        '80',
        $this->shop->place('STORES')->id,
        owner: $co->customer_id,
    ), $stores());
    // typed wrong once: what is taken back never came
    app(ReverseBooking::class)->handle($came('7')->id, $this->shop->sign(Role::Supervisor, 'ten came'));
    $came('10');
    $value = $this->shop->stock('MOT-120')['value'];
    $theirs = Balance::query()->where('owner_id', $co->customer_id)->where('quantity', '>', 0)->firstOrFail();
    app(ScrapStock::class)->handle($theirs->id, '1', ScrapClass::Handling, $by('dropped'));
    expect($this->shop->stock('MOT-120')['value'])->toBe($value);
    $this->shop->issue($component, '9');
    $material = fn (): int => (int) DB::table('cost_entries')
        ->where('order_id', $order->id)
        ->where('kind', 'material')
        ->sum('cents');
    $before = $material();
    $ours = new UseLine('x', $order->id, null, $motor->id, $component->step_number, '1', reason: 'one was spoiled');
    app(IssueComponents::class)->handle([$ours], true, $by('one was spoiled'));
    expect($material() - $before)->toBeGreaterThan(0); // what a motor of our own is worth
    $own = OwnMaterial::of($co->customer_id)->sole();
    $said = array_map(Amount::plain(...), [
        (string) $own->came, (string) $own->used, (string) $own->scrapped,
        (string) $own->replaced, (string) $own->returned, (string) $own->left,
    ]);
    expect($said)->toBe(['10', '9', '1', '1', '0', '0'])
        ->and($this->shop->differences())->toBe([]);
    $this->actingAs($this->shop->as(Role::Sales))
        ->get("/customers/{$co->customer_id}")
        ->assertOk()
        ->assertSee('Their own material with us')
        ->assertSee('Replaced');
    // another customer's order gets none of it
    expect(OwnMaterial::of($co->customer_id + 1))->toBeEmpty();
});

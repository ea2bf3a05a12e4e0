<?php

use App\Access\Role;
use App\Models\Plan;
use App\Shop\PlantDay;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/* The demo's plant works 465 minutes from Monday to Thursday and 345 on Fridays: 441 on average (arithmetic). */

it('counts lateness in days of the plant', function (int $late, string $says) {
    expect(PlantDay::minutes())->toBe(441)->and(PlantDay::pace($late))->toBe($says);
})->with([
    'less than a day' => [440, '7 h 20 late'],
    'a day' => [441, '1 working day late'],
    'never more days than it is' => [4155, '9 working days late'],
    'ahead' => [-882, '2 working days ahead'],
    'of little time nobody speaks' => [-20, 'just in time'],
]);

it('has longer days where two shifts work, and whole ones where no calendar was entered', function () {
    $plant = DB::table('calendars')->where('code', 'PLANT')->value('id');
    DB::table('shifts')->where('calendar_id', $plant)->update(['to_time' => '23:30']);
    DB::table('shifts')->where('calendar_id', $plant)->where('is_break', true)->delete();
    expect(PlantDay::pace(990))->toBe('1 working day late')->and(PlantDay::pace(989))->toBe('16 h 30 late');
    app()->forgetScopedInstances();
    expect(PlantDay::minutes())->toBe(990); // it is kept for a minute
    Cache::flush();
    app()->forgetScopedInstances();
    DB::table('shifts')->where('calendar_id', $plant)->delete();
    expect(PlantDay::minutes())->toBe(1440);
});

it('reads again what the cache holds otherwise than it was written', function () {
    Cache::put('plant-day', 'shift until 15:30');
    expect(PlantDay::minutes())->toBe(441)->and(PlantDay::shift())->not->toBe('');
});

it('says on every page that knows it how late an order is, and how long such a day is', function () {
    $order = $this->shop->order('TRAY-40', '2', '2026-11-24');
    DB::table('purchase_lines')->delete();
    DB::table('balances')->where('item_id', $this->shop->item('FOOT-1')->id)->delete();
    $this->shop->purchase('P-90', 'FOOT-1', '40', '2026-12-04');
    $this->shop->differencesWhenPlanned();
    $minutes = (int) DB::table('plan_orders')
        ->where('plan_id', Plan::LIVE)
        ->where('order_id', $order->id)
        ->value('late_minutes');
    $says = intdiv($minutes, 441).' working days late';
    expect($minutes)->toBeGreaterThan(882);
    $this->actingAs($this->shop->as(Role::Supervisor));
    foreach (['/', '/orders', "/orders/{$order->id}", '/late', "/late/{$order->id}", '/rank', '/shortages'] as $page) {
        $this->get($page)->assertOk()->assertSee($says);
    }
    $this->get("/late/{$order->id}")->assertSeeInOrder([$says, 'a day of', '7 h 21']);
    $this->get('/board')->assertSee('"day":441', false);
});

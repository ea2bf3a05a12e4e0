<?php

use App\Access\Role;
use App\Models\Order;
use App\Models\Plan;
use App\Planner\KeepUp;
use Illuminate\Support\Facades\DB;

/* Days as people type them, on a form and beside its field. Today is Tue 24 Nov 2026. */

function dueOn(object $test, string $typed): object
{
    return $test->actingAs($test->shop->as(Role::Planner))->from('/orders')
        ->post('/orders', ['token' => uniqid(), 'item' => 'TRAY-40', 'quantity' => '2', 'due_on' => $typed]);
}

it('takes what people type', function (string $typed, string $day) {
    dueOn($this, $typed)->assertSessionHasNoErrors();
    expect(Order::query()->latest('id')->value('due_on'))->toBe($day);
})->with([['4.12.', '2026-12-04'], ['fri', '2026-11-27'], ['+3', '2026-11-27'], ['2026-12-04', '2026-12-04'], [
    'Fri 4 Dec 2026',
    '2026-12-04',
],
    ['Sat 5 Dec 2026!', '2026-12-05'], ['5.12. !', '2026-12-05']]);

it('asks kindly what cannot be meant, keeps what was typed and makes nothing', function (string $typed, string $says) {
    $orders = Order::query()->count();
    dueOn($this, $typed)->assertSessionHasErrors('due_on');
    expect(session('errors')->first('due_on'))
        ->toBe($says)
        ->and(old('due_on'))
        ->toBe($typed)
        ->and(Order::query()->count())
        ->toBe($orders);
    $this->get('/orders')->assertSee('value="'.e($typed).'"', false);
})->with([
    'two figures for a year, as a box of dates sends them' => [
        '0027-12-05',
        'Is 5 Dec 0027 meant? A day here lies between 24 Nov 2024 and 24 Nov 2031.',
    ],
    ['2700-01-04', 'Is 4 Jan 2700 meant? A day here lies between 24 Nov 2024 and 24 Nov 2031.'],
    ['31.12.9999', 'Is 31 Dec 9999 meant? A day here lies between 24 Nov 2024 and 24 Nov 2031.'],
    ['soon', "'soon' is no day. Type such as 4.12., fri, +3 or 2026-12-04."],
    'closed' => [
        'Sat',
        "Sat 28 Nov 2026 is closed in the plant's calendar. Take Mon 30 Nov 2026, or type 'Sat 28 Nov 2026!' to keep "
            .'it.',
    ],
    'a holiday' => [
        '25.12.',
        "Fri 25 Dec 2026 is closed in the plant's calendar. Take Mon 28 Dec 2026, or type 'Fri 25 Dec 2026!' to keep "
            .'it.',
    ],
]);

it('says beside the field how a day is read', function (string $typed, string $says, string $worked = '') {
    $this->actingAs($this->shop->as(Role::Operator))
        ->get('/day?'.http_build_query(['typed' => $typed, 'worked' => $worked]))
        ->assertOk()
        ->assertContent($says);
})->with([
    ['4.12.', 'Fri 4 Dec 2026'],
    ['sat', 'Sat 28 Nov 2026'],
    [
        'sat',
        "Sat 28 Nov 2026 is closed in the plant's calendar. Take Mon 30 Nov 2026, or type 'Sat 28 Nov 2026!' to keep "
            .'it.',
        '1',
    ],
    ['Sat 28 Nov 2026!', 'Sat 28 Nov 2026', '1'],
    ['31.2.', "'31.2.' is in no calendar."],
    ['', ''],
]);

it('plans on with dates that were there before and lie anywhere', function () {
    $far = $this->shop->order('TRAY-40', '2', '2026-12-10');
    $missing = $this->shop->order('EX-9E', '40', '2026-12-10');
    DB::table('orders')->where('id', $far->id)->update(['due_on' => '2099-12-31']);
    DB::table('orders')->where('id', $missing->id)->update(['due_on' => '2099-12-31']);
    DB::table('orders')->where('id', $this->shop->order('LID-9', '1')->id)->update(['due_on' => '0027-12-05']);
    app(KeepUp::class)->handle();
    expect(
        DB::table('plan_orders')->where('plan_id', Plan::LIVE)->where('order_id', $far->id)->value('late_minutes'),
    )->toBeLessThan(0)
        ->and(DB::table('plan_orders')->where('order_id', $missing->id)->value('order_by'))->toBeNull();
    $this->actingAs($this->shop->as(Role::Supervisor))->get('/')->assertOk();
    $this->get('/late')->assertOk();
    $this->get('/board/data')->assertOk();
    $this->travelTo('2044-03-01 09:00');
    $order = $this->shop->order('TRAY-40', '2', '2044-03-20');
    expect(DB::table('plan_orders')->where('order_id', $order->id)->value('finish_at'))->toStartWith('2044-03');
    $bar = collect($this->get('/board/data')->json('bars'))->first(fn (array $bar): bool => $bar[6] === $order->id);
    expect($bar[3])->toBeGreaterThan(intdiv(strtotime('2044-03-01 UTC'), 60));
});

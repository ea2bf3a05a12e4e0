<?php

use App\Access\Role;
use App\Actions\Cover\CoverBy;
use App\Actions\Stock\ChangeCondition;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\Item;
use App\Queries\Flow\FlowLine;
use App\Queries\Flow\FlowList;
use App\Queries\Flow\FlowPage;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Stock\Condition;

/* Coming and going of an item: past and future in one list, with the document behind each. Today is 24 Nov 2026. */

function flowOf(object $test, string $item): FlowPage
{
    return FlowPage::of($test->shop->item($item)->id);
}

/** @return list<array{string, string}> document, and what is there after it */
function flowRows(FlowPage $page): array
{
    return array_map(
        fn (FlowLine $line, $row): array => [$line->document, (string) $row->after->stripTrailingZeros()],
        $page->lines,
        $page->flow->rows,
    );
}

it('runs through purchases, needs of orders, orders that make it and customer lines', function () {
    $motors = $this->shop->item('MOT-120');
    DB::table('items')->where('id', $motors->id)->update(['safety_stock' => 2]);
    $there = (int) DB::table('balances')->where('item_id', $motors->id)->sum('quantity');
    $this->shop->purchase('P-1', 'MOT-120', '5', '2026-12-03');
    $late = $this->shop->purchase('P-2', 'MOT-120', '3', '2026-11-20');
    $customer = $this->shop->customerOrder(['MOT-120' => (string) ($there + 4)], '2026-12-10');
    $this->shop->differencesWhenPlanned();
    $page = flowOf($this, 'MOT-120');
    expect(flowRows($page))->toBe([
        ["purchase {$late->number}", (string) ($there + 3)], // overdue: when it is taken for
        ['purchase P-1', (string) ($there + 8)],
        ["customer order {$customer->number}/10", '4'],
    ])->and($page->says())->toBe('There is enough for all that is known.');
    $this->actingAs($this->shop->as(Role::Buyer))->get("/coming-and-going/{$motors->id}")
        ->assertSeeInOrder(['now', 'purchase P-2', 'overdue', 'purchase P-1', $customer->number])
        ->assertSee('safety level');
});

it('says when it falls short and by when to order', function () {
    $motors = $this->shop->item('MOT-120');
    DB::table('balances')->where('item_id', $motors->id)->update(['quantity' => 1]);
    $order = $this->shop->order('EX-9E', '3', '2027-01-29');
    $this->shop->differencesWhenPlanned();
    $page = flowOf($this, 'MOT-120');
    expect(flowRows($page))->toBe([["order {$order->number}, step 30", '-2']])
        ->and($page->says())->toStartWith('2 pc will be missing, first ')
        ->and($page->cure())->toStartWith('With 2 pc more there is enough, with 6 its safety level too: order');
    // as the supplier's own terms say, not the item
    $before = $page->cure();
    $supplier = DB::table('suppliers')->where('id', $motors->supplier_id)->value('number');
    expect($this->shop->import([
        'supplier-items.csv' => "item,supplier,number,minimum,lead_time_days,prices\nMOT-120,{$supplier},,0,60,80\n",
    ]))->toBe([]);
    expect(flowOf($this, 'MOT-120')->cure())->not->toBe($before)->toContain('order today');
    $falling = array_column(FlowList::now(), 'missing', 'number');
    expect($falling['MOT-120']->toInt())->toBe(2);
    $this->actingAs($this->shop->as(Role::Buyer))->get('/coming-and-going')->assertSee('MOT-120');
});

it('says why it goes on from less than was on hand', function () {
    $bearings = $this->shop->item('BRG-25');
    expect(flowOf($this, 'BRG-25')->nowSays())->toBe('free in stores');
    $lies = Balance::query()->where('item_id', $bearings->id)->where('quantity', '>', 5)->firstOrFail();
    app(ChangeCondition::class)->handle(
        $lies->id,
        '5',
        Condition::InInspection,
        $this->shop->sign(Role::Storekeeper, 'rust'),
    );
    $page = flowOf($this, 'BRG-25');
    expect($page->nowSays())->toBe("free in stores; 5 more: blocked, in inspection, outside or a customer's own")
        ->and((string) $page->past->last()->onHand->minus($page->flow->start)->stripTrailingZeros())->toBe('5');
    $booking = Booking::query()->latest('id')->firstOrFail();
    $this->actingAs($this->shop->as(Role::Buyer))->get("/bookings/{$booking->id}")
        ->assertSee('Tue 24 Nov 2026, 09:00, booked on Tue 24 Nov 2026')
        ->assertDontSee('2026-11-24');
});

it('leaves what is held without a day, and drafts out', function () {
    $this->shop->cover($this->shop->customerOrder(['LID-9' => '3'], '2026-12-18'), CoverBy::NewOrder);
    $order = App\Models\Order::query()->latest('id')->firstOrFail();
    $order->update(['is_held' => true]);
    $this->shop->differencesWhenPlanned();
    $page = flowOf($this, 'LID-9');
    $held = collect($page->undated)->firstWhere('document', "order {$order->number}");
    expect($held?->says)->toBe('held');
    $this->actingAs($this->shop->as(Role::Planner))->get('/coming-and-going/'.$this->shop->item('LID-9')->id)
        ->assertSee('no date')->assertSee('not counted');
});

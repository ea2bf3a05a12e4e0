<?php

use App\Access\Role;
use App\Actions\Combine\CombineOrders;
use App\Actions\Combine\TakeOutOfCombined;
use App\Actions\Cover\CoverBy;
use App\Actions\Demand\CancelLine;
use App\Models\Booking;
use App\Models\CustomerOrder;
use App\Models\CustomerOrderLine;
use App\Models\Order;
use App\Models\Tie;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\NoLongerFor;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Refused;

/* Several lines, or orders, made as one (trade.md W18, W19). */

/**
 * @param  list<int>  $lines
 * @param  list<int>  $orders
 */
function combined(object $test, array $lines, array $orders = []): Booking
{
    return app(CombineOrders::class)->handle($lines, $orders, $test->shop->sign(Role::Planner));
}

function lineOf(CustomerOrder $demand): CustomerOrderLine
{
    return $demand->lines[0]->refresh();
}

it('makes one order of lines of several customers and of firm orders, each with its share', function (): void {
    [$six, $four] = [$this->shop->customerOrder(['LID-9' => '6']), $this->shop->customerOrder(['LID-9' => '4'])];
    $two = $this->shop->customerOrder(['LID-9' => '2']);
    $this->shop->cover($two, CoverBy::NewOrder);
    $old = Order::query()->latest('id')->firstOrFail();
    $booking = combined($this, [lineOf($six)->id, lineOf($four)->id], [$old->id]);
    $new = Order::query()->findOrFail($booking->order_id);
    $shares = Tie::query()->where('output_id', $new->output()->id)->orderBy('id')->pluck('quantity', 'line_id');

    expect($new->quantity)->toBe('12.000000')
        ->and($shares->all())->toBe([
            lineOf($six)->id => '6.000000',
            lineOf($four)->id => '4.000000',
            lineOf($two)->id => '2.000000',
        ])
        ->and($old->refresh()->state)->toBe(OrderState::Cancelled)
        ->and($booking->says)->toContain("Order {$new->number} makes 12 pc LID-9")
        ->and($this->shop->differences())->toBe([]);

    $this->shop->reverse($booking);

    expect($old->refresh()->state)->toBe(OrderState::Firm)
        ->and($this->shop->covers($old))->toBe('2.000000')
        ->and($new->refresh()->state)->toBe(OrderState::Cancelled)
        ->and((string) lineOf($six)->uncovered())->toBe('6.000000')
        ->and($this->shop->differences())->toBe([]);
});

it('makes nothing of what somebody makes already, or nobody wants any more', function (): void {
    [$six, $four] = [$this->shop->customerOrder(['LID-9' => '6']), $this->shop->customerOrder(['LID-9' => '4'])];
    $lines = [lineOf($six)->id, lineOf($four)->id];
    combined($this, $lines);

    // from a page that was open before
    expect(fn () => combined($this, $lines))
        ->toThrow(Refused::class, 'Nothing of '.lineOf($six)->label().' is left to be made')
        ->and(Order::query()->count())->toBe(1)
        ->and($this->shop->differences())->toBe([]);
});

it('gives a share back its own order while it is firm, and not once it is released', function (): void {
    [$six, $four] = [$this->shop->customerOrder(['LID-9' => '6']), $this->shop->customerOrder(['LID-9' => '4'])];
    $new = Order::query()->findOrFail(combined($this, [lineOf($six)->id, lineOf($four)->id])->order_id);
    $cover = Tie::query()->where('line_id', lineOf($four)->id)->where('quantity', '>', 0)->sole();
    $out = app(TakeOutOfCombined::class)->handle($cover->id, $this->shop->sign(Role::Planner));
    $own = Order::query()->latest('id')->firstOrFail();

    expect($out->says)->toContain("taken out of order {$new->number}")
        ->and($new->refresh()->quantity)->toBe('6.000000')
        ->and($own->quantity)->toBe('4.000000')
        ->and($this->shop->covers($own))->toBe('4.000000')
        ->and($this->shop->differences())->toBe([]);

    $rest = Tie::query()->where('line_id', lineOf($six)->id)->where('quantity', '>', 0)->sole();
    $take = fn () => app(TakeOutOfCombined::class)->handle($rest->id, $this->shop->sign(Role::Planner));

    expect($take)->toThrow(Refused::class, 'is for that line alone');

    $this->shop->release($new->refresh());

    expect($take)->toThrow(Refused::class, 'only before it is released');
});

it('makes fewer when one customer cancels before it has begun, and says what the others cost then', function (): void {
    // trade.md, W18: material 40.00, run 15.00 each, set-up 60.00: 60.00 each of 12, 62.50 each of 8
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,cost\nBAR-W,Bar,bought,pc,40\nPART-W,Part,made,pc,60\n",
        'structures.csv' => "item,position,component,quantity\nPART-W,10,BAR-W,1\n",
        'work-centres.csv' => "code,name,calendar,machines,labour_rate\nW18,Bench of W18,TWO-SHIFT,1,60\n",
        'routings.csv' => "item,step,name,work_centre,setup_minutes,run_basis,run_rate\n"
            ."PART-W,10,Make,W18,60,min_per_unit,15\n",
    ]);
    $lines = array_map(
        fn (string $quantity): CustomerOrderLine => lineOf($this->shop->customerOrder(['PART-W' => $quantity])),
        ['6', '4', '2'],
    );
    $new = Order::query()->findOrFail(combined($this, array_column($lines, 'id'))->order_id);
    $head = CustomerOrder::query()->findOrFail($lines[1]->customer_order_id);
    $cancelled = app(CancelLine::class)->handle(
        $lines[1]->id,
        (int) $head->version,
        NoLongerFor::Stop,
        null,
        $this->shop->sign(Role::Sales, 'changed their mind'),
    );

    expect($cancelled->says)->toContain("Order {$new->number} makes 8 now, planned at 62.50 € each instead of 60.00 €")
        ->and($new->refresh()->quantity)->toBe('8.000000')
        ->and($this->shop->covers($new))->toBe('8.000000')
        ->and($this->shop->differences())->toBe([]);
});

it('leaves the others their cost when one cancels after it has begun: the pieces go to the shelf', function (): void {
    // trade.md, W18: after it has begun the cost of the others does not rise
    [$six, $four] = [$this->shop->customerOrder(['LID-9' => '6']), $this->shop->customerOrder(['LID-9' => '4'])];
    $new = Order::query()->findOrFail(combined($this, [lineOf($six)->id, lineOf($four)->id])->order_id);
    $this->shop->release($new);
    $this->shop->issueAll($new->refresh());
    $planned = $new->refresh()->plannedCost()->total();
    $head = CustomerOrder::query()->findOrFail(lineOf($four)->customer_order_id);
    app(CancelLine::class)->handle(
        lineOf($four)->id,
        (int) $head->version,
        NoLongerFor::Shelf,
        null,
        $this->shop->sign(Role::Sales, 'changed their mind'),
    );

    expect($new->refresh()->quantity)->toBe('10.000000')
        ->and($new->plannedCost()->total())->toBe($planned)
        ->and((string) $new->unpromised())->toBe('4.000000')
        ->and($this->shop->differences())->toBe([]);
});

it('combines nothing that runs, is of two items, or takes two customers\' own material', function (): void {
    $runs = $this->shop->order('LID-9', '4');
    $this->shop->release($runs);
    $firm = $this->shop->order('LID-9', '3');
    $tray = $this->shop->order('TRAY-40', '2');
    $count = Booking::query()->count();

    expect(fn () => combined($this, [], [$runs->id, $firm->id]))->toThrow(Refused::class, 'is released already')
        ->and(fn () => combined($this, [], [$firm->id, $tray->id]))->toThrow(Refused::class, 'of different items')
        ->and(fn () => combined($this, [], [$firm->id]))->toThrow(Refused::class, 'at least two')
        ->and(Booking::query()->count())->toBe($count)
        ->and($firm->refresh()->state)->toBe(OrderState::Firm);
});

it('makes one order for the greater need of things that come out together, and says what is over', function (): void {
    // trade.md, W23: 100 rings and 60 lids; one of each a run, then two lids a run
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,cost\n"
            ."RING-W,Ring,made,pc,12\nLID-W,Lid,made,pc,5\nPLATE-W,Plate,bought,pc,9\n",
        'structures.csv' => "item,revision,position,component,quantity,comes_back,share_rule\nRING-W,A,10,PLATE-W,1,,\n"
            ."RING-W,A,20,LID-W,-1,co_product,value\n",
    ]);
    $rings = $this->shop->customerOrder(['RING-W' => '100']);
    $lids = $this->shop->customerOrder(['LID-W' => '60']);
    $booking = combined($this, [lineOf($rings)->id, lineOf($lids)->id]);
    $order = Order::query()->findOrFail($booking->order_id);

    expect($order->quantity)->toBe('100.000000')
        ->and($booking->says)->toContain('40 pc LID-W Lid more than is wanted')
        ->and(lineOf($lids)->uncovered()->isZero())->toBeTrue()
        ->and((string) $order->unpromisedOf(lineOf($lids)->item_id))->toBe('40.000000')
        ->and($this->shop->differences())->toBe([]);

    $more = $this->shop->customerOrder(['LID-W' => '301']);
    $one = $this->shop->customerOrder(['RING-W' => '1']);
    $this->shop->import(['structures.csv' => "item,revision,position,component,quantity,comes_back,share_rule\n"
        ."RING-W,B,10,PLATE-W,1,,\nRING-W,B,20,LID-W,-2,co_product,value\n"]);
    $second = combined($this, [lineOf($more)->id, lineOf($one)->id]);

    expect(Order::query()->findOrFail($second->order_id)->quantity)->toBe('151.000000')
        ->and($second->says)->toContain('150 pc RING-W Ring and 1 pc LID-W Lid more than is wanted')
        ->and($this->shop->differences())->toBe([]);
});

it('lists what is wanted more than once, and makes one order of what is ticked', function (): void {
    $six = $this->shop->customerOrder(['LID-9' => '6']);
    $firm = $this->shop->order('LID-9', '3');
    $this->actingAs($this->shop->as(Role::Planner))
        ->get('/combine')
        ->assertOk()
        ->assertSee("order {$firm->number}")
        ->assertSee("{$six->number} line 10");
    $this->post('/combine', ['token' => 'c-1', 'lines' => [lineOf($six)->id], 'orders' => [$firm->id]])
        ->assertSessionHas('done');
    $new = Order::query()->latest('id')->firstOrFail();

    expect($new->quantity)->toBe('9.000000');

    $this->get("/orders/{$new->id}")->assertOk()->assertSee('combined');
    $changes = DB::table('order_changes')->where('order_id', $firm->id);
    expect($changes->where('after', "part of order {$new->number}")->exists())->toBeTrue();
});

<?php

use App\Access\Role;
use App\Actions\Builds\BuildAndShip;
use App\Actions\Builds\TypedBuild;
use App\Actions\Cover\CoverBy;
use App\Actions\Cover\TieLine;
use App\Actions\Orders\ReceiveAndIssue;
use App\Actions\Orders\TypedReceipt;
use App\Actions\Purchasing\Delivered;
use App\Actions\Purchasing\ReceiveDelivery;
use App\Models\Booking;
use App\Models\Order;
use App\Models\PurchaseOrder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Refused;
use Tests\Support\PdfText;

/* What comes in goes straight on to who waits for it, in one booking that is taken back as one. */

beforeEach(function (): void {
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,tracking,cost,costing\n"
            ."INNER-S,Inner part,assembled,pc,lot,20,own\n"
            ."OUTER-S,Outer part,assembled,pc,serial,60,own\n"
            ."PIECE-S,Piece,bought,pc,none,5,average\n",
        'structures.csv' => "item,position,component,quantity\n"
            ."INNER-S,10,PIECE-S,2\nOUTER-S,10,INNER-S,1\n",
    ]);
    $this->shop->goodsIn('PIECE-S', '40', '5');
});

/** An order with its parts in it, released. */
function inTheShop(object $test, string $item, string $quantity, string $due): Order
{
    $order = $test->shop->order($item, $quantity, $due);
    $test->shop->release($order);

    return $order->refresh();
}

function straightOn(object $test, Order $order, string $quantity, string $codes = ''): Booking
{
    return app(ReceiveAndIssue::class)->handle(
        $order->id,
        new TypedReceipt($quantity, $test->shop->place('STORES')->id, $codes),
        $test->shop->sign(Role::Storekeeper),
    );
}

it('hands what came to whom it is made for, then by rank, lots and all, and takes it back as one', function () {
    $inner = inTheShop($this, 'INNER-S', '7', '2026-12-01');
    $this->shop->issueAll($inner);
    $early = inTheShop($this, 'OUTER-S', '4', '2026-12-05');
    $late = inTheShop($this, 'OUTER-S', '4', '2026-12-09');
    $this->shop->madeFor($inner, $late);
    $used = fn (Order $order): string => $this->shop->component($order, 'INNER-S')->used_quantity;
    $booking = straightOn($this, $inner, '7', 'L-7');

    expect($booking->says)->toContain('received from order')->toContain('issued to')
        ->and($used($late))->toBe('4.000000')
        ->and($used($early))->toBe('3.000000')
        ->and($this->shop->stock('INNER-S')['quantity'])->toBe('0')
        ->and(DB::table('moves AS m')->join('lots AS l', 'l.id', 'm.lot_id')->where('m.booking_id', $booking->id)
            ->distinct()->pluck('l.code')->all())->toBe(['L-7'])
        ->and($this->shop->differences())->toBe([]);

    $this->shop->reverse($booking);

    expect($used($late))->toBe('0.000000')
        ->and($inner->refresh()->received()->isZero())->toBeTrue()
        ->and($this->shop->differences())->toBe([]);
});

it('prints a label for each order that got of it, with where it is waited for', function (): void {
    $this->shop->import([
        'routings.csv' => "item,step,name,work_centre,setup_minutes,run_rate\nOUTER-S,10,Fit together,BENCH,0,5\n",
    ]);
    $inner = inTheShop($this, 'INNER-S', '7', '2026-12-01');
    $this->shop->issueAll($inner);
    $early = inTheShop($this, 'OUTER-S', '4', '2026-12-05');
    $late = inTheShop($this, 'OUTER-S', '4', '2026-12-09');
    $booking = straightOn($this, $inner, '7', 'L-7');
    $this->actingAs($this->shop->as(Role::Storekeeper));
    $address = "/bookings/{$booking->id}/labels.pdf";
    $text = PdfText::of((string) $this->get($address)->assertOk()->getContent());

    expect($text)->toContain("Order {$early->number}, Outer part")->toContain("Order {$late->number}, Outer part")
        ->toContain('to Bench and control boxes, step 10 Fit together')
        ->toContain('4 pc Inner part INNER-S')->toContain('3 pc Inner part INNER-S')
        ->toContain('lot or serial L-7')
        ->not->toContain('€');
    $this->get("/bookings/{$booking->id}")->assertOk()->assertSee('Labels for what went to orders');

    $back = $this->shop->reverse($booking);

    $this->get($address)->assertNotFound();
    $this->get("/bookings/{$back->id}/labels.pdf")->assertNotFound();
    $this->get("/bookings/{$booking->id}")->assertOk()->assertDontSee('Labels for what went to orders');
});

it('leaves in stock what nobody takes, and is refused where nobody waits', function (): void {
    $inner = inTheShop($this, 'INNER-S', '6', '2026-12-01');
    $this->shop->issueAll($inner);

    expect(fn () => straightOn($this, $inner, '2'))->toThrow(Refused::class, 'No released order waits')
        ->and($inner->refresh()->received()->isZero())->toBeTrue();

    inTheShop($this, 'OUTER-S', '4', '2026-12-05');
    straightOn($this, $inner, '6');

    expect($this->shop->stock('INNER-S')['quantity'])->toBe('2')
        ->and($this->shop->differences())->toBe([]);
});

it('leaves what a customer line was promised, and hands on the rest', function (): void {
    $inner = inTheShop($this, 'INNER-S', '5', '2026-12-01');
    $this->shop->issueAll($inner);
    inTheShop($this, 'OUTER-S', '4', '2026-12-05');
    $line = $this->shop->customerOrder(['INNER-S' => '3'])->lines[0];
    app(TieLine::class)->toOrder($line->id, $inner->id, '3', $this->shop->sign(Role::Sales));
    straightOn($this, $inner, '5', 'L-5');

    expect($this->shop->stock('INNER-S')['quantity'])->toBe('3')
        ->and($this->shop->differences())->toBe([]);
});

it('takes a delivery straight on to the orders that wait', function (): void {
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,cost\nRARE-S,Rare,bought,pc,8\nTOP-S,Top,assembled,pc,9\n",
        'structures.csv' => "item,position,component,quantity\nTOP-S,10,RARE-S,3\n",
    ]);
    $top = inTheShop($this, 'TOP-S', '5', '2026-12-05');
    $line = $this->shop->purchase('P-77', 'RARE-S', '20', '2026-12-01');
    $booking = app(ReceiveDelivery::class)->handle(
        PurchaseOrder::query()->findOrFail($line->purchase_order_id)->supplier_id,
        [new Delivered(
            "lines.{$line->id}",
            $this->shop->arrival('RARE-S', '20', '8', purchase: $line->id),
            $line->id,
        )],
        'LS-1',
        $this->shop->sign(Role::Storekeeper),
        straight: true,
    );

    expect($this->shop->component($top, 'RARE-S')->used_quantity)->toBe('15.000000')
        ->and($this->shop->stock('RARE-S')['quantity'])->toBe('5')
        ->and($this->shop->differences())->toBe([]);

    $this->shop->reverse($booking);

    expect($this->shop->stock('RARE-S')['quantity'])->toBe('0')
        ->and($this->shop->differences())->toBe([]);
});

it('books the build with the shipment, for the pieces that go, serials and all', function (): void {
    $this->shop->goodsIn('INNER-S', '10', '20', 'L-1');
    $demand = $this->shop->customerOrder(['OUTER-S' => '5']);
    $this->shop->cover($demand, CoverBy::NewOrder);
    $order = Order::query()->where('item_id', $this->shop->item('OUTER-S')->id)->sole();
    $go = fn (string $pieces): Booking => app(BuildAndShip::class)->handle($order->id, new TypedBuild(
        $order->id,
        $order->item_id,
        '5',
        $pieces,
        $this->shop->place('FINISHED')->id,
    ), $this->shop->sign(Role::Storekeeper));
    $first = $go('3');

    expect($first->says)->toContain('Shipped to')->toContain('2 of 5 are left to build')
        ->and($demand->lines[0]->refresh()->shipped_quantity)->toBe('3.000000')
        ->and($this->shop->stock('INNER-S')['quantity'])->toBe('7')
        ->and($this->shop->stock('OUTER-S')['quantity'])->toBe('0')
        ->and($this->shop->differences())->toBe([]);

    $go('2');

    expect($order->refresh()->state)->toBe(OrderState::Built)
        ->and($demand->lines[0]->refresh()->is_open)->toBeFalse();

    $this->shop->reverse(Booking::query()->latest('id')->firstOrFail());

    expect($demand->lines[0]->refresh()->shipped_quantity)->toBe('3.000000')
        ->and($this->shop->differences())->toBe([]);
});

<?php

use App\Access\Role;
use App\Actions\Bookings\ReverseLines;
use App\Actions\Cover\CoverBy;
use App\Actions\Cover\TieLine;
use App\Actions\Demand\ReceiveAndShip;
use App\Actions\Orders\TypedReceipt;
use App\Actions\Stock\ReserveStock;
use App\Actions\Usage\IssueComponents;
use App\Actions\Usage\UseLine;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\CustomerOrder;
use App\Models\Order;
use App\Reading\Row;
use App\Shop\Ties;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/* Deeds put together of parts: what they need is locked at once, and they stand or fall together. */

/**
 * An order of good pieces for one line or several.
 *
 * @param  array<string, string>  $lines
 * @return array{CustomerOrder, Order}
 */
function builtFor(object $test, array $lines): array
{
    $demand = $test->shop->customerOrder($lines);
    $test->shop->cover($demand, CoverBy::NewOrder);
    $order = Order::query()->latest('id')->firstOrFail();
    $test->shop->release($order);
    foreach ($order->components()->with('item')->get()->unique('item_id') as $component) {
        $component->item->isTracked() ?: $test->shop->goodsIn($component->item->number, '99', '1');
    }
    $test->shop->issueAll($order);
    $test->shop->workThrough($order);

    return [$demand, $order->refresh()];
}

function receiveAndShip(object $test, Order $order, string $quantity): Booking
{
    return app(ReceiveAndShip::class)->handle(
        $order->id,
        new TypedReceipt($quantity, $test->shop->place('FINISHED')->id),
        $test->shop->sign(Role::Storekeeper),
    );
}

it('takes pieces in and ships them in one deed, and takes both back in one', function () {
    [$demand, $order] = builtFor($this, ['LID-9' => '6']);
    $before = [$this->shop->stock('LID-9'), $order->quantity];
    $booking = receiveAndShip($this, $order, '4');
    expect($booking->kind)->toBe(BookingKind::Ship)
        ->and($booking->says)->toContain("received from order {$order->number}")->toContain('Shipped to')
        ->and($this->shop->stock('LID-9')['quantity'])->toBe($before[0]['quantity']) // in and out again
        ->and($demand->lines()->first()->shipped_quantity)->toBe('4.000000')
        ->and($order->refresh()->output()->received_quantity)->toBe('4.000000')
        ->and($this->shop->covers($order))->toBe('2.000000')
        ->and($booking->moves()->pluck('order_id')->filter()->unique()->all())->toBe([$order->id])
        ->and($this->shop->differences())->toBe([]);
    $this->shop->reverse($booking);
    expect($this->shop->stock('LID-9'))->toBe($before[0])
        ->and($demand->lines()->first()->shipped_quantity)->toBe('0.000000')
        ->and($order->refresh()->output()->received_quantity)->toBe('0.000000')
        ->and($this->shop->covers($order))->toBe('6.000000')
        ->and($this->shop->differences())->toBe([]);
});

it('settles an order whose pieces went on at once like any other', function () {
    [, $order] = builtFor($this, ['LID-9' => '6']);
    receiveAndShip($this, $order, '6');
    $this->shop->close($order->refresh());
    $left = DB::table('cost_entries')->where('order_id', $order->id)->sum('cents');
    expect((int) $left)->toBe(0)->and($this->shop->differences())->toBe([]);
});

it('leaves nothing of the first part where the second is refused', function (Closure $make, string $says) {
    $order = $make($this);
    $before = [
        DB::table('bookings')->count(),
        DB::table('moves')->count(),
        DB::table('step_entries')->count(),
        $order->refresh()->getAttributes(),
        $this->shop->stock($order->item->number),
    ];
    expect(fn () => receiveAndShip($this, $order, '2'))->toThrow(Refused::class, $says);
    expect([
        DB::table('bookings')->count(),
        DB::table('moves')->count(),
        DB::table('step_entries')->count(),
        $order->refresh()->getAttributes(),
        $this->shop->stock($order->item->number),
    ])->toBe($before)->and($this->shop->differences())->toBe([]);
})->with([
    'its pieces are for two customer orders' => [
        function ($test): Order {
            $order = $test->shop->order('LID-9', '2');
            $test->shop->release($order);
            $test->shop->workThrough($order);
            foreach ([1, 2] as $customer) {
                $line = $test->shop->customerOrder(['LID-9' => '1'])->lines[0];
                app(TieLine::class)->toOrder($line->id, $order->id, '1', $test->shop->sign(Role::Sales));
            }

            return $order;
        },
        'for several customer orders',
    ],
    'it is for no line any more' => [
        function ($test): Order {
            [, $order] = builtFor($test, ['LID-9' => '2']);
            $cover = (int) $order->covers()->value('id');
            app(TieLine::class)->untie($cover, $test->shop->sign(Role::Sales, 'gone'));

            return $order;
        },
        'for no customer line any more',
    ],
]);

it('locks what all parts need in one order, whichever comes first', function () {
    $order = $this->shop->order('LID-9', '2');
    $item = $this->shop->item('BRG-25')->id;
    $seen = [];
    app(Bookings::class)->once(
        BookingKind::Count,
        $this->shop->sign(Role::Storekeeper),
        new Part(Needs::items([$item]), function (Ledger $ledger, Held $held) use (&$seen, $order): void {
            $seen[] = $held->order($order->id);
            $held->order($order->id)->short_reason = 'seen by the other part';
        }),
        new Part(Needs::orders([$order->id]), function (Ledger $ledger, Held $held) use (&$seen, $order): void {
            $seen[] = $held->order($order->id);
            $ledger->says($held->order($order->id)->short_reason);
        }),
    );
    expect($seen[0])->toBe($seen[1])
        ->and(Booking::query()->latest('id')->first()->says)->toBe('seen by the other part');
});

it('begins anew when it needs more by the time it is held, and gives up after a while', function () {
    $items = [$this->shop->item('BRG-25')->id, $this->shop->item('FOOT-1')->id];
    $asked = 0;
    $needs = function () use (&$asked, $items): Needs {
        return Needs::items($asked++ === 0 ? [$items[0]] : $items);
    };
    $held = [];
    $write = function (Ledger $ledger, Held $of) use (&$held): void {
        $held = $of->needs->items;
    };
    $book = fn (Part $part) => app(Bookings::class)
        ->once(BookingKind::Count, $this->shop->sign(Role::Storekeeper), $part);
    $book(new Part($needs, $write));
    expect($held)->toEqualCanonicalizing($items)->and($asked)->toBe(4);
    $ever = 0;
    $more = function () use (&$ever): Needs {
        return Needs::orders(range(1, ++$ever));
    };
    $bookings = Booking::query()->count();
    expect(fn () => $book(new Part($more, $write)))->toThrow(Refused::class, 'Others are at work')
        ->and(Booking::query()->count())->toBe($bookings);
});

it('puts needs together without doubles, in the order they are locked', function () {
    $needs = Needs::orders([7, null, 3])->and(Needs::orders([3, 12]))->and(Needs::items(['9', 9]));
    expect($needs->orders)->toBe([3, 7, 12])->and($needs->items)->toBe([9])
        ->and($needs->cover(Needs::orders([7])))->toBeTrue()
        ->and($needs->cover(Needs::customerOrders([7])))->toBeFalse();
});

it('gives back what an order had kept once, however its lines are taken back', function () {
    $order = $this->shop->order('EX-9H', '4');
    $this->shop->release($order);
    $bearing = $this->shop->component($order, 'BRG-25');
    app(ReserveStock::class)
        ->handle($order->id, $bearing->item_id, '', '5', $this->shop->sign(Role::Planner));
    $motor = $this->shop->component($order, 'FOOT-1');
    $this->shop->goodsIn('FOOT-1', '9');
    $this->shop->goodsIn('BRG-25', '9');
    $issue = app(IssueComponents::class)->handle(
        [UseLine::planned($bearing, '6'), UseLine::planned($motor, '2')],
        false,
        $this->shop->sign(Role::Storekeeper),
    );
    $kept = fn (): BigDecimal => Row::sum(Ties::kept()->where('want.order_id', $order->id), 't.quantity');
    expect($kept()->isZero())->toBeTrue();
    $moves = $issue->moves()->get();
    $lines = app(ReverseLines::class);
    $other = $moves->firstOrFail(fn ($move): bool => $move->item_id !== $bearing->item_id);
    $lines->handle($issue->id, [$other->id], $this->shop->sign(Role::Storekeeper, 'not this'));
    expect($kept()->isZero())->toBeTrue(); // another item's line gives nothing of it back
    $own = $moves->firstOrFail(fn ($move): bool => $move->item_id === $bearing->item_id);
    $lines->handle($issue->id, [$own->id], $this->shop->sign(Role::Storekeeper, 'not this'));
    expect($kept()->isEqualTo(5))->toBeTrue();
    $this->shop->reverse($issue);
    expect($kept()->isEqualTo(5))->toBeTrue()->and($this->shop->differences())->toBe([]);
});

<?php

use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Order;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Refused;
use Tests\Support\EveryKind;

/**
 * @param  list<string>  $columns
 * @return list<array<string, mixed>>
 */
function rowsOf(Builder $query, array $columns): array
{
    return $query->get($columns)->map(fn (stdClass $row): array => (array) $row)->all();
}

/** Figures that a reversal must bring back; what it cancels is none. */
function figures(): array
{
    $cancelled = DB::table('orders')->where('state', 'cancelled')->pluck('id');
    $of = fn (string $table): Builder => DB::table($table)->whereNotIn('order_id', $cancelled)->orderBy('id');

    return [
        'balances' => rowsOf(DB::table('balances')->where('quantity', '>', 0)->orderBy('id'), ['id', 'quantity']),
        'values' => rowsOf(
            DB::table('stock_values')->where('quantity', '>', 0)->orderBy('item_id')->orderBy('lot_id'),
            ['item_id', 'lot_id', 'quantity', 'value'],
        ),
        'layers' => rowsOf(
            DB::table('cost_layers')->where('left_quantity', '>', 0)->orderBy('id'),
            ['item_id', 'left_quantity', 'left_value'],
        ),
        'steps' => rowsOf($of('order_steps'), [
            'id', 'taken_in', 'good', 'scrap', 'passed_on', 'booked_minutes', 'started_at', 'done_at', 'arrived_at',
            'spell_from', 'sent_out', 'reworked', 'added', 'not_found', 'sent_back', 'moved_in', 'moved_out',
            'planned_minutes', 'labour_rate', 'machine_rate',
        ]),
        'orders' => rowsOf(DB::table('orders')->where('state', '<>', 'cancelled')->orderBy('id'), [
            'id', 'state', 'quantity', 'due_on', 'is_held', 'released_at', 'released_by', 'short_reason', 'closed_at',
            'planned_material', 'planned_labour', 'planned_outside',
        ]),
        'outputs' => rowsOf($of('order_outputs'), [
            'id', 'planned_quantity', 'received_quantity', 'received_value', 'given_up_quantity',
        ]),
        'used' => rowsOf($of('order_components'), [
            'id', 'planned_quantity', 'planned_value', 'used_quantity', 'used_value', 'replaced_quantity',
            'along_quantity', 'open_quantity', 'short_at_release',
        ]),
        'ties' => rowsOf(DB::table('ties')->where('quantity', '>', 0)->orderBy('id'), [
            'demand_kind', 'demand_id', 'supply_kind', 'supply_id', 'quantity',
        ]),
        'lines' => rowsOf(
            DB::table('customer_order_lines')->whereColumn('cancelled_quantity', '<', 'quantity')->orderBy('id'),
            ['id', 'quantity', 'shipped_quantity', 'cancelled_quantity', 'promised_on', 'is_open'],
        ),
        'asked' => rowsOf(DB::table('questions')->whereNull('answered_at')->orderBy('id'), [
            'id', 'open_quantity', 'answer', 'answered_by',
        ]),
        'bought' => rowsOf(
            DB::table('purchase_lines AS l')
                ->join('purchase_orders AS p', 'p.id', 'l.purchase_order_id')
                ->whereRaw('l.received_quantity + l.cancelled_quantity + l.unpaid_quantity + l.billed_quantity <> 0')
                ->orderBy('l.id'),
            [
                'l.id', 'l.quantity', 'l.received_quantity', 'l.cancelled_quantity', 'l.unpaid_quantity',
                'l.billed_quantity', 'l.billed_cents', 'l.work_cents', 'l.is_open', 'p.state',
            ],
        ),
        'claims' => rowsOf(DB::table('claims')->where('state', '<>', 'taken_back')->orderBy('id'), [
            'id', 'state', 'granted_cents', 'answer',
        ]),
        'outside' => rowsOf(DB::table('consignment_lines')->where('there', '>', 0)->orderBy('id'), ['id', 'there']),
        'bills' => rowsOf(DB::table('bills')->where('state', 'accepted')->orderBy('id'), ['id', 'stands']),
        'cost' => rowsOf(
            DB::table('cost_entries')
                ->groupBy('order_id', 'kind')
                ->selectRaw('order_id, kind, SUM(cents) AS cents')
                ->having('cents', '<>', 0)
                ->orderBy('order_id')
                ->orderBy('kind'),
            ['*'],
        ),
    ];
}

it('brings every figure back, a deed of each kind, newest first', function () {
    $states = [];
    $deeds = EveryKind::in($this->shop, function (Closure $deed) use (&$states): Booking {
        $states[] = figures();

        return $deed();
    });
    $reversible = array_filter(BookingKind::cases(), fn (BookingKind $kind): bool => $kind->isReversible());
    $kinds = array_map(fn (Booking $booking): BookingKind => $booking->kind, $deeds);
    expect(array_diff(array_column($reversible, 'value'), array_column($kinds, 'value')))->toBe([]);
    for ($i = count($deeds) - 1; $i >= 0; $i--) {
        $this->shop->reverse($deeds[$i]);
        expect(figures())->toEqual($states[$i], $deeds[$i]->says)->and($this->shop->differences())->toBe([]);
    }
});

it('refuses what later bookings stand on, and says what to do', function () {
    $in = $this->shop->goodsIn('MOT-120', '5', '80');
    $order = $this->shop->order('EX-9E', '2');
    $this->shop->release($order);
    $motor = $order->components()->whereRelation('item', 'number', 'MOT-120')->firstOrFail();
    $this->shop->goodsIn('BRG-25', '5', '7');
    $used = $this->shop->issue($motor, '2');
    $counted = app(App\Actions\Stock\CountBalance::class)->handle(
        (int) DB::table('balances')->where('item_id', $motor->item_id)->value('id'),
        '1',
        $this->shop->sign(App\Access\Role::Storekeeper, 'lost', 'n'),
    );
    expect(fn () => $this->shop->reverse($in))
        ->toThrow(Refused::class, "Undo first: booking {$counted->id} (Counted MOT-120")
        ->and(fn () => $this->shop->reverse($in))
        ->toThrow(Refused::class, "then booking {$used->id} (1 component issued");
});

it('refuses pieces that have gone on, double reversals, and reversing a reversal', function () {
    $order = $this->shop->order('LID-9', '5');
    $release = $this->shop->release($order);
    $first = $this->shop->report($order->steps[0], '5', '5');
    $second = $this->shop->report($order->steps[1], '5', '5');
    expect(fn () => $this->shop->reverse($first))->toThrow(Refused::class, 'gone on')
        ->and(fn () => $this->shop->reverse($release))->toThrow(Refused::class, 'gone on');
    $back = $this->shop->reverse($second);
    expect(fn () => $this->shop->reverse($second))->toThrow(Refused::class, 'reversed this already')
        ->and(fn () => $this->shop->reverse($back))->toThrow(Refused::class, 'Book the deed again');
    expect($back->reason)->toBe('typing error')
        ->and(Booking::query()->find($second->id)->says)->not->toContain('Reversed')
        ->and($this->shop->differences())->toBe([]);
});

it('asks for a reason, and lets people undo only their own deeds at once', function () {
    $order = $this->shop->order('LID-9', '5');
    $this->shop->release($order);
    $booking = $this->shop->report($order->steps[0], '5');
    $operator = $this->shop->as(\App\Access\Role::Operator);
    $this->actingAs($this->shop->as(\App\Access\Role::Supervisor))
        ->delete(route('bookings.destroy', $booking->id), ['token' => 'a', 'reason' => ''])
        ->assertSessionHasErrors('reason');
    $this->actingAs($this->shop->as(\App\Access\Role::Buyer))
        ->delete(route('bookings.destroy', $booking->id), ['token' => 'b', 'reason' => 'x'])->assertForbidden();
    $this->travel(20)->minutes();
    $this->actingAs($operator)
        ->delete(route('bookings.destroy', $booking->id), ['token' => 'c', 'reason' => 'x'])
        ->assertForbidden();
    $this->travel(-20)->minutes();
    $this->actingAs($operator)
        ->delete(route('bookings.destroy', $booking->id), ['token' => 'd', 'reason' => 'undone at once'])
        ->assertSessionHas('done');
    expect($this->shop->differences())->toBe([]);
});

it('cancels the orders a reversed cover made, unless they are past that', function () {
    $customerOrder = $this->shop->customerOrder(['EX-9H' => '9']);
    $cover = $this->shop->cover($customerOrder, withParts: true);
    $changes = DB::table('record_changes')->where('booking_id', $cover->id)->whereNull('fields');
    $made = Order::query()->whereKey($changes->pluck('record_id'))->get();
    expect($made->count())->toBeGreaterThan(1);
    $release = $this->shop->release($made[0]);
    expect(fn () => $this->shop->reverse($cover))->toThrow(Refused::class, 'is released by now');
    $this->shop->reverse($release);
    $this->shop->reverse($cover);
    expect(Order::query()->whereKey($made->modelKeys())->pluck('state')->unique()->all())->toBe([OrderState::Cancelled])
        ->and((float) DB::table('ties')->sum('quantity'))->toBe(0.0)->and($this->shop->differences())->toBe([]);
});

it('takes an order for the shelf and a customer order back', function () {
    $made = app(\App\Actions\Orders\MakeOrder::class)->handle(
        $this->shop->item('LID-9')->id,
        new TypedQuantity('4'),
        null,
        false,
        $this->shop->sign(\App\Access\Role::Planner, token: 'shelf'),
    );
    $this->shop->reverse($made);
    expect(Order::query()->findOrFail($made->order_id)->state)->toBe(OrderState::Cancelled);
    $customerOrder = $this->shop->customerOrder(['LID-9' => '4', 'TRAY-40' => '1']);
    $entered = Booking::query()->where('customer_order_id', $customerOrder->id)->firstOrFail();
    $cover = $this->shop->cover($customerOrder);
    expect(fn () => $this->shop->reverse($entered))->toThrow(Refused::class, 'Line 10 is covered');
    $this->shop->reverse($cover);
    $this->shop->reverse($entered);
    expect($customerOrder->lines()->where('is_open', true)->count())->toBe(0)
        ->and($this->shop->differences())->toBe([]);
    $this->actingAs($this->shop->as(\App\Access\Role::Sales))
        ->get("/customer-orders/{$customerOrder->id}")
        ->assertSee('4 cancelled');
});

it('tells a form sent before from one that was changed after going back to it', function () {
    $order = $this->shop->order('LID-9', '5');
    $this->shop->release($order);
    $send = fn (string $good) => $this->actingAs($this->shop->as(\App\Access\Role::Operator))->from('/station')
        ->post("/order-steps/{$order->steps[0]->id}/report",
            ['token' => 'form-1', 'good' => $good, 'scrap' => '0', 'pass_on' => '0', 'minutes' => '5']);
    $send('2')->assertSessionHas('done');
    $send('2')->assertSessionHas('done')->assertSessionHasNoErrors();
    expect($order->steps[0]->refresh()->good)->toBe('2.000000');
    $send('3')->assertSessionHasErrors('refused')->assertSessionHasInput('good', '3');
    expect($order->steps[0]->refresh()->good)->toBe('2.000000');
});

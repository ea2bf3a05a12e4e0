<?php

use App\Access\Role;
use App\Actions\Cover\CoverBy;
use App\Actions\Cover\TieLine;
use App\Actions\Demand\ChangeCustomerLine;
use App\Actions\Orders\ChangedMeanwhile;
use App\Books\Signed;
use App\Models\CustomerOrderLine;
use App\Models\Order;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

it('refuses a promise in the past and an unknown item, line by line', function () {
    $this->actingAs($this->shop->as(Role::Sales))
        ->from('/customer-orders/new')
        ->post('/customer-orders', [
            'token' => 't',
            'customer_id' => DB::table('customers')->min('id'),
            'lines' => [
                ['item' => 'TRAY-40', 'quantity' => '1', 'promised_on' => '2026-11-02'],
                ['item' => 'GHOST', 'quantity' => '1', 'promised_on' => '2026-12-01'],
                ['item' => '', 'quantity' => '', 'promised_on' => ''],
            ],
        ])
        ->assertSessionHasErrors(['lines.0.promised_on', 'lines.1.item'])
        ->assertSessionDoesntHaveErrors(['lines.2.item']);
    expect(DB::table('customer_orders')->exists())->toBeFalse();
});

it('keeps what was typed and its unit beside the stock quantity', function () {
    DB::table('item_units')->insert([
        'item_id' => $this->shop->item('TRAY-40')->id,
        'unit_id' => DB::table('units')->where('code', 'box')->value('id'),
        'p' => 6,
        'q' => 1,
    ]);
    $this->actingAs($this->shop->as(Role::Sales))
        ->post('/customer-orders', [
            'token' => 't',
            'customer_id' => DB::table('customers')->min('id'),
            'lines' => [['item' => 'tray-40', 'quantity' => '2', 'unit' => 'box', 'promised_on' => '2026-12-01']],
        ])
        ->assertSessionHasNoErrors();
    $line = CustomerOrderLine::query()->firstOrFail();
    expect($line->quantity)->toBe('12.000000')->and($line->typed_quantity)->toBe('2.000000');
});

it('covers a line in parts, ties it to an open order and unties it with a reason both histories keep', function () {
    $shelf = $this->shop->order('TRAY-40', '4');
    $customerOrder = $this->shop->customerOrder(['TRAY-40' => '6']);
    $line = $customerOrder->lines[0];
    $tie = app(TieLine::class);
    $by = $this->shop->as(Role::Sales);
    expect(fn () => $tie->toOrder(
        $line->id,
        $shelf->id,
        '5',
        new Signed('a', $by),
    ))->toThrow(Refused::class, '4 of order 218');
    $tie->toOrder($line->id, $shelf->id, '4', new Signed('b', $by));
    expect(fn () => $tie->toOrder($line->id, $shelf->id, '1', new Signed('c', $by)))->toThrow(Refused::class);
    expect(fn () => $tie->toOrder($line->id, $this->shop->order('LID-9', '4')->id, '1', new Signed('d', $by)))->toThrow(
        Refused::class,
        'does not make',
    );
    $this->shop->cover($customerOrder, CoverBy::NewOrder);
    expect(Order::query()->orderByDesc('id')->first()->quantity)->toBe('2.000000');
    $cover = $line->covers()->where('output_id', $shelf->output()->id)->firstOrFail();
    $booking = $tie->untie($cover->id, new Signed('e', $by, 'wanted sooner'));
    expect($booking->order_id)->toBe($shelf->id)
        ->and($booking->customer_order_id)->toBe($customerOrder->id)
        ->and($booking->reason)
        ->toBe('wanted sooner');
    expect(fn () => $tie->untie($cover->id, new Signed('f', $by, 'again')))->toThrow(Refused::class, 'untied already')
        ->and($this->shop->differences())->toBe([]);
});

it('changes a line, never below what is covered or shipped, and tells of changes between', function () {
    $customerOrder = $this->shop->customerOrder(['LID-9' => '4']);
    $line = $customerOrder->lines[0];
    $change = app(ChangeCustomerLine::class);
    $by = $this->shop->as(Role::Sales);
    $seen = $customerOrder->version;
    $change->handle($line->id, $seen, '6', '2026-12-20', new Signed('a', $by));
    expect(fn () => $change->handle($line->id, $seen, '7', '2026-12-20', new Signed('b', $by)))
        ->toThrow(ChangedMeanwhile::class, 'from 4 by Fri 18 Dec 2026 to 6 by Sun 20 Dec 2026');
    $this->shop->cover($customerOrder->refresh());
    expect(fn () => $change->handle(
        $line->id,
        $customerOrder->refresh()->version,
        '3',
        '2026-12-20',
        new Signed('c', $by),
    ))
        ->toThrow(Refused::class, '6 are shipped, covered');
});

it('ships parts, no more than open, and not what is promised to others', function () {
    $first = $this->shop->customerOrder(['LID-9' => '5']);
    $second = $this->shop->customerOrder(['LID-9' => '5']);
    $this->shop->cover($first, CoverBy::Stock);
    expect(fn () => $this->shop->ship($second, [$second->lines[0]->id => '4']))->toThrow(Refused::class, 'promised');
    $this->shop->ship($second, [$second->lines[0]->id => '3']);
    $this->shop->ship($first, [$first->lines[0]->id => '2']);
    expect(fn () => $this->shop->ship($first, [$first->lines[0]->id => '4']))->toThrow(
        Refused::class,
        '3 open on this line',
    );
    $this->shop->ship($first, [$first->lines[0]->id => '3']);
    expect($first->lines[0]->refresh()->is_open)->toBeFalse()->and($this->shop->stock('LID-9')['quantity'])->toBe('0')
        ->and($this->shop->differences())->toBe([]);
});

it('finishes one working day before the ship date: common practice', function () {
    $customerOrder = $this->shop->customerOrder(['TRAY-40' => '1'], '2026-12-21');
    $this->shop->cover($customerOrder);
    expect(Order::query()->latest('id')->value('due_on'))->toBe('2026-12-18');
});

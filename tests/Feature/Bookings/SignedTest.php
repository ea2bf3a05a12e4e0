<?php

use App\Access\Role;
use App\Actions\Stock\CountBalance;
use App\Books\Signed;
use App\Models\Balance;
use App\Models\Booking;

/* Who signs a deed, and what is written of it with its booking. */

it('hands a deed on with another reason or day, under the same token', function () {
    $signed = new Signed('form-1', $this->shop->as(Role::Storekeeper), 'typed', '2026-11-20', 'print');
    $other = $signed->because('scratched')->on('2026-11-19');
    expect([$other->token, $other->fingerprint, $other->person->id])->toBe(['form-1', 'print', $signed->person->id])
        ->and([$other->reason, $other->bookedOn])->toBe(['scratched', '2026-11-19'])
        ->and([$signed->reason, $signed->bookedOn])->toBe(['typed', '2026-11-20']);
});

it('gives a deed without a form a token of its own', function () {
    $person = $this->shop->as(Role::Planner);
    expect(Signed::by($person)->token)->not->toBe(Signed::by($person)->token)
        ->and(Signed::by($person)->fingerprint)->toBe('');
});

it('writes who, why and when with the booking', function () {
    $balance = Balance::query()->whereRelation('item', 'number', 'BRG-25')->firstOrFail();
    $signed = new Signed('count-1', $this->shop->as(Role::Storekeeper), 'found two', '2026-11-20', 'print');
    $booking = app(CountBalance::class)->handle($balance->id, '82', $signed);
    expect($booking->refresh()->only(['token', 'fingerprint', 'person_id', 'reason', 'booked_on']))->toBe([
        'token' => 'count-1',
        'fingerprint' => 'print',
        'person_id' => $signed->person->id,
        'reason' => 'found two',
        'booked_on' => '2026-11-20',
    ])->and(Booking::query()->where('token', 'count-1')->count())->toBe(1);
});

it('takes the fingerprint from what was typed, not from what a form carries along', function () {
    $balance = Balance::query()->whereRelation('item', 'number', 'BRG-25')->firstOrFail();
    $send = fn (array $typed) => $this->actingAs($this->shop->as(Role::Storekeeper))
        ->post(route('stock.count', $balance->id), ['token' => 'one', 'reason' => 'recount', ...$typed]);
    $send(['quantity' => '81', '_by' => '7'])->assertSessionHasNoErrors();
    $send(['quantity' => '81', '_by' => '8'])->assertSessionHasNoErrors();
    expect(Booking::query()->where('token', 'one')->count())->toBe(1);
    $send(['quantity' => '83'])->assertSessionHasErrors('refused');
});

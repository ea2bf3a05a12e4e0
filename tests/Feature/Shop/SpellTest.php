<?php

use App\Access\Role;
use App\Actions\Shop\StartStep;
use App\Models\OrderStep;
use App\Models\StepEntry;
use App\Models\WorkCentre;
use App\Shop\ShopState;
use Carbon\CarbonImmutable;
use KeepPace\Core\Refused;

/* A count closes the spell it counts and begins the next: W21, common practice. */

function atTime(string $time): void
{
    test()->travelTo(new CarbonImmutable($time, 'Europe/Dublin'));
}

/** An order whose first step stands at Rolling and forming: Mon to Thu 7:00 to 15:30, Fri to 13:30. */
beforeEach(function () {
    $this->order = $this->shop->order('TRAY-40', '10');
    $this->shop->release($this->order);
    $this->step = $this->order->steps()->first();
    $this->step->update(['work_centre_id' => WorkCentre::query()->where('code', 'FORM')->value('id')]);
    $this->start = fn () => app(StartStep::class)
        ->handle($this->step->id, $this->shop->sign(Role::Operator));
    $this->count = fn (string $good, ?int $minutes = null) => $this->shop
        ->report($this->step->refresh(), $good, '0', over: ['minutes' => $minutes]);
});

/** @return list<int> machine minutes, count by count */
function booked(OrderStep $step): array
{
    return StepEntry::query()->where('order_step_id', $step->id)->where('good', '<>', 0)->orderBy('id')
        ->pluck('machine_minutes')->all();
}

it('books the time between counts once', function () {
    atTime('2026-11-24 10:00');
    ($this->start)();
    atTime('2026-11-24 11:00');
    ($this->count)('5');
    atTime('2026-11-24 13:00'); // a break of half an hour in it
    ($this->count)('5');
    expect(booked($this->step))->toBe([60, 90])
        ->and($this->step->refresh()->only(['started_at', 'started_by', 'spell_from']))->each->toBeNull()
        ->and($this->shop->differences())->toBe([]);
});

it('leaves out the week-end, and counts overtime as it stands', function (string $from, string $to, int $minutes) {
    atTime($from);
    ($this->start)();
    atTime($to);
    ($this->count)('10');
    expect(booked($this->step))->toBe([$minutes]);
})->with([
    'Fri 13:00, shift ends 13:30, counted Mon 8:00' => ['2026-11-27 13:00', '2026-11-30 08:00', 90],
    'Sat 7:00 to 11:00, shop closed' => ['2026-11-28 07:00', '2026-11-28 11:00', 240],
]);

it('takes typed minutes for the clock\'s, and goes on from there', function () {
    atTime('2026-11-24 10:00');
    ($this->start)();
    atTime('2026-11-24 11:00');
    ($this->count)('5', 12);
    atTime('2026-11-24 11:20');
    ($this->count)('2');
    expect(booked($this->step))->toBe([12, 20]);
});

it('books the machine through closed time where nobody stands by it, and no person', function () {
    $this->step->update(['crew' => 0]);
    atTime('2026-11-24 15:00');
    ($this->start)();
    atTime('2026-11-25 07:00');
    ($this->count)('10');
    $entry = StepEntry::query()->where('order_step_id', $this->step->id)->where('good', '<>', 0)->firstOrFail();
    expect([$entry->machine_minutes, $entry->labour_minutes])->toBe([960, 0]);
});

it('gives the spell back with the count that is reversed', function (string $first, bool $ends) {
    atTime('2026-11-24 10:00');
    ($this->start)();
    $was = $this->step->refresh()->only(['started_at', 'started_by', 'spell_from']);
    atTime('2026-11-24 11:00');
    $count = ($this->count)($first);
    expect($this->step->refresh()->started_at === null)->toBe($ends);
    atTime('2026-11-24 11:10');
    $this->shop->reverse($count);
    expect($this->step->refresh()->only(['started_at', 'started_by', 'spell_from']))->toEqual($was);
    atTime('2026-11-24 11:30');
    ($this->count)('10');
    expect(booked($this->step))->toBe([60, -60, 90])->and($this->step->refresh()->booked_minutes)->toBe(90);
})->with(['the first of two' => ['4', false], 'the last' => ['10', true]]);

it('does not count time twice when the first of two counts is reversed', function () {
    atTime('2026-11-24 10:00');
    ($this->start)();
    atTime('2026-11-24 11:00');
    $first = ($this->count)('4');
    atTime('2026-11-24 11:20');
    ($this->count)('3');
    $this->shop->reverse($first);
    atTime('2026-11-24 11:40');
    ($this->count)('7');
    expect(booked($this->step))->toBe([60, 20, -60, 20]);
});

it('has the time of its remaining pieces left when it is counted half', function () {
    $left = fn (): int => ShopState::now()->problem(30)->jobs[0]->steps[0]->minutes;
    $all = $this->step->time();
    atTime('2026-11-24 10:00');
    ($this->start)();
    atTime('2026-11-24 11:00');
    ($this->count)('5');
    expect($left())->toBe($all->minutes(\Brick\Math\BigDecimal::of(5), withSetup: false));
    atTime('2026-11-24 11:10');
    expect($left())->toBe($all->minutes(\Brick\Math\BigDecimal::of(5), withSetup: false) - 10);
});

it('says at the station what the clock would book', function () {
    atTime('2026-11-24 10:00');
    ($this->start)();
    atTime('2026-11-24 11:25');
    $this->actingAs($this->shop->as(Role::Operator))->get("/station/{$this->step->work_centre_id}")
        ->assertSee('placeholder="85 by the clock"', false);
    expect(fn () => ($this->start)())->toThrow(Refused::class, 'running already');
});

<?php

use KeepPace\Core\Planning\Combining;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Planning\SetUpOnce;

/*
 * Steps of several orders on one set-up: common practice. The set-up is done once, for as long as the longest takes,
 * and each order pays of it by its planned run minutes; an amount is shared by largest remainder (trade.md, at its
 * head).
 */

/** @param  array<string, mixed>  $over */
function pressed(string $number, array $over = [], ?Combining $order = null): SetUpOnce
{
    return new SetUpOnce(...[
        'order' => $order ?? new Combining("order {$number}", (int) $number, '2026-12-10', null, false),
        'label' => 'step 20 Press',
        'workCentre' => 4,
        'family' => null,
        'setup' => 45,
        'run' => 100,
        ...$over,
    ]);
}

it('shares the longest set-up by run minutes, to the last minute', function (): void {
    $all = [pressed('1', ['run' => 50]), pressed('2', ['run' => 100, 'setup' => 60]), pressed('3', ['run' => 30])];
    expect(SetUpOnce::against($all))->toBe([])
        ->and(SetUpOnce::setup($all))->toBe(60)
        // 16.67, 33.33, 10.00
        ->and(SetUpOnce::shares($all))->toBe([17, 33, 10]);
});

it('shares all of it whatever the runs are', function (): void {
    mt_srand(1130);
    for ($i = 0; $i < 300; $i++) {
        $all = [];
        for ($n = mt_rand(2, 9); $n > 0; $n--) {
            $all[] = pressed((string) $n, ['run' => mt_rand(0, 400), 'setup' => mt_rand(1, 90)]);
        }
        $shares = SetUpOnce::shares($all);
        expect(array_sum($shares))->toBe(SetUpOnce::setup($all))
            ->and(min($shares))->toBeGreaterThanOrEqual(0);
    }
});

it('says what forbids it', function (array $over, string $says): void {
    expect(SetUpOnce::against([pressed('1'), pressed('2', $over)]))->toBe([$says]);
})->with([
    'outside' => [
        ['workCentre' => null],
        'step 20 Press of order 2 is done by a supplier, who sets up himself.',
    ],
    'begun' => [['isBegun' => true], 'step 20 Press of order 2 has begun: it is set up.'],
    'shared' => [
        ['isShared' => true],
        'step 20 Press of order 2 is set up with others already. Take it out there first.',
    ],
    'loads' => [
        ['isLoad' => true],
        'step 20 Press of order 2 goes in by loads: what fits goes in together anyway.',
    ],
    'family' => [['family' => 'red'], 'They are of different setup families: between these it is set up anew.'],
]);

it('says what forbids it of all of them', function (): void {
    $released = new Combining('order 2', 2, null, null, false, state: OrderState::Released);
    $theirs = new Combining('order 2', 2, null, 7, true);
    expect(SetUpOnce::against([pressed('1')]))->toBe(['Choose at least two steps to be set up once.'])
        ->and(SetUpOnce::against([pressed('1'), pressed('1')]))
        ->toBe(['Two steps of one order come one after the other: choose one of each order.'])
        ->and(SetUpOnce::against([pressed('1'), pressed('2', ['workCentre' => 5])]))
        ->toBe(['They are done at different work centres: each of these is set up by itself.'])
        ->and(SetUpOnce::against([pressed('1', ['setup' => 0]), pressed('2', ['setup' => 0])]))
        ->toBe(['None of them takes time to set up: there is nothing to share.'])
        ->and(SetUpOnce::against([pressed('1'), pressed('2', order: $released)]))
        ->toBe(['order 2 is released already: only what is not released is set up with others.'])
        ->and(SetUpOnce::against([pressed('1'), pressed('2', order: $theirs)]))
        ->toBe(['It takes a customer\'s own material: that goes into nobody else\'s order.']);
});

it('says first when they are due far apart', function (): void {
    $late = new Combining('order 2', 2, '2026-12-24', null, false);
    expect(SetUpOnce::warnings([pressed('1'), pressed('2')]))->toBe([])
        ->and(SetUpOnce::warnings([pressed('1'), pressed('2', order: $late)]))
        ->toBe(['They are due 14 days apart: all wait for the one that is ready last.']);
});

<?php

use App\Wording\CoverWords;
use App\Wording\FieldWords;
use App\Wording\Figures;
use App\Wording\ReadinessWords;
use App\Wording\WaitsFor;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;

/** @param  list<array{0: string, 1: ?string, 2?: ?string}>  $covers quantity, order, finish */
function covered(string $quantity, array $covers, string $shipped = '0', string $cancelled = '0'): string
{
    $open = BigDecimal::of($quantity)->minus($shipped)->minus($cancelled);
    $from = [];
    foreach ($covers as $cover) {
        $part = BigDecimal::of($cover[0]);
        $open = $open->minus($part);
        $finish = isset($cover[2]) ? CarbonImmutable::parse($cover[2], 'UTC') : null;
        $from[] = $cover[1] === null
            ? CoverWords::fromStock($part)
            : CoverWords::fromOrder($part, $cover[1], $finish);
    }

    return CoverWords::say(BigDecimal::of($shipped), $from, BigDecimal::of($cancelled), $open);
}

it('says in one phrase how a line is covered', function (string $said, Closure $line) {
    expect($line())->toBe($said);
})->with([
    'all from stock' => ['4 from stock', fn () => covered('4', [['4.000000', null]])],
    'stock and an order' => [
        '4 from stock, 6 from 218 on Fri',
        fn () => covered('10', [['4', null], ['6', '218', '2026-11-27 10:00:00']]),
    ],
    'finished today' => ['2 from 218 today', fn () => covered('2', [['2', '218', '2026-11-24 14:00:00']])],
    'a far date' => ['2 from 218 on 18 Dec', fn () => covered('2', [['2', '218', '2026-12-18 14:00:00']])],
    'no date yet' => ['2 from 218, no date yet', fn () => covered('2', [['2', '218']])],
    'a part not covered' => ['1 from stock, 2.5 not covered', fn () => covered('3.5', [['1', null]])],
    'a part shipped' => ['3 shipped, 2 not covered', fn () => covered('5', [], '3')],
    'all shipped' => ['5 shipped', fn () => covered('5', [], '5')],
    'cancelled' => ['5 cancelled', fn () => covered('5', [], '0', '5')],
]);

/** @param  list<array{int, string, ?string, ?string}>  $blocks step, item, supply, day */
function ready(array $blocks, bool $canStart = false, string $unplaced = ''): string
{
    $blocks = json_encode(array_map(
        fn (array $block): array => [
            'step' => $block[0],
            'item' => $block[1],
            'supply' => $block[2] === null ? null : array_combine(
                ['kind', 'number', 'id'],
                [...explode(' ', $block[2]), 1],
            ),
            ...['rests' => null, 'given' => null, 'on' => null],
            'at' => $block[3] === null ? null : intdiv((int) strtotime("{$block[3]} 10:00 UTC"), 60),
        ],
        $blocks,
    ));

    return ReadinessWords::say($canStart, WaitsFor::all((string) $blocks), $unplaced);
}

it('says in words what an order can do now and what it waits for', function (string $said, Closure $order) {
    expect($order())->toBe($said);
})->with([
    'all there, and its turn' => ['can start now', fn () => ready([], true)],
    'all there, not its turn' => ['all parts there', fn () => ready([])],
    'held' => ['held', fn () => ready([[10, 'Gear', null, null]], true, 'held')],
    'waits for a purchase' => ['waits until Fri for Gear blank (P-558)',
        fn () => ready([[10, 'Gear blank', 'purchase P-558', '2026-11-27']])],
    'waits for an order without a date' => ['waits for Gear (391)', fn () => ready([[10, 'Gear', 'order 391', null]])],
    'stuck' => ['stuck: no Motor ordered', fn () => ready([[10, 'Motor', null, null]])],
    'a late part does not stop the first step' => [
        'can start now; waits at step 60 until tomorrow for Motor (P-1)',
        fn () => ready([[60, 'Motor', 'purchase P-1', '2026-11-25']], true),
    ],
    'what nothing is ordered for comes first, then what comes last' => [
        'stuck at step 30: no Motor ordered; waits until Fri for Gear (391); 1 more',
        fn () => ready([
            [10, 'Drum', 'order 390', '2026-11-25'],
            [10, 'Gear', 'order 391', '2026-11-27'],
            [30, 'Motor', null, null],
        ]),
    ],
    'no place in the schedule' => [
        'all parts there; Welding has no machine.',
        fn () => ready([], false, 'Welding has no machine.'),
    ],
]);

it('writes durations, money and pace as people read them', function (string $written, string $said) {
    expect($written)->toBe($said);
})->with([
    'minutes' => [fn () => Figures::minutes(45), '45 min'], 'hours' => [fn () => Figures::minutes(180), '3 h'],
    'both' => [fn () => Figures::minutes(205), '3 h 25'], 'nothing' => [fn () => Figures::minutes(0), '0 min'],
    'less than nothing' => [fn () => Figures::minutes(-65), '−1 h 05'],
    'money' => [fn () => Figures::money(123450), "1\u{202F}234.50"], 'a debt' => [fn () => Figures::money(-5), '-0.05'],
    'behind by hours' => [fn () => Figures::pace(123, 480), '2 h 05 late'],
    'behind by a day' => [fn () => Figures::pace(480, 480), '1 working day late'],
    'behind by days' => [fn () => Figures::pace(1500, 480), '3 working days late'],
    'behind by days of two shifts' => [fn () => Figures::pace(1860, 930), '2 working days late'],
    'behind by less than a day of two shifts' => [fn () => Figures::pace(928, 930), '15 h 30 late'],
    'on the minute' => [fn () => Figures::pace(0, 480), 'just in time'],
    'a little ahead' => [fn () => Figures::pace(-29, 480), 'just in time'],
    'ahead' => [fn () => Figures::pace(-960, 480), '2 working days ahead'],
    'an amount' => [fn () => Figures::amount('2.500000'), '2.5'],
    'a whole one' => [fn () => Figures::amount('100.000000'), '100'],
    'none' => [fn () => Figures::amount(null), ''],
]);

it('says long times by the clock in days', function (int $minutes, string $says) {
    expect(App\Wording\Figures::elapsed($minutes))->toBe($says);
})->with([
    [45, '45 min'],
    [2879, '47 h 59'],
    [2880, '2 d'],
    [15_370, '10 d 16 h 10'],
    [-9720, '−6 d 18 h'],
    [2885, '2 d 5 min'],
]);

it('says how long ago as long as that says something, then the day', function (string $time, string $said) {
    // it is Tue 24 Nov 2026, 09:00 in Dublin, and so in UTC
    expect(When::ago($time))->toBe($said);
})->with([
    ['2026-11-24 08:59:30', 'just now'],
    ['2026-11-24 06:00:00', '3h ago'],
    ['2026-11-22 09:00:00', '2d ago'],
    ['2026-11-17 09:00:01', '6d ago'],
    ['2026-11-17 09:00:00', '17 Nov'],
    ['2026-10-25 12:00:00', '25 Oct'],
    ['2025-12-31 23:30:00', '31 Dec 2025'],
]);

it('reads what is kept of a change as people write it', function (string $kept, string $said) {
    expect(FieldWords::of($kept))->toBe($said);
})->with([
    ['', 'nothing'],
    ['2026-12-04', 'Fri 4 Dec 2026'],
    ['0', '0'],
    ['overtime 15:30-17:30', 'overtime 15:30-17:30'],
    ['2026-12-04 Christmas', '2026-12-04 Christmas'],
]);

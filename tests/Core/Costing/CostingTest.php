<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\OrderCost;
use KeepPace\Core\Costing\Rates;
use KeepPace\Core\Costing\Settlement;
use KeepPace\Core\Quantity\Cents;

it('costs booked time', function (
    string $labour,
    string $machine,
    string $overhead,
    int $crewMinutes,
    int $minutes,
    array $cents,
    string $pieces = '0',
    string $hour = '0',
    string $piece = '0',
) {
    $rates = new Rates($labour, $machine, $overhead, $hour, $piece);
    expect(array_values($rates->cost($crewMinutes, $minutes, BigDecimal::of($pieces))))->toBe($cents);
})->with([
    'common practice: an hour' => ['36', '14', '40', 60, 60, [3600, 1400, 1440]],
    'common practice: two people twenty minutes at one machine' => ['33', '6', '35', 40, 20, [2200, 200, 770]],
    'common practice: unattended' => ['33', '6', '35', 0, 90, [0, 900, 0]],
    'common practice: half a cent goes up' => ['0.3', '0', '0', 1, 0, [1, 0, 0]],
    // 35 % of 22.00 is 7.70; twenty minutes at 4.50 an hour 1.50; 12 pieces at 0.25 each 3.00
    'common practice: overhead by labour, hour and piece adds up' => [
        '33', '6', '35', 40, 20, [2200, 200, 1220], '12', '4.5', '0.25',
    ],
    // a third of a cent three ways: rounded once, 1, not thrice, 0
    'common practice: the sum of overheads is rounded once' => [
        '0', '0', '0', 0, 1, [0, 0, 1], '1', '0.2', '0.0034',
    ],
    'common practice: a piece costs its overhead where nobody books time' => [
        '33', '6', '35', 0, 0, [0, 0, 250], '2.5', '9', '1',
    ],
]);

it('values part receipts at planned unit cost so that they add up to the whole', function () {
    $cost = new OrderCost(material: 6667, labour: 2000, machine: 1000, overhead: 333, outside: 1);
    $given = 0;
    foreach (range(1, 7) as $n) {
        $given
            += Cents::part($cost->total(), BigDecimal::of($n), BigDecimal::of(7))
            - Cents::part($cost->total(), BigDecimal::of($n - 1), BigDecimal::of(7));
    }
    expect($given)->toBe(10001);
});

it('settles to the cent: received + variance = cost put in', function (
    int $in,
    int $receivedValue,
    string $received,
    string $there,
    int $valueThere,
    int $toStock,
    int $variance,
) {
    $settled = Settlement::decide($in, $receivedValue, BigDecimal::of($received), BigDecimal::of($there), $valueThere);
    expect([$settled->toStock, $settled->variance])->toBe([$toStock, $variance])
        ->and($receivedValue + $toStock + $variance)->toBe($in);
})->with([
    'common practice: all still there, all to stock' => [11000, 10000, '10', '10', 10000, 1000, 0],
    'common practice: half has left, half is variance' => [11001, 10000, '10', '5', 5000, 501, 500],
    'common practice: nothing there' => [9000, 10000, '10', '0', 0, 0, -1000],
    'common practice: cheaper than planned' => [9000, 10000, '10', '10', 10000, -1000, 0],
    'our own rule: value is never taken below zero' => [0, 10000, '10', '10', 4000, -4000, -6000],
    'common practice: all scrapped' => [5000, 0, '0', '0', 0, 0, 5000],
]);

<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\ServiceCharge;

/* W1 of the trade's rules: minimum and set-up charge of a supplier over part receipts, its worked example. */

function blanks(): ServiceCharge
{
    return new ServiceCharge('1.20', 1500, 7500);
}

it('takes the set-up once and what is missing to the minimum', function () {
    $of = BigDecimal::of(...);
    expect(blanks()->of($of('40')))->toBe(9000)
        ->and(blanks()->lumps($of('40')))->toBe(4200)
        ->and(blanks()->of($of('0')))->toBe(0)
        // 100 pieces are above the minimum: 120.00 and the set-up
        ->and(blanks()->of($of('100')))->toBe(13500)
        ->and(blanks()->slack($of('100')))->toBe(4500)
        ->and(blanks()->slack($of('40')))->toBe(0);
});

it('shares the lumps over the orders by pieces ordered, and books them as the pieces come', function () {
    $of = BigDecimal::of(...);
    $shares = blanks()->shares([500 => $of('10'), 456 => $of('30')]);
    expect($shares)->toBe([456 => 3150, 500 => 1050]);
    $up = fn (int $order, string $ordered, string $paid, string $unpaid = '0'): int => blanks()
        ->upTo($shares[$order], $of($ordered), $of($paid), $of($unpaid));
    // 456: 12, then 18
    expect($up(456, '30', '12'))->toBe(2700)
        ->and($up(456, '30', '30') - $up(456, '30', '12'))->toBe(4050)
        // 500: 5, then 3 good and 2 spoiled there, unpaid: the minimum takes them
        ->and($up(500, '10', '5'))->toBe(1125)
        ->and($up(500, '10', '8', '2') - $up(500, '10', '5'))->toBe(1125)
        ->and($up(456, '30', '30') + $up(500, '10', '8', '2'))->toBe(9000);
});

it('pays for no reject where there is no minimum, nor above it', function () {
    $of = BigDecimal::of(...);
    $free = new ServiceCharge('1.20', 1500);
    expect($free->upTo(375, $of('10'), $of('8'), $of('2')))->toBe(960 + 375);
    $above = blanks();
    expect($above->upTo(375, $of('10'), $of('8'), $of('2'), $above->slack($of('100'))))->toBe(960 + 375);
});

it('comes to the whole of an order however its pieces come, to the cent', function () {
    mt_srand(11);
    for ($round = 0; $round < 300; $round++) {
        $charge = new ServiceCharge('0.'.mt_rand(1, 99), mt_rand(0, 3000), mt_rand(0, 9000));
        $expected = mt_rand(1, 60);
        $booked = $done = 0;
        while ($done < $expected) {
            $done += mt_rand(1, $expected - $done);
            $now = $charge->ofOrder(BigDecimal::of($done), BigDecimal::of($expected), BigDecimal::zero());
            expect($now)->toBeGreaterThanOrEqual($booked);
            $booked = $now;
        }
        expect($booked)->toBe($charge->of(BigDecimal::of($expected)));
    }
});

<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\LateCost;
use KeepPace\Core\Costing\Rates;
use KeepPace\Core\Costing\Settlement;

/*
 * The rules again in whole numbers, without the application's arithmetic: shares of n/d rounded half away from zero
 * ('half up' of commerce), nothing lost between stock and variance (IAS 2.10, 2.34), stock never below nothing (our own
 * rule).
 */
function share(int $value, int $part, int $whole): int
{
    return ($value < 0 ? -1 : 1) * intdiv(2 * abs($value) * $part + $whole, 2 * $whole);
}

it('settles every order to the cent, on random orders', function () {
    mt_srand(34);
    for ($round = 0; $round < 600; $round++) {
        [$costIn, $carried] = [mt_rand(0, 2_000_000), mt_rand(0, 2_000_000)];
        $received = mt_rand(0, 5) === 0 ? 0 : mt_rand(1, 40_000); // hundredths
        $there = $received === 0 ? 0 : mt_rand(0, $received);
        $value = $there === 0 ? 0 : mt_rand(0, 1_500_000);
        $settled = Settlement::decide(
            $costIn,
            $carried,
            BigDecimal::ofUnscaledValue($received, 2),
            BigDecimal::ofUnscaledValue($there, 2),
            $value,
        );
        expect($carried + $settled->toStock + $settled->variance)->toBe($costIn)
            ->and($value + $settled->toStock)->toBeGreaterThanOrEqual(0)
            ->and($settled->toStock)
            ->toBe(max($there === 0 ? 0 : share($costIn - $carried, $there, $received), -$value));
    }
});

it('spreads every late cost to the cent, on random receipts', function () {
    mt_srand(10);
    for ($round = 0; $round < 600; $round++) {
        $cents = mt_rand(-500_000, 500_000);
        $received = mt_rand(1, 40_000);
        $there = mt_rand(0, 50_000);
        $value = $there === 0 ? 0 : mt_rand(0, 900_000);
        $spread = LateCost::spread(
            $cents,
            BigDecimal::ofUnscaledValue($received, 2),
            BigDecimal::ofUnscaledValue($there, 2),
            $value,
        );
        expect($spread->toStock + $spread->variance)->toBe($cents)
            ->and($value + $spread->toStock)->toBeGreaterThanOrEqual(0)
            ->and($spread->toStock)
            ->toBe($there === 0 ? 0 : max(share($cents, min($there, $received), $received), -$value));
    }
});

it('costs time as whole numbers do, on random rates', function () {
    mt_srand(60);
    for ($round = 0; $round < 600; $round++) {
        // cents an hour; hundredths of a per cent
        [$labour, $machine, $overhead] = [mt_rand(0, 9_999), mt_rand(0, 9_999), mt_rand(0, 30_000)];
        [$crewMinutes, $minutes] = [mt_rand(0, 5_000), mt_rand(0, 5_000)];
        $plain = fn (int $hundredths): string => sprintf('%d.%02d', intdiv($hundredths, 100), $hundredths % 100);
        $rates = new Rates($plain($labour), $plain($machine), $plain($overhead));
        $cost = $rates->cost($crewMinutes, $minutes, BigDecimal::zero());
        expect($cost['labour'])->toBe(share($labour, $crewMinutes, 60))
            ->and($cost['machine'])->toBe(share($machine, $minutes, 60))
            ->and($cost['overhead'])->toBe(share($cost['labour'], $overhead, 10_000));
    }
});

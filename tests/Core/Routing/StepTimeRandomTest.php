<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Routing\RunBasis;
use KeepPace\Core\Routing\StepTime;

/** Numerator over denominator, rounded up. */
function up(int $n, int $d): int
{
    return intdiv($n + $d - 1, $d);
}

it('times steps as whole numbers do, rounded up once: common practice, on random steps', function () {
    mt_srand(3600);
    for ($round = 0; $round < 600; $round++) {
        // hundredths of minutes, of units an hour
        [$setup, $rate, $batch] = [mt_rand(0, 9_000), mt_rand(1, 9_000), mt_rand(1, 40)];
        $quantity = mt_rand(0, 200_000); // hundredths
        $time = fn (RunBasis $basis): StepTime => new StepTime(
            BigDecimal::ofUnscaledValue($setup, 2),
            $basis,
            BigDecimal::ofUnscaledValue($rate, 2),
            BigDecimal::of($batch),
        );
        $amount = BigDecimal::ofUnscaledValue($quantity, 2);
        expect($time(RunBasis::MinutesPerUnit)->minutes($amount))->toBe(up(100 * $setup + $rate * $quantity, 10_000))
            ->and($time(RunBasis::UnitsPerHour)->minutes($amount))
            ->toBe(up($setup * $rate + 6_000 * $quantity, 100 * $rate))
            ->and($time(RunBasis::MinutesPerBatch)->minutes($amount))
            ->toBe(up($setup + $rate * up($quantity, 100 * $batch), 100))
            // what goes on running has its setup behind it
            ->and($time(RunBasis::MinutesPerUnit)->minutes($amount, false))->toBe(up($rate * $quantity, 10_000));
    }
});

it('takes no less time for more, and no less in two lots than in one', function () {
    mt_srand(3601);
    for ($round = 0; $round < 300; $round++) {
        $time = new StepTime(
            BigDecimal::of(mt_rand(0, 60)),
            RunBasis::cases()[$round % 3],
            BigDecimal::ofUnscaledValue(mt_rand(1, 900), 2),
            BigDecimal::of(mt_rand(1, 12)),
        );
        [$one, $other] = [BigDecimal::of(mt_rand(1, 300)), BigDecimal::of(mt_rand(1, 300))];
        $whole = $time->minutes($one->plus($other));
        expect($whole)->toBeGreaterThanOrEqual($time->minutes($one))
            ->and($time->minutes($one) + $time->minutes($other))->toBeGreaterThanOrEqual($whole);
    }
});

<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Cents;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/*
 * A value shared over parts that come one after the other: each share is the difference of two rounded running totals.
 * Common practice in cost accounting (interim receipts); worked by hand.
 */

it('shares by running totals, so that nothing is left over', function (int $value, array $parts, array $shares) {
    $parts = array_map(BigDecimal::of(...), $parts);
    expect(Cents::running($value, $parts, BigDecimal::sum(...$parts)))->toBe($shares);
})->with([
    'even' => [900, [1, 1, 1], [300, 300, 300]],
    // 100 / 3 = 33.33, 66.67, 100: differences 33, 34, 33
    'a cent over' => [100, [1, 1, 1], [33, 34, 33]],
    // 5 / 4 of running 1.25, 2.5, 3.75, 5: half up 1, 3, 4, 5
    'halves go up' => [5, [1, 1, 1, 1], [1, 2, 1, 1]],
    'unlike parts' => [1000, ['0.5', '2', '7.5'], [50, 200, 750]],
    'a credit' => [-100, [1, 1, 1], [-33, -34, -33]],
    'nothing' => [0, [4, 5], [0, 0]],
    'one part' => [777, [3], [777]],
]);

it('keeps the keys it was given', function () {
    expect(Cents::running(10, ['b' => BigDecimal::of(1), 'a' => BigDecimal::of(4)], BigDecimal::of(5)))
        ->toBe(['b' => 2, 'a' => 8]);
});

it('gives part of the value where the parts are part of the whole', function () {
    expect(Cents::running(100, [BigDecimal::of(1), BigDecimal::of(1)], BigDecimal::of(4)))->toBe([25, 25]);
});

it('adds up to the last cent for any parts, and is never a cent off what is fair', function (int $seed) {
    $random = new Randomizer(new Xoshiro256StarStar($seed));
    for ($i = 0; $i < 200; $i++) {
        $parts = array_map(
            fn (): BigDecimal => BigDecimal::ofUnscaledValue($random->getInt(1, 99_999), $random->getInt(0, 4)),
            range(1, $random->getInt(1, 12)),
        );
        $whole = BigDecimal::sum(...$parts);
        $value = $random->getInt(-1_000_000, 1_000_000);
        $shares = Cents::running($value, $parts, $whole);
        expect(array_sum($shares))->toBe($value);
        foreach ($shares as $k => $share) {
            $fair = $parts[$k]->toFloat() * $value / $whole->toFloat();
            expect(abs($share - $fair))->toBeLessThanOrEqual(1.0001);
        }
    }
})->with([1, 2, 3]);

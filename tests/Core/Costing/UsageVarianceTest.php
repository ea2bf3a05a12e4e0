<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\UsageVariance;

it('parts what a component cost more into quantity and price', function (
    string $planned,
    int $plannedValue,
    string $used,
    int $usedValue,
    string $more,
    int $byQuantity,
    int $byPrice,
) {
    $variance = UsageVariance::of(BigDecimal::of($planned), $plannedValue, BigDecimal::of($used), $usedValue);
    expect([(string) $variance->quantity, $variance->byQuantity, $variance->byPrice])
        ->toBe([$more, $byQuantity, $byPrice])
        ->and($variance->byQuantity + $variance->byPrice)->toBe($usedValue - $plannedValue);
})->with([
    // quantity variance = (actual - standard quantity) x standard price; price variance = actual quantity x (actual -
    // standard price): common practice, as in any textbook of cost accounting; 100 at 2.00 planned
    'common practice: more used, at the planned price' => ['100', 20000, '110', 22000, '10', 2000, 0],
    'common practice: as much used, dearer' => ['100', 20000, '100', 21000, '0', 0, 1000],
    'common practice: more used and dearer: 110 at 2.10' => ['100', 20000, '110', 23100, '10', 2000, 1100],
    'common practice: less used and cheaper: 90 at 1.90' => ['100', 20000, '90', 17100, '-10', -2000, -900],
    'common practice: none used' => ['100', 20000, '0', 0, '-100', -20000, 0],
    'our own rule: what was not planned is all quantity' => ['0', 0, '3', 999, '3', 999, 0],
    'our own rule: a cent that cannot be parted goes to quantity' => ['3', 100, '1', 34, '-2', -67, 1],
]);

it('loses no cent between quantity and price, whatever is used', function () {
    mt_srand(27);
    for ($round = 0; $round < 400; $round++) {
        [$planned, $used] = [mt_rand(0, 500_000), mt_rand(0, 500_000)]; // thousandths
        [$plannedValue, $usedValue] = [mt_rand(0, 999_999), mt_rand(0, 999_999)];
        $variance = UsageVariance::of(
            BigDecimal::ofUnscaledValue($planned, 3),
            $plannedValue,
            BigDecimal::ofUnscaledValue($used, 3),
            $usedValue,
        );
        expect($variance->byQuantity + $variance->byPrice)->toBe($usedValue - $plannedValue)
            ->and($variance->quantity->isEqualTo(BigDecimal::ofUnscaledValue($used - $planned, 3)))->toBeTrue();
        if ($planned > 0) {
            // the same in whole numbers: half a cent goes up
            $atPlan = intdiv(2 * $plannedValue * $used + $planned, 2 * $planned);
            expect($variance->byQuantity)->toBe($atPlan - $plannedValue);
        }
    }
});

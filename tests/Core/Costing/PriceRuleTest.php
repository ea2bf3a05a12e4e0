<?php

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Costing\PriceRule;
use KeepPace\Core\Refused;

/** Euros, of a cost in euros. */
function priced(bool $ofPrice, string $percent, string $step, string $cost): string
{
    $rule = new PriceRule($ofPrice, BigDecimal::of($percent), BigDecimal::of($step));

    return (string) $rule->price(BigRational::of($cost)->multipliedBy(100));
}

it('works a price out on the cost or of the price, in its steps', function (
    bool $ofPrice,
    string $percent,
    string $step,
    string $cost,
    string $price,
): void {
    expect(priced($ofPrice, $percent, $step, $cost))->toBe($price);
})->with([
    'trade.md, W22: 25 % on cost' => [false, '25', '0', '80', '100.00'],
    'trade.md, W22: 25 % of price' => [true, '25', '0', '80', '106.67'],
    'to 0.50: common practice' => [true, '25', '0.50', '80', '107.00'],
    'to 5.00: common practice' => [false, '25', '5', '81', '105.00'],
    'on the step already' => [false, '25', '5', '80', '100.00'],
    'no margin' => [false, '0', '0', '80.005', '80.01'],
]);

it('says what is left of a price', function (): void {
    expect((string) PriceRule::margin(BigDecimal::of('106.67'), BigRational::of(8_000)))->toBe('25.0')
        ->and((string) PriceRule::margin(BigDecimal::of('70'), BigRational::of(8_000)))->toBe('-14.3')
        ->and(PriceRule::margin(BigDecimal::zero(), BigRational::of(8_000)))->toBeNull();
});

it('refuses a margin that leaves nothing', function (): void {
    expect(fn () => priced(true, '100', '0', '80'))->toThrow(Refused::class, 'less than 100');
});

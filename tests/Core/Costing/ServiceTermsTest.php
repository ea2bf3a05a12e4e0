<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\PriceBreaks;
use KeepPace\Core\Costing\ServiceTerms;

/*
 * What a supplier asks for a service: the break goes by all that is gathered, set-up once, a minimum (trade.md W1, its
 * example: 40 blanks at 1.20, minimum 75.00, set-up 15.00).
 */

function serviceTerms(string $prices, int $setup = 0, int $minimum = 0): ServiceTerms
{
    return new ServiceTerms(PriceBreaks::read($prices) ?? throw new LogicException('No price.'), $setup, $minimum);
}

it('charges the published example to the cent', function (): void {
    $charge = serviceTerms('1.20', 1500, 7500)->chargeFor(BigDecimal::of(40));
    // 48.00, 27.00 missing to the minimum, set-up 15.00
    expect($charge->of(BigDecimal::of(40)))->toBe(9000)
        ->and($charge->lumps(BigDecimal::of(40)))->toBe(4200)
        ->and($charge->shares([456 => BigDecimal::of(30), 500 => BigDecimal::of(10)]))
        ->toBe([456 => 3150, 500 => 1050]);
});

it('takes the price of all pieces ordered together', function (string $pieces, string $price): void {
    $charge = serviceTerms('5.2 20:4.6 60:4.1', 3500, 9000)->chargeFor(BigDecimal::of($pieces));
    expect(BigDecimal::of($charge->price)->isEqualTo($price))->toBeTrue()
        ->and([$charge->setup, $charge->minimum])->toBe([3500, 9000]);
})->with([
    'below the first break' => ['19', '5.2'],
    'at it' => ['20', '4.6'],
    'a part below the next' => ['59.999999', '4.6'],
    'at the next' => ['60', '4.1'],
    'far above' => ['100000', '4.1'],
]);

it('knows a price that was agreed from one that somebody typed', function (): void {
    $terms = serviceTerms('5.2 20:4.60');
    expect($terms->isAgreed('4.6'))->toBeTrue()
        ->and($terms->isAgreed('5.200000'))->toBeTrue()
        ->and($terms->isAgreed('4.61'))->toBeFalse()
        ->and($terms->isAgreed('0'))->toBeFalse();
});

it('costs nothing for no pieces, and never less than the minimum for some', function (): void {
    $charge = serviceTerms('2', 0, 5000)->chargeFor(BigDecimal::of(1));
    expect($charge->of(BigDecimal::zero()))->toBe(0)
        ->and($charge->of(BigDecimal::of(1)))->toBe(5000)
        ->and($charge->of(BigDecimal::of(25)))->toBe(5000)
        ->and($charge->of(BigDecimal::of(26)))->toBe(5200)
        ->and($charge->slack(BigDecimal::of(26)))->toBe(200);
});

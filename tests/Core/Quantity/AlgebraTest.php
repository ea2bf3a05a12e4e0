<?php

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Quantity\Quantity;
use KeepPace\Core\Quantity\QuantityRefused;
use KeepPace\Core\Quantity\Unit;
use KeepPace\Core\Refused;

/* Quantities are added, compared and bounded in their unit: laws of arithmetic, and bounds of the database. */

function inKilos(string $amount): Quantity
{
    return Quantity::exact(BigDecimal::of($amount), $amount, new Unit('kg', 'kilogram', 3));
}

it('adds, takes away and compares', function () {
    [$a, $b] = [inKilos('2.5'), inKilos('0.125')];
    expect((string) $a->plus($b))->toBe('2.625 kg')
        ->and((string) $a->minus($b))->toBe('2.375 kg')
        ->and((string) $b->minus($a))->toBe('-2.375 kg')
        ->and($a->least($b))->toBe($b)
        ->and($b->least($a))->toBe($b)
        ->and($a->isMoreThan($b))->toBeTrue()
        ->and($a->isMoreThan($a))->toBeFalse()
        ->and($a->minus($a)->isZero())->toBeTrue()
        ->and($b->isPositive())->toBeTrue()
        ->and(Quantity::zero(new Unit('kg', 'kilogram', 3))->isPositive())->toBeFalse();
});

it('keeps the laws of addition on random amounts, to the last digit', function () {
    mt_srand(4);
    for ($round = 0; $round < 500; $round++) {
        [$a, $b, $c] = array_map(
            fn (): Quantity => inKilos((string) (mt_rand(-9_999_999, 9_999_999) / 1000)),
            [0, 1, 2],
        );
        expect((string) $a->plus($b))->toBe((string) $b->plus($a))
            ->and((string) $a->plus($b)->plus($c))->toBe((string) $a->plus($b->plus($c)))
            ->and((string) $a->plus($b)->minus($b))->toBe((string) $a)
            ->and($a->isMoreThan($b))->toBe($a->minus($b)->isPositive());
    }
});

it('adds nothing up that is counted in other units', function (Closure $of) {
    $pieces = Quantity::exact(BigDecimal::of(2), '2', new Unit('pc', 'piece', 0));
    expect(fn () => $of(inKilos('1'), $pieces))
        ->toThrow(QuantityRefused::class, 'What is in kg and what is in pc cannot be added up.');
})->with([
    'plus' => [fn (Quantity $a, Quantity $b) => $a->plus($b)],
    'minus' => [fn (Quantity $a, Quantity $b) => $a->minus($b)],
    'least' => [fn (Quantity $a, Quantity $b) => $a->least($b)],
]);

it('takes nothing finer than its unit is counted, nor more than a balance holds', function () {
    expect(fn () => inKilos('0.0005'))
        ->toThrow(QuantityRefused::class, '0.0005 kg: kilogram is counted with 3 decimals at most.')
        ->and(fn () => Quantity::exact(BigDecimal::of('1.5'), '1.5', new Unit('pc', 'piece', 0)))
        ->toThrow(QuantityRefused::class, '1.5 pc: piece is counted whole. Type a whole number.')
        ->and(fn () => inKilos('1000000000'))
        ->toThrow(QuantityRefused::class, '1000000000 kg is more than can be meant.')
        ->and(fn () => inKilos('-1000000000'))->toThrow(QuantityRefused::class)
        ->and((string) inKilos('999999999'))->toBe('999999999 kg');
});

it('is never short of an exact ratio, and never a whole digit over it', function () {
    mt_srand(9);
    $unit = new Unit('m', 'metre', 2);
    for ($round = 0; $round < 300; $round++) {
        $exact = BigRational::of(mt_rand(0, 100_000))->dividedBy(mt_rand(1, 997));
        $over = BigRational::of(Quantity::roundedUp($exact, $unit)->amount)->minus($exact);
        expect($over->isNegative())->toBeFalse()->and($over->isLessThan('0.01'))->toBeTrue();
    }
});

it('says what a price comes to, and refuses what no one means', function () {
    expect(fn () => Cents::of(BigDecimal::of('999999999'), '99999999'))
        ->toThrow(Refused::class, 'That comes to 99999998900000001, more than can be meant. Check the quantity and the')
        ->and(Cents::of(BigDecimal::of('10000000'), '1000000'))->toBe(1_000_000_000_000_000);
});

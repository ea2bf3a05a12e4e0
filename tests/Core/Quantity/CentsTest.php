<?php

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Quantity\Conversion;
use KeepPace\Core\Quantity\Quantity;
use KeepPace\Core\Quantity\QuantityRefused;
use KeepPace\Core\Quantity\Unit;

it('prices an amount, rounded once', function (string $amount, string $price, int $cents) {
    expect(Cents::of(BigDecimal::of($amount), $price))->toBe($cents);
})->with([
    'common practice: half a cent goes up' => ['1', '0.005', 1],
    'common practice: just below half goes down' => ['1', '0.00499', 0],
    'common practice: 2.5 m at 3.33' => ['2.5', '3.33', 833],
    'common practice: a return is the same below zero' => ['-2.5', '3.33', -833],
    'a thousand at a tenth of a cent: exact, where binary fractions are not' => ['1000', '0.001', 100],
    'three at 0.1: exact, where binary fractions are not' => ['3', '0.1', 30],
    'large: a million at 99,999.99' => ['1000000', '99999.99', 9999999000000],
]);

it('parts a value by quantity, all of it when all goes', function (
    int $value,
    string $part,
    string $whole,
    int $cents,
) {
    expect(Cents::part($value, BigDecimal::of($part), BigDecimal::of($whole)))->toBe($cents);
})->with([
    'common practice: a third of a euro' => [100, '1', '3', 33],
    'common practice: two thirds' => [100, '2', '3', 67],
    'common practice: half a cent goes up' => [1, '0.5', '1', 1],
    'all of it' => [12345, '0.7', '0.7', 12345],
    'none of it' => [12345, '0', '9', 0],
    'a value below zero' => [-100, '1', '3', -33],
]);

it('brings a ratio to the unit, never below what is needed: short costs more than one spare', function (
    string $exact,
    int $decimals,
    string $is,
) {
    expect((string) Quantity::roundedUp(BigRational::of($exact), new Unit('u', 'unit', $decimals))->amount)->toBe($is);
})->with([
    'our own rule: a third of a piece is a piece' => ['1/3', 0, '1'],
    'our own rule: ten thirds of a metre' => ['10/3', 3, '3.334'],
    'what fits stays' => ['5/4', 2, '1.25'],
    'whole pieces stay' => ['7', 0, '7'],
]);

it('takes only plain numbers the unit can hold', function (string $typed, int $decimals, ?string $says) {
    $make = fn (): Quantity => Quantity::of($typed, new Unit('pc', 'piece', $decimals));
    $says === null
        ? expect((string) $make()->amount)->toBe($typed)
        : expect($make)->toThrow(QuantityRefused::class, $says);
})->with([
    'whole' => ['12', 0, null], 'with decimals' => ['0.125', 3, null], 'below zero' => ['-3', 0, null],
    'too fine' => ['0.5', 0, 'counted whole'], 'finer than it is held' => ['0.1234', 3, '3 decimals at most'],
    'a comma' => ['1,5', 1, 'has a comma'],
    'powers' => ['1e3', 0, 'not a plain number'],
    'hexadecimal' => ['0x1F', 0, 'not a plain number'],
    'nothing' => ['', 0, 'not a plain number'],
    'blanks' => [' 1', 0, 'not a plain number'],
    'two points' => ['1.2.3', 2, 'not a plain number'],
    'more digits than are kept' => ['1234567890123', 0, 'not a plain number'],
    'no number at all' => ['NaN', 0, 'not a plain number'],
    'digits of another script' => ['١٢', 0, 'not a plain number'],
    'a line more' => ["1\n", 0, 'not a plain number'],
]);

it('comes back from the stock unit to what was typed, on random ratios', function () {
    mt_srand(811);
    for ($round = 0; $round < 300; $round++) {
        [$p, $q] = [mt_rand(1, 5_000), 2 ** mt_rand(0, 4) * 5 ** mt_rand(0, 2)]; // such ratios end within six decimals
        $conversion = Conversion::of(new Unit('x', 'typed', 0), new Unit('y', 'stock', 6), (string) $p, (string) $q);
        $typed = mt_rand(1, 9_999);
        $stock = $conversion->toStock((string) $typed);
        expect($stock->amount->multipliedBy($q)->isEqualTo($typed * $p))->toBeTrue()
            ->and($conversion->fromStock($stock->amount)->isEqualTo($typed))->toBeTrue();
    }
});

<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Quantity\Quantity;
use KeepPace\Core\Quantity\QuantityRefused;
use KeepPace\Core\Quantity\Unit;

it('starts enough for the yield, rounding up', function (string $good, string $yield, int $decimals, string $start) {
    expect(
        (string) Quantity::of($good, new Unit('pc', 'piece', $decimals))->startedFor(BigDecimal::of($yield))->amount,
    )->toBe($start);
})->with([
    'common practice: 95 good at 95 % is exactly 100' => ['95', '0.95', 0, '100'],
    'common practice: 96 good at 95 % is 101.05, so 102' => ['96', '0.95', 0, '102'],
    'common practice: nothing lost' => ['7', '1', 0, '7'],
    'common practice: metres keep their decimals' => ['10', '0.97', 3, '10.310'],
]);

it(
    'does not add unlike units',
    fn () => Quantity::of('1', new Unit('m', 'metre', 3))->plus(Quantity::of('1', new Unit('pc', 'piece', 0))),
)->throws(QuantityRefused::class);

it('keeps 2.50 and 2.5 the same amount', function () {
    $unit = new Unit('m', 'metre', 2);
    expect(Quantity::of('2.50', $unit)->minus(Quantity::of('2.5', $unit))->isZero())->toBeTrue()
        ->and(Amount::plain('2.500000'))->toBe('2.5')
        ->and(Amount::plain('100'))->toBe('100');
});

it('splits a value so that the shares add up: common practice, largest remainder', function (
    int $value,
    array $weights,
    array $shares,
) {
    expect(Cents::split($value, $weights))->toBe($shares)->and(array_sum($shares))->toBe($value);
})->with([
    'a third each of a euro' => [100, [1, 1, 1], [34, 33, 33]],
    'the largest remainder gets the cent' => [100, [1, 2, 4], [14, 29, 57]],
    'negative values too' => [-100, [1, 1, 1], [-34, -33, -33]],
    'zero weights split evenly' => [5, [0, 0], [3, 2]],
    'a zero weight beside others gets nothing' => [7, ['a' => 0, 'b' => 3], ['a' => 0, 'b' => 7]],
]);

it('never loses a cent over random splits', function () {
    mt_srand(7);
    for ($i = 0; $i < 500; $i++) {
        $weights = array_map(fn (): int => mt_rand(0, 1_000_000), range(1, mt_rand(1, 30)));
        $value = mt_rand(-10_000_000, 10_000_000);
        expect(array_sum(Cents::split($value, $weights)))->toBe($value);
    }
});

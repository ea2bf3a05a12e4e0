<?php

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Outside\CameBack;
use KeepPace\Core\Outside\GoesAlong;
use KeepPace\Core\Outside\PartUse;
use KeepPace\Core\Outside\Sent;
use KeepPace\Core\Outside\Whose;
use KeepPace\Core\Refused;

/* Pieces and parts at a supplier, at the edge. trade.md W4 for parts; the rest is common practice, counted by hand. */

it('adds up and takes away each kind of piece by itself', function () {
    $of = fn (int ...$n): Sent => new Sent(...array_map(BigDecimal::of(...), $n));
    $numbers = fn (Sent $sent): array => array_map(
        fn (BigDecimal $pieces): int => $pieces->toInt(),
        [$sent->sent, $sent->good, $sent->spoiled, $sent->lost, $sent->unworked, $sent->unpaid],
    );
    $one = $of(20, 9, 2, 1, 3, 2);
    expect($numbers($one->plus($of(10, 1, 1, 1, 1, 1))))->toBe([30, 10, 3, 2, 4, 3])
        ->and($numbers($one->plus(Sent::nothing())))->toBe([20, 9, 2, 1, 3, 2])
        ->and($numbers($one->plus($one->negated())))->toBe([0, 0, 0, 0, 0, 0])
        ->and($one->gone()->toInt())->toBe(15)
        ->and($one->there()->toInt())->toBe(5);
});

it('pays for spoiled and lost pieces only where they are ours to pay', function (Whose $whose, int $unpaid) {
    $came = new CameBack(BigDecimal::of(4), BigDecimal::of(2), BigDecimal::of(1), BigDecimal::zero(), $whose);
    $dealt = $came->dealtOver([7 => BigDecimal::of(10)], 'step 40 Coat', BigDecimal::zero());
    expect($dealt[7]->unpaid->toInt())->toBe($unpaid);
})->with(fn (): array => array_map(
    fn (Whose $whose): array => [$whose, $whose->isPaid() ? 0 : 3],
    Whose::cases(),
));

it('takes back just so many as are there', function () {
    $came = new CameBack(BigDecimal::of(8), BigDecimal::of(1), BigDecimal::of(1), BigDecimal::zero());
    $there = [7 => BigDecimal::of(4), 9 => BigDecimal::of(6)];
    $dealt = $came->dealtOver($there, 'step 40 Coat', BigDecimal::zero());
    $gone = array_map(fn (Sent $of): int => $of->gone()->toInt(), $dealt);
    expect($gone)->toBe([7 => 4, 9 => 6]);
});

it('rounds what a part comes to half up, by its unit', function (string $each, int $decimals, string $all) {
    $use = PartUse::of(BigRational::of($each), BigDecimal::of(5), BigDecimal::zero(), null, $decimals);
    expect((string) $use->all())->toBe($all);
})->with([
    'half a piece up' => ['1/2', 0, '3'], // 2.5
    'less than half down' => ['12/25', 0, '2'], // 2.4
    'half a hundredth up' => ['0.001', 2, '0.01'], // 0.005
    'as exact as the unit' => ['0.4206', 4, '2.1030'],
]);

it('reads each part once, however it is written', function (string $typed, string|array $is) {
    $read = fn (): string => GoesAlong::read($typed)->written();
    is_array($is) ? expect($read)->toThrow(Refused::class, $is[0]) : expect($read())->toBe($is);
})->with([
    ['TUBE-42:0.42 BOLT-8:2', 'TUBE-42:0.42 BOLT-8:2'],
    ["BOLT-8:2;\n TUBE-42:0.42|CAP-1:1", 'BOLT-8:2 TUBE-42:0.42 CAP-1:1'],
    ['', ''],
    ['BOLT-8:2 bolt-8:3', ["'bolt-8:3': each part goes along once, and some of it."]],
    ['BOLT-8:0', ["'BOLT-8:0': each part goes along once, and some of it."]],
    ['BOLT-8', ["'BOLT-8' is not a part and how much of it"]],
    ['BOLT-8:-1', ["'BOLT-8:-1' is not a part"]],
    ['BOLT-8:1.1234567', ["'BOLT-8:1.1234567' is not a part"]],
    ['BOLT-8:12345678', ["'BOLT-8:12345678' is not a part"]],
    [str_repeat('B', 41).':1', ['is not a part']],
]);

<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\Charge;
use KeepPace\Core\Costing\ChargedLine;
use KeepPace\Core\Costing\LateCost;
use KeepPace\Core\Costing\SpreadBy;
use KeepPace\Core\Refused;

/* Costs of purchase spread over goods (IAS 2.11) by W6; the example is W6's own, the others worked by hand. */

function charged(
    string $quantity,
    int $value,
    ?string $weight = null,
    ?string $volume = null,
    string $unit = 'm2',
): ChargedLine {
    $decimal = fn (?string $one): ?BigDecimal => $one === null ? null : BigDecimal::of($one);

    return new ChargedLine('Sheet', $unit, BigDecimal::of($quantity), $value, $decimal($weight), $decimal($volume));
}

it('spreads freight by value, and what has left is variance (W6)', function () {
    $shares = Charge::spread(11460, SpreadBy::Value, [charged('50', 232500), charged('100', 54000, unit: 'm')]);
    expect($shares)->toBe([9300, 2160]);
    // 20 of 50 m² are used
    $sheet = LateCost::spread($shares[0], BigDecimal::of('50'), BigDecimal::of('30'), 139500);
    expect([$sheet->toStock, $sheet->variance])->toBe([5580, 3720]);
});

it('spreads by what is asked, to the last cent', function (SpreadBy $by, array $shares) {
    $lines = [charged('10', 100, '2', '1'), charged('20', 300, '0.5', '4'), charged('30', 0, '1', '0')];
    expect(Charge::spread(1000, $by, $lines))->toBe($shares);
})->with([
    'by value: 1 to 3 to 0' => [SpreadBy::Value, [250, 750, 0]],
    'by quantity: 1 to 2 to 3' => [SpreadBy::Quantity, [167, 333, 500]],
    'by weight: 20 to 10 to 30' => [SpreadBy::Weight, [333, 167, 500]],
    'by volume: 10 to 80 to 0' => [SpreadBy::Volume, [111, 889, 0]],
    'evenly' => [SpreadBy::Evenly, [334, 333, 333]],
]);

it('always comes to the whole', function () {
    mt_srand(29112026);
    for ($i = 0; $i < 300; $i++) {
        $lines = array_map(fn (): ChargedLine => charged(
            mt_rand(1, 999).'.'.mt_rand(0, 999),
            mt_rand(0, 100000),
            mt_rand(0, 50).'.'.mt_rand(0, 99),
            '0.1',
        ), range(1, mt_rand(1, 9)));
        $cents = mt_rand(-50000, 50000);
        foreach (SpreadBy::cases() as $by) {
            expect(array_sum(Charge::spread($cents, $by, $lines)))->toBe($cents);
        }
    }
});

it('says what is missing', function (SpreadBy $by, string $says) {
    $lines = [charged('10', 100, '2'), charged('20', 300, unit: 'm')];
    expect(fn () => Charge::spread(1000, $by, $lines))->toThrow(Refused::class, $says);
})->with([
    [SpreadBy::Quantity, 'They are counted in m2 and m'],
    [SpreadBy::Weight, 'Sheet has no weight'],
    [SpreadBy::Volume, 'Sheet has no volume'],
]);

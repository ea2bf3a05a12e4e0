<?php

use KeepPace\Core\Quantity\Conversion;
use KeepPace\Core\Quantity\QuantityRefused;
use KeepPace\Core\Quantity\Unit;

it('converts exactly', function (string $typed, string $p, string $q, int $decimals, string $stock) {
    $conversion = Conversion::of(new Unit('x', 'typed', 3), new Unit('y', 'stock', $decimals), $p, $q);
    expect((string) $conversion->toStock($typed)->amount)->toBe($stock);
})->with([
    '1 in = 25.4 mm: NIST SP 811' => ['1', '254', '10', 1, '25.4'],
    '1 ft = 0.3048 m: NIST SP 811' => ['1', '3048', '10000', 4, '0.3048'],
    '12.5 ft = 3.81 m: NIST SP 811' => ['12.5', '3048', '10000', 4, '3.8100'],
    '1 US gal = 3.785411784 L, of which 1000 are whole litres and a rest: NIST SP 811' => [
        '1000',
        '3785411784',
        '1000000000',
        6,
        '3785.411784',
    ],
    'a sheet of 3.125 m2: common practice' => ['16', '25', '8', 4, '50.0000'],
    'a third that comes out even: common practice' => ['3', '1', '3', 0, '1'],
]);

it('refuses what the stock unit cannot hold instead of rounding in silence', function (
    string $typed,
    string $p,
    string $q,
    int $decimals,
) {
    Conversion::of(new Unit('x', 'typed', 3), new Unit('pc', 'piece', $decimals), $p, $q)->toStock($typed);
})->throws(QuantityRefused::class)->with([
    'half a piece' => ['0.5', '1', '1', 0],
    'a third of a piece' => ['1', '1', '3', 0],
    '1 lb = 0.45359237 kg is finer than 6 decimals: NIST SP 811' => ['1', '45359237', '100000000', 6],
    'finer than typed' => ['0.0001', '1', '1', 6],
]);

it('has no ratio of zero or below', function (string $p, string $q) {
    Conversion::of(new Unit('x', 'x', 0), new Unit('y', 'y', 0), $p, $q);
})->throws(LogicException::class)->with([['0', '1'], ['-1', '2']]);

it('names units by the codes of the open list', function (string $code, string $rec20) {
    $rows = array_map(str_getcsv(...), file(__DIR__.'/../../../demo/units.csv') ?: []);
    expect(array_column($rows, 3, 0)[$code])->toBe($rec20);
})->with([
    'piece: UN/CEFACT Recommendation 20' => ['pc', 'C62'], 'metre: UN/CEFACT Recommendation 20' => ['m', 'MTR'],
    'millimetre: UN/CEFACT Recommendation 20' => ['mm', 'MMT'],
    'square metre: UN/CEFACT Recommendation 20' => ['m2', 'MTK'],
    'kilogram: UN/CEFACT Recommendation 20' => ['kg', 'KGM'],
    'litre: UN/CEFACT Recommendation 20' => ['l', 'LTR'],
    'hour: UN/CEFACT Recommendation 20' => ['h', 'HUR'], 'set: UN/CEFACT Recommendation 20' => ['set', 'SET'],
]);

<?php

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Costing\NewStandard;
use KeepPace\Core\Costing\StockValue;

/* Revaluing stock at standard: the whole stock times the new cost, rounded once; the difference is variance (common
   practice; worked by hand). */
it('says what another standard does to what the stock is worth', function (
    string $before,
    string $after,
    string $quantity,
    int $value,
    int $more,
    ?string $percent,
) {
    $there = new StockValue(BigDecimal::of($quantity), $value);
    $standard = NewStandard::of($before, BigDecimal::of($after), $there);
    expect($standard->more())->toBe($more)
        ->and($standard->percent()?->__toString())->toBe($percent);
})->with([
    'dearer' => ['0.92', '0.98', '150', 13800, 900, '6.5'],
    'cheaper' => ['2.35', '2.30', '40', 9400, -200, '-2.1'],
    'nothing lies there' => ['2.35', '2.60', '0', 0, 0, '10.6'],
    'a fraction of a cent, rounded once' => ['0.0333', '0.0334', '1000', 3330, 10, '0.3'],
    'it cost nothing before' => ['0', '4', '3', 0, 1200, null],
]);

it('rounds a rolled-up cost once, half up, to a hundredth of a cent', function () {
    expect((string) NewStandard::rounded(BigRational::of('10000/3')))->toBe('33.3333')
        ->and((string) NewStandard::rounded(BigRational::of('12345/1000')))->toBe('0.1235')
        ->and((string) NewStandard::rounded(BigRational::of('0')))->toBe('0.0000');
});

<?php

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Planning\CutOver;

// by hand: 10 are left
it('is used up when an order takes more than there is', function (string $needed, bool $isUsedUp) {
    expect((new CutOver(BigDecimal::of('10')))->isUsedUp(BigRational::of($needed)))->toBe($isUsedUp);
})->with([['9.999999', false], ['10', false], ['10.000001', true], ['31/3', true]]);

it('says how many can still be made, whole ones', function (string $left, string $each, string $pieces) {
    expect((string) (new CutOver(BigDecimal::of($left)))->enoughFor(BigRational::of($each)))->toBe($pieces);
})->with([['10', '3', '3'], ['10', '1/3', '30'], ['2', '3', '0'], ['-4', '1', '0']]);

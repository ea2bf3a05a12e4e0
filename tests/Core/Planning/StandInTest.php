<?php

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Planning\StandIn;

/* Common practice, worked by hand. */
it('stands in by an exact ratio, never too little', function (string $ratio, string $missing, int $places, string $of) {
    $standIn = new StandIn(BigRational::of($ratio), null);
    expect((string) $standIn->of(BigDecimal::of($missing), $places))->toBe($of);
})->with([
    'one for one' => ['1', '7', 0, '7'],
    'two small for one large' => ['2', '7', 0, '14'],
    'a third, counted whole' => ['1/3', '7', 0, '3'],
    'a third, to three places' => ['1/3', '7', 3, '2.334'],
    'just a third' => ['1/3', '6', 3, '2.000'],
]);

it('is allowed up to its last day', function () {
    $standIn = new StandIn(BigRational::of(1), '2026-12-31');
    expect($standIn->isAllowedOn('2026-12-31'))->toBeTrue()
        ->and($standIn->isAllowedOn('2027-01-01'))->toBeFalse()
        ->and((new StandIn(BigRational::of(1), null))->isAllowedOn('2099-01-01'))->toBeTrue();
});

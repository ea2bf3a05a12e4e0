<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Purchasing\OverDelivery;
use KeepPace\Core\Quantity\Amount;

/* W30: within the tolerance taken and paid, above it blocked until answered; nothing on the floor is refused. */

it('takes so much and leaves so much to be answered', function (
    string $wanted,
    string $before,
    string $came,
    ?int $percent,
    int $decimals,
    string $taken,
    string $over,
) {
    $split = OverDelivery::of(
        BigDecimal::of($wanted),
        BigDecimal::of($before),
        BigDecimal::of($came),
        $percent,
        $decimals,
    );
    expect(Amount::plain($split->taken))->toBe($taken)
        ->and(Amount::plain($split->over))->toBe($over);
})->with([
    // the worked example of W30
    '40 ordered, 44 came, 5 %' => ['40', '0', '44', 5, 0, '42', '2'],
    'no tolerance is said: all is taken' => ['40', '0', '44', null, 0, '44', '0'],
    'none at all' => ['40', '0', '44', 0, 0, '40', '4'],
    'part came before' => ['40', '30', '14', 5, 0, '12', '2'],
    'more than is taken came before' => ['40', '43', '5', 5, 0, '0', '5'],
    'a part of a piece is not taken' => ['30', '0', '32', 5, 0, '31', '1'],
    'a unit with decimals' => ['30.5', '0', '33', 5, 2, '32.02', '0.98'],
    'ordered in finer than its unit counts now' => ['2.5', '0', '2.5', 0, 0, '2.5', '0'],
    'all of it was given up' => ['0', '0', '3', 10, 0, '0', '3'],
]);

<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\PriceBreaks;
use KeepPace\Core\Refused;

// trade.md, W31: 1 to 9 5.00, 10 to 49 4.50, from 50 3.75: 49 cost 220.50, 50 cost 187.50; '1 more costs 33.00 less'
it('holds the price of the reached break for all pieces, and says when more costs less', function () {
    $breaks = PriceBreaks::read('1:5.00 10:4.50 50:3.75');
    expect($breaks?->cost(BigDecimal::of(49)))->toBe(22050)
        ->and($breaks?->cost(BigDecimal::of(50)))->toBe(18750)
        ->and($breaks?->cost(BigDecimal::of(9)))->toBe(4500)
        ->and($breaks?->cost(BigDecimal::of(10)))->toBe(4500)
        ->and((string) $breaks?->price(BigDecimal::of('0.5')))->toBe('5.00');
    $more = $breaks?->cheaper(BigDecimal::of(49));
    expect((string) $more['more'])->toBe('1')->and($more['saves'])->toBe(3300)
        ->and($breaks?->cheaper(BigDecimal::of(9)))->toBeNull() // as much, not less
        ->and($breaks?->cheaper(BigDecimal::of(41)))->toBeNull() // 184.50 against 187.50
        ->and($breaks?->cheaper(BigDecimal::of(42))['saves'])->toBe(150)
        ->and($breaks?->cheaper(BigDecimal::of(60)))->toBeNull();
});

it('reads what people type, and writes it so that it is read again', function (string $typed, ?string $written) {
    expect(PriceBreaks::read($typed)?->written())->toBe($written)
        ->and(PriceBreaks::read((string) $written)?->written())->toBe($written);
})->with([
    ['', null],
    ['5.00', '5'],
    ['50:3.75 10:4.50 5', '5 10:4.5 50:3.75'],
    ['5;10:4.50|50:3.75', '5 10:4.5 50:3.75'],
    ['0.5:2', '0.5:2'],
]);

it('refuses what is no price, and two for one quantity', function (string $typed, string $says) {
    expect(fn () => PriceBreaks::read($typed))->toThrow(Refused::class, $says);
})->with([
    ['from 10 4.50', "'from' is not a price"],
    ['-1', "'-1' is not a price"],
    ['10:4.50 10:4.40', 'Two prices begin at 10'],
    ['5 6', 'Two prices begin at 0'],
]);

// whatever is asked, more that costs less does: found again by trying every quantity up to the last break
it('finds the nearest cheaper quantity', function (int $seed) {
    mt_srand($seed);
    $typed = ['9.00'];
    for ($from = mt_rand(2, 8), $price = 850; count($typed) < 4; $from += mt_rand(3, 20), $price -= mt_rand(40, 200)) {
        $typed[] = "{$from}:".number_format($price / 100, 2, '.', '');
    }
    $breaks = PriceBreaks::read(implode(' ', $typed));
    for ($asked = 1; $asked < 70; $asked++) {
        $nearest = null;
        for ($other = $asked + 1; $other <= 80 && $nearest === null; $other++) {
            $cheaper = $breaks->cost(BigDecimal::of($other)) < $breaks->cost(BigDecimal::of($asked));
            $nearest = $cheaper ? $other - $asked : null;
        }
        $found = $breaks->cheaper(BigDecimal::of($asked));
        expect($found === null ? null : (int) (string) $found['more'])->toBe($nearest);
    }
})->with(range(1, 8));

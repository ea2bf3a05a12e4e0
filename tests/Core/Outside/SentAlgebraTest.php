<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Outside\CameBack;
use KeepPace\Core\Outside\Sent;
use KeepPace\Core\Outside\Whose;

/* Pieces sent out are an account: each is there, or gone one way; common practice of stock at suppliers. */

function sentOf(int $sent, int $good, int $spoiled, int $lost, int $unworked, int $unpaid = 0): Sent
{
    return new Sent(...array_map(BigDecimal::of(...), [$sent, $good, $spoiled, $lost, $unworked, $unpaid]));
}

it('has each piece in one place', function () {
    $sent = sentOf(20, 8, 2, 1, 3);
    expect($sent->gone()->toInt())->toBe(14)
        ->and($sent->there()->toInt())->toBe(6)
        ->and(Sent::nothing()->there()->isZero())->toBeTrue()
        ->and($sent->isImpossible())->toBeFalse();
});

it('comes back to what it was when what is added is taken away', function () {
    mt_srand(3);
    for ($round = 0; $round < 200; $round++) {
        [$a, $b] = array_map(
            fn (): Sent => sentOf(...array_map(fn (): int => mt_rand(0, 30), range(1, 6))),
            [0, 1],
        );
        expect($a->plus($b)->plus($b->negated()))->toEqual($a)
            ->and($a->plus(Sent::nothing()))->toEqual($a)
            ->and($a->plus($b)->there()->isEqualTo($a->there()->plus($b->there())))->toBeTrue();
    }
});

it('knows what no line can come to', function (Sent $sent) {
    expect($sent->isImpossible())->toBeTrue();
})->with([
    'more back than went' => [fn () => sentOf(5, 6, 0, 0, 0)],
    'all ways together more than went' => [fn () => sentOf(5, 2, 2, 1, 1)],
    'less than nothing spoiled' => [fn () => sentOf(5, 2, -1, 0, 0)],
    'more unpaid than spoiled and lost' => [fn () => sentOf(9, 2, 1, 1, 0, 3)],
    'less than nothing sent' => [fn () => sentOf(-1, 0, 0, 0, 0)],
]);

it('pays for good pieces always, for spoiled ones where the fault was ours', function (Whose $whose, int $paid) {
    $came = new CameBack(...array_map(BigDecimal::of(...), [8, 2, 1, 3]), whose: $whose);
    expect($came->paid()->toInt())->toBe($paid)
        ->and($came->paid()->plus($came->unpaid())->toInt())->toBe(11)
        ->and($came->scrap()->toInt())->toBe(3)
        ->and($came->all()->toInt())->toBe(14);
})->with([[Whose::Ours, 11], [Whose::Theirs, 8], [Whose::Open, 8]]);

it('pays nothing for pieces that came back as they went', function () {
    $came = CameBack::unworked(BigDecimal::of(4));
    expect([$came->paid()->toInt(), $came->unpaid()->toInt(), $came->scrap()->toInt()])->toBe([0, 0, 0])
        ->and(CameBack::good(BigDecimal::of(4))->paid()->toInt())->toBe(4);
});

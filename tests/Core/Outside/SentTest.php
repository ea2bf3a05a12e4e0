<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Outside\CameBack;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Outside\Sent;
use KeepPace\Core\Outside\ValueThere;

/** Good, spoiled, lost, unworked. */
function cameBack(int ...$of): CameBack
{
    return new CameBack(...array_map(fn (int $pieces): BigDecimal => BigDecimal::of($pieces), $of));
}

/** @return array<int, list<int>> good, spoiled, lost, unworked by line */
function dealtOver(CameBack $came, array $there, int $here = 0): array
{
    $dealt = $came->dealtOver(array_map(BigDecimal::of(...), $there), 'step 40 Coat', BigDecimal::of($here));

    return array_map(fn (Sent $of): array => array_map(
        fn (BigDecimal $pieces): int => $pieces->toInt(),
        [$of->good, $of->spoiled, $of->lost, $of->unworked],
    ), $dealt);
}

/* Common practice: what went first comes back first, and each piece is in one place. */
it('deals what came back over the consignments, the oldest first', function () {
    expect(dealtOver(cameBack(5, 0, 0, 0), [7 => 4, 9 => 6]))->toBe([7 => [4, 0, 0, 0], 9 => [1, 0, 0, 0]])
        ->and(dealtOver(cameBack(3, 2, 1, 0), [7 => 4, 9 => 6]))->toBe([7 => [3, 1, 0, 0], 9 => [0, 1, 1, 0]])
        ->and(dealtOver(cameBack(0, 0, 0, 4), [7 => 4, 9 => 6]))->toBe([7 => [0, 0, 0, 4]])
        ->and(dealtOver(cameBack(6, 1, 1, 2), [7 => 4, 9 => 6]))->toBe([7 => [4, 0, 0, 0], 9 => [2, 1, 1, 2]]);
});

it('refuses more than is there, with the figures and the way on', function () {
    expect(fn () => dealtOver(cameBack(9, 1, 1, 0), [7 => 4, 9 => 6]))
        ->toThrow(OutsideRefused::class, '11 came back from step 40 Coat, 10 are there by the books. Count again.')
        ->and(fn () => dealtOver(cameBack(11, 0, 0, 0), [7 => 4, 9 => 6], 3))->toThrow(
            OutsideRefused::class,
            '3 more stand here and were never sent out. Book their send-out first.',
        )
        ->and(fn () => dealtOver(cameBack(1, 0, 0, 0), []))->toThrow(OutsideRefused::class, '0 are there');
});

it('says what came back as people say it', function () {
    expect(cameBack(12, 1, 0, 0)->says())->toBe('12 good, 1 spoiled there')
        ->and(cameBack(0, 0, 2, 3)->says())->toBe('2 lost there, 3 back as they went')
        ->and(cameBack(4, 1, 2, 9)->scrap()->toInt())->toBe(3);
});

/* What went = back good + spoiled + lost + as it went + there, whatever happens in whatever order. */
it('loses no piece over random sequences', function (int $seed) {
    mt_srand($seed);
    $lines = [];
    $sent = $back = BigDecimal::zero();
    for ($i = 0; $i < 300; $i++) {
        if (mt_rand(0, 2) === 0) {
            $pieces = BigDecimal::ofUnscaledValue(mt_rand(1, 12000), 3);
            $none = BigDecimal::zero();
            $lines[] = new Sent($pieces, $none, $none, $none, $none);
            $sent = $sent->plus($pieces);

            continue;
        }
        $came = new CameBack(...array_map(
            fn (): BigDecimal => BigDecimal::ofUnscaledValue(mt_rand(0, 3000), 3),
            range(1, 4),
        ));
        $there = array_map(fn (Sent $line): BigDecimal => $line->there(), $lines);
        $all = BigDecimal::sum(BigDecimal::zero(), ...$there);
        try {
            foreach ($came->dealtOver($there, 'step', BigDecimal::zero()) as $at => $of) {
                $lines[$at] = $lines[$at]->plus($of);
                expect($lines[$at]->isImpossible())->toBeFalse();
            }
            $back = $back->plus($came->all());
        } catch (OutsideRefused) {
            expect($came->all()->isGreaterThan($all))->toBeTrue();
        }
        $still = BigDecimal::sum(BigDecimal::zero(), ...array_map(fn (Sent $line) => $line->there(), $lines));
        expect((string) $sent->minus($back)->minus($still)->stripTrailingZeros())->toBe('0');
    }
})->with([[1], [2], [3]]);

/* trade.md W29: 30 of 30 pieces of an order with 720.00: 720.00; the shares of those there and here are all of it. */
it('says what pieces with a supplier are worth: part of what is in the order', function () {
    $of = fn (int $cents, int $there, int $alive): int => ValueThere::of(
        $cents,
        BigDecimal::of($there),
        BigDecimal::of($alive),
    );
    expect($of(72000, 30, 30))->toBe(72000)
        ->and($of(72000, 10, 30))->toBe(24000)
        ->and($of(10000, 1, 3))->toBe(3333)
        ->and($of(10000, 0, 3))->toBe(0)
        ->and($of(10000, 0, 0))->toBe(0);
});

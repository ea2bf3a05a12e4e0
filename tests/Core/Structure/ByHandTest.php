<?php

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use KeepPace\Core\Structure\ByHand;

/*
 * What a person planned of a component, when the order's quantity changes: common practice. A part swapped on an order
 * is swapped on the pieces that are added to it too; a can of paint for the whole order is not.
 */

function byHandUp(ByHand $hand, string $pieces): string
{
    return (string) $hand->for(BigDecimal::of($pieces))->toScale(0, RoundingMode::CEILING);
}

it('goes with the pieces', function (): void {
    // 18 instead of 16 for 16 pieces
    $hand = ByHand::forPieces(BigDecimal::of('18'), BigDecimal::of('16'));
    expect(byHandUp($hand, '32'))->toBe('36')
        ->and(byHandUp($hand, '8'))->toBe('9')
        ->and(byHandUp($hand, '3'))->toBe('4') // 3.375, a part of one is one
        ->and($hand->isEven())->toBeTrue();
});

it('stays where it is for the whole order', function (): void {
    $hand = ByHand::forTheOrder(BigDecimal::of('2'));
    expect(byHandUp($hand, '1'))->toBe('2')
        ->and(byHandUp($hand, '100'))->toBe('2')
        ->and($hand->isEven())->toBeFalse();
});

it('takes more of what stands in, where some have the other already', function (): void {
    // 12 pieces with one each; 4 have the old one, the new one is for the other 8
    $hand = ByHand::instead(
        BigDecimal::of('8'),
        BigDecimal::of('12'),
        planned: BigDecimal::of('12'),
        left: BigDecimal::of('8'),
    );
    expect(byHandUp($hand, '12'))->toBe('8')
        ->and(byHandUp($hand, '24'))->toBe('20') // 20 new and 4 old
        ->and(byHandUp($hand, '6'))->toBe('2')
        ->and(byHandUp($hand, '3'))->toBe('0'); // the 4 old ones are enough
});

it('takes as much as was typed for as many as there were, whatever that is', function (): void {
    mt_srand(20_261_130);
    for ($i = 0; $i < 2_000; $i++) {
        $decimals = mt_rand(0, 4);
        $some = fn (int $most): BigDecimal => BigDecimal::ofUnscaledValue(
            mt_rand(1, $most * 10 ** $decimals),
            $decimals,
        );
        [$amount, $pieces, $planned] = [$some(900), BigDecimal::of(mt_rand(1, 400)), $some(500)];
        $left = BigDecimal::min($planned, $some(500));
        $hand = mt_rand(0, 1) === 0
            ? ByHand::instead($amount, $pieces, $planned, $left)
            : ByHand::at($amount, BigRational::nd(mt_rand(0, 50), mt_rand(1, 9)), $pieces);
        $is = $hand->for($pieces)->toScale($decimals, RoundingMode::CEILING);
        $double = $hand->for($pieces->multipliedBy(2))->toScale($decimals, RoundingMode::CEILING);
        expect($is->isEqualTo($amount))->toBeTrue()
            ->and($double->isLessThan($amount))->toBeFalse();
    }
});

<?php

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Outside\PartUse;

/** @return list<string> for good pieces, for spoiled ones */
function partUsed(string $each, string $good, string $spoiled, ?string $reported = null, int $decimals = 2): array
{
    $use = PartUse::of(
        BigRational::of($each),
        BigDecimal::of($good),
        BigDecimal::of($spoiled),
        $reported === null ? null : BigDecimal::of($reported),
        $decimals,
    );

    return [(string) $use->forGood, (string) $use->forSpoiled, (string) $use->all()];
}

/* trade.md W4: 0.42 m each; 60 good and 2 spoiled use 26.04 m, 25.20 of it for the good ones; 17.50 m as reported. */
it('uses a part up by the ratio, for good and spoiled pieces, or as it is reported', function () {
    expect(partUsed('0.42', '60', '2'))->toBe(['25.20', '0.84', '26.04'])
        ->and(partUsed('0.42', '38', '0', '17.50'))->toBe(['17.50', '0.00', '17.50'])
        ->and(partUsed('1/3', '10', '0', null, 0))->toBe(['3', '0', '3'])
        ->and(partUsed('0.42', '30', '10', '20.00'))->toBe(['15.00', '5.00', '20.00'])
        ->and(partUsed('0.42', '0', '0', '0'))->toBe(['0', '0', '0']);
});

/* Nothing disappears: what is used for good and spoiled ones is all that is used, whatever the ratio rounds to. */
it('splits what is used without a rest', function (int $seed) {
    mt_srand($seed);
    for ($i = 0; $i < 200; $i++) {
        $each = mt_rand(1, 999).'/'.mt_rand(1, 99);
        $reported = mt_rand(0, 1) === 0 ? null : (string) BigDecimal::ofUnscaledValue(mt_rand(0, 99999), 3);
        [$good, $spoiled, $all] = partUsed($each, (string) mt_rand(0, 50), (string) mt_rand(0, 9), $reported, 3);
        expect((string) BigDecimal::of($good)->plus($spoiled))->toBe((string) BigDecimal::of($all))
            ->and(BigDecimal::min($good, $spoiled)->isNegative())->toBeFalse();
    }
})->with([[1], [2]]);

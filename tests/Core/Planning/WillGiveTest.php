<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\WillGive;

/** @param  list<array{string, string}>  $pieces */
function gives(string $received, array $pieces, int $decimals = 0): string
{
    return (string) WillGive::of(
        BigDecimal::of($received),
        array_map(
            fn (array $one): array => ['alive' => BigDecimal::of($one[0]), 'yield' => BigDecimal::of($one[1])],
            $pieces,
        ),
        $decimals,
    );
}

it('counts what was received and what is alive at the yield ahead, rounded down', function (
    string $received,
    array $pieces,
    int $decimals,
    string $gives,
) {
    expect(gives($received, $pieces, $decimals))->toBe($gives);
})->with([
    'checks/trade.md W10: 50 started, two steps of 97 %, 47 counted' => ['0', [['50', '0.9409']], 0, '47'],
    'checks/trade.md W10: 60 started, 56 counted' => ['0', [['60', '0.9409']], 0, '56'],
    'all yields 100 %: every piece alive' => ['4', [['3', '1'], ['2', '1']], 0, '9'],
    'one fraction over all the steps: 4.85 + 4.85 = 9.7' => ['0', [['5', '0.97'], ['5', '0.97']], 0, '9'],
    'received pieces are sure' => ['3', [['0', '0.5']], 0, '3'],
    'a unit with decimals' => ['1.5', [['10', '0.333']], 2, '4.83'],
    'nothing left' => ['0', [], 0, '0'],
]);

it('gives every piece alive where no step says its yield', function () {
    expect((string) WillGive::all(BigDecimal::of(4), [BigDecimal::of(3), BigDecimal::of(1)]))->toBe('8');
});
